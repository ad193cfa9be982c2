import { lazy, Suspense } from 'react';

const PrintScreen = lazy(() =>
  import('@/features/print').then((module) => ({ default: module.PrintScreen })),
);

export default function Print() {
  return (
    <Suspense fallback={null}>
      <PrintScreen />
    </Suspense>
  );
}

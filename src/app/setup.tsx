import { lazy, Suspense } from 'react';

const SetupScreen = lazy(() =>
  import('@/features/later').then((module) => ({ default: module.SetupScreen })),
);

export default function Setup() {
  return (
    <Suspense fallback={null}>
      <SetupScreen />
    </Suspense>
  );
}

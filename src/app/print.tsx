import { Suspense } from 'react';
import { printScreen } from '@/features/shell';

export default function Print() {
  return (
    <Suspense fallback={null}>
      <printScreen.Later />
    </Suspense>
  );
}

import { Suspense } from 'react';
import { setupScreen } from '@/features/shell';

export default function Setup() {
  return (
    <Suspense fallback={null}>
      <setupScreen.Later />
    </Suspense>
  );
}

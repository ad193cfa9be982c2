import { Suspense } from 'react';
import { smallScreen } from '@/features/shell';

export default function Small() {
  return (
    <Suspense fallback={null}>
      <smallScreen.Later />
    </Suspense>
  );
}

import { Suspense } from 'react';
import { peopleScreen } from '@/features/shell';

export default function People() {
  return (
    <Suspense fallback={null}>
      <peopleScreen.Later />
    </Suspense>
  );
}

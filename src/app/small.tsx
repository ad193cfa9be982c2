import { Suspense } from 'react';
import { DayGlance } from '@/ui/glance/DayGlance';
import { smallScreen } from '@/features/shell';

export default function Small() {
  return (
    <Suspense fallback={<DayGlance />}>
      <smallScreen.Later />
    </Suspense>
  );
}

import { Suspense } from 'react';
import { NotificationSetting } from '@/features/reminders';
import { ZoneSettings } from '@/features/zones';

/** Zones and notifications. */
export function GeneralSection() {
  return (
    <>
      <Suspense fallback={null}>
        <ZoneSettings />
      </Suspense>
      <NotificationSetting />
    </>
  );
}

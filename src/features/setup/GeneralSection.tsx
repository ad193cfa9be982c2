import { Suspense } from 'react';
import { NotificationSetting } from '@/features/reminders';
import { WeekStartField } from '@/features/workspace';
import { ZoneSettings } from '@/features/zones';

/** Zones, weeks and notifications. */
export function GeneralSection() {
  return (
    <>
      <Suspense fallback={null}>
        <ZoneSettings />
      </Suspense>
      <WeekStartField />
      <NotificationSetting />
    </>
  );
}

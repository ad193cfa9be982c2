import { Suspense } from 'react';
import { NotificationSetting } from '@/features/reminders';
import { ZoneSettings } from '@/features/zones';
import { AppearanceFields } from './AppearanceFields';

/** Zones, how things are written and coloured, and notifications. */
export function GeneralSection() {
  return (
    <>
      <Suspense fallback={null}>
        <ZoneSettings />
      </Suspense>
      <AppearanceFields />
      <NotificationSetting />
    </>
  );
}

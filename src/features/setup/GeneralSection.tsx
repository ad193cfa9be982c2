import { Suspense } from 'react';
import { InstallSetting } from '@/features/offline';
import { ZoneSettings } from '@/features/zones';
import { AppearanceFields } from './AppearanceFields';

/** Zones, how things are written and coloured, and whether the application is kept here. */
export function GeneralSection() {
  return (
    <>
      <Suspense fallback={null}>
        <ZoneSettings />
      </Suspense>
      <AppearanceFields />
      <InstallSetting />
    </>
  );
}

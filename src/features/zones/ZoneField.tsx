import { Suspense, useRef, useState } from 'react';
import type { View } from 'react-native';
import { cityOf, isKnownZone, offsetName } from '@/core/time/zones';
import { useNow, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { PressField } from '@/ui/primitives/PressField';
import { useFocusBack } from '@/ui/useFocusBack';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { ZonePicker } from './lazyZonePicker';

export { preloadZonePicker } from './lazyZonePicker';

interface ZoneFieldProps {
  label: string;
  value: string;
  onChange: (zone: string) => void;
  /** A choice that is no zone, with its value and words. */
  none?: { value: string; label: string };
  hint?: string;
  error?: string;
  testID?: string;
}

/** A time zone, shown by its city and offset; pressed, it opens the picker. */
export function ZoneField({ label, value, onChange, none, hint, error, testID }: ZoneFieldProps) {
  const settings = useSettings();
  const now = useNow();
  const [picking, setPicking] = useState(false);
  const row = useRef<View>(null);
  const isNone = none?.value === value;
  const name = isNone
    ? none.label
    : value === settings.homeZone
      ? words.editor.homeZone(zoneLabel(settings, value))
      : cityOf(value);
  const offset = !isNone && isKnownZone(value) ? offsetName(value, now) : '';
  const close = () => setPicking(false);
  useFocusBack(picking, () => row.current as unknown as HTMLElement | null);
  return (
    <>
      <PressField
        ref={row}
        label={label}
        name={`${label}: ${[name, offset].filter(Boolean).join(', ')}`}
        icon="earth"
        isSet={false}
        text={name}
        trailing={
          <AppText size="small" tone="quiet" figures>
            {offset}
          </AppText>
        }
        hint={hint}
        error={error}
        onPress={() => setPicking(true)}
        testID={testID}
      />
      {picking ? (
        <Suspense fallback={null}>
          <ZonePicker
            value={value}
            none={none}
            onPick={(zone) => {
              onChange(zone);
              close();
            }}
            onClose={close}
          />
        </Suspense>
      ) : null}
    </>
  );
}

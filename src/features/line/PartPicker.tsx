import { Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { EntryLineDraft, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { LineChange } from '@/core/entryline/rewriteLine';
import type { Calendar } from '@/core/model/calendar';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { ZonePicker } from '@/features/zones';
import { later } from '@/ui/later';
import { Button } from '@/ui/primitives/Button';
import { OptionRow } from '@/ui/primitives/dates/OptionRow';
import { type Anchor, Popover } from '@/ui/primitives/Popover';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { words } from '@/ui/words';

import { optionsOf } from './partOptions';

const dayGrid = later(async () => (await import('@/ui/primitives/dates/DayGrid')).DayGrid);

const GRID_WIDTH = 304;

/** The small picker of one part of the line: another value for it, or its words back into the title. */
export function PartPicker({
  part,
  anchor,
  draft,
  today,
  calendars,
  onChange,
  onKeep,
  onClose,
}: {
  part: UnderstoodPart;
  anchor: Anchor;
  draft: EntryLineDraft;
  today: number;
  calendars: readonly Calendar[];
  onChange: (change: LineChange) => void;
  /** Turns its words back into words of the title; not given for what was only filled in. */
  onKeep: (() => void) | undefined;
  onClose: () => void;
}) {
  const label = words.line.parts[part];
  if (part === 'zone')
    return (
      <Suspense fallback={null}>
        <ZonePicker
          value={draft.start.kind === 'zoned' ? draft.start.zone : ''}
          none={{ value: '', label: words.line.here }}
          onPick={(zone) => onChange({ part, zone })}
          onClose={onClose}
        />
      </Suspense>
    );
  const keep = onKeep ? <KeepRow onKeep={onKeep} /> : null;
  const day = Math.floor(wallOf(draft.start) / DAY);
  if (part === 'day')
    return (
      <Popover anchor={anchor} label={label} role="dialog" width={GRID_WIDTH} onClose={onClose}>
        <Suspense fallback={null}>
          <dayGrid.Later day={day} near={today} onPick={(picked) => onChange({ part, day: picked })} />
        </Suspense>
        {keep}
      </Popover>
    );
  if (part === 'place')
    return (
      <Popover anchor={anchor} label={label} role="dialog" onClose={onClose}>
        <PlaceField place={draft.location} onSet={(place) => onChange({ part, place })} />
        {keep}
      </Popover>
    );
  const options = optionsOf(part, draft, calendars);
  return (
    <Popover anchor={anchor} label={label} role={options.length > 0 ? 'listbox' : 'dialog'} onClose={onClose}>
      {keep}
      {options.map(({ label: text, isNow, change }) => (
        <OptionRow key={text} label={text} selected={isNow} onPress={() => onChange(change)} />
      ))}
    </Popover>
  );
}

/** Turns the words of the part back into words of the title; in sight wherever a list has been scrolled to. */
function KeepRow({ onKeep }: { onKeep: () => void }) {
  const { colours } = useTheme();
  return (
    <View
      style={[
        styles.keep,
        webStyle({ position: 'sticky', top: 0, zIndex: 1 }),
        { backgroundColor: colours.card, borderColor: colours.line },
      ]}
    >
      <Button kind="quiet" label={words.line.intoTitle} onPress={onKeep} />
    </View>
  );
}

function PlaceField({ place, onSet }: { place: string; onSet: (place: string) => void }) {
  const [text, setText] = useState(place);
  return (
    <View style={styles.place}>
      <TextField
        label={words.line.parts.place}
        value={text}
        onChangeText={setText}
        onSubmit={() => onSet(text)}
        autoFocus
        maxLength={200}
        testID="line-place"
      />
      <Button kind="primary" label={words.line.setPlace} onPress={() => onSet(text)} />
    </View>
  );
}

const styles = StyleSheet.create({
  keep: { borderBottomWidth: hairline, alignItems: 'flex-start' },
  place: { gap: space(2), padding: space(2) },
});

import { Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { OFFERED_LENGTHS } from '@/core/change/calendarDefaults';
import type { EntryLineDraft, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { LineChange } from '@/core/entryline/rewriteLine';
import type { Calendar } from '@/core/model/calendar';
import { AVAILABILITIES, CLASSIFICATIONS } from '@/core/model/entry';
import { DAY, MINUTE } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { cityOf } from '@/core/time/zones';
import { ZonePicker } from '@/features/zones';
import { lengthText, timeText } from '@/ui/dates';
import { later } from '@/ui/later';
import { Button } from '@/ui/primitives/Button';
import { OptionRow } from '@/ui/primitives/dates/OptionRow';
import { type Anchor, Popover } from '@/ui/primitives/Popover';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { minuteOfDraft, reminderText } from './partText';

const dayGrid = later(async () => (await import('@/ui/primitives/dates/DayGrid')).DayGrid);

const GRID_WIDTH = 304;
const STEP = 30;
const TIMES = Array.from({ length: 1440 / STEP }, (_, index) => index * STEP);
const DAY_COUNTS = [1, 2, 3, 4, 5, 6, 7, 10, 14];
const REMINDERS = [0, 5, 10, 15, 30, 60, 120, 1440];

interface Option {
  readonly label: string;
  readonly isNow: boolean;
  readonly change: LineChange;
}

/** What a part can be instead, as a list. */
function optionsOf(part: UnderstoodPart, draft: EntryLineDraft, calendars: readonly Calendar[]): Option[] {
  const length = (wallOf(draft.end) - wallOf(draft.start)) / MINUTE;
  const minute = minuteOfDraft(draft);
  switch (part) {
    case 'time':
      return [
        { label: words.line.allDay, isNow: minute === undefined, change: { part, minute: undefined } },
        ...TIMES.map((each) => ({
          label: timeText(each * MINUTE),
          isNow: minute !== undefined && Math.floor(minute / STEP) * STEP === each,
          change: { part, minute: each } as const,
        })),
      ];
    case 'length': {
      const isAllDay = draft.start.kind === 'date';
      const offered = isAllDay ? DAY_COUNTS.map((count) => count * 1440) : OFFERED_LENGTHS;
      return offered.map((minutes) => ({
        label: isAllDay ? words.plan.dayCount(minutes / 1440) : lengthText(minutes * MINUTE),
        isNow: minutes === length,
        change: { part, minutes },
      }));
    }
    case 'repeat':
      return [
        { label: words.line.noRepeat, isNow: false, change: { part, words: '' } },
        ...Object.entries(words.line.repeats).map(([said, label]) => ({
          label,
          isNow: false,
          change: { part, words: said } as const,
        })),
      ];
    case 'calendar':
      return calendars.map(({ id, name, mark }) => ({
        label: `${mark}  ${name}`,
        isNow: id === draft.calendarId,
        change: { part, mark },
      }));
    case 'availability':
      return AVAILABILITIES.map((availability) => ({
        label: words.entry.availability[availability],
        isNow: availability === draft.availability,
        change: { part, availability },
      }));
    case 'visibility':
      return CLASSIFICATIONS.map((classification) => ({
        label: words.entry.classification[classification],
        isNow: classification === draft.classification,
        change: { part, classification },
      }));
    case 'reminder':
      return [
        { label: words.line.noReminder, isNow: false, change: { part, minutes: undefined } },
        ...REMINDERS.map((minutes) => ({
          label: reminderText(minutes),
          isNow: draft.reminders?.[0] === minutes,
          change: { part, minutes } as const,
        })),
      ];
    case 'day':
    case 'zone':
    case 'place':
    case 'category':
    case 'link':
      return [];
  }
}

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
  const { colours } = useTheme();
  const label = words.line.parts[part];
  if (part === 'zone')
    return (
      <Suspense fallback={null}>
        <ZonePicker
          value={draft.start.kind === 'zoned' ? draft.start.zone : ''}
          none={{ value: '', label: words.line.here }}
          onPick={(zone) => onChange({ part, name: zone && cityOf(zone) })}
          onClose={onClose}
        />
      </Suspense>
    );
  // In sight wherever a list has been scrolled to.
  const keep = onKeep ? (
    <View
      style={[
        styles.keep,
        webStyle({ position: 'sticky', top: 0, zIndex: 1 }),
        { backgroundColor: colours.card, borderColor: colours.line },
      ]}
    >
      <Button kind="quiet" label={words.line.intoTitle} onPress={onKeep} />
    </View>
  ) : null;
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

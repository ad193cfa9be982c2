import { OFFERED_LENGTHS } from '@/core/change/calendarDefaults';
import type { EntryLineDraft, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { LineChange } from '@/core/entryline/rewriteLine';
import type { Calendar } from '@/core/model/calendar';
import { AVAILABILITIES, CLASSIFICATIONS } from '@/core/model/entry';
import { hasReminder, noticeBefore, offsetTrigger, type Reminder } from '@/core/model/reminder';
import { MINUTE } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { lengthText, timeText } from '@/ui/dates';
import { reminderText } from '@/ui/reminderText';
import { words } from '@/ui/words';
import { minuteOfDraft } from './partText';

/** What a part can be instead. */
export interface PartOption {
  readonly label: string;
  readonly isNow: boolean;
  readonly change: LineChange;
}
type Offer = (draft: EntryLineDraft, calendars: readonly Calendar[]) => PartOption[];

const STEP = 30;
const TIMES = Array.from({ length: 1440 / STEP }, (_, index) => index * STEP);
const DAY_COUNTS = [1, 2, 3, 4, 5, 6, 7, 10, 14];
const OFFERED_REMINDERS: readonly Reminder[] = [
  ...[0, 5, 10, 15, 30, 60, 120].map(noticeBefore),
  { trigger: offsetTrigger(0, 'start', -1), by: 'notice' },
  { trigger: { kind: 'time-of-day', daysBefore: 1, minute: 16 * 60 }, by: 'notice' },
  { trigger: offsetTrigger(-10), by: 'email' },
  { trigger: offsetTrigger(-10), by: 'text' },
];

const times: Offer = (draft) => {
  const minute = minuteOfDraft(draft);
  return [
    {
      label: words.line.allDay,
      isNow: minute === undefined,
      change: { part: 'time', minute: undefined },
    },
    ...TIMES.map((each) => ({
      label: timeText(each * MINUTE),
      isNow: minute !== undefined && Math.floor(minute / STEP) * STEP === each,
      change: { part: 'time', minute: each } as const,
    })),
  ];
};

const lengths: Offer = ({ start, end }) => {
  const isAllDay = start.kind === 'date';
  const length = (wallOf(end) - wallOf(start)) / MINUTE;
  const offered = isAllDay ? DAY_COUNTS.map((count) => count * 1440) : OFFERED_LENGTHS;
  return offered.map((minutes) => ({
    label: isAllDay ? words.plan.dayCount(minutes / 1440) : lengthText(minutes * MINUTE),
    isNow: minutes === length,
    change: { part: 'length', minutes },
  }));
};

const repeats: Offer = () => [
  { label: words.line.noRepeat, isNow: false, change: { part: 'repeat', words: '' } },
  ...Object.entries(words.line.repeats).map(([said, label]) => ({
    label,
    isNow: false,
    change: { part: 'repeat', words: said } as const,
  })),
];

const reminders: Offer = (draft) => [
  { label: words.reminder.without, isNow: false, change: { part: 'reminder', reminder: undefined } },
  ...OFFERED_REMINDERS.map((reminder) => ({
    // None of these is a moment: the zone says nothing.
    label: reminderText(reminder, 'UTC'),
    isNow: draft.reminders !== undefined && hasReminder(draft.reminders, reminder),
    change: { part: 'reminder', reminder } as const,
  })),
];

/** The parts that are picked from a list. */
const OFFERS: Partial<Record<UnderstoodPart, Offer>> = {
  time: times,
  length: lengths,
  repeat: repeats,
  reminder: reminders,
  calendar: (draft, calendars) =>
    calendars.map(({ id, name, mark }) => ({
      label: `${mark}  ${name}`,
      isNow: id === draft.calendarId,
      change: { part: 'calendar', mark },
    })),
  availability: (draft) =>
    AVAILABILITIES.map((availability) => ({
      label: words.entry.availability[availability],
      isNow: availability === draft.availability,
      change: { part: 'availability', availability },
    })),
  visibility: (draft) =>
    CLASSIFICATIONS.map((classification) => ({
      label: words.entry.classification[classification],
      isNow: classification === draft.classification,
      change: { part: 'visibility', classification },
    })),
};

/** What a part can be instead, as a list; none for what is not picked from one. */
export const optionsOf = (
  part: UnderstoodPart,
  draft: EntryLineDraft,
  calendars: readonly Calendar[],
): PartOption[] => OFFERS[part]?.(draft, calendars) ?? [];

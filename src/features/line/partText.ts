import type { EntryLineDraft, OtherReading, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { Calendar } from '@/core/model/calendar';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantOf, wallOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { lengthText, shortDayText, timeRangeText, timeText } from '@/ui/dates';
import type { IconName } from '@/ui/icons/paths';
import { recurrenceText } from '@/ui/recurrenceText';
import { remindersText } from '@/ui/reminderText';
import { words } from '@/ui/words';

/** A chip: a part of the line, and what it says. */
export interface PartShown {
  readonly part: UnderstoodPart;
  readonly icon: IconName;
  readonly text: string;
}

const ICONS: Readonly<Record<UnderstoodPart, IconName>> = {
  day: 'calendar-blank-outline',
  time: 'clock-outline',
  length: 'unfold-more-horizontal',
  repeat: 'autorenew',
  zone: 'earth',
  place: 'map-marker-outline',
  people: 'account-group-outline',
  calendar: 'tag-outline',
  category: 'bookmark-outline',
  availability: 'tune-variant',
  visibility: 'eye-off-outline',
  reminder: 'bell-outline',
  link: 'link-variant',
};

/** The day of a draft, both ends of several. */
function dayOfDraft({ start, end }: EntryLineDraft): string {
  const [first, last] = [Math.floor(wallOf(start) / DAY), Math.ceil(wallOf(end) / DAY) - 1];
  const isSeveral = last > first && (start.kind === 'date' || wallOf(end) - wallOf(start) > DAY);
  return isSeveral ? `${shortDayText(first)} – ${shortDayText(last)}` : shortDayText(first);
}

/** The time of a draft, both ends of it where they are said. */
function timeOfDraft({ start, end, said }: EntryLineDraft): string {
  if (start.kind === 'date') return words.entry.allDayLabel;
  const [from, to] = [wallOf(start), wallOf(end)];
  return said.includes('length') && to - from < DAY ? timeRangeText(from, to) : timeText(from);
}

/** Another meaning of a part, as its chip says it. */
export const otherText = ({ part, draft }: OtherReading): string =>
  part === 'time' ? timeOfDraft(draft) : dayOfDraft(draft);

/** A draft's zone by name, with the time in the zone of the view. */
function zoneOfDraft({ start }: EntryLineDraft, viewZone: string, zoneName: string): string {
  if (start.kind !== 'zoned') return zoneName;
  const here = instantToWall(viewZone, instantOf(start, viewZone));
  const isOtherDay = Math.floor(here / DAY) !== Math.floor(wallOf(start) / DAY);
  const time = isOtherDay ? `${shortDayText(Math.floor(here / DAY))} ${timeText(here)}` : timeText(here);
  return words.line.hereAt(zoneName, words.line.hereIs(time));
}

/** The chips of a draft: what it says, and what was filled in where that has to be known. */
export function partsShown(
  draft: EntryLineDraft,
  { calendar, viewZone, zoneName }: { calendar: Calendar; viewZone: string; zoneName: string },
): PartShown[] {
  const { start, end, said } = draft;
  const isAllDay = start.kind === 'date';
  const length = wallOf(end) - wallOf(start);
  const texts: Partial<Record<UnderstoodPart, string>> = {
    day: dayOfDraft(draft),
    time: timeOfDraft(draft),
    ...(isAllDay && length === DAY
      ? {}
      : { length: isAllDay ? words.plan.dayCount(length / DAY) : lengthText(length) }),
    ...(draft.recurrence ? { repeat: recurrenceText(draft.recurrence, start) } : {}),
    ...(said.includes('zone') ? { zone: zoneOfDraft(draft, viewZone, zoneName) } : {}),
    ...(draft.location ? { place: draft.location } : {}),
    ...(draft.guests.length > 0
      ? { people: draft.guests.map(({ name, isOptional }) => (isOptional ? `(${name})` : name)).join(', ') }
      : {}),
    calendar: calendar.name,
    ...(draft.categories.length > 0 ? { category: draft.categories.join(', ') } : {}),
    ...(draft.availability ? { availability: words.entry.availability[draft.availability] } : {}),
    ...(draft.classification ? { visibility: words.entry.classification[draft.classification] } : {}),
    ...(draft.reminders
      ? {
          reminder:
            draft.reminders.length > 0 ? remindersText(draft.reminders, viewZone) : words.reminder.without,
        }
      : {}),
    ...(draft.url === undefined ? {} : { link: draft.url.replace(/^https?:\/\//, '') }),
  };
  return (Object.keys(ICONS) as UnderstoodPart[]).flatMap((part) => {
    const text = texts[part];
    return text === undefined ? [] : [{ part, icon: ICONS[part], text }];
  });
}

/** Minutes of the day at which a draft starts; undefined for whole days. */
export const minuteOfDraft = ({ start }: EntryLineDraft): number | undefined =>
  start.kind === 'date' ? undefined : Math.round((wallOf(start) % DAY) / MINUTE);

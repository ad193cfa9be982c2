import type { Reminder } from '@/core/model/reminder';
import { type EntryLineContext, otherReadings, parseEntryLine } from '@/core/entryline/parseEntryLine';
import { HOUR, MINUTE, parseDate, parseLocal } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { FENNICK } from './samples';

/** A reminder in short: minutes before, `1d` for a day, `end+5`, `1@16:00`, and by what it comes. */
function shortly({ trigger, by }: Reminder): string {
  const way = by === 'notice' ? '' : `/${by}`;
  if (trigger.kind === 'fixed') return `${new Date(trigger.at).toISOString()}${way}`;
  if (trigger.kind === 'time-of-day')
    return `${trigger.daysBefore}@${new Date(trigger.minute * MINUTE).toISOString().slice(11, 16)}${way}`;
  const { from, days, minutes } = trigger;
  const far = days === 0 ? `${Math.abs(minutes)}` : `${Math.abs(days)}d`;
  const after = days > 0 || minutes > 0 ? '+' : '';
  return `${from === 'start' ? '' : `${from}`}${after || (from === 'start' ? '' : '-')}${far}${way}`;
}

/** Tuesday 9 March 2027, 10:20, in Fennick. */
export const FENNICK_LINE: EntryLineContext = {
  nowWall: parseLocal('2027-03-09T10:20'),
  zone: FENNICK,
  selectedDay: parseDate('2027-03-09'),
  defaultLength: HOUR,
  calendars: [
    { id: 'ME', name: 'Meetings', mark: 'ME' },
    { id: 'DW', name: 'Desk work', mark: 'DW' },
    { id: 'KR', name: 'Keeper rota', mark: 'KR' },
  ],
  categories: ['Inspection'],
};

/** The whole reading of a line in one, as the table has it. */
export function readingText(text: string): string {
  const draft = parseEntryLine(text, FENNICK_LINE);
  const at = (time: typeof draft.start) => (time.kind === 'date' ? time.date : time.local.slice(0, 16));
  const zone = draft.start.kind === 'zoned' && draft.start.zone !== FENNICK ? draft.start.zone : undefined;
  const but = draft.recurrence?.exceptionDates.map((time) =>
    new Date(wallOf(time)).toISOString().slice(0, 10),
  );
  const said: readonly (readonly [string, string | undefined])[] = [
    ['zone', zone],
    ['rule', draft.recurrence?.rules[0]],
    ['but', but?.join()],
    ['place', draft.location],
    ['calendar', draft.calendarId],
    ['category', draft.categories.join()],
    ['as', draft.availability],
    ['visible', draft.classification],
    ['remind', draft.reminders && (draft.reminders.map(shortly).join() || 'never')],
    ['link', draft.url],
    ['wrong', draft.problems.map(({ code }) => code).join()],
    [
      'or',
      otherReadings(text, draft, FENNICK_LINE)
        .map((other) => at(other.draft.start))
        .join(),
    ],
  ];
  return [
    `[${draft.title}] ${at(draft.start)}/${at(draft.end)}`,
    ...said.filter(([, value]) => value).map(([name, value]) => `${name}=${value}`),
  ].join(' ');
}

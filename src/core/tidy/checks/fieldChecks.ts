import { attendeesOf } from '../../model/attendees';
import type { CalendarEvent } from '../../model/entry';
import { noticeBefore, offsetTrigger } from '../../model/reminder';
import { DAY, MINUTE } from '../../time/civil';
import { instantOf, wallOf } from '../../time/eventTime';
import { type Check, type Checked, finding, type Found } from './check';
import type { CheckName, Finding } from './finding';
import { standingOf } from '../../schedule/standing';
import { CONTENT_FIELDS, contentLength } from '../../fields/eventFields';

/** So long hours last at most before it is asked whether they are meant. */
const VERY_LONG = 3 * DAY;
/** So old what was put down and never filled has to be. */
const LEFT_EMPTY = 30 * DAY;
const LARGE_FILE = 1_000_000;
/** A time in a title: "14:00", "at 9.30", "3 pm". */
const TIME = /(?:^|[\s(@])(?:at\s+)?([01]?\d|2[0-3])(?:[:.]([0-5]\d)\b(?:\s*(am|pm)\b)?|\s*(am|pm)\b)/i;
const WHOLE_DAY = /\b(?:all[- ]day|whole[- ]day|full[- ]day)\b/i;

const isTimed = ({ start }: CalendarEvent): boolean => start.kind !== 'date';
const lengthOf = ({ start, end }: CalendarEvent): number => wallOf(end) - wallOf(start);

/** The minute of the day that a title names, if it names one. */
export function timeInTitle(title: string): number | undefined {
  const said = TIME.exec(title);
  if (!said) return undefined;
  const half = (said[3] ?? said[4])?.toLowerCase();
  const hour = Number(said[1]);
  if (half && (hour === 0 || hour > 12)) return undefined;
  const hours = half ? (hour % 12) + (half === 'pm' ? 12 : 0) : hour;
  return hours * 60 + Number(said[2] ?? 0);
}

/** Whether nothing was written into it. */
const isBare = (event: CalendarEvent): boolean =>
  CONTENT_FIELDS.every((name) => contentLength(event[name]) === 0);

type EventCheck = (event: CalendarEvent, checked: Checked) => Omit<Found, 'keys'> | undefined;

const about = (
  event: CalendarEvent,
  { query }: Checked,
  more: Partial<Found['details']> = {},
): Found['details'] => ({
  name: event.title,
  at: instantOf(event.start, query.zone),
  ...more,
});
const toBin = (event: CalendarEvent): Found['fix'] => [{ keys: [event.id], steps: [{ kind: 'delete' }] }];

/** Whether oneself was asked and has not answered (PARTSTAT, RFC 5545 3.2.12). */
function isUnanswered(event: CalendarEvent, own: string | undefined): boolean {
  return (
    own !== undefined &&
    attendeesOf(event).some(({ address, hasAnswered }) => address.toLowerCase() === own && !hasAnswered)
  );
}

/** What is asked of each entry by itself. */
const CHECKS_OF_ONE: Readonly<Partial<Record<CheckName, EventCheck>>> = {
  empty: (event, checked) =>
    isBare(event) && !event.recurrence && event.created < checked.query.now - LEFT_EMPTY
      ? { details: about(event, checked), fix: toBin(event)!, isSafe: checked.isOver(event) }
      : undefined,
  'no-title': (event, checked) =>
    event.title.trim() === '' && !(isBare(event) && event.created < checked.query.now - LEFT_EMPTY)
      ? { details: about(event, checked, { other: event.location }) }
      : undefined,
  'tentative-past': (event, checked) =>
    standingOf(event) === 'tentative' && checked.isOver(event)
      ? { details: about(event, checked), fix: toBin(event)! }
      : undefined,
  'unanswered-past': (event, checked) =>
    checked.isOver(event) && isUnanswered(event, checked.query.own)
      ? { details: about(event, checked), fix: toBin(event)! }
      : undefined,
  'organizer-cancelled': (event, checked) =>
    event.status === 'cancelled' && event.organizer !== undefined && !checked.isOver(event)
      ? { details: about(event, checked), fix: toBin(event)!, isSafe: true }
      : undefined,
  'very-long': (event, checked) =>
    isTimed(event) && lengthOf(event) >= VERY_LONG
      ? { details: about(event, checked, { minutes: lengthOf(event) / MINUTE }) }
      : undefined,
  'zero-length': (event, checked) =>
    isTimed(event) && lengthOf(event) === 0
      ? {
          details: about(event, checked),
          fix: [{ keys: [event.id], steps: [{ kind: 'length', minutes: 30 }] }],
        }
      : undefined,
  midnight: (event, checked) => {
    const atMidnight = isTimed(event) && wallOf(event.start) % DAY === 0 && lengthOf(event) % DAY === 0;
    return atMidnight && lengthOf(event) > 0
      ? {
          details: about(event, checked, { count: lengthOf(event) / DAY }),
          fix: [{ keys: [event.id], steps: [{ kind: 'whole-days' }] }],
          isSafe: !event.recurrence,
        }
      : undefined;
  },
  'timed-title': (event, checked) => {
    const minute = isTimed(event) || lengthOf(event) > DAY ? undefined : timeInTitle(event.title);
    return minute === undefined
      ? undefined
      : {
          details: about(event, checked, { minutes: minute }),
          fix: [{ keys: [event.id], steps: [{ kind: 'hours', minute, minutes: 60 }] }],
        };
  },
  'whole-day-title': (event, checked) =>
    isTimed(event) && lengthOf(event) < DAY && WHOLE_DAY.test(event.title)
      ? {
          details: about(event, checked),
          fix: [{ keys: [event.id], steps: [{ kind: 'whole-days' }] }],
        }
      : undefined,
  'no-reminder': (event, checked) => {
    const { now, zone } = checked.query;
    const comes = !event.recurrence && instantOf(event.start, zone) > now;
    const hasReason = (event.attendees?.length ?? 0) > 1 || event.travel !== undefined;
    const reminds = event.reminders
      ? event.reminders.length > 0
      : checked.calendars.get(event.calendarId)?.reminds;
    return comes && hasReason && isTimed(event) && !reminds
      ? {
          details: about(event, checked),
          fix: [
            {
              keys: [event.id],
              steps: [
                {
                  kind: 'reminders',
                  how: 'add',
                  reminders: [
                    event.travel ? { trigger: offsetTrigger(0, 'leaving'), by: 'notice' } : noticeBefore(10),
                  ],
                },
              ],
            },
          ],
        }
      : undefined;
  },
  'large-file': (event, checked) => {
    const large = (event.attachments ?? []).filter(({ size }) => size >= LARGE_FILE);
    const bytes = large.reduce((sum, { size }) => sum + size, 0);
    return bytes > 0
      ? {
          details: about(event, checked, { bytes, count: large.length }),
          fix: [{ keys: [event.id], steps: [{ kind: 'attachments', atLeast: LARGE_FILE }] }],
        }
      : undefined;
  },
};

/** What is wrong with entries by themselves. Of what can't be changed, only what another did is told. */
export const ofEach: Check = (checked) => {
  const found = new Map<string, readonly Finding[]>();
  const look = (event: CalendarEvent): Finding[] =>
    (Object.entries(CHECKS_OF_ONE) as [CheckName, EventCheck][]).flatMap(([check, lookFor]) => {
      const seen = lookFor(event, checked);
      return seen ? finding(check, { keys: [event.id], ...seen }) : [];
    });
  return (touched) => {
    for (const [id, event] of touched) {
      const own = event && checked.isOwn(event) && !checked.isClosed(event) ? look(event) : [];
      if (own.length > 0) found.set(id, own);
      else found.delete(id);
    }
    return [...found.values()].flat();
  };
};

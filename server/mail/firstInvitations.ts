import type { CalendarEvent } from '@/core/model/entry';
import type { CalendarUser } from '@/core/model/calendarUser';
import type { Person } from '@/core/model/person';
import { initialFields } from '@/core/fields/eventFields';
import { DAY, HOUR, localString, MINUTE, weekdayOf } from '@/core/time/civil';
import { atWall, wallOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { uidOf } from '@/core/change/versions';
import { mailtoOf } from '@/core/model/emailAddress';

/** An invitation that a colleague begins with, and what becomes of it. */
export interface FirstInvitation {
  readonly from: string;
  readonly words: string;
  readonly events: readonly CalendarEvent[];
  /** A change that is told after so many milliseconds. */
  readonly change?: {
    readonly after: number;
    readonly words: string;
    readonly events: readonly CalendarEvent[];
  };
}

/** The working day that comes so many after one. */
function workingDayAfter(day: number, many: number): number {
  let at = day;
  for (let left = many; left > 0;) {
    at++;
    if (weekdayOf(at) <= 5) left--;
  }
  return at;
}

/** What colleagues of the demo invite to in the days after a moment. */
export function firstInvitations(
  people: readonly Person[],
  owner: string,
  now: number,
  newId: () => string,
): FirstInvitation[] {
  const zone = 'Europe/Lisbon';
  const today = Math.floor(instantToWall(zone, now) / DAY);
  const guest = (address: string, role: string): CalendarUser => ({
    address: mailtoOf(address),
    parameters: { role, partstat: 'NEEDS-ACTION', rsvp: 'TRUE', cutype: 'INDIVIDUAL' },
  });
  const named = (name: string) => people.find((person) => person.name === name);
  const make = (
    title: string,
    location: string,
    days: number,
    hour: number,
    fields: Partial<CalendarEvent> & { readonly also?: string; readonly role?: string } = {},
  ): CalendarEvent => {
    const { also, role = 'REQ-PARTICIPANT', ...rest } = fields;
    const wall = workingDayAfter(today, days) * DAY + hour * HOUR;
    const at = (ms: number) => ({ kind: 'zoned' as const, local: localString(ms), zone });
    const id = newId();
    const other = also === undefined ? undefined : named(also)?.addresses[0];
    return {
      ...initialFields(),
      kind: 'event',
      id,
      uid: uidOf(id),
      calendarId: '-',
      title,
      location,
      start: at(wall),
      end: at(wall + HOUR),
      attendees: [guest(owner, role), ...(other ? [guest(other, 'REQ-PARTICIPANT')] : [])],
      sequence: 0,
      created: now,
      modified: now,
      ...rest,
    };
  };
  const delivery = make('Lens delivery', 'Boat shed', 1, 11, { also: 'Ines Falk' });
  const later = (time: CalendarEvent['start']) => atWall(time, wallOf(time) + HOUR);
  return [
    {
      from: 'Tobias Rask',
      words: 'I have the pictures of the cracks, and would like to go through them with you.',
      events: [make('Cape Farrow: what the cracks say', 'online', 2, 15)],
    },
    {
      from: 'Oona Pell',
      words: 'Half an hour each week until the summer rota stands.',
      events: [
        make('Handover of the keepers', 'Lamp room', 3, 9, {
          also: 'Dev Arlen',
          role: 'OPT-PARTICIPANT',
          recurrence: { rules: ['FREQ=WEEKLY;COUNT=6'], dates: [], exceptionDates: [] },
        }),
      ],
    },
    {
      from: 'Marek Dunne',
      words: 'The lens comes by road; four hands are better than two.',
      events: [delivery],
      change: {
        after: MINUTE,
        words: 'The lorry is an hour late.',
        events: [{ ...delivery, start: later(delivery.start), end: later(delivery.end) }],
      },
    },
  ].filter(({ from }) => named(from) !== undefined);
}

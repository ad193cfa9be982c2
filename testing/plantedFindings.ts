import { checkQuery, NOW, OWN } from './checks';
import { date, event, FENNICK, series, todo, zoned } from './samples';
import type { CalendarEvent, Entry } from '@/core/model/entry';
import { partOf } from '@/core/model/relatedTo';
import { offsetTrigger } from '@/core/model/reminder';
import type { CheckName, CheckQuery } from '@/core/tidy/checks/finding';
import { todoSpan } from '@/core/todos/todoSpan';
import { DAY } from '@/core/time/civil';

/** Entries for the checks of Tidy: what each of them finds, and what it lets alone. */
const YEAR = 366 * DAY;

export const at = (start: string, end: string, more: Partial<CalendarEvent> = {}, zone = FENNICK) =>
  event({ start: zoned(start, zone), end: zoned(end, zone), ...more });
const invited = (answer: string): Pick<CalendarEvent, 'organizer' | 'attendees'> => ({
  organizer: { address: 'mailto:oona.pell@fennick.example', parameters: {} },
  attendees: [
    { address: `mailto:${OWN}`, parameters: { partstat: answer } },
    { address: 'mailto:oona.pell@fennick.example', parameters: {} },
  ],
});
const weekly = (title: string, more: Partial<CalendarEvent> = {}) =>
  series('FREQ=WEEKLY', {
    title,
    start: zoned('2025-03-04T09:00'),
    end: zoned('2025-03-04T09:30'),
    modified: NOW - 2 * YEAR,
    ...more,
  });
export const round = weekly('Works round', { id: 'round', modified: NOW });
export const override = (more: Partial<CalendarEvent> = {}): CalendarEvent => {
  const { recurrence: _, ...same } = round;
  return {
    ...same,
    id: 'override',
    seriesId: 'round',
    recurrenceId: zoned('2027-03-16T09:00'),
    start: zoned('2027-03-16T09:00'),
    end: zoned('2027-03-16T09:30'),
    ...more,
  };
};
const pricesCall = (day: string, more: Partial<CalendarEvent> = {}, zone = FENNICK) =>
  at(`2026-11-${day}T15:00`, `2026-11-${day}T15:30`, { title: 'Lens prices', ...more }, zone);
const usual = ['02', '09', '16', '23'].map((day) => pricesCall(day));
const skipping = weekly('Rota check', {
  id: 'rota',
  modified: NOW,
  start: zoned('2026-09-01T10:00'),
  end: zoned('2026-09-01T10:30'),
});
const holiday = event({
  calendarId: 'daysoff',
  title: 'Harbour day',
  start: date('2027-03-16'),
  end: date('2027-03-17'),
});
const skipper = weekly('Tide log', {
  modified: NOW,
  recurrence: {
    rules: ['FREQ=WEEKLY'],
    dates: [],
    exceptionDates: [],
    skipDaysOff: { calendarId: 'daysoff', handling: 'omit' },
  },
});
const workweek = ['15', '16', '17', '18', '19'].map((day) =>
  at(`2027-03-${day}T10:00`, `2027-03-${day}T11:00`, { title: `Plan ${day}` }),
);
export const file = (size: number) => [{ id: 'a', name: 'photos.zip', mediaType: 'application/zip', size }];
const byLeaving = { trigger: offsetTrigger(0, 'leaving'), by: 'notice' as const };

const dueOn = (day: string, more: Parameters<typeof todo>[0] = {}) =>
  todo({ title: 'Order rope', ...todoSpan(date(day), undefined), ...more });
const timeFor = (day: string, more: Partial<CalendarEvent> = {}) =>
  at(`${day}T10:00`, `${day}T11:00`, {
    title: 'Order rope',
    relatedTo: [partOf('rope', undefined)],
    ...more,
  });

/** What each check finds, and what looks like it and is none. */
export const PLANTED: Readonly<
  Record<
    CheckName,
    {
      hits: readonly (readonly Entry[])[];
      misses: readonly (readonly Entry[])[];
      with?: Partial<CheckQuery>;
    }
  >
> = {
  'same-uid': {
    hits: [[event({ id: 'a', uid: 'one' }), event({ id: 'b', uid: 'one', title: 'Otherwise' })]],
    misses: [
      [event({ id: 'a', uid: 'one' }), event({ id: 'b', uid: 'two', title: 'Otherwise' })],
      [round, override()],
    ],
  },
  double: {
    hits: [[event({ title: 'Lens, call' }), event({ title: 'lens call', calendarId: 'desk' })]],
    misses: [
      [event(), at('2027-03-10T14:00', '2027-03-10T15:00')],
      [event({ title: '' }), event({ title: '' })],
      [event({ status: 'cancelled' }), event()],
    ],
  },
  'organizer-cancelled': {
    hits: [[at('2027-03-12T09:00', '2027-03-12T10:00', { status: 'cancelled', ...invited('ACCEPTED') })]],
    misses: [
      [at('2027-03-12T09:00', '2027-03-12T10:00', { status: 'cancelled' })],
      [at('2027-03-02T09:00', '2027-03-02T10:00', { status: 'cancelled', ...invited('ACCEPTED') })],
    ],
  },
  'feed-failing': {
    hits: [[]],
    misses: [],
    with: {
      calendars: checkQuery().calendars.map((each) => ({ ...each, failingSince: NOW - 5 * DAY })),
    },
  },
  'near-double': {
    hits: [
      [
        event({ title: 'Lamp oil order' }),
        at('2027-03-09T14:10', '2027-03-09T15:10', { title: 'Lamp oil ordr' }),
      ],
      [event({ title: 'Skerry: tower paint' }), event({ title: 'Tower paint, Skerry' })],
    ],
    misses: [
      [event({ title: 'Round 1' }), event({ title: 'Round 2' })],
      [
        event({ title: 'Lamp oil order' }),
        at('2027-03-09T15:00', '2027-03-09T16:00', { title: 'Lamp oil ordr' }),
      ],
      [event({ title: 'Lens call' }), event({ title: 'Boat hire' })],
      [event({ title: 'Lens call' }), at('2027-03-09T14:00', '2027-03-09T18:00', { title: 'Lens calls' })],
    ],
  },
  'no-title': {
    hits: [[event({ title: ' ', location: 'Lamp room' })]],
    misses: [[event({ title: 'x' })], [event({ title: '' })]],
  },
  empty: {
    hits: [[event({ title: '' })]],
    misses: [[event({ title: '', notes: 'Bring the key' })], [event({ title: '', created: NOW })]],
  },
  midnight: {
    hits: [[at('2027-03-10T00:00', '2027-03-12T00:00')]],
    misses: [[at('2027-03-10T00:00', '2027-03-11T08:00')], [at('2027-03-10T00:00', '2027-03-10T00:00')]],
  },
  'zero-length': {
    hits: [[at('2027-03-10T12:00', '2027-03-10T12:00')]],
    misses: [[at('2027-03-10T12:00', '2027-03-10T12:01')]],
  },
  'wrong-zone': {
    hits: [[...usual, pricesCall('30', {}, 'Europe/Warsaw')]],
    misses: [
      [...usual, at('2026-11-30T16:00', '2026-11-30T16:30', { title: 'Lens prices' }, 'Europe/Warsaw')],
      [...usual, pricesCall('30', {}, 'Europe/London')],
      [...usual.slice(0, 2), pricesCall('30', {}, 'Europe/Warsaw')],
    ],
  },
  'timed-title': {
    hits: [[event({ title: '14:30 boat survey', start: date('2027-03-10'), end: date('2027-03-11') })]],
    misses: [
      [event({ title: 'Survey of 14 boats', start: date('2027-03-10'), end: date('2027-03-11') })],
      [event({ title: '14:30 boat survey' })],
    ],
  },
  'whole-day-title': {
    hits: [[at('2027-03-10T09:00', '2027-03-10T16:00', { title: 'All-day lamp course' })]],
    misses: [
      [event({ title: 'All-day lamp course', start: date('2027-03-10'), end: date('2027-03-11') })],
      [at('2027-03-10T09:00', '2027-03-10T16:00', { title: 'Overall day plan' })],
    ],
  },
  'very-long': {
    hits: [[at('2027-03-10T09:00', '2027-03-13T10:00')]],
    misses: [
      [at('2027-03-10T09:00', '2027-03-12T10:00')],
      [event({ start: date('2027-03-10'), end: date('2027-03-20') })],
    ],
  },
  endless: {
    hits: [[weekly('Old round')]],
    misses: [
      [weekly('Old round', { modified: NOW - YEAR / 2 })],
      [
        weekly('Old round', {
          recurrence: { rules: ['FREQ=WEEKLY;COUNT=400'], dates: [], exceptionDates: [] },
        }),
      ],
      [{ ...round, modified: NOW - 2 * YEAR }, override({ modified: NOW - 5 })],
    ],
  },
  'todo-double': {
    hits: [[dueOn('2027-03-12', { id: 'a' }), dueOn('2027-03-12', { id: 'b', title: 'order rope ' })]],
    misses: [
      [dueOn('2027-03-12', { id: 'a' }), dueOn('2027-03-13', { id: 'b' })],
      [dueOn('2027-03-12', { id: 'a' }), dueOn('2027-03-12', { id: 'b', status: 'completed' })],
      [todo({ id: 'a', title: '' }), todo({ id: 'b', title: '' })],
    ],
  },
  'todo-time-over': {
    hits: [[dueOn('2027-03-12', { uid: 'rope' }), timeFor('2027-03-02'), timeFor('2027-03-04')]],
    misses: [
      [dueOn('2027-03-12', { uid: 'rope' }), timeFor('2027-03-02'), timeFor('2027-03-11')],
      [dueOn('2027-03-12', { uid: 'rope' }), timeFor('2027-03-02', { status: 'cancelled' })],
      [dueOn('2027-03-12', { uid: 'rope', status: 'completed' }), timeFor('2027-03-02')],
      [dueOn('2027-03-12', { uid: 'other' }), timeFor('2027-03-02')],
    ],
  },
  'todo-overdue': {
    hits: [[dueOn('2026-12-12')]],
    misses: [
      [dueOn('2027-02-12')],
      [dueOn('2026-12-12', { status: 'cancelled' })],
      [todo({ ...todoSpan(undefined, date('2026-12-12')) })],
    ],
  },
  'todo-over': {
    hits: [
      [todo({ status: 'completed', completed: NOW - 2 * YEAR })],
      [todo({ status: 'cancelled', modified: NOW - 2 * YEAR })],
    ],
    misses: [
      [todo({ status: 'completed', completed: NOW - YEAR / 2, modified: NOW - 2 * YEAR })],
      [todo({ modified: NOW - 2 * YEAR })],
    ],
  },
  'tentative-past': {
    hits: [[at('2027-03-08T09:00', '2027-03-08T10:00', { availability: 'tentative' })]],
    misses: [
      [at('2027-03-10T09:00', '2027-03-10T10:00', { availability: 'tentative' })],
      [at('2027-03-08T09:00', '2027-03-08T10:00')],
      [weekly('Round', { availability: 'tentative' })],
    ],
  },
  'unanswered-past': {
    hits: [[at('2027-03-08T09:00', '2027-03-08T10:00', invited('NEEDS-ACTION'))]],
    misses: [
      [at('2027-03-08T09:00', '2027-03-08T10:00', invited('DECLINED'))],
      [at('2027-03-10T09:00', '2027-03-10T10:00', invited('NEEDS-ACTION'))],
    ],
  },
  'same-as-series': {
    hits: [[round, override()]],
    misses: [
      [round, override({ title: 'Works round, long' })],
      [round, override({ end: zoned('2027-03-16T10:00') })],
      [round, override({ start: zoned('2027-03-16T09:15'), end: zoned('2027-03-16T09:45') })],
    ],
  },
  'on-day-off': {
    hits: [[skipping, holiday, skipper]],
    misses: [
      [skipping, skipper],
      [holiday, skipper, at('2027-03-16T10:00', '2027-03-16T10:30', { title: 'Single' })],
      [skipping, { ...holiday, calendarId: 'desk' }, skipper],
    ],
  },
  overlap: {
    hits: [
      [
        at('2027-03-10T09:00', '2027-03-10T10:00'),
        at('2027-03-10T09:30', '2027-03-10T11:00', { title: 'Other' }),
      ],
    ],
    misses: [
      [
        at('2027-03-10T09:00', '2027-03-10T10:00'),
        at('2027-03-10T10:00', '2027-03-10T11:00', { title: 'Other' }),
      ],
      [
        at('2027-03-10T09:00', '2027-03-10T10:00'),
        at('2027-03-10T09:30', '2027-03-10T11:00', { title: 'Other', availability: 'free' }),
      ],
      [
        at('2027-03-08T09:00', '2027-03-08T10:00'),
        at('2027-03-08T09:30', '2027-03-08T11:00', { title: 'Other' }),
      ],
    ],
  },
  overbooked: {
    hits: [[at('2027-03-10T06:00', '2027-03-10T20:00')]],
    misses: [[at('2027-03-10T09:00', '2027-03-10T12:00')], [at('2027-03-13T06:00', '2027-03-13T20:00')]],
  },
  'no-break': {
    hits: [
      ['09:00', '10:00', '11:00'].map((from, hour) =>
        at(`2027-03-10T${from}`, `2027-03-10T${10 + hour}:00`, { title: `Call ${hour}` }),
      ),
    ],
    misses: [
      ['09:00', '10:05', '11:00'].map((from, hour) =>
        at(`2027-03-10T${from}`, `2027-03-10T${10 + hour}:00`, { title: `Call ${hour}` }),
      ),
      [
        at('2027-03-10T09:00', '2027-03-10T11:00'),
        at('2027-03-10T11:00', '2027-03-10T13:00', { title: 'Other' }),
      ],
    ],
  },
  'outside-hours': {
    hits: [[...workweek, at('2027-03-22T20:00', '2027-03-22T21:00', { title: 'Late' })]],
    misses: [
      [...workweek, at('2027-03-22T10:00', '2027-03-22T11:00', { title: 'Early' })],
      // A calendar of evenings is none of work.
      workweek.map((each, day) => ({
        ...each,
        start: zoned(`2027-03-1${5 + day}T20:00`),
        end: zoned(`2027-03-1${5 + day}T21:00`),
      })),
    ],
  },
  'no-reminder': {
    hits: [
      [at('2027-03-12T09:00', '2027-03-12T10:00', invited('ACCEPTED'))],
      [at('2027-03-12T09:00', '2027-03-12T10:00', { travel: { there: 30, back: 30 } })],
    ],
    misses: [
      [at('2027-03-12T09:00', '2027-03-12T10:00')],
      [
        at('2027-03-12T09:00', '2027-03-12T10:00', {
          travel: { there: 30, back: 30 },
          reminders: [byLeaving],
        }),
      ],
      [at('2027-03-02T09:00', '2027-03-02T10:00', invited('ACCEPTED'))],
    ],
  },
  'category-spelling': {
    hits: [
      [
        event({ categories: ['Travel'] }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { categories: ['travel'] }),
      ],
    ],
    misses: [
      [
        event({ categories: ['travel'] }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { categories: ['trial'] }),
      ],
    ],
  },
  'place-spelling': {
    hits: [
      [
        event({ location: 'Boat shed' }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { location: 'boat-shed' }),
      ],
    ],
    misses: [
      [
        event({ location: 'Boat shed' }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { location: 'Boat shed 2' }),
      ],
    ],
  },
  'large-file': {
    hits: [[event({ attachments: file(1_000_000) })]],
    misses: [[event({ attachments: file(999_999) })]],
  },
  'series-over': {
    hits: [
      [
        weekly('Old round', {
          recurrence: { rules: ['FREQ=WEEKLY;COUNT=4'], dates: [], exceptionDates: [] },
        }),
      ],
    ],
    misses: [
      [
        weekly('Old round', {
          recurrence: { rules: ['FREQ=WEEKLY;COUNT=80'], dates: [], exceptionDates: [] },
        }),
      ],
    ],
  },
  'calendar-empty': {
    hits: [[event()]],
    misses: [
      [event(), event({ calendarId: 'desk' }), event({ calendarId: 'daysoff' })],
      // To-dos are something, too.
      [event(), todo({ calendarId: 'desk' }), event({ calendarId: 'daysoff' })],
    ],
  },
  'calendar-hidden': {
    hits: [[event()]],
    misses: [],
    with: { calendars: checkQuery().calendars.map((each) => ({ ...each, hiddenSince: NOW - YEAR })) },
  },
  'calendar-alike': {
    hits: [[]],
    misses: [],
    with: { calendars: checkQuery().calendars.map((each) => ({ ...each, colour: 'pine' as const })) },
  },
  'calendar-same': {
    hits: [workweek.flatMap((each) => [each, { ...each, id: `${each.id} too`, calendarId: 'desk' }])],
    misses: [
      [
        ...workweek,
        ...workweek.slice(0, 3).map((each) => ({ ...each, id: `${each.id} too`, calendarId: 'desk' })),
      ],
    ],
  },
};

import { event, FENNICK, series, zoned } from '../../../testing/samples';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { CalendarUser } from '@/core/model/calendarUser';
import { availabilityLane } from '@/core/layout/availabilityLane';
import { OccurrenceIndex } from '@/core/schedule/occurrenceIndex';
import { DAY, HOUR, parseDate } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { ownBusy } from './busy/ownBusy';
import { stateNow } from './busy/stateNow';
import { entriesWith } from './entriesWith';
import { answerOf, guestName, guestOf, inNextRole, isForInformation, isOptional, withGuest } from './guests';
import { isAddress } from '../model/emailAddress';

const TUESDAY = parseDate('2027-03-09');
const at = (hours: number): number => TUESDAY * DAY + hours * HOUR;
const times = (...spans: BusyTimes['spans']): BusyTimes => ({
  id: 'tobias',
  readAt: at(8),
  from: at(0),
  until: at(48),
  depth: 'titles',
  spans,
});
const tobias = { zone: FENNICK, workingPattern: standardWorkingPattern };

test('what somebody is at now: taken, free until the next or the end of work, not at work, or not known', () => {
  const known = times({ start: at(10), end: at(11), kind: 'busy', title: 'Drawings' });
  expect(stateNow(tobias, known, at(10.5))).toEqual({ kind: 'busy', until: at(11), title: 'Drawings' });
  expect(stateNow(tobias, known, at(9))).toEqual({ kind: 'free', until: at(10) });
  expect(stateNow(tobias, known, at(11))).toEqual({ kind: 'free', until: at(12.5) });
  expect(stateNow(tobias, known, at(13))).toEqual({ kind: 'not-working' });
  expect(stateNow(tobias, undefined, at(9))).toEqual({ kind: 'unknown' });
  expect(stateNow(tobias, known, at(72 + 9))).toEqual({ kind: 'unknown' });
  // Nine in Fennick is five in Halifax.
  expect(stateNow({ ...tobias, zone: 'America/Halifax' }, known, at(9))).toEqual({ kind: 'not-working' });
});

test('a lane shows hours and busy times of another zone on one’s own clock', () => {
  const lane = availabilityLane(
    {
      ...tobias,
      zone: 'America/Halifax',
      busy: [
        { start: at(13), end: at(14), kind: 'tentative' },
        { start: at(-5), end: at(7), kind: 'away', title: 'Trip' },
      ],
      known: { start: at(8), end: at(18) },
    },
    TUESDAY,
    FENNICK,
    { from: 6 * 60, to: 20 * 60 },
  );
  const hours = (piece: { left: number; width: number }) => [
    6 + piece.left * 14,
    6 + (piece.left + piece.width) * 14,
  ];
  const rounded = (all: readonly { left: number; width: number }[]) =>
    all.map((piece) => hours(piece).map((hour) => Math.round(hour * 100) / 100));
  // Half past eight in Halifax is half past twelve in Fennick.
  expect(rounded(lane.working)).toEqual([
    [12.5, 16.5],
    [17.5, 20],
  ]);
  expect(rounded(lane.busy)).toEqual([
    [13, 14],
    [6, 7],
  ]);
  expect(lane.busy[1]).toMatchObject({ title: 'Trip', kind: 'away', endWall: at(7) });
  expect(rounded(lane.unknown)).toEqual([
    [6, 8],
    [18, 20],
  ]);
  expect(availabilityLane({ ...tobias, busy: [] }, TUESDAY, FENNICK, { from: 0, to: 1440 }).unknown).toEqual([
    { left: 0, width: 1 },
  ]);
});

test('one’s own time is taken with the ways there, not by what is free or dropped', () => {
  const index = new OccurrenceIndex();
  const hour = { start: zoned('2027-03-09T10:00'), end: zoned('2027-03-09T11:00') };
  index.load([
    event({ ...hour, id: 'visit', title: 'Visit', travel: { there: 30, back: 15 } }),
    event({ ...hour, id: 'free', availability: 'free' }),
    event({ ...hour, id: 'off', status: 'cancelled' }),
    event({ ...hour, id: 'perhaps', title: 'Perhaps', status: 'tentative' }),
    event({ ...hour, id: 'away', title: 'Away', availability: 'away' }),
  ]);
  const busy = ownBusy(index.between({ start: at(0), end: at(24) }, FENNICK));
  expect(
    busy.map(({ title, kind, start, end }) => [title, kind, (start - at(0)) / HOUR, (end - at(0)) / HOUR]),
  ).toEqual(
    expect.arrayContaining([
      ['Visit', 'busy', 9.5, 11.25],
      ['Perhaps', 'tentative', 10, 11],
      ['Away', 'away', 10, 11],
    ]),
  );
  expect(busy).toHaveLength(3);
});

test('the next and last entries with somebody, whoever invited, and what is held in a room', () => {
  const asked = (address: string): { attendees: CalendarUser[] } => ({
    attendees: [{ address: `MAILTO:${address}`, parameters: {} }],
  });
  const round = series('FREQ=WEEKLY;COUNT=4', {
    id: 'round',
    title: 'Round',
    start: zoned('2027-02-23T09:00'),
    end: zoned('2027-02-23T10:00'),
    ...asked('tobias@fennick.example'),
  });
  const index = new OccurrenceIndex();
  index.load([
    round,
    event({
      id: 'invited',
      title: 'Crane',
      start: zoned('2027-03-10T09:00'),
      end: zoned('2027-03-10T10:00'),
      organizer: { address: 'mailto:Tobias@fennick.example', parameters: {} },
    }),
    event({ id: 'other', start: zoned('2027-03-10T09:00'), ...asked('salma@fennick.example') }),
    event({
      id: 'held',
      title: 'Held',
      location: 'lamp room',
      start: zoned('2027-03-11T09:00'),
      end: zoned('2027-03-11T10:00'),
    }),
  ]);
  const found = entriesWith(index, { addresses: ['tobias@FENNICK.example'] }, at(12), FENNICK, {});
  expect(found.next.map(({ title, start }) => [title, (start - at(0)) / DAY])).toEqual([
    ['Crane', 1.375],
    ['Round', 7.375],
  ]);
  expect(found.last.map(({ start }) => (start - at(9)) / DAY)).toEqual([0, -7, -14]);
  const room = entriesWith(index, { addresses: [], place: 'Lamp room' }, at(12), FENNICK, {});
  expect(room.next.map(({ title }) => title)).toEqual(['Held']);
  expect(entriesWith(index, { addresses: [] }, at(12), FENNICK, {})).toEqual({ next: [], last: [] });
});

test('guests: named, asked once, made ones who need not come', () => {
  const salma = guestOf(
    { name: 'Salma Wray', kind: 'colleague', addresses: ['salma@fennick.example'] },
    true,
  );
  expect([guestName(salma), isOptional(salma), answerOf(salma)]).toEqual([
    'Salma Wray',
    false,
    'NEEDS-ACTION',
  ]);
  expect(isOptional(inNextRole(salma))).toBe(true);
  const informed = inNextRole(inNextRole(salma));
  expect([isForInformation(informed), informed.parameters.rsvp]).toEqual([true, 'FALSE']);
  expect(inNextRole(informed)).toEqual(salma);
  const plain: CalendarUser = {
    address: 'MAILTO:Salma@fennick.example',
    parameters: { partstat: 'accepted' },
  };
  expect([guestName(plain), answerOf(plain)]).toEqual(['Salma@fennick.example', 'ACCEPTED']);
  expect(withGuest([salma], plain)).toEqual([salma]);
  expect([isAddress('a@b.example'), isAddress('a b@c'), isAddress('salma'), isAddress('<a@b>')]).toEqual([
    true,
    false,
    false,
    false,
  ]);
});

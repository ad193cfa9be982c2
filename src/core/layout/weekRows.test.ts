import fc from 'fast-check';
import type { Occurrence } from '../schedule/occurrence';
import { DAY, HOUR, parseDate } from '../time/civil';
import { byShownDay, layoutWeekRow, type OwnColour, type WeekRowRoom, weeksOf } from './weekRows';

const monday = parseDate('2027-03-08');
const week = [0, 1, 2, 3, 4, 5, 6].map((day) => monday + day);
const occurrence = (key: string, startWall: number, length: number, allDay = false): Occurrence => ({
  key,
  entryId: key,
  calendarId: 'meetings',
  title: key,
  location: '',
  start: startWall,
  end: startWall + length,
  startWall,
  endWall: startWall + length,
  allDay,
  availability: 'busy',
  classification: 'public',
  status: 'confirmed',
  recurring: false,
  changed: false,
  reminds: false,
});
const room: WeekRowRoom = { ribbonRows: 2, lines: 4, linesPerRibbon: 1.3, from: 420, to: 1140 };

const occurrences = fc
  .array(
    fc.record({
      day: fc.integer({ min: -3, max: 8 }),
      hour: fc.integer({ min: 0, max: 23 }),
      hours: fc.integer({ min: 0, max: 12 }),
      days: fc.integer({ min: 1, max: 6 }),
      allDay: fc.boolean(),
    }),
    { maxLength: 40 },
  )
  .map((all) =>
    all.map(({ day, hour, hours, days, allDay }, index) =>
      allDay
        ? occurrence(`whole ${index}`, (monday + day) * DAY, days * DAY, true)
        : occurrence(`timed ${index}`, (monday + day) * DAY + hour * HOUR, hours * HOUR),
    ),
  );
const rooms = fc.record({
  ribbonRows: fc.integer({ min: 1, max: 4 }),
  lines: fc.integer({ min: 0, max: 9 }),
  linesPerRibbon: fc.constantFrom(0.7, 1.3),
  from: fc.constantFrom(0, 420),
  to: fc.constantFrom(1140, 1440),
});

test('every entry of a day is a ribbon, a line, or counted: nothing is lost', () => {
  fc.assert(
    fc.property(occurrences, rooms, (all, space) => {
      const onDays = byShownDay(all, week);
      const row = layoutWeekRow(onDays, week, space);
      for (const [index, day] of row.days.entries()) {
        const ribbons = row.ribbons.filter(({ from, to }) => from <= index && index < to).length;
        expect(ribbons + day.lines.length + day.hidden).toBe(onDays.get(day.day)!.length);
      }
    }),
  );
});

test('ribbons do not lie over one another, and a day has no more rows than there is room for', () => {
  fc.assert(
    fc.property(occurrences, rooms, (all, space) => {
      const row = layoutWeekRow(byShownDay(all, week), week, space);
      for (const a of row.ribbons)
        for (const b of row.ribbons)
          if (a !== b && a.row === b.row) expect(a.to <= b.from || b.to <= a.from).toBe(true);
      for (const [index, day] of row.days.entries()) {
        const taken = Math.max(
          0,
          ...row.ribbons.filter(({ from, to }) => from <= index && index < to).map((each) => each.row + 1),
        );
        expect(day.lines.length).toBeLessThanOrEqual(
          Math.max(0, space.lines - Math.ceil(taken * space.linesPerRibbon)),
        );
      }
    }),
  );
});

test('bars keep inside the day, and overlapping entries beside one another', () => {
  fc.assert(
    fc.property(occurrences, (all) => {
      for (const { bar } of layoutWeekRow(byShownDay(all, week), week, room).days)
        for (const piece of bar) {
          expect(piece.from).toBeGreaterThanOrEqual(0);
          expect(piece.to).toBeLessThanOrEqual(1 + 1e-9);
          for (const other of bar) {
            if (piece === other || piece.from >= other.to || other.from >= piece.to) continue;
            const apart =
              piece.across.left + piece.across.width <= other.across.left + 1e-9 ||
              other.across.left + other.across.width <= piece.across.left + 1e-9;
            expect(apart).toBe(true);
          }
        }
    }),
  );
});

test('what touches in a bar is one piece, but for entries of another colour', () => {
  const all = [
    occurrence('round', monday * DAY + 9 * HOUR, HOUR),
    occurrence('watch', monday * DAY + 10 * HOUR, HOUR),
    occurrence('drill', monday * DAY + 11 * HOUR, HOUR),
  ];
  const barWith = (ownColour: OwnColour) =>
    layoutWeekRow(byShownDay(all, week), week, room, new Set(), ownColour).days[0]!.bar.map(
      ({ colour }) => colour,
    );
  expect(barWith(() => undefined)).toEqual([undefined]);
  expect(barWith(({ key }) => (key === 'drill' ? 'plum' : undefined))).toEqual([undefined, 'plum']);
});

test('the same entries in another order are laid out the same', () => {
  const all = [
    occurrence('round', monday * DAY + 9 * HOUR, HOUR),
    occurrence('trip', (monday + 1) * DAY, 3 * DAY, true),
    occurrence('claim', (monday + 2) * DAY, DAY, true),
    occurrence('call', monday * DAY + 9 * HOUR, HOUR),
  ];
  const sorted = (list: Occurrence[]) =>
    [...list].sort((a, b) => a.start - b.start || b.end - a.end || (a.key < b.key ? -1 : 1));
  const once = layoutWeekRow(byShownDay(sorted(all), week), week, room);
  const again = layoutWeekRow(byShownDay(sorted([...all].reverse()), week), week, room);
  expect(again).toEqual(once);
});

test('a selected entry is named, however full its day is', () => {
  const many = Array.from({ length: 9 }, (_, index) =>
    occurrence(`call ${index}`, monday * DAY + (8 + index) * HOUR, HOUR),
  );
  const plain = layoutWeekRow(byShownDay(many, week), week, room).days[0]!;
  expect(plain.lines.map(({ key }) => key)).toEqual(['call 0', 'call 1', 'call 2', 'call 3']);
  expect(plain.hidden).toBe(5);
  const pinned = layoutWeekRow(byShownDay(many, week), week, room, new Set(['call 7'])).days[0]!;
  expect(pinned.lines.map(({ key }) => key)).toEqual(['call 0', 'call 1', 'call 2', 'call 7']);
  expect(pinned.hidden).toBe(5);
});

test('days fall into weeks, whatever day a week begins on', () => {
  const days = Array.from({ length: 14 }, (_, index) => monday + index);
  expect(weeksOf(days, 1).map((each) => each.length)).toEqual([7, 7]);
  expect(weeksOf(days, 7).map((each) => each.length)).toEqual([6, 7, 1]);
  expect(weeksOf([monday + 4, monday + 7], 1)).toEqual([[monday + 4], [monday + 7]]);
});

/** A series at an hour of some days of the week. */
const series = (name: string, days: readonly number[], hour: number): Occurrence[] =>
  days.map((day) => ({
    ...occurrence(`${name} ${day}`, (monday + day) * DAY + hour * HOUR, HOUR),
    entryId: name,
    title: name,
    recurrenceKey: String(day),
    recurring: true,
  }));

describe('daily series', () => {
  const wide: WeekRowRoom = { ...room, lines: 6, linesPerGathered: 1 };
  const layout = (all: readonly Occurrence[], space = wide) =>
    layoutWeekRow(byShownDay(all, week), week, space);

  test('stand in one line over their days, and are named nowhere else', () => {
    const row = layout([...series('boat', [0, 1, 2, 3, 4], 7), ...series('check', [0, 2], 9)]);
    expect(row.gathered).toMatchObject([{ from: 0, to: 5, row: 0 }]);
    expect(row.gathered[0]!.occurrences.map(({ key }) => key)).toEqual(
      [0, 1, 2, 3, 4].map((day) => `boat ${day}`),
    );
    expect(row.days.map(({ lines }) => lines.map(({ key }) => key))).toEqual([
      ['check 0'],
      [],
      ['check 2'],
      [],
      [],
      [],
      [],
    ]);
  });

  test('are not gathered where they stand at another time, were changed, or come less than four days in a row', () => {
    const [first, ...rest] = series('boat', [0, 1, 2, 3], 7);
    expect(layout([first!, ...rest]).gathered).toHaveLength(1);
    expect(layout([{ ...first!, startWall: first!.startWall + HOUR }, ...rest]).gathered).toEqual([]);
    expect(layout([{ ...first!, changed: true }, ...rest]).gathered).toEqual([]);
    expect(layout(series('boat', [0, 1, 2, 4, 5, 6], 7)).gathered).toEqual([]);
    // Without room for a line below them each day names its own.
    expect(layout([first!, ...rest], { ...wide, lines: 1 }).gathered).toEqual([]);
  });

  test('lie above the ribbons in rows, and nothing is lost', () => {
    const all = [
      occurrence('trip', (monday + 1) * DAY, 2 * DAY, true),
      ...series('boat', [0, 1, 2, 3, 4], 7),
      ...series('check', [2, 3, 4, 5, 6], 9),
      ...Array.from({ length: 9 }, (_, index) => occurrence(`call ${index}`, monday * DAY + 10 * HOUR, HOUR)),
    ];
    const row = layout(all);
    expect(row.gatheredRows).toBe(2);
    expect(row.gathered.map(({ row: at }) => at)).toEqual([0, 1]);
    for (const [index, day] of row.days.entries()) {
      const over = (line: { from: number; to: number }) => line.from <= index && index < line.to;
      expect(
        row.ribbons.filter(over).length + row.gathered.filter(over).length + day.lines.length + day.hidden,
      ).toBe(day.count);
    }
  });
});

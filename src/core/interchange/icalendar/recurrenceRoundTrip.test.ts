import ICAL from 'ical.js';
import fc from 'fast-check';
import { calendar, date, event, FENNICK, series, zoned } from '../../../../testing/samples';
import type { CalendarEvent } from '../../model/entry';
import { standardWorkingPattern } from '../../time/standardWorkingPattern';
import { DaysOff } from '../../schedule/daysOff';
import { OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { DAY, localString, MINUTE, parseLocal } from '../../time/civil';
import { offsetOnce } from '../../time/zones';
import { readCalendarFile } from './readCalendarFile';
import { writeCalendarFile } from './writeCalendarFile';

let made = 0;
const options = { zone: FENNICK, now: Date.UTC(2027, 2, 9), newId: () => `read-${++made}` };

const shown = (events: readonly CalendarEvent[], from = '2027-01-01', to = '2028-06-01') => {
  const index = new OccurrenceIndex();
  index.load(events);
  return index
    .between({ start: Date.parse(from), end: Date.parse(to) }, FENNICK)
    .map(({ start, end, title }) => `${new Date(start).toISOString()} ${(end - start) / MINUTE} ${title}`);
};

const zones = fc.constantFrom('Europe/Lisbon', 'America/Halifax', 'America/Santiago', 'Atlantic/Azores');
const rules = fc.constantFrom(
  'FREQ=DAILY;INTERVAL=3',
  'FREQ=WEEKLY;BYDAY=MO,TH;UNTIL=20271031T013000',
  'FREQ=WEEKLY;INTERVAL=2;WKST=SU;BYDAY=TU,SU;COUNT=20',
  'FREQ=MONTHLY;BYDAY=-1FR;UNTIL=20271126',
  'RSCALE=GREGORIAN;FREQ=MONTHLY;BYMONTHDAY=31;SKIP=FORWARD',
  'FREQ=YEARLY;BYMONTH=3,10;BYDAY=-1SU',
  'FREQ=DAILY;BYHOUR=1,13;COUNT=60',
);

test('whatever state is exported and read again shows the same occurrences', async () => {
  await fc.assert(
    fc.asyncProperty(
      rules,
      zones,
      zones,
      fc.integer({ min: 0, max: 300 }),
      fc.boolean(),
      fc.uniqueArray(fc.integer({ min: 0, max: 12 }), { maxLength: 3 }),
      async (rule, zone, otherZone, offset, range, picks) => {
        const first = parseLocal('2027-01-03T01:30') + offset * DAY;
        const at = (wall: number, of = zone) => zoned(localString(wall), of);
        const plain = series(rule, {
          id: 'whole',
          uid: 'whole',
          start: at(first),
          end: at(first + 5_400_000),
        });
        const index = new OccurrenceIndex();
        index.load([plain]);
        const dates = index.between({ start: 0, end: Date.parse('2030-01-01') }, zone);
        const [left, changed, other] = picks.map((pick) => dates[pick % Math.max(1, dates.length)]);
        const whole: CalendarEvent = {
          ...plain,
          recurrence: {
            rules: [rule],
            dates: [at(first + 40 * DAY)],
            exceptionDates: left ? [at(left.startWall)] : [],
            periods: [{ start: at(first + 50 * DAY), end: at(first + 50 * DAY + 600_000) }],
          },
        };
        const { recurrence: _, ...single } = whole;
        const override = (of: typeof left, id: string): CalendarEvent[] =>
          of
            ? [
                {
                  ...single,
                  id,
                  title: 'changed',
                  seriesId: 'whole',
                  recurrenceId: at(of.startWall),
                  start: at(of.startWall + 7_200_000, otherZone),
                  end: at(of.startWall + 9_000_000, otherZone),
                  ...(range ? { recurrenceRange: 'this-and-future' as const } : {}),
                },
              ]
            : [];
        const state = [whole, ...override(changed, 'changed'), ...override(other, 'other')];
        const { events, problems } = await readCalendarFile(writeCalendarFile(state), options);
        expect(problems).toEqual([]);
        expect(shown(events)).toEqual(shown(state));
      },
    ),
    { numRuns: 60 },
  );
});

const FILE = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'BEGIN:VEVENT',
  'UID:call',
  'SUMMARY:call',
  'DTSTART;TZID=Europe/Lisbon:20270302T140000',
  'DTEND;TZID=Europe/Lisbon:20270302T150000',
  'RRULE:FREQ=WEEKLY;COUNT=4',
  'RDATE;VALUE=PERIOD:20270311T100000Z/PT30M,20270312T100000Z/20270312T113000Z',
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:call',
  'SUMMARY:long call',
  'DTSTART;TZID=Europe/Lisbon:20270316T150000',
  'DTEND;TZID=Europe/Lisbon:20270316T170000',
  'RECURRENCE-ID;RANGE=THISANDFUTURE;TZID=Europe/Lisbon:20270316T140000',
  'END:VEVENT',
  'END:VCALENDAR',
  '',
].join('\r\n');

test('periods have their own ends, and a change for this and later ones holds for them', async () => {
  const { events, problems } = await readCalendarFile(FILE, options);
  expect(problems).toEqual([]);
  expect(shown(events)).toEqual([
    '2027-03-02T14:00:00.000Z 60 call',
    '2027-03-09T14:00:00.000Z 60 call',
    '2027-03-11T10:00:00.000Z 30 call',
    '2027-03-12T10:00:00.000Z 90 call',
    '2027-03-16T15:00:00.000Z 120 long call',
    '2027-03-23T15:00:00.000Z 120 long call',
  ]);
  const text = writeCalendarFile(events);
  expect(text).toContain('RECURRENCE-ID;TZID=Europe/Lisbon;RANGE=THISANDFUTURE:20270316T140000');
  expect(text).toContain('RDATE;VALUE=PERIOD:20270311T100000Z/20270311T103000Z');
});

test('doubtful rules are told by their line', async () => {
  const vevent = (rule: string) => ['BEGIN:VEVENT', 'DTSTART:20270309T100000Z', rule, 'END:VEVENT'];
  const { problems } = await readCalendarFile(
    [
      'BEGIN:VCALENDAR',
      ...vevent('RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30'),
      ...vevent('RRULE:FREQ=DAILY;UNTIL=20200101T000000Z'),
      ...vevent('RRULE:FREQ=DAILY;COUNT=1000000'),
      ...vevent('RRULE:FREQ=DAILY;COUNT=3;UNTIL=20280101T000000Z'),
      'END:VCALENDAR',
    ].join('\n'),
    options,
  );
  expect(problems.map(({ line, code }) => [line, code])).toEqual([
    [4, 'no-dates'],
    [8, 'until-before-start'],
    [12, 'too-many-dates'],
    [16, 'count-and-until'],
  ]);
});

describe('a series that skips days off', () => {
  const off = event({
    id: 'off',
    calendarId: 'off',
    start: date('2027-03-16'),
    end: date('2027-03-17'),
    availability: 'away',
  });
  const round: CalendarEvent = {
    ...series('FREQ=WEEKLY', {
      id: 'round',
      title: 'round',
      start: zoned('2027-03-02T10:00'),
      end: zoned('2027-03-02T10:30'),
    }),
    recurrence: {
      rules: ['FREQ=WEEKLY'],
      dates: [],
      exceptionDates: [zoned('2027-03-30T10:00')],
      skipDaysOff: { calendarId: 'off', handling: 'next' },
    },
  };
  const source = {
    now: options.now,
    calendarName: (id: string) => (id === 'off' ? 'Days off' : undefined),
    lookup: () => new DaysOff([off]).lookup(standardWorkingPattern),
  };
  const text = writeCalendarFile([round], calendar(), { daysOff: source });

  test('is written so that other programs agree', () => {
    const component = new ICAL.Component(ICAL.parse(text) as string).getFirstSubcomponent('vevent')!;
    const values = (name: string) =>
      component.getAllProperties(name).map((property) => String(property.getFirstValue()).slice(0, 16));
    expect(values('exdate')).toEqual(['2027-03-30T10:00', '2027-03-16T10:00']);
    expect(values('rdate')).toEqual(['2027-03-17T10:00']);
  });

  test('is read back as it was where its calendar is, by id or by name', async () => {
    for (const calendars of [[{ id: 'off', name: 'Holidays' }], [{ id: 'elsewhere', name: 'Days off' }]]) {
      const { events } = await readCalendarFile(text, { ...options, calendars });
      expect(events[0]?.recurrence).toEqual({
        ...round.recurrence,
        skipDaysOff: { calendarId: calendars[0]!.id, handling: 'next' },
      });
    }
  });

  test('keeps its dates, and what it was set to, where its calendar is not', async () => {
    const { events } = await readCalendarFile(text, options);
    const read = events[0]!;
    expect(shown([read], '2027-03-01', '2027-04-01').map((line) => line.slice(5, 10))).toEqual([
      '03-02',
      '03-09',
      '03-17',
      '03-23',
    ]);
    expect(writeCalendarFile([read]).replaceAll('\r\n ', '')).toMatch(
      /X-ORDERLY-WEEK-SKIP-DAYS-OFF;X-CALENDAR-ID=off[^\r]*:NEXT/,
    );
  });
});

describe('time zones', () => {
  const timeOf = (wall: number) => {
    const at = new Date(wall);
    return new ICAL.Time(
      {
        year: at.getUTCFullYear(),
        month: at.getUTCMonth() + 1,
        day: at.getUTCDate(),
        hour: at.getUTCHours(),
        minute: at.getUTCMinutes(),
        second: 0,
        isDate: false,
      },
      ICAL.Timezone.localTimezone,
    );
  };

  test.each([
    'Europe/Lisbon',
    'America/Halifax',
    'Australia/Lord_Howe',
    'America/Santiago',
    'Africa/Casablanca',
    'Asia/Kolkata',
    'Asia/Jerusalem',
  ])('an endless series in %s is written with a zone that is right for decades', (zone) => {
    const at = zoned('2005-06-01T12:00', zone);
    const text = writeCalendarFile([series('FREQ=WEEKLY', { start: at, end: at })]);
    const read = new ICAL.Timezone(
      new ICAL.Component(ICAL.parse(text) as string).getFirstSubcomponent('vtimezone')!,
    );
    for (let year = 2006; year < 2060; year += 5)
      for (const month of [0, 2, 3, 6, 9, 10]) {
        const instant = Date.UTC(year, month, 20, 12);
        const offset = offsetOnce(zone, instant);
        expect([zone, year, month, read.utcOffset(timeOf(instant + offset)) * 1000]).toEqual([
          zone,
          year,
          month,
          offset,
        ]);
      }
  });

  test('a series that ends is written with no more than its span', () => {
    const at = zoned('2027-01-05T12:00');
    const text = writeCalendarFile([series('FREQ=WEEKLY;COUNT=4', { start: at, end: at })]);
    expect(text.match(/BEGIN:(STANDARD|DAYLIGHT)/g)).toHaveLength(1);
  });

  test('a VTIMEZONE of another name is found by its rules, not by its offsets alone', async () => {
    const file = (rules: readonly string[]) =>
      [
        'BEGIN:VCALENDAR',
        'BEGIN:VTIMEZONE',
        'TZID:Works office',
        ...rules,
        'END:VTIMEZONE',
        'BEGIN:VEVENT',
        'DTSTART;TZID=Works office:20270709T100000',
        'END:VEVENT',
        'END:VCALENDAR',
      ].join('\n');
    const part = (name: string, start: string, from: string, to: string, rule = '') => [
      `BEGIN:${name}`,
      `DTSTART:${start}`,
      ...(rule ? [`RRULE:${rule}`] : []),
      `TZOFFSETFROM:${from}`,
      `TZOFFSETTO:${to}`,
      `END:${name}`,
    ];
    const zoneOf = async (rules: readonly string[]) => {
      const { events } = await readCalendarFile(file(rules), options);
      const start = events[0]!.start;
      return start.kind === 'zoned' ? start.zone : '';
    };
    expect(
      await zoneOf([
        ...part('STANDARD', '19700329T020000', '+0200', '+0100', 'FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU').map(
          (line) => line.replace('19700329T020000', '19701025T030000'),
        ),
        ...part('DAYLIGHT', '19700329T020000', '+0100', '+0200', 'FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU'),
      ]),
    ).toBe('Europe/Berlin');
    expect(
      await zoneOf([
        ...part(
          'STANDARD',
          '19700405T000000',
          '-0300',
          '-0400',
          'FREQ=YEARLY;BYMONTH=4;BYDAY=SU;BYMONTHDAY=2,3,4,5,6,7,8',
        ),
        ...part(
          'DAYLIGHT',
          '19700906T000000',
          '-0400',
          '-0300',
          'FREQ=YEARLY;BYMONTH=9;BYDAY=SU;BYMONTHDAY=2,3,4,5,6,7,8',
        ),
      ]),
    ).toBe('America/Santiago');
    expect(
      await zoneOf([
        ...part('STANDARD', '20071104T020000', '-0300', '-0400', 'FREQ=YEARLY;BYMONTH=11;BYDAY=1SU'),
        ...part('DAYLIGHT', '20070311T020000', '-0400', '-0300', 'FREQ=YEARLY;BYMONTH=3;BYDAY=2SU'),
      ]),
    ).toBe('America/Halifax');
  });
});

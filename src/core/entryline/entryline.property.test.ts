import fc from 'fast-check';
import { FENNICK_LINE } from '../../../testing/readingText';
import { civilDate, DAY, dateString, localString, MINUTE, weekdayOf } from '../time/civil';
import { MONTH_NAMES } from '../time/monthNames';
import { parseEntryLine } from './parseEntryLine';

const today = FENNICK_LINE.selectedDay;
const letters = (text: string): string => text.replaceAll(/[^\p{L}\p{N}]/gu, '');
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

const PIECES = [
  ...'Thu|on Friday|12 April|3-7 May|12/04|31/04/2027|tomorow|the 15th|in two weeks|at 9|15:30|9-10|10am to noon'.split(
    '|',
  ),
  ...'25:00|half past eight|for 2 hours|45 min|1h30|all day|every other Tue|until June|5 times|except Fridays'.split(
    '|',
  ),
  ...'15:00 CET|Halifax time|at Lamp room|in Boat shed|@ Gull Point|#ME|#Inspection|private|(tentative)|as free'.split(
    '|',
  ),
  ...'remind me 10 minutes before|no reminder|https://rooms.fennick.example/a?b=1|www.fennick.example|and|from|for'.split(
    '|',
  ),
  ...'at|on|,|-|Sunday roast|April report|lens 5|room 1204|look at the drawings|Oona & Tobias|1500 euros|½|№ 7|…|日本'.split(
    '|',
  ),
];

test('every letter is in the title or in a part, whatever is written one after the other', () => {
  const lines = fc
    .array(fc.oneof(fc.constantFrom(...PIECES), fc.string({ maxLength: 8 })), { maxLength: 12 })
    .chain((pieces) => fc.constantFrom(' ', '  ', ', ', '').map((between) => pieces.join(between)));
  fc.assert(
    fc.property(lines, (line) => {
      const { title, spans, location } = parseEntryLine(line, FENNICK_LINE);
      let beside = '';
      let end = 0;
      for (const span of spans) {
        expect(span.from).toBeGreaterThanOrEqual(end);
        beside += line.slice(end, span.from);
        end = span.to;
      }
      expect(letters(title)).toBe(letters(beside + line.slice(end)));
      const placed = spans.filter(({ parts }) => parts.includes('place'));
      expect(placed.map(({ from, to }) => line.slice(from, to)).join()).toContain(location.split(' ').at(-1));
    }),
    { numRuns: 1_500 },
  );
});

/** A day from today on, in one of the ways to say it. */
const saidDay = fc
  .tuple(fc.integer({ min: 1, max: 360 }), fc.integer({ min: 0, max: 7 }))
  .map(([ahead, way]): { day: number; words: string } => {
    const day = today + ahead;
    const { year, month, day: date } = civilDate(day);
    const name = capital(MONTH_NAMES[month - 1]!);
    const weekday = WEEKDAYS[weekdayOf(day) - 1]!;
    const near = ahead === 1 ? 'tomorrow' : ahead === 2 ? 'day after tomorrow' : undefined;
    const words = [
      dateString(day),
      `${date} ${name}`,
      `${weekday} ${date} ${name} ${year}`,
      `${name} ${date}, ${year}`,
      `${weekday.slice(0, 3)} ${date} ${name.slice(0, 3)}`,
      `${date}/${month}/${year}`,
      ahead < 7 ? `on ${weekday}` : `in ${ahead} days`,
      near ?? `${date}.${month}.`,
    ];
    return { day, words: words[way]! };
  });

const two = (count: number): string => String(count).padStart(2, '0');

/** A time of day on five minutes, in one of the ways to say it. */
const saidTime = fc
  .tuple(fc.integer({ min: 0, max: 287 }), fc.integer({ min: 0, max: 3 }))
  .map(([five, way]): { minute: number; words: string } => {
    const minute = five * 5;
    const [hour, rest] = [Math.floor(minute / 60), minute % 60];
    const half = hour < 12 ? 'am' : 'pm';
    const twelve = hour % 12 === 0 ? 12 : hour % 12;
    const words = [
      `${two(hour)}:${two(rest)}`,
      `${twelve}:${two(rest)} ${half}`,
      rest === 0 ? `${twelve}${half}` : `at ${twelve}:${two(rest)}${half}`,
      rest === 30 ? `half past ${twelve} ${half}` : `at ${two(hour)}:${two(rest)}`,
    ];
    return { minute, words: words[way]! };
  });

const saidLength = fc
  .tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 3 }))
  .map(([quarters, way]): { minutes: number; words: string } => {
    const minutes = quarters * 15;
    const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
    const long = hours === 0 ? `${rest} minutes` : `${hours} h${rest === 0 ? '' : ` ${rest}`}`;
    return {
      minutes,
      words: [`${minutes} min`, `for ${minutes} minutes`, long, `for ${minutes / 60} hours`][way]!,
    };
  });

const TITLES =
  'Works round|Lens call with Oona|Tower inspection|Order glass for light 3|Grant claim|Boat check'.split(
    '|',
  );
const PLACES = ['', 'Lamp room', 'Chart room', 'Gull Point'];

test('an entry said in words is read as that entry', () => {
  const entries = fc.record({
    title: fc.constantFrom(...TITLES),
    day: saidDay,
    time: fc.option(saidTime),
    length: saidLength,
    place: fc.constantFrom(...PLACES),
    mark: fc.constantFrom('', 'ME', 'DW'),
    order: fc.integer({ min: 0, max: 3 }),
  });
  fc.assert(
    fc.property(entries, ({ title, day, time, length, place, mark, order }) => {
      const when = [
        [day.words, time?.words, time ? length.words : ''],
        [time?.words, day.words, time ? length.words : ''],
        [time ? length.words : '', day.words, time?.words],
        [day.words, time?.words, time ? length.words : ''],
      ][order]!;
      const where = [place && `at ${place}`, mark && `#${mark}`];
      const words = order === 3 ? [...when, title, ...where] : [title, ...when, ...where];
      const line = words.filter(Boolean).join(' ');
      const draft = parseEntryLine(line, FENNICK_LINE);
      const start = day.day * DAY + (time ? time.minute * MINUTE : 0);
      const expected = {
        line,
        title,
        start: time ? localString(start) : dateString(day.day),
        end: time ? localString(start + length.minutes * MINUTE) : dateString(day.day + 1),
        place,
        calendar: mark || undefined,
      };
      const at = (moment: typeof draft.start) => (moment.kind === 'date' ? moment.date : moment.local);
      expect({
        line,
        title: draft.title,
        start: at(draft.start),
        end: at(draft.end),
        place: draft.location,
        calendar: draft.calendarId,
      }).toEqual(expected);
    }),
    { numRuns: 4_000 },
  );
});

test('a repeat said in words is read as that repeat', () => {
  const names = (weekdays: readonly number[]) => weekdays.map((weekday) => WEEKDAYS[weekday - 1]!);
  const CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
  const repeats = fc.record({
    title: fc.constantFrom(...TITLES),
    weekdays: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 3 }),
    interval: fc.integer({ min: 1, max: 4 }),
    time: saidTime,
    end: fc.constantFrom('', 'times', 'until'),
    count: fc.integer({ min: 2, max: 40 }),
  });
  fc.assert(
    fc.property(repeats, ({ title, weekdays, interval, time, end, count }) => {
      const sorted = [...weekdays].sort((a, b) => a - b);
      const days = names(sorted).join(' and ');
      const every = interval === 1 ? `every ${days}` : `every ${interval} weeks on ${days}`;
      const last = dateString(today + 200);
      const ending = end === 'times' ? `, ${count} times` : end === 'until' ? `until ${last}` : '';
      const line = [title, every, time.words, ending].filter(Boolean).join(' ').replace(' ,', ',');
      const parts = new Set(parseEntryLine(line, FENNICK_LINE).recurrence?.rules[0]?.split(';'));
      const expected = ['FREQ=WEEKLY', `BYDAY=${sorted.map((weekday) => CODES[weekday - 1]).join()}`];
      if (interval > 1) expected.push(`INTERVAL=${interval}`);
      if (end === 'times') expected.push(`COUNT=${count}`);
      if (end === 'until') expected.push(`UNTIL=${last.replaceAll('-', '')}`);
      expect([line, [...parts].sort()]).toEqual([line, expected.sort()]);
    }),
    { numRuns: 1_000 },
  );
});

/** How long a line of 2,000 letters may be read, in milliseconds of the processor; and how often each is. */
const LONGEST = 120;
const ROUNDS = 5;

test('two thousand letters are read while a key is still going down', () => {
  const piece =
    'Order 20 bolts for lamp 3 and ask Oona about Tue or Thu 14:00-15:30 from 3 May, at Gull Point, ';
  for (const line of [
    piece.repeat(22),
    'Tue 9:00 3 May for 2 h every week '.repeat(60),
    ' '.repeat(2_000),
    'mon,'.repeat(500),
  ]) {
    const text = line.slice(0, 2_000);
    for (let warm = 0; warm < 3; warm++) parseEntryLine(text, FENNICK_LINE);
    const { user } = process.cpuUsage();
    for (let round = 0; round < ROUNDS; round++) parseEntryLine(text, FENNICK_LINE);
    expect((process.cpuUsage().user - user) / 1000 / ROUNDS).toBeLessThan(LONGEST);
  }
});

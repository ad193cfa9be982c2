import { execFile } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { runCommand } from '.';

const folder = mkdtempSync(path.join(tmpdir(), 'ow-'));
afterAll(() => rmSync(folder, { recursive: true }));

const fileOf = (name: string, ...lines: string[]): string => {
  const file = path.join(folder, name);
  writeFileSync(file, ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n'));
  return file;
};
const vevent = (...lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'];
const run = async (...args: string[]) => {
  const out: string[] = [];
  const errors: string[] = [];
  const status = await runCommand(args, {
    out: (line) => out.push(line),
    error: (line) => errors.push(line),
  });
  return { status, out, errors };
};

const rota = fileOf(
  'rota.ics',
  ...vevent(
    'UID:call',
    'SUMMARY:Keeper rota call',
    'DTSTART;TZID=Europe/Lisbon:20270316T140000',
    'DTEND;TZID=Europe/Lisbon:20270316T150000',
    'RRULE:FREQ=WEEKLY;COUNT=4',
    'EXDATE;TZID=Europe/Lisbon:20270406T140000',
  ),
  ...vevent(
    'UID:call',
    'SUMMARY:Keeper rota call, moved',
    'RECURRENCE-ID;TZID=Europe/Lisbon:20270323T140000',
    'DTSTART;TZID=Europe/Oslo:20270324T100000',
    'DTEND;TZID=Europe/Oslo:20270324T110000',
  ),
  ...vevent('UID:paint', 'SUMMARY:Tower paint', 'DTSTART;VALUE=DATE:20270315', 'DTEND;VALUE=DATE:20270317'),
  ...vevent('UID:off', 'STATUS:CANCELLED', 'SUMMARY:Stores count', 'DTSTART:20270317T100000Z'),
);
const window = ['--from', '2027-03-15', '--to', '2027-04-10', '--zone', 'America/Halifax'];

test('batch does a recipe to a file, series whole, and prints what became of each entry', async () => {
  const recipe = path.join(folder, 'recipe.json');
  const steps = [
    { kind: 'shift', days: 7, minutes: 0 },
    { kind: 'trim', minutes: 5 },
  ];
  writeFileSync(recipe, JSON.stringify({ 'orderly-week-recipe': 1, name: 'A week on', steps }));
  const to = path.join(folder, 'later.ics');
  const { status, out } = await run('batch', rota, recipe, to);
  expect(status).toBe(0);
  expect(out).toEqual([
    'Keeper rota call: start, end',
    'Tower paint: not changed: it takes whole days',
    'Stores count: not changed: it would end before it starts',
    "1 changed, 0 as they were, 2 can't be changed",
  ]);
  const written = readFileSync(to, 'utf8');
  expect(written).toContain('DTSTART;TZID=Europe/Lisbon:20270323T140000');
  expect(written).toContain('DTEND;TZID=Europe/Lisbon:20270323T145500');
  expect(written).toContain('EXDATE;TZID=Europe/Lisbon:20270413T140000');
  expect(written).toContain('DTSTART;VALUE=DATE:20270315');
});

test('tidy prints what the checks find, one a line, with the UIDs it is about', async () => {
  const entry = (uid: string, title: string, from: string, to: string) =>
    vevent(`UID:${uid}`, `SUMMARY:${title}`, `DTSTART:20270312T${from}00Z`, `DTEND:20270312T${to}00Z`);
  const file = fileOf(
    'mess.ics',
    ...entry('a', 'Lamp oil order', '1000', '1030'),
    ...entry('b', 'Lamp oil ordr', '1005', '1030'),
    ...entry('c', 'Winch check', '1500', '1500'),
  );
  const { status, out } = await run('tidy', file, '--now', '2027-03-09T10:20', '--json');
  expect(status).toBe(0);
  expect(out.map((line) => JSON.parse(line) as unknown)).toEqual([
    {
      check: 'near-double',
      entries: ['a', 'b'],
      reason: '“Lamp oil order” and “Lamp oil ordr” are likely one, 2027-03-12 10:00.',
    },
    {
      check: 'zero-length',
      entries: ['c'],
      reason: '“Winch check” has no length, 2027-03-12 15:00.',
    },
    {
      check: 'overlap',
      entries: ['a', 'b'],
      reason: '“Lamp oil order” and “Lamp oil ordr”: 25 min lost, 2027-03-12 10:05.',
    },
  ]);
  const inWords = await run('tidy', file, '--now', '2027-03-09T10:20');
  expect(inWords.out[1]).toBe('Without a length: “Winch check” has no length, 2027-03-12 15:00.');
});

test('hours prints what a range took, told apart, in words and as a table', async () => {
  const asked = ['--from', '2027-03-15', '--to', '2027-04-12', '--zone', 'Europe/Lisbon', '--by', 'weekday'];
  const { status, out } = await run('hours', rota, ...asked);
  expect(status).toBe(0);
  // The call of the 23rd is moved to Wednesday, that of 6 April is left out.
  expect(out).toEqual(['2.00 h  2', '1.00 h  3', '3.00 h  in all']);
  const table = await run('hours', rota, ...asked, '--csv', '--step', 'week');
  expect(table.out.join('\n').split(/\r?\n/)).toEqual([
    'weekday,hours,each,2027-03-15,2027-03-22,2027-03-29,2027-04-05',
    expect.stringMatching(/^1,0\.00/),
    '2,2.00,2.00,1.00,0.00,1.00,0.00',
    '3,1.00,1.00,0.00,1.00,0.00,0.00',
  ]);
  const wrong = await run('hours', rota, '--from', '2027-03-15', '--to', '2027-03-15');
  expect(wrong.status).toBe(2);
  expect(wrong.errors[0]).toContain('--to is a day after --from');
});

test('batch refuses what is no recipe, and writes nothing', async () => {
  const recipe = path.join(folder, 'bad.json');
  const to = path.join(folder, 'never.ics');
  const refused = async (text: string) => {
    writeFileSync(recipe, text);
    const { status, errors } = await run('batch', rota, recipe, to);
    expect(status).toBe(2);
    expect(existsSync(to)).toBe(false);
    return errors[0];
  };
  const written = (step: object) => JSON.stringify({ 'orderly-week-recipe': 1, name: 'A', steps: [step] });
  expect(await refused('no')).toContain('it is no recipe');
  expect(await refused(written({ kind: 'paint' }))).toContain('its step 1 is not known: paint');
  const replace = {
    kind: 'replace',
    find: '(',
    by: '',
    fields: ['title'],
    mode: 'expression',
    matchCase: false,
  };
  expect(await refused(written(replace))).toContain('the expression of step 1');
});

test('expand prints the occurrences of a window, one object a line, in the zone that is asked for', async () => {
  const { status, out } = await run('expand', rota, ...window, '--json');
  expect(status).toBe(0);
  expect(out.map((line) => JSON.parse(line) as unknown)).toEqual([
    {
      uid: 'paint',
      recurrenceId: null,
      start: '2027-03-15',
      end: '2027-03-17',
      allDay: true,
      title: 'Tower paint',
    },
    {
      uid: 'call',
      recurrenceId: '2027-03-16T11:00:00-03:00',
      start: '2027-03-16T11:00:00-03:00',
      end: '2027-03-16T12:00:00-03:00',
      allDay: false,
      title: 'Keeper rota call',
    },
    {
      uid: 'call',
      recurrenceId: '2027-03-23T11:00:00-03:00',
      start: '2027-03-24T06:00:00-03:00',
      end: '2027-03-24T07:00:00-03:00',
      allDay: false,
      title: 'Keeper rota call, moved',
    },
    {
      uid: 'call',
      recurrenceId: '2027-03-30T10:00:00-03:00',
      start: '2027-03-30T10:00:00-03:00',
      end: '2027-03-30T11:00:00-03:00',
      allDay: false,
      title: 'Keeper rota call',
    },
  ]);
});

test('the window is half-open, and its ends can be instants', async () => {
  const starts = async (from: string, to: string) =>
    (await run('expand', rota, '--from', from, '--to', to, '--zone', 'Europe/Lisbon')).out.length;
  expect(await starts('2027-03-30T14:00:00Z', '2027-03-31')).toBe(0);
  expect(await starts('2027-03-30T13:59:00Z', '2027-03-31')).toBe(1);
  expect(await starts('2027-03-29', '2027-03-30T14:00')).toBe(0);
  expect(await starts('2027-03-29', '2027-03-30T14:00:01')).toBe(1);
});

test.each([
  [['expand', '/nowhere.ics', ...window], /there is no such file or folder/],
  [
    ['expand', rota, '--from', '2027-02-30', '--to', '2027-03-01', '--zone', 'UTC'],
    /--from is not an ISO date/,
  ],
  [['expand', rota, '--from', '2027-03-02', '--to', '2027-03-01', '--zone', 'UTC'], /not after --from/],
  [['expand', rota, '--from', '2027-03-02', '--to', '2027-03-04', '--zone', 'Nowhere'], /no such time zone/],
  [['expand', rota, '--to', '2027-03-04', '--zone', 'UTC'], /--from is missing/],
  [['expand', ...window], /the calendar file is missing/],
  [['expand', rota, 'other.ics', ...window], /one parameter too many/],
  [['expand', rota, ...window, '--yaml'], /--yaml/],
  [['words', 'RRULE:FREQ=SOMETIMES', '--start', '2027-03-09'], /FREQ=SOMETIMES/],
  [['words', 'RRULE:FREQ=DAILY'], /--start is missing/],
  [['expandd'], /no such command/],
  [[], /no command/],
])('bad input is told and ends with 2: %j', async (args, message) => {
  const { status, out, errors } = await run(...args);
  expect(status).toBe(2);
  expect(out).toEqual([]);
  expect(errors.join('\n')).toMatch(message);
});

test('a file that is none, and rules that no window can hold', async () => {
  const text = path.join(folder, 'letter.ics');
  writeFileSync(text, 'Dear keepers');
  expect((await run('expand', text, ...window)).errors).toEqual([
    `ow: ${text} is no calendar file: not-a-calendar`,
  ]);

  const many = fileOf('many.ics', ...vevent('UID:s', 'DTSTART:20270309T100000Z', 'RRULE:FREQ=SECONDLY'));
  const { status, out, errors } = await run(
    'expand',
    many,
    ...['--from', '2027-03-17T08:00', '--to', '2027-03-17T08:01', '--zone', 'UTC'],
  );
  expect([status, out.length]).toEqual([0, 60]);
  expect(errors.join()).toContain('more dates than a calendar can show');

  const daily = fileOf('daily.ics', ...vevent('UID:d', 'DTSTART:20270309T100000Z', 'RRULE:FREQ=HOURLY'));
  const ages = ['--from', '2027-01-01', '--to', '9999-12-31', '--zone', 'UTC'];
  expect(await run('expand', daily, ...ages)).toMatchObject({ status: 2, out: [] });
});

test('words says a rule, and what is wrong with it beside', async () => {
  expect(await run('words', 'RRULE:FREQ=MONTHLY;BYDAY=2TU', '--start', '2027-03-09')).toEqual({
    status: 0,
    out: ['monthly on the second Tuesday'],
    errors: [],
  });
  expect(await run('words', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', '--start', '2027-03-09T09:00')).toEqual({
    status: 0,
    out: ['yearly on 30 February'],
    errors: ['This makes no date after the first.'],
  });
});

test('from the shell', async () => {
  const shell = promisify(execFile);
  const { stdout } = await shell('node', [
    '--import',
    'tsx',
    'tools/ow.ts',
    'words',
    'FREQ=DAILY',
    '--start',
    '2027-03-09',
  ]);
  expect(stdout).toBe('every day\n');
  await expect(
    shell('node', ['--import', 'tsx', 'tools/ow.ts', 'words', 'x', '--start', '2027-03-09']),
  ).rejects.toMatchObject({
    code: 2,
  });
});

describe('convert', () => {
  const at = (name: string) => path.join(folder, name);
  const written = (name: string) => readFileSync(at(name), 'utf8');

  test('a calendar file, a table and a backup turn into each other and back', async () => {
    for (const [from, to] of [
      [rota, at('out.csv')],
      [at('out.csv'), at('out.json')],
      [at('out.json'), at('back.ics')],
    ] as const)
      expect(await run('convert', from, to, '--zone', 'Europe/Lisbon')).toEqual({
        status: 0,
        out: [],
        errors: [],
      });
    expect(written('out.csv')).toContain('Keeper rota call,2027-03-16,14:00');
    expect(JSON.parse(written('out.json'))).toMatchObject({ format: 'orderly-week-backup' });
    const expanded = async (file: string) =>
      (await run('expand', file, '--from', '2027-03-01', '--to', '2027-06-01', '--zone', 'Europe/Lisbon'))
        .out;
    expect(await expanded(at('back.ics'))).toEqual(await expanded(rota));
  });

  test('a file of tasks and properties that nobody knows is written again with all of them', async () => {
    const file = fileOf('tasks.ics', 'X-SHELF:12', 'BEGIN:VTODO', 'UID:t', 'X-ROW;A=b:c', 'END:VTODO');
    expect((await run('convert', file, at('again.ics'))).status).toBe(0);
    for (const line of ['X-SHELF:12', 'BEGIN:VTODO', 'X-ROW;A=b:c'])
      expect(written('again.ics')).toContain(line);
  });

  test('what can’t be read is said by its place, and nothing is written for what is refused', async () => {
    writeFileSync(at('rows.csv'), 'Title,Date\nOne,9/3/2027\nTwo,40/3/2027\n');
    const { status, errors } = await run('convert', at('rows.csv'), at('rows.ics'), '--dates', 'day-month');
    expect([status, errors]).toEqual([0, ['row 3: unreadable-date: 40/3/2027']]);
    for (const args of [
      [at('rows.csv')],
      [at('rows.csv'), at('rows.txt')],
      [at('nothing.ics'), at('no.csv')],
      [at('rows.csv'), at('no.csv'), '--dates', 'year-month'],
    ])
      expect((await run('convert', ...args)).status).toBe(2);
    writeFileSync(at('letter.ics'), 'Dear keepers');
    expect(await run('convert', at('letter.ics'), at('no.csv'))).toMatchObject({ status: 2 });
    expect(existsSync(at('no.csv'))).toBe(false);
  });
});

describe('convert keeps what is there', () => {
  const table = path.join(folder, 'unknown.csv');
  writeFileSync(table, 'colour,weight\nred,12\n');
  test.each([
    [
      'into a folder that is not there',
      rota,
      path.join(folder, 'nowhere', 'out.csv'),
      /can't be written: there is no/,
    ],
    ['over its own input', rota, path.join(folder, '.', 'rota.ics'), /the file that is read/],
    ['from a table without a start', table, path.join(folder, 'out.ics'), /no column is known/],
  ])('%s: it is told, ends with 2, and nothing is written', async (_, from, to, message) => {
    const before = readFileSync(rota, 'utf8');
    const { status, errors } = await run('convert', from, to);
    expect(status).toBe(2);
    expect(errors.join('\n')).toMatch(message);
    expect(readFileSync(rota, 'utf8')).toBe(before);
    if (to !== path.join(folder, 'rota.ics')) expect(existsSync(to)).toBe(false);
  });
});

describe('a line of ordinary words', () => {
  const at = ['--now', '2027-03-09T10:20', '--zone', 'Europe/Lisbon'];
  const read = async (...args: string[]) => {
    const { out, status } = await run('line', ...args, ...at, '--json');
    expect(status).toBe(0);
    return out.map((text) => JSON.parse(text) as Record<string, unknown>);
  };

  test('is printed as the entry that it means, with what else it could mean', async () => {
    const [whole] = await read(
      'Panel thu 15:00 EST 45 min at Lamp room #ME private remind me 10 min before',
      '--calendars',
      'DW,ME',
    );
    expect(whole).toEqual({
      text: 'Panel thu 15:00 EST 45 min at Lamp room #ME private remind me 10 min before',
      title: 'Panel',
      start: '2027-03-11T15:00',
      end: '2027-03-11T15:45',
      allDay: false,
      zone: 'America/New_York',
      startInstant: '2027-03-11T20:00:00.000Z',
      rule: null,
      dates: 1,
      place: 'Lamp room',
      calendar: 'ME',
      category: null,
      availability: null,
      visibility: 'private',
      reminders: [{ minutes: 10 }],
      url: null,
      problems: [],
      others: [],
    });
  });

  test('follows the order of the locale, counts a repeat, and says what is no date', async () => {
    const [british] = await read('Claim 12/04');
    const [american] = await read('Claim 12/04', '--locale', 'en-US');
    expect([british?.start, american?.start]).toEqual(['2027-04-12', '2027-12-04']);
    expect(british?.others).toMatchObject([{ start: '2027-12-04' }]);
    const [yoga] = await read('Yoga every tue 18:00 for 6 weeks except 6 April');
    expect(yoga).toMatchObject({ rule: 'FREQ=WEEKLY;UNTIL=20270419;BYDAY=TU', dates: 5 });
    expect((await read('Log daily 8:00'))[0]).toMatchObject({ dates: null });
    expect((await read('Claim 31/04/2027'))[0]).toMatchObject({ problems: ['"31/04/2027" is no date'] });
  });

  test('each line of a file is read, and what is missing is told', async () => {
    const file = path.join(folder, 'lines.txt');
    writeFileSync(file, 'Board thu 10:00\n\nRent the 15th\n');
    expect((await read('--file', file)).map(({ title }) => title)).toEqual(['Board', 'Rent']);
    const { status, errors } = await run('line', ...at);
    expect([status, errors.join()]).toEqual([2, expect.stringContaining('nothing to read')]);
    expect((await run('line', 'Board', ...at, '--locale', 'x-')).status).toBe(2);
  });
});

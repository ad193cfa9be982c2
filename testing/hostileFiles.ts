const numbers = (from: number, to: number): string =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index).join();
const repeated = (count: number, line: (number: number) => string): string =>
  Array.from({ length: count }, (_, number) => line(number)).join('\r\n');

/** An event that is as it should be, beside which the rest stands. */
const GOOD =
  'BEGIN:VEVENT\r\nUID:good\r\nDTSTART:20270309T100000Z\r\nDTEND:20270309T110000Z\r\nSUMMARY:Lamp test\r\nEND:VEVENT';
const calendar = (...parts: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', GOOD, ...parts, 'END:VCALENDAR', ''].join('\r\n');
const vevent = (...lines: string[]): string =>
  ['BEGIN:VEVENT', 'UID:odd', 'SUMMARY:Odd', ...lines, 'END:VEVENT'].join('\r\n');
const starting = (...lines: string[]): string => vevent('DTSTART:20270309T100000Z', ...lines);
const vtimezone = (id: string, ...rules: string[]): string =>
  [
    'BEGIN:VTIMEZONE',
    `TZID:${id}`,
    ...rules.map(
      (rule) =>
        `BEGIN:STANDARD\r\nDTSTART:19700101T000000\r\nTZOFFSETFROM:+0100\r\nTZOFFSETTO:+0137\r\n${rule}\r\nEND:STANDARD`,
    ),
    'END:VTIMEZONE',
  ].join('\r\n');
const inZone = (zone: string, local = '20270309T100000'): string =>
  vevent(`DTSTART;TZID=${zone}:${local}`, `DTEND;TZID=${zone}:${local}`);

/** Files that are made to keep whoever reads them busy, full or lost; each has one event that is as it should be. */
export const HOSTILE_FILES: Readonly<Record<string, () => string>> = {
  'deep nesting': () =>
    calendar(`${'BEGIN:X-BOX\r\n'.repeat(50_000)}${'END:X-BOX\r\n'.repeat(50_000)}`.trimEnd()),
  'events within events': () =>
    calendar(`${'BEGIN:VEVENT\r\n'.repeat(20_000)}${'END:VEVENT\r\n'.repeat(20_000)}`.trimEnd()),
  'a zone of rules by the second': () =>
    calendar(vtimezone('Odd/Seconds', 'RRULE:FREQ=SECONDLY'), inZone('Odd/Seconds')),
  'a zone of many rules': () =>
    calendar(
      vtimezone('Odd/Rules', ...Array<string>(2_000).fill('RRULE:FREQ=HOURLY;BYMINUTE=1,2,3')),
      inZone('Odd/Rules'),
    ),
  'a zone of 100,000 dates': () =>
    calendar(
      vtimezone('Odd/Dates', `RDATE:${numbers(1, 100_000).replaceAll(/\d+/g, '20270101T000000')}`),
      inZone('Odd/Dates'),
    ),
  '2,000 zones': () =>
    calendar(
      repeated(2_000, (number) =>
        vtimezone(`Odd/Z${number}`, `RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU;COUNT=${500 + number}`),
      ),
      repeated(2_000, (number) => inZone(`Odd/Z${number}`).replace('UID:odd', `UID:odd${number}`)),
    ),
  '100,000 further dates': () =>
    calendar(
      starting(
        `RDATE:${Array.from({ length: 100_000 }, (_, number) => `2027${String(1 + (number % 12)).padStart(2, '0')}${String(1 + (number % 28)).padStart(2, '0')}T${String(number % 24).padStart(2, '0')}${String(number % 60).padStart(2, '0')}00Z`).join()}`,
      ),
    ),
  '100,000 lines of exceptions': () =>
    calendar(
      starting(
        'RRULE:FREQ=DAILY',
        repeated(100_000, () => 'EXDATE:20270310T100000Z'),
      ),
    ),
  'a list of a million seconds': () =>
    calendar(
      starting(
        `RRULE:FREQ=MINUTELY;BYSECOND=${Array.from({ length: 1_000_000 }, (_, number) => number % 60).join()}`,
      ),
    ),
  'a rule of every part': () =>
    calendar(
      starting(
        `RRULE:FREQ=YEARLY;COUNT=99999999;BYMONTH=${numbers(1, 12)};BYMONTHDAY=${numbers(1, 31)};BYYEARDAY=${numbers(1, 366)};BYHOUR=${numbers(0, 23)};BYMINUTE=${numbers(0, 59)};BYSECOND=${numbers(0, 59)};BYSETPOS=${numbers(1, 366)}`,
      ),
    ),
  'a rule by the hour that picks nothing': () => calendar(starting('RRULE:FREQ=HOURLY;BYSETPOS=2')),
  'a flood of parameters': () =>
    calendar(starting(`X-ODD${repeated(100_000, (number) => `;P${number}=1`).replaceAll('\r\n', '')}:1`)),
  'a parameter of a million values': () =>
    calendar(starting(`ATTENDEE;MEMBER=${'"a",'.repeat(1_000_000)}"a":mailto:a@fennick.example`)),
  'a flood of END lines': () => calendar(repeated(200_000, () => 'END:VEVENT')),
  'a flood of properties': () => calendar(starting(repeated(200_000, (number) => `X-ODD-${number}:1`))),
  'a line of ten million letters': () => calendar(starting(`DESCRIPTION:${'a'.repeat(10_000_000)}`)),
  'a line of a million folds': () => calendar(starting(`DESCRIPTION:${'a\r\n '.repeat(1_000_000)}`)),
  'a million empty lines': () => calendar('\r\n'.repeat(1_000_000)),
  'quotes that never close': () => calendar(starting(`X-ODD;A="${'a'.repeat(100_000)}:1`)),
  'ten thousand alarms': () =>
    calendar(
      starting(
        repeated(10_000, (number) => `BEGIN:VALARM\r\nACTION:DISPLAY\r\nTRIGGER:-PT${number}M\r\nEND:VALARM`),
      ),
    ),
  'dates in the year 9999 with a zone': () =>
    calendar(inZone('Europe/Lisbon', '99991231T235959'), inZone('Pacific/Kiritimati', '99991231T235959')),
  'a length beyond the year 9999': () => calendar(starting('DURATION:P9999999W')),
  'a length of many digits': () => calendar(starting(`DURATION:P${'9'.repeat(400)}D`)),
  'an end before time began': () => calendar(starting('DTEND:00000101T000000Z')),
  'a series until the year 9999 each second': () =>
    calendar(starting('RRULE:FREQ=SECONDLY;UNTIL=99991231T235959Z')),
  'changed occurrences of a series that is not there': () =>
    calendar(
      repeated(20_000, (number) =>
        starting(`RECURRENCE-ID:20270309T100000Z`).replace('UID:odd', `UID:lost${number % 3}`),
      ),
    ),
  'names that objects have by themselves': () =>
    calendar(
      starting(
        '__PROTO__:1',
        'CONSTRUCTOR;__PROTO__=1:2',
        'X-A;TOSTRING=1:1',
        'CATEGORIES:__proto__,constructor',
      ),
    ),
  'NUL and what comes near it': () =>
    calendar(starting('DESCRIPTION:a\u0000b\u0001\u001b[2Jc', 'LOCATION:\u0000')),
};

import { event, FENNICK, series, stateWith, zoned } from '../../../../testing/samples';
import { CalendarEvent } from '../../model/entry';
import { Preserved } from '../../model/preserved';
import { readBackup, writeBackup } from '../backup/backupFile';
import { guessTable } from '../csv/guessTable';
import { readCsvTable } from '../csv/csvTable';
import { readCsv } from '../csv/readCsv';
import { writeCsv } from '../csv/writeCsv';
import { extractAttachments } from './attachProperty';
import { fileText } from './fileText';
import { FileError } from './problems';
import { readCalendarFile } from './readCalendarFile';
import { writeCalendarFile } from './writeCalendarFile';
import { noticeBefore } from '../../model/reminder';

/** Half a thousand by rule; ten thousand with `LONG=1`. */
const RUNS = process.env.LONG ? 10_000 : 500;
/**
 * A file of some ten events is read in a few milliseconds: what takes so long hangs. In time of the processor, so that a
 * machine that stands still for a while is no fault of the reader.
 */
const LONGEST_MS = 2000;

const EVENTS = [
  event({
    title: 'Lamp, glass; wick',
    notes: 'one\ntwo',
    reminders: [noticeBefore(15)],
    colour: 'rust',
  }),
  series('FREQ=MONTHLY;BYDAY=2TU;COUNT=9', { categories: ['rota'] }),
  event({ start: zoned('2027-10-31T01:30'), end: zoned('2027-10-31T02:30') }),
];
const CALENDAR = [
  writeCalendarFile(EVENTS, { name: 'Stores', description: 'Lamps' }).replace(
    'END:VCALENDAR',
    'BEGIN:VTODO\r\nUID:t\r\nDUE;TZID=Works:20270401T120000\r\nEND:VTODO\r\nEND:VCALENDAR',
  ),
  'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:9\r\nDTSTART:20270309T100000Z\r\nDURATION:P1DT2H\r\nRDATE;VALUE=PERIOD:20270310T100000Z/PT1H\r\nEXDATE:20270311T100000Z\r\nATTACH;ENCODING=BASE64;VALUE=BINARY:TGFtcA==\r\nGEO:1;2\r\nBEGIN:VALARM\r\nTRIGGER;VALUE=DATE-TIME:20270309T100000Z\r\nACTION:DISPLAY\r\nEND:VALARM\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
];

/** A small generator of its own, so that a failure is found again by its number. */
function randomOf(seed: number): (below: number) => number {
  let state = seed * 2_654_435_761;
  return (below) => {
    state = (Math.imul(state ^ (state >>> 15), 2_246_822_519) + 0x9e3779b9) | 0;
    return ((state ^ (state >>> 13)) >>> 0) % below;
  };
}

const SPLINTERS = [
  'BEGIN:VEVENT',
  'END:VEVENT',
  'END:VCALENDAR',
  '\r\n',
  '\r\n ',
  ':',
  ';',
  '=',
  '"',
  ',',
  '\\',
  'DTSTART:99999999T999999Z',
  'DTSTART;VALUE=DATE:20270230',
  'RRULE:FREQ=SECONDLY;INTERVAL=0',
  'RRULE:FREQ=DAILY;COUNT=999999999',
  'TRIGGER:-P9999999W',
  'DURATION:-P1Y',
  'TZID=',
  'SEQUENCE:1e99',
  'RDATE;VALUE=PERIOD:x/y',
  '\u0000',
  '😀',
  '__proto__',
  'constructor:1',
  'null',
  '-1',
  '1e999',
  '{"id":',
  '[]',
];

/** A text damaged in one to six places: parts cut, doubled, moved, swapped for splinters. */
function damaged(text: string, seed: number): string {
  const random = randomOf(seed + 1);
  let result = text;
  for (let times = 1 + random(6); times > 0; times--) {
    const at = random(result.length + 1);
    const length = random(random(4) === 0 ? 200 : 12);
    const part = result.slice(at, at + length);
    switch (random(5)) {
      case 0:
        result = result.slice(0, at) + result.slice(at + length);
        break;
      case 1:
        result = result.slice(0, at) + part + part + result.slice(at + length);
        break;
      case 2:
        result = result.slice(0, at) + SPLINTERS[random(SPLINTERS.length)]! + result.slice(at);
        break;
      case 3:
        result = result.slice(0, at) + String.fromCharCode(random(0x2ff)) + result.slice(at + 1);
        break;
      default: {
        const to = random(result.length + 1);
        result = result.slice(0, to) + part + result.slice(to);
      }
    }
  }
  return result;
}

/** Reads a damaged text: it is refused with a reason, or what comes out of it is whole. */
async function survives(seed: number, read: () => Promise<void> | void): Promise<'refused' | 'read'> {
  const started = process.cpuUsage();
  try {
    await read();
  } catch (error) {
    if (!(error instanceof FileError)) throw new Error(`damage ${seed}`, { cause: error });
    return 'refused';
  } finally {
    const { user, system } = process.cpuUsage(started);
    const took = (user + system) / 1000;
    if (took > LONGEST_MS) throw new Error(`damage ${seed} took ${Math.round(took)} ms`);
  }
  return 'read';
}

async function outcomes(read: (seed: number) => Promise<void> | void): Promise<Record<string, number>> {
  const counts: Record<string, number> = { refused: 0, read: 0 };
  for (let seed = 0; seed < RUNS; seed++) counts[await survives(seed, () => read(seed))]!++;
  return counts;
}

let made = 0;
const options = { zone: FENNICK, now: Date.UTC(2027, 2, 9), newId: () => `read-${++made}` };

test('a damaged calendar file is refused or read into whole events, and can be written again', async () => {
  const counts = await outcomes(async (seed) => {
    const bytes = new TextEncoder().encode(damaged(CALENDAR[seed % CALENDAR.length]!, seed));
    const file = await readCalendarFile(fileText(bytes), options);
    const { entries: events } = extractAttachments(file.events, options.newId);
    events.forEach((read) => CalendarEvent.parse(read));
    if (file.preserved) Preserved.parse(file.preserved);
    const text = writeCalendarFile(file.events, {
      name: file.name ?? '',
      description: file.description,
      ...(file.preserved ? { preserved: file.preserved } : {}),
    });
    const again = await readCalendarFile(text, options);
    expect(again.events).toHaveLength(file.events.length);
  });
  expect(counts.refused).toBeGreaterThan(0);
  expect(counts.read).toBeGreaterThan(RUNS / 2);
}, 600_000);

test('a damaged table is refused or read into whole events', async () => {
  const table = writeCsv(EVENTS, () => 'Stores');
  const counts = await outcomes((seed) => {
    const read = readCsvTable(damaged(table, seed));
    const { events } = readCsv(read, {
      ...options,
      mapping: guessTable(read),
      dateOrder: 'day-month',
      defaultLengthMinutes: 60,
    });
    events.forEach((event) => CalendarEvent.parse(event));
  });
  expect(counts.read).toBeGreaterThan(0);
}, 600_000);

test('a damaged backup is refused or read into whole records', async () => {
  const text = writeBackup(stateWith(...EVENTS), new Map([['a', 'TGFtcA==']]), options.now);
  const counts = await outcomes((seed) => {
    const backup = readBackup(damaged(text, seed));
    backup.records.entries.forEach((read) => CalendarEvent.parse(read));
  });
  expect(counts.refused).toBeGreaterThan(0);
  expect(counts.read).toBeGreaterThan(0);
}, 600_000);

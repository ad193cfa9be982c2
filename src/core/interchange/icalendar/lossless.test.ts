import { instantOf } from '../../time/eventTime';
import ICAL from 'ical.js';
import { context, event, FENNICK, stateWith } from '../../../../testing/samples';
import { importEntries, keptOfCalendar } from '../../change/importEntries';
import { applyPatch } from '../../change/patch';
import { embedAttachments, extractAttachments } from './attachProperty';
import { readCalendarFile } from './readCalendarFile';
import { writeCalendarFile } from './writeCalendarFile';

let made = 0;
const options = { zone: FENNICK, now: Date.UTC(2027, 2, 9), newId: () => `read-${++made}` };

const FILE = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'METHOD:PUBLISH',
  'NAME:Stores\\, lamps and lenses',
  'DESCRIPTION;LANGUAGE=en:What is in the stores',
  'COLOR:turquoise',
  'REFRESH-INTERVAL;VALUE=DURATION:PT6H',
  'X-SHELF;ROW=4:north',
  'BEGIN:VTIMEZONE',
  'TZID:Works office',
  'BEGIN:STANDARD',
  'DTSTART:16010101T000000',
  'TZOFFSETFROM:+0000',
  'TZOFFSETTO:+0000',
  'END:STANDARD',
  'END:VTIMEZONE',
  'BEGIN:VEVENT',
  'UID:1',
  'DTSTAMP:20270101T000000Z',
  'DTSTART;TZID=Europe/Lisbon:20270309T100000',
  'DTEND;TZID=Europe/Lisbon:20270309T110000',
  'SUMMARY;LANGUAGE=en:Lamp test',
  'DESCRIPTION;ALTREP="cid:part1":As every month',
  'CATEGORIES;LANGUAGE=en:lamp,test',
  'CLASS:X-KEEPERS',
  'COLOR:firebrick',
  'COMMENT:first',
  'COMMENT:second',
  'GEO:38.7;-9.1',
  'PRIORITY:3',
  'RELATED-TO;RELTYPE=SIBLING:2',
  'ATTENDEE;CN="Ngo, Bao";PARTSTAT=ACCEPTED:mailto:bao@fennick.example',
  'ATTACH;FMTTYPE=text/plain;ENCODING=BASE64;VALUE=BINARY;FILENAME=reading.txt:TGFtcA==',
  'X-PLACE;X-KIND="a;b":c\\,d',
  'BEGIN:VALARM',
  'ACTION:DISPLAY',
  'DESCRIPTION:Take the gloves',
  'TRIGGER:-PT15M',
  'END:VALARM',
  'BEGIN:VALARM',
  'ACTION:EMAIL',
  'ATTENDEE:mailto:bao@fennick.example',
  'SUMMARY:Lamp test',
  'DESCRIPTION:tomorrow',
  'TRIGGER;RELATED=END:-P1D',
  'END:VALARM',
  'END:VEVENT',
  'BEGIN:VTODO',
  'UID:todo',
  'DTSTAMP:20270101T000000Z',
  'DUE;TZID=Works office:20270401T120000',
  'SUMMARY:Order wicks',
  'BEGIN:VALARM',
  'ACTION:AUDIO',
  'TRIGGER:-PT5M',
  'END:VALARM',
  'END:VTODO',
  'BEGIN:VEVENT',
  'UID:no-start',
  'SUMMARY:Some day',
  'END:VEVENT',
  'BEGIN:X-LOG',
  'X-LINE:one',
  'END:X-LOG',
  'END:VCALENDAR',
  '',
].join('\r\n');

type Property = [string, Record<string, unknown>, string, ...unknown[]];
type Component = [string, Property[], Component[]];

/** All properties of a file by the component that they stand in, sorted, as the reference reader sees them. */
function inventory(text: string): string[] {
  const lines: string[] = [];
  const walk = ([name, properties, parts]: Component, path: string) => {
    if (name === 'standard' || name === 'daylight') return;
    const uid = properties.find(([property]) => property === 'uid' || property === 'tzid')?.[3] ?? '';
    const here = `${path}/${name}:${uid as string}`;
    for (const [property, parameters, , ...values] of properties) {
      const given = Object.entries(parameters)
        .filter(([parameter]) => parameter !== 'encoding')
        .sort(([a], [b]) => a.localeCompare(b));
      lines.push(`${here} ${property} ${JSON.stringify(given)} ${JSON.stringify(values)}`);
    }
    parts.forEach((part) => walk(part, here));
  };
  walk(ICAL.parse(text) as unknown as Component, '');
  return lines.sort();
}

/** Said anew in every file; DURATION and the like are said otherwise. */
const RENEWED = / (prodid|calscale|dtstamp) /;

test('what is read and written again has every property of every component, with its parameters', async () => {
  const file = await readCalendarFile(FILE, options);
  const { name, description, colour, preserved } = file;
  const text = writeCalendarFile([...file.events, ...file.todos], {
    name: name!,
    description,
    colour: colour!,
    preserved: preserved!,
  });
  const after = new Set(inventory(text));
  const lost = inventory(FILE).filter((line) => !RENEWED.test(line) && !after.has(line));
  // The calendar's description is told from the calendar, and times are in zones that everybody knows.
  expect(lost.filter((line) => !/\/vcalendar: description|Works office/.test(line))).toEqual([]);
  const [todo] = file.todos;
  expect(todo).toMatchObject({ title: 'Order wicks', end: { kind: 'zoned', local: '2027-04-01T12:00:00' } });
  expect(instantOf(todo!.end!, 'UTC')).toBe(Date.UTC(2027, 3, 1, 12));
  expect(name).toBe('Stores, lamps and lenses');
  expect(colour).toBe('#40e0d0');
  expect(file.problems.map(({ code }) => code)).toEqual(['mapped-zone', 'no-start']);
});

test('an entry that was changed is written as it is now, not as it was read', async () => {
  const file = await readCalendarFile(FILE, options);
  const [read] = file.events;
  const text = writeCalendarFile([{ ...read!, classification: 'public', colour: 'rust' }]);
  expect(text).not.toContain('CLASS:X-KEEPERS');
  expect(text).toContain('X-ORDERLY-WEEK-COLOUR:rust');
  const again = await readCalendarFile(text, options);
  expect(again.events[0]).toMatchObject({ colour: 'rust', classification: 'public' });
});

test('a title longer than is shown is kept whole in the file', async () => {
  const title = 'Lens '.repeat(300).trim();
  const text = writeCalendarFile([event({ title: title.slice(0, 1000) })]).replace(
    /SUMMARY:[^]*?\r\n(?! )/,
    `SUMMARY:${title}\r\n`,
  );
  const { events } = await readCalendarFile(text, options);
  expect(events[0]!.title).toHaveLength(1000);
  const again = await readCalendarFile(writeCalendarFile(events), options);
  expect(again.events[0]!.preserved?.properties).toEqual([['summary', {}, 'text', title]]);
});

test('files stand apart from their events, and go back into them as ATTACH', async () => {
  const { events } = await readCalendarFile(FILE, options);
  const apart = extractAttachments(events, options.newId);
  const [attachment] = apart.entries[0]!.attachments!;
  expect(attachment).toMatchObject({ name: 'reading.txt', mediaType: 'text/plain', size: 4 });
  expect([...apart.files.values()]).toEqual(['TGFtcA==']);
  expect(apart.entries[0]!.preserved!.properties.some(([name]) => name === 'attach')).toBe(false);
  const text = writeCalendarFile(embedAttachments(apart)).replaceAll('\r\n ', '');
  expect(text).toMatch(/ATTACH;(?=[^\r]*FILENAME=reading.txt)(?=[^\r]*VALUE=BINARY)[^\r]*:TGFtcA==/);
  expect(embedAttachments({ entries: apart.entries, files: new Map() })[0]!.attachments).toBeUndefined();
});

test('what a file holds beyond entries comes with its calendar, but for what is about its sending', async () => {
  const { preserved } = await readCalendarFile(FILE, options);
  const kept = keptOfCalendar(preserved)!;
  expect(kept.properties.map(([name]) => name)).not.toContain('method');
  const state = stateWith();
  const into = { calendarId: 'desk', preserved: kept };
  const once = applyPatch(state, importEntries(state, [], into, context()));
  const twice = applyPatch(once, importEntries(once, [], into, context()));
  const names = (each: typeof once) =>
    each.calendars.get('desk')!.preserved!.components.map(([name]) => name);
  expect(names(once)).toEqual(['x-log', 'vevent']);
  // The same file once more brings nothing twice.
  expect(names(twice)).toEqual(names(once));
});

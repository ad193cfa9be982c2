import { noticeBefore } from '../model/reminder';
import fc from 'fast-check';
import { FENNICK_LINE } from '../../../testing/readingText';
import { civilDate, DAY, dateString, MINUTE, parseDate } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { zoneEntries } from '../time/zoneSearch';
import { parseEntryLine } from './parseEntryLine';
import { dayWords, type LineChange, rewriteLine } from './rewriteLine';

const today = FENNICK_LINE.selectedDay;
const read = (line: string) => parseEntryLine(line, FENNICK_LINE);
const rewritten = (line: string, change: LineChange) => rewriteLine(line, read(line), change, today);

test.each<[string, LineChange, string]>([
  ['board thu 10:00', { part: 'day', day: parseDate('2027-03-12') }, 'board Fri 12 March 10:00'],
  ['board 10:00', { part: 'day', day: parseDate('2028-03-10') }, 'board Fri 10 March 2028 10:00'],
  ['holiday 3-7 May', { part: 'day', day: parseDate('2027-05-10') }, 'holiday Mon 10 May for 5 days'],
  ['board thu 10-11:30', { part: 'time', minute: 840 }, 'board Thu 11 March 14:00 90 min'],
  ['board thu 10:00 CET', { part: 'time', minute: 900 }, 'board Thu 11 March 15:00 CET'],
  ['board thu 10:00', { part: 'time', minute: undefined }, 'board Thu 11 March'],
  ['board thu', { part: 'time', minute: 600 }, 'board Thu 11 March 10:00'],
  ['board thu 10:00 45 min', { part: 'length', minutes: 120 }, 'board Thu 11 March 10:00 2 h'],
  ['board thu 10:00', { part: 'zone', zone: 'America/Halifax' }, 'board Thu 11 March 10:00 Halifax time'],
  ['board thu 10:00 CET', { part: 'zone', zone: '' }, 'board Thu 11 March 10:00'],
  ['board every tue 10:00', { part: 'repeat', words: 'every 2 weeks' }, 'board every 2 weeks 10:00'],
  ['board every tue 10:00', { part: 'repeat', words: '' }, 'board 10:00'],
  ['board thu 10:00 at Lamp room', { part: 'place', place: 'Chart room' }, 'board thu 10:00 at Chart room'],
  ['board thu 10:00 at Lamp room', { part: 'place', place: ' ' }, 'board thu 10:00'],
  ['board thu 10:00', { part: 'calendar', mark: 'DW' }, 'board thu 10:00 #DW'],
  ['board #ME thu 10:00', { part: 'calendar', mark: 'DW' }, 'board #DW thu 10:00'],
  ['board thu 10:00 free', { part: 'availability', availability: 'away' }, 'board thu 10:00 (away)'],
  ['board thu 10:00 private', { part: 'visibility', classification: 'public' }, 'board thu 10:00'],
  [
    'board thu 10:00',
    { part: 'reminder', reminder: noticeBefore(60) },
    'board thu 10:00 remind me 1 hour before',
  ],
  [
    'board thu 10:00 remind me 5 min before',
    { part: 'reminder', reminder: undefined },
    'board thu 10:00 no reminder',
  ],
])('“%s” with another part', (line, change, expected) => {
  expect(rewritten(line, change)).toBe(expected);
});

test('a line that was rewritten is read as what was set, and its title stays', () => {
  const lines = fc.constantFrom(
    'board thu 10:00 45 min at Lamp room #ME',
    'holiday 3-7 May tentative',
    'Fri 9-10 boat check in Boat shed',
    'call tomorrow morning remind me 10 min before',
    'lens order',
    'panel thu 15:00 Halifax time private',
    'yoga 18:00 for 2 hours',
    'ferry thu 23:00 to fri 02:00',
  );
  const changes = fc.oneof(
    fc.integer({ min: -30, max: 800 }).map((ahead): LineChange => ({ part: 'day', day: today + ahead })),
    fc.integer({ min: 0, max: 95 }).map((quarter): LineChange => ({ part: 'time', minute: quarter * 15 })),
    fc
      .integer({ min: 1, max: 40 })
      .map((quarters): LineChange => ({ part: 'length', minutes: quarters * 15 })),
  );
  fc.assert(
    fc.property(lines, changes, (line, change) => {
      const before = read(line);
      if (change.part === 'length' && before.start.kind === 'date') return;
      const after = read(rewriteLine(line, before, change, today));
      const length = (draft: typeof before) => wallOf(draft.end) - wallOf(draft.start);
      expect([line, after.title, after.location]).toEqual([line, before.title, before.location]);
      if (change.part === 'day')
        expect(dateString(Math.floor(wallOf(after.start) / DAY))).toBe(dateString(change.day));
      if (change.part === 'time') expect((wallOf(after.start) % DAY) / MINUTE).toBe(change.minute);
      if (change.part === 'length') expect(length(after)).toBe(change.minutes * MINUTE);
      else if (before.said.includes('length') && before.start.kind === after.start.kind)
        expect(length(after)).toBe(length(before));
    }),
    { numRuns: 1_000 },
  );
});

test('every day is written so that it is read again', () => {
  fc.assert(
    fc.property(fc.integer({ min: -800, max: 3_000 }), (ahead) => {
      const day = today + ahead;
      const { start } = read(`board ${dayWords(day, today)}`);
      expect([civilDate(day), start]).toEqual([civilDate(day), { kind: 'date', date: dateString(day) }]);
    }),
  );
});

test('every zone that is picked is the one that is read', () => {
  for (const { zone } of zoneEntries()) {
    const after = read(rewritten('board thu 10:00', { part: 'zone', zone }));
    expect([after.title, after.start]).toEqual([
      'board',
      { kind: 'zoned', local: '2027-03-11T10:00:00', zone },
    ]);
  }
});

import fc from 'fast-check';
import { BUSY_DEPTHS, BUSY_KINDS, type BusySpan } from '@/core/model/busyTimes';
import { type WorkingPattern, WORKPLACES } from '@/core/model/settings';
import { parseDate, dateString } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { type FreeBusy, readFreeBusy, writeFreeBusy } from './freeBusyFile';

const START = Date.UTC(2027, 2, 8);
const OWNER = { address: 'tobias.rask@fennick.example', uid: 'tobias' };
const write = (freeBusy: FreeBusy) => writeFreeBusy(freeBusy, START, OWNER);

test('busy times and the working pattern are read back as they were written', () => {
  const minute = fc.nat(200).map((steps) => steps * 5);
  const day = fc
    .record({
      from: minute,
      breaks: fc.uniqueArray(minute, { maxLength: 4 }),
      place: fc.constantFrom(...WORKPLACES),
    })
    .map(({ breaks, place }) => {
      const bounds = [...breaks].sort((a, b) => a - b);
      const spans = [];
      for (let at = 0; at + 1 < bounds.length; at += 2)
        spans.push({ from: bounds[at]!, to: bounds[at + 1]! });
      // Of a day off it makes no difference where it is spent.
      return { spans, place: spans.length > 0 ? place : ('office' as const) };
    });
  const pattern = fc.record({
    weekdays: fc.array(day, { minLength: 7, maxLength: 7 }),
    exceptions: fc.dictionary(
      fc.nat(60).map((days) => dateString(parseDate('2027-03-01') + days)),
      day,
      { maxKeys: 4 },
    ),
  });
  const span = fc.record({
    start: fc.nat(20_000).map((minutes) => START + minutes * 60_000),
    minutes: fc.integer({ min: 1, max: 3000 }),
    kind: fc.constantFrom(...BUSY_KINDS),
    title: fc.constantFrom('Lens survey', 'A, b; "c" ^ d', 'Überfahrt'),
  });
  fc.assert(
    fc.property(
      pattern,
      fc.array(span, { maxLength: 20 }),
      fc.constantFrom(...BUSY_DEPTHS),
      (workingPattern, spans, depth) => {
        const written: FreeBusy = {
          range: { start: START, end: START + 28 * 86_400_000 },
          depth,
          spans: spans
            .map(({ start, minutes, kind, title }): BusySpan => ({
              start,
              end: start + minutes * 60_000,
              kind,
              ...(depth === 'busy' ? {} : { title: title.replaceAll('"', '') }),
            }))
            .sort((a, b) => a.start - b.start || a.end - b.end),
          workingPattern: workingPattern as WorkingPattern,
          zone: 'Europe/Oslo',
        };
        const read = readFreeBusy(write(written))!;
        const isWorked = workingPattern.weekdays.some(({ spans: own }) => own.length > 0);
        expect(read).toEqual(isWorked ? written : { range: written.range, depth, spans: written.spans });
      },
    ),
    { numRuns: 100 },
  );
});

test('only what the depth allows is written', () => {
  const span: BusySpan = {
    start: START,
    end: START + 1,
    kind: 'busy',
    title: 'Secret survey',
    place: 'Hidden cove',
  };
  const end = START + 60_000;
  const at = (depth: FreeBusy['depth']) =>
    write({ range: { start: START, end }, depth, spans: [{ ...span, end }] });
  expect(at('busy')).not.toMatch(/Secret|Hidden/);
  expect(at('titles')).toContain('Secret survey');
  expect(at('titles')).not.toContain('Hidden');
  expect(at('everything')).toContain('Hidden cove');
});

test('periods with a length, several on a line, free ones and nonsense are read for what they are', () => {
  const text = [
    'BEGIN:VCALENDAR',
    'BEGIN:VFREEBUSY',
    'DTSTART:20270308T000000Z',
    'DTEND:20270315T000000Z',
    'FREEBUSY;FBTYPE=BUSY-TENTATIVE:20270309T090000Z/PT1H,20270308T090000Z/20270308T100000Z',
    'FREEBUSY;FBTYPE=FREE:20270310T090000Z/PT1H',
    'FREEBUSY;FBTYPE=X-ODD:20270311T090000Z/PT30M',
    'FREEBUSY:20270312T100000Z/20270312T090000Z',
    'FREEBUSY:nonsense',
    'END:VFREEBUSY',
    'END:VCALENDAR',
  ].join('\r\n');
  const read = readFreeBusy(text)!;
  expect(read.depth).toBe('busy');
  expect(
    read.spans.map(({ start, end, kind }) => [
      new Date(start).toISOString().slice(5, 16),
      (end - start) / 60_000,
      kind,
    ]),
  ).toEqual([
    ['03-08T09:00', 60, 'tentative'],
    ['03-09T09:00', 60, 'tentative'],
    ['03-11T09:00', 30, 'busy'],
  ]);
  expect(readFreeBusy('BEGIN:VCALENDAR\r\nEND:VCALENDAR')).toBeUndefined();
});

test('weekdays with the same hours are said once', () => {
  const text = write({
    range: { start: START, end: START + 1000 },
    depth: 'busy',
    spans: [],
    workingPattern: standardWorkingPattern,
    zone: 'Europe/Lisbon',
  });
  expect(text.match(/BEGIN:AVAILABLE/g)).toHaveLength(2);
  expect(text).toContain('RRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR');
});

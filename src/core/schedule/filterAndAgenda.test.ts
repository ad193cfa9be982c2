import fc from 'fast-check';
import { date, event, FENNICK, series, zoned } from '../../../testing/samples';
import type { CalendarEvent } from '../model/entry';
import { type EntryFilter, NO_FILTER } from '../model/look';
import { DAY, HOUR, localString, MINUTE, parseDate, parseLocal } from '../time/civil';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { wallToInstant } from '../time/zones';
import { agendaOf, type AgendaPart } from './agenda';
import { filterTest, isFilterEmpty } from './entryFilter';
import { dayWindow, OccurrenceIndex } from './occurrenceIndex';
import { daysOf } from './occurrence';

const invited = (partstat: string, fields: Partial<CalendarEvent> = {}) =>
  event({
    attendees: [{ address: 'mailto:marek@fennick.example', parameters: { cn: 'Marek Dunne', partstat } }],
    ...fields,
  });

describe('a filter', () => {
  const all = {
    plain: event({ id: 'plain', title: 'Lamp order', location: 'Stores' }),
    online: event({ id: 'online', location: 'online', categories: ['report'] }),
    series: series('FREQ=WEEKLY', { id: 'series', availability: 'tentative' }),
    asked: invited('NEEDS-ACTION', { id: 'asked', classification: 'private' }),
    answered: invited('DECLINED', { id: 'answered', notes: 'Brûlé lens' }),
  };
  const passing = (fields: Partial<EntryFilter>) =>
    Object.values(all)
      .filter(filterTest({ ...NO_FILTER, ...fields }))
      .map(({ id }) => id);

  test('lets through what has all that it names', () => {
    expect(passing({})).toHaveLength(5);
    expect(passing({ categories: ['report', 'other'] })).toEqual(['online']);
    expect(passing({ availabilities: ['tentative'] })).toEqual(['series']);
    expect(passing({ classifications: ['private'] })).toEqual(['asked']);
    expect(passing({ recurring: 'series' })).toEqual(['series']);
    expect(passing({ recurring: 'single', people: 'without' })).toEqual(['plain', 'online']);
    expect(passing({ people: 'with' })).toEqual(['asked', 'answered']);
    expect(passing({ meeting: 'online' })).toEqual(['online']);
    expect(passing({ meeting: 'in-person', recurring: 'series' })).toEqual(['series']);
    expect(passing({ answer: 'answered' })).toEqual(['answered']);
    expect(passing({ answer: 'unanswered' })).toEqual(['asked']);
  });

  test('finds words in title, place, notes and people, whatever their accents', () => {
    expect(passing({ text: 'stores LAMP' })).toEqual(['plain']);
    expect(passing({ text: 'brule' })).toEqual(['answered']);
    expect(passing({ text: 'marek' })).toEqual(['asked', 'answered']);
    expect(passing({ text: 'harbour' })).toEqual([]);
  });

  test('is empty where it names nothing', () => {
    expect(isFilterEmpty({ ...NO_FILTER, text: '  ' })).toBe(true);
    expect(isFilterEmpty({ ...NO_FILTER, answer: 'answered' })).toBe(false);
  });
});

describe('an agenda', () => {
  const now = wallToInstant(FENNICK, parseLocal('2027-03-09T10:20'));
  const context = { zone: FENNICK, homeZone: FENNICK, pattern: standardWorkingPattern, now };
  const agenda = (first: string, end: string, ...events: CalendarEvent[]): AgendaPart[] => {
    const index = new OccurrenceIndex();
    index.load(events);
    const [from, to] = [parseDate(first), parseDate(end)];
    return agendaOf(index.between(dayWindow(from, to, FENNICK), FENNICK), from, to, context);
  };
  const time = (wall: number) => localString(wall).slice(11, 16);
  const said = (part: AgendaPart | undefined) =>
    part?.kind === 'day'
      ? part.items.map((item) =>
          item.kind === 'entry'
            ? `${item.occurrence.title}${item.continues ? ' goes on' : ''}`
            : item.kind === 'gap'
              ? `free ${time(item.startWall)}-${time(item.endWall)}`
              : `now, ${item.next === undefined ? 'nothing' : item.next / MINUTE} to the next`,
        )
      : undefined;

  test('says the free times between the entries of the working hours, from now on', () => {
    const parts = agenda(
      '2027-03-09',
      '2027-03-10',
      event({ title: 'report', start: zoned('2027-03-09T10:30'), end: zoned('2027-03-09T12:00') }),
      event({ title: 'call', start: zoned('2027-03-09T14:00'), end: zoned('2027-03-09T15:00') }),
    );
    expect(said(parts[0])).toEqual([
      'now, 10 to the next',
      'report',
      'free 12:00-12:30',
      'free 13:30-14:00',
      'call',
      'free 15:00-17:00',
    ]);
  });

  test('an entry over several days stands on each of them, and days without any are drawn together', () => {
    const parts = agenda(
      '2027-03-10',
      '2027-03-20',
      event({ title: 'trip', start: date('2027-03-13'), end: date('2027-03-15') }),
    );
    expect(parts.map((part) => (part.kind === 'day' ? part.day : [part.first, part.end]))).toEqual([
      [parseDate('2027-03-10'), parseDate('2027-03-13')],
      parseDate('2027-03-13'),
      parseDate('2027-03-14'),
      [parseDate('2027-03-15'), parseDate('2027-03-20')],
    ]);
    expect(said(parts[1])).toEqual(['trip']);
    expect(said(parts[2])).toEqual(['trip goes on']);
  });

  test('today stands alone, also without entries', () => {
    const parts = agenda('2027-03-08', '2027-03-11');
    expect(parts.map(({ kind }) => kind)).toEqual(['empty', 'day', 'empty']);
    expect(said(parts[1])![0]).toBe('now, nothing to the next');
  });

  test('loses no entry on any day, and its free times touch none that takes time', () => {
    const entries = fc.array(fc.tuple(fc.integer({ min: 0, max: 6 * 48 }), fc.integer({ min: 1, max: 60 })), {
      maxLength: 15,
    });
    fc.assert(
      fc.property(entries, (all) => {
        const start = parseDate('2027-03-10') * DAY;
        const local = (halfHours: number) => zoned(localString(start + (halfHours * HOUR) / 2));
        const events = all.map(([at, length], index) =>
          event({ id: `entry ${index}`, start: local(at), end: local(at + length) }),
        );
        const parts = agenda('2027-03-10', '2027-03-17', ...events);
        const days = parts.flatMap((part) => (part.kind === 'day' ? [part] : []));
        const index = new OccurrenceIndex();
        index.load(events);
        const window = dayWindow(parseDate('2027-03-10'), parseDate('2027-03-17'), FENNICK);
        for (const occurrence of index.between(window, FENNICK)) {
          const { first: from, end } = daysOf(occurrence);
          const on = days.filter(({ items }) =>
            items.some((item) => item.kind === 'entry' && item.occurrence.key === occurrence.key),
          );
          expect(on).toHaveLength(Math.min(end, parseDate('2027-03-17')) - from);
          for (const { items } of days)
            for (const item of items)
              if (item.kind === 'gap')
                expect(item.startWall >= occurrence.endWall || item.endWall <= occurrence.startWall).toBe(
                  true,
                );
        }
      }),
    );
  });
});

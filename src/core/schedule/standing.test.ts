import fc from 'fast-check';
import { event } from '../../../testing/samples';
import { appearanceOf } from '../layout/appearance';
import { AVAILABILITIES, type CalendarEvent, OWN_ANSWERS, STATUSES } from '../model/entry';
import { ownBusy } from '../people/busy/ownBusy';
import { comingUp } from './comingUp';
import { minutesByCalendar } from './load';
import { OccurrenceIndex } from './occurrenceIndex';
import { busyKindOf, standingOf, takesTime } from './standing';

it.each([
  ['open', {}],
  ['open', { ownAnswer: 'accepted' as const }],
  ['tentative', { status: 'tentative' as const }],
  ['tentative', { availability: 'tentative' as const }],
  ['off', { status: 'cancelled' as const }],
  ['off', { ownAnswer: 'declined' as const, status: 'tentative' as const }],
])('an event is %s that is %j', (standing, fields) => {
  expect(standingOf(event(fields))).toBe(standing);
});

it('a to-do is done once it is completed, and time for one with it', () => {
  expect(standingOf({ status: 'completed' })).toBe('done');
  expect(standingOf({ status: 'needs-action' })).toBe('open');
  expect(standingOf({ status: 'confirmed', availability: 'busy', isDone: true })).toBe('done');
  expect(standingOf({ status: 'cancelled', isDone: true })).toBe('off');
});

const fields = fc.record({
  status: fc.constantFrom(...STATUSES),
  availability: fc.constantFrom(...AVAILABILITIES),
  ownAnswer: fc.option(fc.constantFrom(...OWN_ANSWERS), { nil: undefined }),
});

it('load, free/busy, what comes next and looks agree about every event', () => {
  fc.assert(
    fc.property(fields, (drawn) => {
      const kept: CalendarEvent = event(drawn);
      const index = new OccurrenceIndex();
      index.load([kept]);
      const far = 400 * 86_400_000;
      const start = Date.UTC(2027, 2, 9);
      const window = { start: start - far, end: start + far };
      const occurrences = index.between(window, 'UTC');
      expect(occurrences).toHaveLength(1);
      const [occurrence] = occurrences;
      const isOff = drawn.status === 'cancelled' || drawn.ownAnswer === 'declined';
      const isTentative = drawn.status === 'tentative' || drawn.availability === 'tentative';
      const kind =
        isOff || drawn.availability === 'free' ? undefined : isTentative ? 'tentative' : drawn.availability;
      expect(busyKindOf(kept)).toBe(kind);
      expect(ownBusy(occurrences).map((span) => span.kind)).toEqual(kind ? [kind] : []);
      const isBooked = kind === 'busy' || kind === 'away';
      expect(takesTime(occurrence!)).toBe(isBooked);
      expect(Object.keys(minutesByCalendar(occurrences, window))).toHaveLength(isBooked ? 1 : 0);
      const taken = index.takenBetween(window, 'UTC', {}, () => true);
      expect(taken).toHaveLength(isBooked ? 1 : 0);
      expect(comingUp(occurrences, window.start).next !== undefined).toBe(kind !== undefined);
      const look = appearanceOf(occurrence!, 'pine', new Map());
      expect(look.isStruck).toBe(isOff);
      if (drawn.ownAnswer !== 'needs-action')
        expect(look.paper).toBe(kind === undefined ? 'free' : isBooked ? 'taken' : 'tentative');
    }),
  );
});

import type { BusySpan } from '../../model/busyTimes';
import { DAY, dayNumber, HOUR } from '../../time/civil';
import { standardWorkingPattern } from '../../time/standardWorkingPattern';
import { wallToInstant } from '../../time/zones';
import { type Attending, whoCant } from './whoCant';

const ZONE = 'Europe/Oslo';
const TUESDAY = dayNumber(2027, 3, 9);
const at = (hour: number): number => wallToInstant(ZONE, TUESDAY * DAY + hour * HOUR);
const busy = (from: number, to: number, kind: BusySpan['kind'], title?: string): BusySpan => ({
  start: at(from),
  end: at(to),
  kind,
  ...(title === undefined ? {} : { title }),
});
const tobias = (fields: Partial<Attending> = {}): Attending => ({
  id: 'tobias',
  zone: ZONE,
  workingPattern: standardWorkingPattern,
  busy: [],
  known: { start: at(0), end: at(24) },
  ...fields,
});
const states = (fields: Partial<Attending>, from = 10, to = 11) =>
  whoCant([tobias(fields)], { start: at(from), end: at(to) }).map(({ state }) => [state.kind, state.title]);

test('who is free at all of a time is in nobody’s way', () => {
  expect(states({})).toEqual([]);
  expect(states({ busy: [busy(9, 10, 'busy'), busy(11, 12, 'busy')] })).toEqual([]);
});

test('the gravest that overlaps is named', () => {
  expect(
    states({ busy: [busy(10, 10.5, 'tentative', 'Visit'), busy(10.5, 12, 'busy', 'Workshop')] }),
  ).toEqual([['busy', 'Workshop']]);
  expect(states({ busy: [busy(10.75, 12, 'tentative')] })).toEqual([['tentative', undefined]]);
});

test('before and after work nobody is there; what is not known is said to be so', () => {
  expect(states({}, 6, 7)).toEqual([['not-working', undefined]]);
  expect(states({}, 16.9, 19)).toEqual([['not-working', undefined]]);
  expect(states({ known: undefined })).toEqual([['unknown', undefined]]);
  expect(states({ known: { start: at(0), end: at(10.5) } })).toEqual([['unknown', undefined]]);
});

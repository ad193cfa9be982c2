import { FENNICK } from '../../../testing/samples';
import type { QuietTimes } from '../model/settings';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { heardAt } from './quietHours';

const at = (local: string): number =>
  Temporal.PlainDateTime.from(local).toZonedDateTime(FENNICK).epochMilliseconds;
const heard = (local: string, quiet: QuietTimes | undefined, calendarId = 'meetings'): string =>
  Temporal.Instant.fromEpochMilliseconds(
    heardAt(at(local), calendarId, quiet, standardWorkingPattern, FENNICK),
  )
    .toZonedDateTimeISO(FENNICK)
    .toPlainDateTime()
    .toString({ smallestUnit: 'minute' });

const night: QuietTimes = {
  hours: { from: 1320, to: 420 },
  onlyWorkingHours: false,
  exceptCalendarIds: ['home'],
};
const noon: QuietTimes = { hours: { from: 720, to: 780 }, onlyWorkingHours: false, exceptCalendarIds: [] };
const work: QuietTimes = { onlyWorkingHours: true, exceptCalendarIds: [] };

test.each([
  ['without quiet hours, at once', undefined, '2027-03-09T23:30', '2027-03-09T23:30'],
  ['before midnight, in the morning after', night, '2027-03-09T23:30', '2027-03-10T07:00'],
  ['after midnight, in the same morning', night, '2027-03-10T01:00', '2027-03-10T07:00'],
  ['as quiet begins, it is quiet', night, '2027-03-09T22:00', '2027-03-10T07:00'],
  ['as quiet ends, it is heard', night, '2027-03-10T07:00', '2027-03-10T07:00'],
  [
    'in the night of the clock change, at seven of the new clock',
    night,
    '2027-03-27T23:00',
    '2027-03-28T07:00',
  ],
  ['over noon', noon, '2027-03-09T12:10', '2027-03-09T13:00'],
  ['in working hours, at once', work, '2027-03-09T10:20', '2027-03-09T10:20'],
  ['on a Saturday, as Monday begins', work, '2027-03-13T11:00', '2027-03-15T08:30'],
])('%s', (_, quiet, due, expected) => {
  expect(heard(due, quiet)).toBe(expected);
});

test('chosen calendars are heard at any time', () => {
  expect(heard('2027-03-09T23:30', night, 'home')).toBe('2027-03-09T23:30');
});

test('where it is never anything but quiet, a reminder is not lost', () => {
  const never = { ...work, hours: { from: 0, to: 1439 } };
  expect(heard('2027-03-13T11:00', never)).toBe('2027-03-13T11:00');
});

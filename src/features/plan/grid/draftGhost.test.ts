import { blankFields } from '@/core/change/eventFields';
import { DAY, HOUR, parseDate } from '@/core/time/civil';
import { calendar, date, FENNICK, zoned } from '../../../../testing/samples';
import { draftGhost } from './draftGhost';

const day = parseDate('2027-03-09') * DAY;
const calendars = [calendar()];
const fields = (start: string, end: string) => blankFields('meetings', zoned(start), zoned(end));

test('a draft is drawn at its wall times in the zone of the view, in its calendar’s colour', () => {
  const written = { ...fields('2027-03-09T14:00', '2027-03-09T15:30'), title: 'Crane survey' };
  expect(draftGhost(written, undefined, calendars, FENNICK)).toMatchObject({
    title: 'Crane survey',
    colour: 'harbour',
    mark: 'ME',
    startWall: day + 14 * HOUR,
    endWall: day + 15.5 * HOUR,
    allDay: false,
    copy: false,
  });
  // In Oslo it is an hour later.
  expect(draftGhost(written, undefined, calendars, 'Europe/Oslo').startWall).toBe(day + 15 * HOUR);
});

test('one of whole days, or of a day and more, lies above the hours', () => {
  const whole = blankFields('meetings', date('2027-03-09'), date('2027-03-11'));
  expect(draftGhost(whole, undefined, calendars, FENNICK)).toMatchObject({
    allDay: true,
    startWall: day,
    endWall: day + 2 * DAY,
  });
  const long = fields('2027-03-09T14:00', '2027-03-10T14:00');
  expect(draftGhost(long, undefined, calendars, FENNICK).allDay).toBe(true);
});

test('one that edits an occurrence is known by its key, also while its calendar is gone', () => {
  const target = { entryId: 'rounds', recurrenceKey: '2027-03-09T14:00:00' };
  const ghost = draftGhost(fields('2027-03-09T14:00', '2027-03-09T15:00'), target, [], FENNICK);
  expect(ghost).toMatchObject({ edits: 'rounds|2027-03-09T14:00:00', colour: 'slate', mark: '' });
  expect(ghost.calendarId).toBeUndefined();
});

import { event } from '../../../testing/samples';
import { readCalendarFile } from '../interchange/icalendar/readCalendarFile';
import { writeCalendarFile } from '../interchange/icalendar/writeCalendarFile';
import { MINUTE } from '../time/civil';
import { isTimeToJoin, joinLink, newMeeting, withMeeting } from './onlineMeeting';

const rooms = { origin: 'https://week.example', newSecret: () => 'secret' };
const guests = { attendees: [{ address: 'mailto:tobias@fennick.example', parameters: {} }] };

test('an entry that is held online with others gets a room; where that is set, each with others does', () => {
  const room = { conferences: [newMeeting(rooms)] };
  expect(withMeeting(event({ ...guests, location: 'Online' }), {}, rooms)).toMatchObject(room);
  expect(withMeeting(event(guests), { onlineWithGuests: true }, rooms)).toMatchObject(room);
  for (const [fields, settings] of [
    [guests, {}],
    [{ location: 'online' }, {}],
    [{}, { onlineWithGuests: true as const }],
  ] as const)
    expect(withMeeting(event(fields), settings, rooms)).not.toHaveProperty('conferences');
  const own = [{ uri: 'https://tern.example/7', parameters: {} }];
  expect(
    withMeeting(event({ ...guests, conferences: own }), { onlineWithGuests: true }, rooms).conferences,
  ).toBe(own);
});

test('its room is written to a file, and read back', async () => {
  const one = withMeeting(event({ ...guests, location: 'online' }), {}, rooms);
  const text = writeCalendarFile([event(one)]).replaceAll('\r\n ', '');
  expect(text).toContain('CONFERENCE;FEATURE=AUDIO,VIDEO;LABEL=Online meeting');
  const { events } = await readCalendarFile(text, { zone: 'UTC', now: 0, newId: () => 'read' });
  expect(events[0]!.conferences).toEqual(one.conferences);
});

test('it is joined where its room is, else by its link, from five minutes before its start to its end', () => {
  expect(joinLink(event({ conferences: [newMeeting(rooms)], url: 'https://tern.example' }))).toBe(
    'https://week.example/meet/secret',
  );
  expect(joinLink(event({ url: 'https://tern.example' }))).toBe('https://tern.example');
  expect(joinLink(event({ url: 'tel:555' }))).toBeUndefined();
  const span = { start: 60 * MINUTE, end: 90 * MINUTE };
  expect([54, 55, 89, 90].map((minute) => isTimeToJoin(span, minute * MINUTE))).toEqual([
    false,
    true,
    true,
    false,
  ]);
});

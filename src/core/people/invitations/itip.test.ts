import { event, series, zoned } from '../../../../testing/samples';
import { readCalendarFile } from '../../interchange/icalendar/readCalendarFile';
import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { Invitation } from '../../model/invitation';
import { readFreeBusy } from '../busy/freeBusyFile';
import { answerFor } from './answers';
import { answerInvitation, askAgain, type GivenAnswer, guestEvents, receiveAsGuest } from './guest';
import { dateKey, type ItipMessage } from './itipMessage';
import { declineProposal, receiveAsOrganizer, silentGuests, tellAgain } from './organizer';
import { readMessages } from './readMessage';
import type { Outgoing } from './addressing';
import { type Audience, tell, type Told } from './telling';
import { untoldOf } from './untold';
import { writeMessage } from './writeMessage';
import { MINUTE } from '../../time/civil';

const JUNA = 'juna.marsh@fennick.example';
const SALMA = 'salma.wray@fennick.example';
const TOBIAS = 'tobias.rask@fennick.example';
const OONA = 'oona.pell@fennick.example';

const user = (address: string, parameters: CalendarUser['parameters'] = {}): CalendarUser => ({
  address: `mailto:${address}`,
  parameters: { role: 'REQ-PARTICIPANT', rsvp: 'TRUE', partstat: 'NEEDS-ACTION', ...parameters },
});
const organizer: CalendarUser = { address: `mailto:${JUNA}`, parameters: { cn: 'Juna Marsh' } };
let clock = Date.UTC(2027, 1, 1, 12);
const later = (): number => (clock += MINUTE);
let ids = 0;
const options = () => ({ zone: 'Europe/Lisbon', now: clock, newId: () => `read-${++ids}` });

/** A message as it is after it has gone by mail. */
const mailed = (message: ItipMessage): ItipMessage => readMessages(writeMessage(message), options())[0]!;

const telling = (
  invitation: Invitation | undefined,
  events: readonly CalendarEvent[],
  audience: Audience = 'all',
): Told =>
  tell(events[0]?.uid ?? invitation!.id, invitation, events, {
    organizer,
    own: [JUNA],
    audience,
    comment: '',
    now: later(),
  })!;

/** What goes to somebody. */
const to = (outgoing: readonly Outgoing[], address: string): ItipMessage[] =>
  outgoing.filter((each) => each.to.includes(address)).map(({ message }) => mailed(message));
const methods = (outgoing: readonly Outgoing[], address: string): string[] =>
  to(outgoing, address).map(({ method }) => method);

/** Lets a guest take in all that goes to them. */
const taking = (known: Invitation | undefined, messages: readonly ItipMessage[]): Invitation | undefined =>
  messages.reduce((invitation, message) => {
    const received = receiveAsGuest(invitation, message, JUNA);
    return received.kind === 'taken' ? received.invitation : invitation;
  }, known);

const answering = (invitation: Invitation, address: string, given: Partial<GivenAnswer>) =>
  answerInvitation(invitation, { answer: 'accepted', comment: '', ...given }, [address], later());
const replied = (invitation: Invitation, outgoing: Outgoing, from: string): Invitation => {
  const received = receiveAsOrganizer(invitation, mailed(outgoing.message), from);
  if (received.kind !== 'taken') throw new Error(received.kind);
  return received.invitation;
};

const meeting = (fields: Partial<CalendarEvent> = {}): CalendarEvent =>
  event({
    id: 'conference',
    uid: 'conference@fennick.example',
    title: 'Lamp conference',
    attendees: [
      user(JUNA, { partstat: 'ACCEPTED' }),
      user(SALMA),
      user(TOBIAS),
      user(OONA, { role: 'OPT-PARTICIPANT' }),
    ],
    ...fields,
  });
const weekly = (fields: Partial<CalendarEvent> = {}): CalendarEvent =>
  series('FREQ=WEEKLY;COUNT=8', {
    id: 'round',
    uid: 'round@fennick.example',
    title: 'Works round',
    attendees: [user(JUNA, { partstat: 'ACCEPTED' }), user(SALMA), user(TOBIAS)],
    ...fields,
  });
const SECOND = zoned('2027-03-16T14:00');
const THIRD = zoned('2027-03-23T14:00');
const changedDate = (fields: Partial<CalendarEvent>): CalendarEvent =>
  event({
    id: 'second',
    uid: 'round@fennick.example',
    title: 'Works round',
    seriesId: 'round',
    recurrenceId: SECOND,
    start: SECOND,
    end: zoned('2027-03-16T15:00'),
    attendees: [user(JUNA, { partstat: 'ACCEPTED' }), user(SALMA), user(TOBIAS)],
    ...fields,
  });

describe('one event (RFC 5546 4.2)', () => {
  test('4.2.1 it is requested of all, with nothing that is one’s own', () => {
    const told = telling(undefined, [
      meeting({ categories: ['tide'], reminders: [], travel: { there: 20, back: 0 }, calendarId: 'home' }),
    ]);
    expect(told.outgoing).toHaveLength(1);
    expect(told.outgoing[0]!.to).toEqual([SALMA, TOBIAS, OONA]);
    const text = writeMessage(told.outgoing[0]!.message);
    expect(text).toContain('METHOD:REQUEST');
    for (const own of ['tide', 'VALARM', 'TRAVEL', 'home', 'CREATED']) expect(text).not.toContain(own);
    const came = taking(undefined, to(told.outgoing, SALMA))!;
    expect(guestEvents(came, [SALMA])).toEqual([
      expect.objectContaining({ title: 'Lamp conference', ownAnswer: 'needs-action', sequence: 0 }),
    ]);
  });

  test('4.2.2 a reply says who answered what, and in which words', () => {
    const told = telling(undefined, [meeting()]);
    const came = taking(undefined, to(told.outgoing, SALMA))!;
    const { outgoing, invitation } = answering(came, SALMA, {
      answer: 'tentative',
      comment: 'Depends on the ferry',
    });
    expect(outgoing.to).toEqual([JUNA]);
    expect(mailed(outgoing.message).parts[0]!.attendees).toHaveLength(1);
    expect(guestEvents(invitation, [SALMA])[0]!.ownAnswer).toBe('tentative');
    const answered = replied(told.invitation, outgoing, SALMA);
    expect(answerFor(answered.answers, SALMA)).toMatchObject({
      answer: 'tentative',
      comment: 'Depends on the ferry',
    });
    expect(silentGuests(answered, meeting(), [JUNA]).map(({ address }) => address)).toEqual([
      `mailto:${TOBIAS}`,
      `mailto:${OONA}`,
    ]);
  });

  test('4.2.3 at another time it is asked again; a word changed in its title is told and asks nobody', () => {
    const told = telling(undefined, [meeting()]);
    const came = taking(undefined, to(told.outgoing, SALMA))!;
    const yes = answering(came, SALMA, {});
    const answered = replied(told.invitation, yes.outgoing, SALMA);
    const renamed = telling(answered, [meeting({ title: 'Lamps' })]);
    const cameRenamed = taking(yes.invitation, to(renamed.outgoing, SALMA))!;
    expect(guestEvents(cameRenamed, [SALMA])[0]).toMatchObject({ title: 'Lamps', ownAnswer: 'accepted' });
    expect(answerFor(renamed.invitation.answers, SALMA)?.isOutdated).toBeUndefined();
    const moved = telling(renamed.invitation, [
      meeting({ title: 'Lamps', start: zoned('2027-03-09T16:00'), end: zoned('2027-03-09T17:00') }),
    ]);
    const cameMoved = taking(cameRenamed, to(moved.outgoing, SALMA))!;
    expect(guestEvents(cameMoved, [SALMA])[0]).toMatchObject({
      start: zoned('2027-03-09T16:00'),
      ownAnswer: 'needs-action',
    });
    expect(answerFor(moved.invitation.answers, SALMA)?.isOutdated).toBe(true);
    expect(moved.invitation.sequence).toBe(2);
  });

  test('4.2.4 another time is proposed, and turned down or taken', () => {
    const told = telling(undefined, [meeting()]);
    const came = taking(undefined, to(told.outgoing, TOBIAS))!;
    const proposal = { start: zoned('2027-03-10T09:00'), end: zoned('2027-03-10T10:00') };
    const counter = answering(came, TOBIAS, { answer: 'declined', proposal, comment: 'On the boat' });
    const message = mailed(counter.outgoing.message);
    expect(message).toMatchObject({ method: 'COUNTER', sequence: 0 });
    expect(message.parts[0]!.event!.start).toEqual(proposal.start);
    expect(receiveAsOrganizer(told.invitation, message, TOBIAS).kind).toBe('proposal');
    const no = declineProposal(told.invitation, message, 'The room is taken then', later());
    const declined = taking(counter.invitation, [mailed(no.message)])!;
    expect(declined.proposal).toMatchObject({ isDeclined: true, comment: 'The room is taken then' });
    const taken = telling(told.invitation, [meeting(proposal)]);
    expect(guestEvents(taking(counter.invitation, to(taken.outgoing, TOBIAS))!, [TOBIAS])[0]).toMatchObject(
      proposal,
    );
  });

  test('4.2.5, 4.2.8 who hands it on is marked so; the other, who was not invited, waits for a decision', () => {
    const told = telling(undefined, [meeting()]);
    const came = taking(undefined, to(told.outgoing, SALMA))!;
    const reply = answering(came, SALMA, {}).outgoing.message;
    const handedOn: ItipMessage = {
      ...reply,
      parts: [
        {
          ...reply.parts[0]!,
          attendees: [
            user(SALMA, { partstat: 'DELEGATED', 'delegated-to': `mailto:dev.arlen@fennick.example` }),
            user('dev.arlen@fennick.example'),
          ],
        },
      ],
    };
    const answered = replied(told.invitation, { to: [JUNA], message: handedOn }, SALMA);
    expect(answerFor(answered.answers, SALMA)?.answer).toBe('delegated');
    const other = {
      ...reply,
      parts: [
        { ...reply.parts[0]!, attendees: [user('dev.arlen@fennick.example', { partstat: 'ACCEPTED' })] },
      ],
    };
    expect(receiveAsOrganizer(answered, mailed(other), 'dev.arlen@fennick.example').kind).toBe('stranger');
  });

  test('4.2.9 called off, all are told, and it stands as called off', () => {
    const told = telling(undefined, [meeting()]);
    const off = telling(told.invitation, []);
    expect(methods(off.outgoing, OONA)).toEqual(['CANCEL']);
    const came = taking(taking(undefined, to(told.outgoing, OONA)), to(off.outgoing, OONA))!;
    expect(guestEvents(came, [OONA])[0]!.status).toBe('cancelled');
    expect(untoldOf(off.invitation, [], [JUNA])).toBeUndefined();
  });

  test('4.2.10 who is no longer invited hears that, and the others only if all are told', () => {
    const told = telling(undefined, [meeting()]);
    const fewer = meeting({ attendees: meeting().attendees!.slice(0, 3) });
    const touched = telling(told.invitation, [fewer], 'touched');
    expect(touched.outgoing.map(({ to: whom, message }) => [message.method, ...whom])).toEqual([
      ['CANCEL', OONA],
    ]);
    expect(writeMessage(touched.outgoing[0]!.message)).not.toContain(SALMA);
    const all = telling(told.invitation, [fewer], 'all');
    expect([SALMA, TOBIAS, OONA].map((each) => methods(all.outgoing, each))).toEqual([
      ['REQUEST'],
      ['REQUEST'],
      ['CANCEL'],
    ]);
  });

  test('one more guest hears of it; the others only if all are told', () => {
    const few = meeting({ attendees: meeting().attendees!.slice(0, 3) });
    const told = telling(undefined, [few]);
    expect(untoldOf(told.invitation, [meeting()], [JUNA])).toMatchObject({
      kind: 'changed',
      isRescheduled: false,
      added: [expect.objectContaining({ address: `mailto:${OONA}` })],
      touched: [expect.objectContaining({ address: `mailto:${OONA}` })],
    });
    const touched = telling(told.invitation, [meeting()], 'touched');
    expect(touched.outgoing.map(({ to: whom }) => whom)).toEqual([[OONA]]);
  });

  test('who may not see the others sees none of them: invited, reminded, and when it is called off', () => {
    const told = telling(undefined, [meeting({ guestsMay: [] })]);
    const off = telling(told.invitation, []);
    const again = tellAgain(told.invitation, [user(SALMA), user(TOBIAS), user(OONA)], '', later());
    const all = [...told.outgoing, ...off.outgoing, ...again];
    expect(all).toHaveLength(9);
    for (const { to: whom, message } of all)
      for (const other of [SALMA, TOBIAS, OONA].filter((each) => !whom.includes(each)))
        expect(writeMessage(message)).not.toContain(other);
  });
});

describe('a series (RFC 5546 4.4)', () => {
  const told = telling(undefined, [weekly()]);
  const came = taking(undefined, to(told.outgoing, SALMA))!;

  test('4.4.1 it goes with its rule and its zone', () => {
    const text = writeMessage(told.outgoing[0]!.message);
    expect(text).toContain('RRULE:FREQ=WEEKLY;COUNT=8');
    expect(text).toContain('BEGIN:VTIMEZONE');
    expect(guestEvents(came, [SALMA])[0]!.recurrence?.rules).toEqual(['FREQ=WEEKLY;COUNT=8']);
  });

  test('4.4.2 one date that changed goes alone, with its RECURRENCE-ID', () => {
    const moved = changedDate({ start: zoned('2027-03-17T10:00'), end: zoned('2027-03-17T11:00') });
    const next = telling(told.invitation, [weekly(), moved]);
    const [message] = to(next.outgoing, SALMA);
    expect(message!.parts).toHaveLength(1);
    expect(dateKey(message!.parts[0]!.recurrenceId)).toBe(dateKey(SECOND));
    const events = guestEvents(taking(came, [message!])!, [SALMA]);
    expect(events.map(({ start }) => start)).toEqual([weekly().start, zoned('2027-03-17T10:00')]);
  });

  test('4.4.3 a date that is left out is called off alone; 4.4.4 the series as a whole', () => {
    const left = weekly({
      recurrence: { rules: ['FREQ=WEEKLY;COUNT=8'], dates: [], exceptionDates: [THIRD] },
    });
    const next = telling(told.invitation, [left]);
    const [message] = to(next.outgoing, SALMA);
    expect(message).toMatchObject({ method: 'CANCEL', sequence: 1 });
    const after = taking(came, [message!])!;
    expect(guestEvents(after, [SALMA])[0]!.recurrence?.exceptionDates.map(dateKey)).toEqual([dateKey(THIRD)]);
    const off = telling(next.invitation, []);
    expect(guestEvents(taking(after, to(off.outgoing, SALMA))!, [SALMA])[0]!.status).toBe('cancelled');
  });

  test('4.4.5 from a date on it is another series; the earlier one ends before', () => {
    const earlier = weekly({
      recurrence: { rules: ['FREQ=WEEKLY;UNTIL=20270316T150000Z'], dates: [], exceptionDates: [] },
    });
    const next = telling(told.invitation, [earlier]);
    expect(methods(next.outgoing, SALMA)).toEqual(['REQUEST']);
    expect(guestEvents(taking(came, to(next.outgoing, SALMA))!, [SALMA])[0]!.recurrence?.rules[0]).toMatch(
      /UNTIL=2027-?03-?16/,
    );
  });

  test('4.4.6 a further date is added, and what comes out of turn is not taken for the whole', () => {
    const more = weekly({
      recurrence: {
        rules: ['FREQ=WEEKLY;COUNT=8'],
        dates: [zoned('2027-03-11T14:00')],
        exceptionDates: [],
      },
    });
    const next = telling(told.invitation, [more]);
    const [message] = to(next.outgoing, SALMA);
    expect(message!.method).toBe('ADD');
    expect(guestEvents(taking(came, [message!])!, [SALMA])[0]!.recurrence?.dates.map(dateKey)).toEqual([
      dateKey(zoned('2027-03-11T14:00')),
    ]);
    expect(receiveAsGuest(undefined, message!, JUNA).kind).toBe('unknown-entry');
    expect(taking(came, [{ ...message!, sequence: 3 }])!.isBehind).toBe(true);
  });

  test('4.4.8 who asks how it stands gets all of it', () => {
    const moved = changedDate({ location: 'Lamp room' });
    const next = telling(told.invitation, [weekly(), moved]);
    const refresh = mailed(askAgain(came, [SALMA], later()).message);
    expect(receiveAsOrganizer(next.invitation, refresh, SALMA).kind).toBe('refresh');
    const again = tellAgain(next.invitation, [user(SALMA)], '', later());
    const events = guestEvents(taking(came, to(again, SALMA))!, [SALMA]);
    expect(events.map(({ location }) => location)).toEqual(['', 'Lamp room']);
  });

  test('4.4.9 another time is proposed for one date', () => {
    const counter = answering(came, SALMA, {
      answer: 'declined',
      recurrenceId: SECOND,
      proposal: { start: zoned('2027-03-16T16:00'), end: zoned('2027-03-16T17:00') },
    });
    const [part] = mailed(counter.outgoing.message).parts;
    expect(dateKey(part!.recurrenceId)).toBe(dateKey(SECOND));
    expect(part!.event!.start).toEqual(zoned('2027-03-16T16:00'));
  });

  test('one date is answered alone, on both sides; an answer to all takes its place', () => {
    const no = answering(came, SALMA, { answer: 'declined', recurrenceId: SECOND });
    const all = answering(no.invitation, SALMA, { answer: 'accepted' });
    const one = replied(told.invitation, no.outgoing, SALMA);
    expect(answerFor(one.answers, SALMA, SECOND)?.answer).toBe('declined');
    expect(answerFor(one.answers, SALMA, THIRD)).toBeUndefined();
    expect(guestEvents(no.invitation, [SALMA]).map(({ ownAnswer }) => ownAnswer)).toEqual([
      'needs-action',
      'declined',
    ]);
    const both = replied(one, all.outgoing, SALMA);
    expect(answerFor(both.answers, SALMA, SECOND)?.answer).toBe('accepted');
    expect(guestEvents(all.invitation, [SALMA])).toHaveLength(1);
  });

  test('who is left out of one date has it left out of the series', () => {
    const without = changedDate({ attendees: [user(JUNA), user(TOBIAS)] });
    const next = telling(told.invitation, [weekly(), without], 'touched');
    expect(methods(next.outgoing, SALMA)).toEqual(['CANCEL']);
    expect(
      guestEvents(taking(came, to(next.outgoing, SALMA))!, [SALMA])[0]!.recurrence?.exceptionDates.map(
        dateKey,
      ),
    ).toEqual([dateKey(SECOND)]);
  });

  test('who is invited to one date alone has that date alone', () => {
    const oneMore = changedDate({ attendees: [...weekly().attendees!, user(OONA)] });
    const next = telling(told.invitation, [weekly(), oneMore], 'touched');
    expect(next.outgoing.map(({ to: whom }) => whom)).toEqual([[OONA]]);
    const events = guestEvents(taking(undefined, to(next.outgoing, OONA))!, [OONA]);
    expect(events.map(({ recurrenceId }) => dateKey(recurrenceId))).toEqual([dateKey(SECOND)]);
  });
});

describe('what is not believed', () => {
  const told = telling(undefined, [meeting()]);
  const [request] = to(told.outgoing, SALMA);
  const came = taking(undefined, [request!])!;

  test('a message older than what is known, or the same again, says nothing new', () => {
    const next = telling(told.invitation, [meeting({ location: 'Lamp room' })]);
    const newer = taking(came, to(next.outgoing, SALMA))!;
    expect(receiveAsGuest(newer, request!, JUNA).kind).toBe('nothing-new');
    expect(receiveAsGuest(newer, to(next.outgoing, SALMA)[0]!, JUNA).kind).toBe('nothing-new');
  });

  test('a forged organizer is not believed: neither who says so, nor who took it over', () => {
    expect(receiveAsGuest(undefined, request!, TOBIAS).kind).toBe('forged');
    const over = { ...request!, sequence: 9, stamp: later(), organizer: user(TOBIAS) };
    expect(receiveAsGuest(came, over, TOBIAS).kind).toBe('forged');
    expect(receiveAsGuest(told.invitation, { ...request!, sequence: 9 }, JUNA).kind).toBe('forged');
  });

  test('somebody may send in the name of who invites', () => {
    const by = {
      ...request!,
      organizer: { ...organizer, parameters: { 'sent-by': 'mailto:dev.arlen@fennick.example' } },
    };
    expect(receiveAsGuest(undefined, mailed(by), 'dev.arlen@fennick.example').kind).toBe('taken');
  });

  test('a reply in the name of another guest is not believed', () => {
    const { outgoing } = answering(came, SALMA, {});
    expect(receiveAsOrganizer(told.invitation, mailed(outgoing.message), TOBIAS).kind).toBe('forged');
  });

  test('an answer to an earlier time is kept as such', () => {
    const { outgoing } = answering(came, SALMA, {});
    const moved = telling(told.invitation, [
      meeting({ start: zoned('2027-03-09T16:00'), end: zoned('2027-03-09T17:00') }),
    ]);
    const answered = replied(moved.invitation, outgoing, SALMA);
    expect(answerFor(answered.answers, SALMA)).toMatchObject({ answer: 'accepted', isOutdated: true });
    expect(silentGuests(answered, meeting(), [JUNA])).toHaveLength(3);
  });

  test('a calendar text without a method, and one that is none, are no message', () => {
    expect(readMessages(writeMessage(request!).replace(/METHOD:.*\r\n/, ''), options())).toEqual([]);
    expect(() => readMessages('Dear all', options())).toThrow();
    expect(() => readMessages(`BEGIN:VCALENDAR\r\n${'X-A:b\r\n'.repeat(200_000)}`, options())).toThrow();
  });
});

describe('what is published, and busy times (RFC 5546 4.1, 4.3)', () => {
  const file = (method: string, ...lines: string[]): string =>
    [
      'BEGIN:VCALENDAR',
      'PRODID:-//Fennick Lights//Stores//EN',
      'VERSION:2.0',
      `METHOD:${method}`,
      ...lines,
      'END:VCALENDAR',
      '',
    ].join('\r\n');
  const open = (...lines: string[]): string[] => [
    'BEGIN:VEVENT',
    'UID:open-day@fennick.example',
    'DTSTAMP:20270201T120000Z',
    `ORGANIZER:mailto:${JUNA}`,
    ...lines,
    'END:VEVENT',
  ];
  const published = async (...lines: string[]) => {
    const text = file('PUBLISH', ...open(...lines));
    // It invites nobody: it is a file like any other.
    expect(readMessages(text, options())).toEqual([]);
    return (await readCalendarFile(text, options())).events;
  };

  test('4.1.1 a published event is read as a file, and no invitation', async () => {
    const [minimal] = await published('DTSTART:20270701T200000Z', 'SUMMARY:Open day of the lights');
    expect(minimal).toMatchObject({ title: 'Open day of the lights', uid: 'open-day@fennick.example' });
  });

  test('4.1.2 changed, it is the same one in a later version; 4.1.3 called off, it says so', async () => {
    const [changed] = await published(
      'SEQUENCE:1',
      'DTSTART:20270701T200000Z',
      'SUMMARY:Open day',
      'LOCATION:Gull Point',
    );
    expect(changed).toMatchObject({ sequence: 1, location: 'Gull Point', uid: 'open-day@fennick.example' });
    const [off] = await published('SEQUENCE:2', 'DTSTART:20270701T200000Z', 'STATUS:CANCELLED');
    expect(off!.status).toBe('cancelled');
  });

  test('4.1.4 with zone, categories and a link; 4.1.5 as an anniversary each year', async () => {
    const [rich] = await published(
      'DTSTART;TZID=America/Halifax:20270701T200000',
      'DTEND;TZID=America/Halifax:20270701T230000',
      'CATEGORIES:OUTREACH,LIGHTS',
      'CLASS:PUBLIC',
      'URL:https://fennick.example/open-day',
      'SUMMARY:Open day',
    );
    expect(rich).toMatchObject({
      start: zoned('2027-07-01T20:00', 'America/Halifax'),
      categories: ['OUTREACH', 'LIGHTS'],
      url: 'https://fennick.example/open-day',
    });
    const [yearly] = await published('DTSTART;VALUE=DATE:20270914', 'RRULE:FREQ=YEARLY', 'SUMMARY:First lit');
    expect(yearly).toMatchObject({ start: { kind: 'date', date: '2027-09-14' } });
    expect(yearly!.recurrence!.rules).toEqual(['FREQ=YEARLY']);
  });

  const times = [
    'BEGIN:VFREEBUSY',
    'UID:busy@fennick.example',
    'DTSTAMP:20270301T120000Z',
    'DTSTART:20270308T080000Z',
    'DTEND:20270312T180000Z',
    `ORGANIZER:mailto:${JUNA}`,
    `ATTENDEE:mailto:${SALMA}`,
  ];
  const spans = [
    'FREEBUSY:20270309T100000Z/PT1H,20270310T140000Z/20270310T150000Z',
    'FREEBUSY;FBTYPE=BUSY-TENTATIVE:20270311T090000Z/PT30M',
    'END:VFREEBUSY',
  ];

  test.each(['PUBLISH', 'REPLY'])('4.3.1, 4.3.3 busy times that come as %s are read', (method) => {
    const text = file(method, ...times, ...spans);
    expect(readMessages(text, options())).toEqual([]);
    expect(
      readFreeBusy(text)!.spans.map(({ start, end, kind }) => [
        new Date(start).toISOString().slice(0, 16),
        (end - start) / MINUTE,
        kind,
      ]),
    ).toEqual([
      ['2027-03-09T10:00', 60, 'busy'],
      ['2027-03-10T14:00', 60, 'busy'],
      ['2027-03-11T09:00', 30, 'tentative'],
    ]);
  });

  test('4.3.2 who asks for busy times says none, and invites nobody', () => {
    const text = file('REQUEST', ...times, 'END:VFREEBUSY');
    expect(readMessages(text, options())).toEqual([]);
    expect(readFreeBusy(text)!.spans).toEqual([]);
  });
});

import { event, series, zoned } from '../../../../testing/samples';
import {
  JUNA,
  SALMA,
  TOBIAS,
  UID,
  officeContext,
  wording,
  guest,
  Office,
  round,
  carry,
} from '../../../../testing/office';
import { Letter } from '../../model/invitation';
import { answerFor } from '../../people/invitations/answers';
import { dateKey } from '../../people/invitations/itipMessage';
import {
  admitStranger,
  dismissLetter,
  giveAnswer,
  leaveCalledOff,
  passOn,
  turnDownProposal,
} from './answering';
import { receiveLetter } from './receiveLetter';
import { lettersWent, tellGuests, tellNobody, untoldIn, untoldUids } from './tellGuests';

describe('an invitation, from one calendar to another', () => {
  test('told, it stands in the other’s calendar; answered, each has the answer; an own reminder stays through a change', () => {
    const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
    expect(untoldIn(juna.state, UID)?.kind).toBe('invited');
    juna.tell();
    expect(untoldIn(juna.state, UID)).toBeUndefined();
    carry(juna, salma);
    const [came] = salma.events;
    expect(came).toMatchObject({
      ownAnswer: 'needs-action',
      availability: 'tentative',
      calendarId: 'meetings',
    });
    salma.put({ ...came!, reminders: [], categories: ['tide'], calendarId: 'desk' });
    salma.do(
      giveAnswer(salma.state, UID, { answer: 'accepted', comment: 'Gladly' }, wording, officeContext()),
    );
    expect(salma.events[0]).toMatchObject({ ownAnswer: 'accepted', availability: 'busy' });
    carry(juna, salma);
    expect(answerFor(juna.state.invitations.get(UID)!.answers, SALMA)).toMatchObject({ comment: 'Gladly' });
    expect(juna.events[0]!.attendees![0]!.parameters.partstat).toBe('ACCEPTED');
    expect(untoldUids(juna.state)).toEqual([]);
    juna.put({ ...juna.events[0]!, location: 'Lamp room' });
    expect(untoldUids(juna.state)).toEqual([UID]);
    juna.tell();
    carry(juna, salma);
    expect(salma.events[0]).toMatchObject({
      location: 'Lamp room',
      calendarId: 'desk',
      categories: ['tide'],
      reminders: [],
      ownAnswer: 'accepted',
    });
  });

  test('what guests are not to be told of is not asked about again, until it changes again', () => {
    const juna = new Office(JUNA, round());
    juna.tell();
    juna.put({ ...juna.events[0]!, notes: 'Bring the log' });
    expect(juna.do(tellNobody(juna.state, UID, officeContext()))).toBe(true);
    expect(untoldUids(juna.state)).toEqual([]);
    juna.put({ ...juna.events[0]!, notes: 'Bring both logs' });
    expect(untoldUids(juna.state)).toEqual([UID]);
  });

  test('taken out of the calendar, the guests are told so; theirs goes with a press, and not before', () => {
    const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
    juna.tell();
    carry(juna, salma);
    juna.remove(...juna.events);
    expect(untoldIn(juna.state, UID)?.kind).toBe('called-off');
    juna.tell();
    carry(juna, salma);
    expect(salma.events[0]!.status).toBe('cancelled');
    expect(salma.do(leaveCalledOff(salma.state, UID, officeContext()))).toBe(true);
    expect(salma.events).toEqual([]);
    expect(salma.state.bin.size).toBe(1);
  });

  test('one date declined is struck alone; where no trace is wanted, a whole one goes to the bin', () => {
    const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
    juna.tell();
    carry(juna, salma);
    const recurrenceId = zoned('2027-03-16T14:00');
    salma.do(
      giveAnswer(
        salma.state,
        UID,
        { answer: 'declined', comment: '', recurrenceId },
        wording,
        officeContext(),
      ),
    );
    expect(salma.events.map(({ ownAnswer, availability }) => [ownAnswer, availability])).toEqual([
      ['needs-action', 'tentative'],
      ['declined', 'free'],
    ]);
    const settings = salma.state.settings.get('settings')!;
    salma.state = { ...salma.state, settings: new Map([['settings', { ...settings, dropsDeclined: true }]]) };
    salma.do(giveAnswer(salma.state, UID, { answer: 'declined', comment: '' }, wording, officeContext()));
    expect(salma.events).toEqual([]);
    expect(salma.state.bin.size).toBe(2);
  });

  test('a proposal waits, is turned down in words, and a letter let be is gone', () => {
    const [juna, tobias] = [new Office(JUNA, round()), new Office(TOBIAS)];
    juna.tell();
    carry(juna, tobias);
    const proposal = { start: zoned('2027-03-09T16:00'), end: zoned('2027-03-09T17:00') };
    tobias.do(
      giveAnswer(tobias.state, UID, { answer: 'declined', comment: '', proposal }, wording, officeContext()),
    );
    carry(juna, tobias);
    const [letter] = juna.state.letters.values();
    expect(letter).toMatchObject({ waitsFor: 'proposal', from: TOBIAS });
    juna.do(turnDownProposal(juna.state, letter!.id, 'The tide says no', wording, officeContext()));
    carry(juna, tobias);
    expect(juna.state.letters.size).toBe(0);
    expect(tobias.state.invitations.get(UID)?.proposal).toMatchObject({
      isDeclined: true,
      comment: 'The tide says no',
    });
    juna.receive(letter!);
    const [again] = juna.state.letters.values();
    juna.do(dismissLetter(juna.state, again!.id, officeContext()));
    expect(juna.state.letters.size).toBe(0);
  });

  test('the time of a guest who may change the entry is taken at once, for one date where it is about one', () => {
    const [juna, tobias] = [
      new Office(JUNA, { ...round(), guestsMay: ['change', 'propose'] }),
      new Office(TOBIAS),
    ];
    juna.tell();
    carry(juna, tobias);
    const proposal = { start: zoned('2027-03-09T16:00'), end: zoned('2027-03-09T17:00') };
    tobias.do(
      giveAnswer(tobias.state, UID, { answer: 'declined', comment: '', proposal }, wording, officeContext()),
    );
    carry(juna, tobias);
    expect(juna.state.letters.size).toBe(0);
    expect(juna.events[0]).toMatchObject(proposal);
    // The others are told when the person says so.
    expect(untoldIn(juna.state, UID)).toBeDefined();

    const weekly = series('FREQ=WEEKLY;COUNT=4', { ...round(), guestsMay: ['change'] });
    const [oona, ines] = [new Office(JUNA, weekly), new Office(TOBIAS)];
    oona.tell();
    carry(oona, ines);
    const recurrenceId = zoned('2027-03-16T14:00');
    const later = { start: zoned('2027-03-16T16:00'), end: zoned('2027-03-16T17:00') };
    const answer = { answer: 'declined' as const, comment: '', proposal: later, recurrenceId };
    ines.do(giveAnswer(ines.state, UID, answer, wording, officeContext()));
    carry(oona, ines);
    const [master, ...dates] = oona.events;
    expect(master!.start).toEqual(weekly.start);
    expect(dates).toMatchObject([later]);
  });

  test('where guests may invite others, who answers an invitation that was passed on is let in', () => {
    const [juna, tobias] = [
      new Office(JUNA, { ...round([guest(SALMA)]), guestsMay: ['invite'] }),
      new Office(TOBIAS),
    ];
    juna.tell();
    const salma = new Office(SALMA);
    salma.receive(juna.posted()[0]!);
    salma.do(passOn(salma.state, UID, guest(TOBIAS), wording, officeContext()));
    const [passed] = salma.posted();
    expect(passed).toMatchObject({ to: [TOBIAS], method: 'REQUEST' });
    // It comes from a guest: who gets it lays it before the application themselves.
    expect(tobias.receive(passed!).waiting).toEqual([UID]);
    tobias.do(receiveLetter(tobias.state, { ...passed!, from: undefined }, officeContext()).patch);
    tobias.do(giveAnswer(tobias.state, UID, { answer: 'accepted', comment: '' }, wording, officeContext()));
    carry(juna, tobias);
    expect(juna.state.letters.size).toBe(0);
    expect(juna.events[0]!.attendees!.map(({ address }) => address)).toContain(`mailto:${TOBIAS}`);
    expect(answerFor(juna.state.invitations.get(UID)!.answers, TOBIAS)?.answer).toBe('accepted');
  });

  test('an entry that was made from a mail goes out as a reply to it', () => {
    const juna = new Office(JUNA, {
      ...round(),
      answersMail: { id: '<orders@fennick.example>', subject: 'RE: Re: Lens order' },
    });
    juna.tell();
    const [letter] = juna.posted();
    expect(letter).toMatchObject({ inReplyTo: '<orders@fennick.example>', subject: 'Re: Lens order' });
    // Guests learn nothing of the mail beside that.
    expect(letter!.calendar).not.toMatch(/answers-mail|orders@/i);
  });

  test('who was not invited waits at the door, and comes in with their answer', () => {
    const [juna, salma, tobias] = [
      new Office(JUNA, round([guest(SALMA)])),
      new Office(SALMA),
      new Office(TOBIAS),
    ];
    juna.tell();
    const [request] = juna.posted();
    salma.receive(request!);
    tobias.receive({ ...request!, to: [TOBIAS] });
    tobias.do(giveAnswer(tobias.state, UID, { answer: 'accepted', comment: '' }, wording, officeContext()));
    carry(juna, tobias);
    const [letter] = juna.state.letters.values();
    expect(letter?.waitsFor).toBe('stranger');
    juna.do(admitStranger(juna.state, letter!.id, officeContext()));
    expect(juna.events[0]!.attendees!.map(({ address }) => address)).toEqual([
      `mailto:${SALMA}`,
      `mailto:${TOBIAS}`,
    ]);
    expect(answerFor(juna.state.invitations.get(UID)!.answers, TOBIAS)?.answer).toBe('accepted');
  });

  test('an answer to an entry that is not here, and one in another’s name, change nothing and are kept', () => {
    const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
    juna.tell();
    carry(juna, salma);
    salma.do(giveAnswer(salma.state, UID, { answer: 'accepted', comment: '' }, wording, officeContext()));
    const [reply] = salma.posted();
    const before = juna.state.entries;
    expect(juna.receive({ ...reply!, from: TOBIAS }).waiting).toEqual([UID]);
    expect(juna.state.entries).toBe(before);
    const other = new Office('oona.pell@fennick.example');
    other.receive(reply!);
    expect([...other.state.letters.values()][0]?.waitsFor).toBe('unknown-entry');
    expect(other.state.entries.size).toBe(0);
  });

  test('nobody invites to, moves or calls off what is one’s own, or what another invites to, by its UID', () => {
    const [juna, tobias] = [new Office(JUNA, round()), new Office(TOBIAS, round([guest(JUNA)]))];
    tobias.tell();
    const [request] = tobias.posted();
    const before = juna.state.entries;
    expect(juna.receive(request!).waiting).toEqual([UID]);
    tobias.remove(...tobias.events);
    tobias.tell();
    expect(juna.receive(tobias.posted()[0]!).waiting).toEqual([UID]);
    expect(juna.state.entries).toBe(before);
    expect([...juna.state.letters.values()].map(({ waitsFor }) => waitsFor)).toEqual(['forged', 'forged']);
  });

  test('what came by a file and is then called off says so, and stays', () => {
    const tobias = new Office(TOBIAS, round([guest(SALMA)]));
    tobias.tell();
    const salma = new Office(SALMA, {
      ...tobias.events[0]!,
      organizer: { address: `mailto:${TOBIAS}`, parameters: {} },
    });
    tobias.posted();
    tobias.remove(...tobias.events);
    tobias.tell();
    salma.receive(tobias.posted()[0]!);
    expect(salma.events.map(({ status }) => status)).toEqual(['cancelled']);
  });

  test('one date declined leaves no trace where none is wanted; said yes to later, it is there again', () => {
    const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
    juna.tell();
    carry(juna, salma);
    const settings = salma.state.settings.get('settings')!;
    salma.state = { ...salma.state, settings: new Map([['settings', { ...settings, dropsDeclined: true }]]) };
    const recurrenceId = zoned('2027-03-16T14:00');
    const say = (answer: 'declined' | 'accepted') =>
      salma.do(giveAnswer(salma.state, UID, { answer, comment: '', recurrenceId }, wording, officeContext()));
    say('declined');
    expect(salma.events).toHaveLength(1);
    expect(salma.events[0]!.recurrence?.exceptionDates.map(dateKey)).toEqual([dateKey(recurrenceId)]);
    say('accepted');
    expect(salma.events.map(({ ownAnswer }) => ownAnswer)).toEqual(['needs-action', 'accepted']);
    expect(salma.events[0]!.recurrence?.exceptionDates).toEqual([]);
  });

  test('more guests than a letter takes get several, a long title is cut in the subject alone, and long notes are', () => {
    const many = Array.from({ length: 450 }, (_, index) => guest(`keeper-${index}@tern.example`));
    const juna = new Office(JUNA, { ...round(many), notes: 'log '.repeat(100_000) });
    juna.do(
      tellGuests(
        juna.state,
        UID,
        { audience: 'all', comment: '' },
        () => ({ subject: 'x'.repeat(1500), text: '' }),
        officeContext(),
      ),
    );
    const letters = juna.posted();
    expect(letters.map(({ to }) => to.length)).toEqual([200, 200, 50]);
    for (const letter of letters) {
      expect(Letter.safeParse(letter).success).toBe(true);
      expect(letter.calendar.length).toBeLessThan(300_000);
    }
  });

  test('how far letters came is kept, the latest of each guest; what went waits no more', () => {
    const juna = new Office(JUNA, round());
    juna.tell();
    const ids = [...juna.state.letters.keys()];
    const receipt = (status: 'delivered' | 'opened' | 'refused', at: number, address = SALMA) => ({
      uid: UID,
      address,
      status,
      at,
    });
    juna.do(
      lettersWent(
        juna.state,
        ids,
        [receipt('delivered', 10), receipt('refused', 10, TOBIAS)],
        officeContext(),
      ),
    );
    expect(juna.state.letters.size).toBe(0);
    juna.do(lettersWent(juna.state, [], [receipt('delivered', 10), receipt('opened', 20)], officeContext()));
    expect(juna.state.invitations.get(UID)?.receipts).toEqual({
      [SALMA]: { status: 'opened', at: 20 },
      [TOBIAS]: { status: 'refused', at: 10 },
    });
    expect(
      lettersWent(juna.state, [], [receipt('delivered', 10), receipt('opened', 20)], officeContext()),
    ).toBeUndefined();
  });

  test('dates that a series skips for days off are left out for its guests, and no calendar of one’s own is named', () => {
    const dayOff = event({
      id: 'day-off',
      calendarId: 'desk',
      start: { kind: 'date', date: '2027-03-16' },
      end: { kind: 'date', date: '2027-03-17' },
    });
    const skipping = round();
    const recurrence = {
      ...skipping.recurrence!,
      skipDaysOff: { calendarId: 'desk', handling: 'omit' as const },
    };
    const [juna, salma] = [new Office(JUNA, { ...skipping, recurrence }, dayOff), new Office(SALMA)];
    juna.tell();
    const [letter] = juna.posted();
    expect(letter!.calendar).not.toMatch(/desk/i);
    salma.receive(letter!);
    expect(salma.events[0]!.recurrence?.exceptionDates.map(dateKey)).toEqual([
      dateKey(zoned('2027-03-16T14:00')),
    ]);
  });
});

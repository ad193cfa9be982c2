import fc from 'fast-check';
import { event, series, stateWith, zoned } from '../../../../testing/samples';
import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import { Invitation, Letter } from '../../model/invitation';
import type { State } from '../../model/state';
import { answerFor } from '../../people/invitations/answers';
import { ownAnswerOf } from '../../people/invitations/guest';
import { dateKey, isAt } from '../../people/invitations/itipMessage';
import { asTold, onDate, SHARED_WITH_GUESTS } from '../../people/invitations/sharedFields';
import type { Audience } from '../../people/invitations/telling';
import { DAY, HOUR } from '../../time/civil';
import { atWall, wallOf } from '../../time/eventTime';
import { applyPatch, type ChangeContext, type Patch } from '../patch';
import { UnitOfWork } from '../unitOfWork';
import {
  admitStranger,
  askHowItStands,
  dismissLetter,
  giveAnswer,
  leaveCalledOff,
  passOn,
  turnDownProposal,
} from './answering';
import { entriesOfUid } from './entriesOfUid';
import { receiveLetter } from './receiveLetter';
import { lettersWent, remindGuests, tellGuests, tellNobody, untoldIn, untoldUids } from './tellGuests';

const JUNA = 'juna.marsh@fennick.example';
const SALMA = 'salma.wray@fennick.example';
const TOBIAS = 'tobias.rask@fennick.example';
const UID = 'round@fennick.example';

let ids = 0;
let clock = Date.UTC(2027, 1, 1, 12);
const context = (): ChangeContext => ({
  now: (clock += 1000),
  newId: () => `id-${++ids}`,
  zone: 'Europe/Lisbon',
});
const wording = () => ({ subject: 'Works round', text: 'Works round' });
const guest = (address: string): CalendarUser => ({
  address: `mailto:${address}`,
  parameters: { role: 'REQ-PARTICIPANT', partstat: 'NEEDS-ACTION', rsvp: 'TRUE' },
});

/** Somebody's calendar, with the letters that wait to go out of it. */
class Office {
  state: State;
  constructor(
    readonly address: string,
    ...events: CalendarEvent[]
  ) {
    const state = stateWith(...events);
    const settings = state.settings.get('settings')!;
    this.state = {
      ...state,
      settings: new Map([
        ['settings', { ...settings, addresses: { email: address, phone: '', name: address } }],
      ]),
    };
  }
  do(patch: Patch | undefined): boolean {
    if (patch) this.state = applyPatch(this.state, patch);
    return patch !== undefined;
  }
  /** Takes the letters that wait to go out. */
  posted(): Letter[] {
    const out = [...this.state.letters.values()].filter(({ direction }) => direction === 'out');
    this.state = {
      ...this.state,
      letters: new Map([...this.state.letters].filter(([, { direction }]) => direction === 'in')),
    };
    return out;
  }
  receive({ id, from, subject, text, calendar }: Letter) {
    const received = receiveLetter(this.state, { id, from, subject, text, calendar }, context());
    this.do(received.patch);
    return received;
  }
  get events(): CalendarEvent[] {
    return entriesOfUid(this.state, UID);
  }
  put(...events: CalendarEvent[]): void {
    const work = new UnitOfWork(this.state, context());
    for (const each of events) work.put('entries', each);
    this.do(work.patch({ what: 'entry-changed', count: 1 }));
  }
  remove(...events: CalendarEvent[]): void {
    const work = new UnitOfWork(this.state, context());
    for (const each of events) work.remove('entries', each.id);
    this.do(work.patch({ what: 'entries-binned', count: 1 }));
  }
  tell(audience: Audience = 'all'): boolean {
    return this.do(tellGuests(this.state, UID, { audience, comment: '' }, wording, context()));
  }
}

const round = (guests: CalendarUser[] = [guest(SALMA), guest(TOBIAS)]): CalendarEvent =>
  series('FREQ=WEEKLY;COUNT=6', { id: 'round', uid: UID, title: 'Works round', attendees: guests });

/** Carries all letters that wait, to whom they are addressed. */
function carry(...offices: Office[]): void {
  for (let again = true; again;) {
    again = false;
    for (const office of offices)
      for (const letter of office.posted())
        for (const other of offices)
          if (letter.to.includes(other.address)) {
            other.receive(letter);
            again = true;
          }
  }
}

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
    salma.do(giveAnswer(salma.state, UID, { answer: 'accepted', comment: 'Gladly' }, wording, context()));
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
    expect(juna.do(tellNobody(juna.state, UID, context()))).toBe(true);
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
    expect(salma.do(leaveCalledOff(salma.state, UID, context()))).toBe(true);
    expect(salma.events).toEqual([]);
    expect(salma.state.bin.size).toBe(1);
  });

  test('one date declined is struck alone; where no trace is wanted, a whole one goes to the bin', () => {
    const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
    juna.tell();
    carry(juna, salma);
    const recurrenceId = zoned('2027-03-16T14:00');
    salma.do(
      giveAnswer(salma.state, UID, { answer: 'declined', comment: '', recurrenceId }, wording, context()),
    );
    expect(salma.events.map(({ ownAnswer, availability }) => [ownAnswer, availability])).toEqual([
      ['needs-action', 'tentative'],
      ['declined', 'free'],
    ]);
    const settings = salma.state.settings.get('settings')!;
    salma.state = { ...salma.state, settings: new Map([['settings', { ...settings, dropsDeclined: true }]]) };
    salma.do(giveAnswer(salma.state, UID, { answer: 'declined', comment: '' }, wording, context()));
    expect(salma.events).toEqual([]);
    expect(salma.state.bin.size).toBe(2);
  });

  test('a proposal waits, is turned down in words, and a letter let be is gone', () => {
    const [juna, tobias] = [new Office(JUNA, round()), new Office(TOBIAS)];
    juna.tell();
    carry(juna, tobias);
    const proposal = { start: zoned('2027-03-09T16:00'), end: zoned('2027-03-09T17:00') };
    tobias.do(
      giveAnswer(tobias.state, UID, { answer: 'declined', comment: '', proposal }, wording, context()),
    );
    carry(juna, tobias);
    const [letter] = juna.state.letters.values();
    expect(letter).toMatchObject({ waitsFor: 'proposal', from: TOBIAS });
    juna.do(turnDownProposal(juna.state, letter!.id, 'The tide says no', wording, context()));
    carry(juna, tobias);
    expect(juna.state.letters.size).toBe(0);
    expect(tobias.state.invitations.get(UID)?.proposal).toMatchObject({
      isDeclined: true,
      comment: 'The tide says no',
    });
    juna.receive(letter!);
    const [again] = juna.state.letters.values();
    juna.do(dismissLetter(juna.state, again!.id, context()));
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
      giveAnswer(tobias.state, UID, { answer: 'declined', comment: '', proposal }, wording, context()),
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
    ines.do(giveAnswer(ines.state, UID, answer, wording, context()));
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
    salma.do(passOn(salma.state, UID, guest(TOBIAS), wording, context()));
    const [passed] = salma.posted();
    expect(passed).toMatchObject({ to: [TOBIAS], method: 'REQUEST' });
    // It comes from a guest: who gets it lays it before the application themselves.
    expect(tobias.receive(passed!).waiting).toEqual([UID]);
    tobias.do(receiveLetter(tobias.state, { ...passed!, from: undefined }, context()).patch);
    tobias.do(giveAnswer(tobias.state, UID, { answer: 'accepted', comment: '' }, wording, context()));
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
    tobias.do(giveAnswer(tobias.state, UID, { answer: 'accepted', comment: '' }, wording, context()));
    carry(juna, tobias);
    const [letter] = juna.state.letters.values();
    expect(letter?.waitsFor).toBe('stranger');
    juna.do(admitStranger(juna.state, letter!.id, context()));
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
    salma.do(giveAnswer(salma.state, UID, { answer: 'accepted', comment: '' }, wording, context()));
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
      salma.do(giveAnswer(salma.state, UID, { answer, comment: '', recurrenceId }, wording, context()));
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
        context(),
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
      lettersWent(juna.state, ids, [receipt('delivered', 10), receipt('refused', 10, TOBIAS)], context()),
    );
    expect(juna.state.letters.size).toBe(0);
    juna.do(lettersWent(juna.state, [], [receipt('delivered', 10), receipt('opened', 20)], context()));
    expect(juna.state.invitations.get(UID)?.receipts).toEqual({
      [SALMA]: { status: 'opened', at: 20 },
      [TOBIAS]: { status: 'refused', at: 10 },
    });
    expect(
      lettersWent(juna.state, [], [receipt('delivered', 10), receipt('opened', 20)], context()),
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

test('whatever is changed and answered, and whichever letters are lost, doubled or late: in the end both say the same', () => {
  const step = fc.oneof(
    {
      weight: 2,
      arbitrary: fc.record({ kind: fc.constant('move' as const), hours: fc.integer({ min: -3, max: 3 }) }),
    },
    fc.record({
      kind: fc.constant('rename' as const),
      title: fc.constantFrom('Works round', 'Round', 'Tide talk'),
    }),
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('date' as const),
        week: fc.nat(5),
        hours: fc.integer({ min: 0, max: 4 }),
      }),
    },
    fc.record({ kind: fc.constant('leave' as const), week: fc.nat(5) }),
    fc.record({ kind: fc.constant('further' as const), day: fc.nat(20) }),
    fc.record({ kind: fc.constant('guests' as const), has: fc.boolean() }),
    {
      weight: 4,
      arbitrary: fc.record({
        kind: fc.constant('tell' as const),
        audience: fc.constantFrom<Audience>('all', 'touched'),
      }),
    },
    {
      weight: 4,
      arbitrary: fc.record({
        kind: fc.constant('answer' as const),
        answer: fc.constantFrom('accepted' as const, 'declined' as const, 'tentative' as const),
        week: fc.option(fc.nat(5), { nil: undefined }),
      }),
    },
    fc.record({ kind: fc.constant('ask' as const) }),
    {
      weight: 6,
      arbitrary: fc.record({
        kind: fc.constant('mail' as const),
        at: fc.nat(10),
        how: fc.constantFrom('carry' as const, 'carry' as const, 'lose' as const, 'double' as const),
      }),
    },
  );
  const standing = ({ state }: Office) => [
    [...state.entries.values()],
    [...state.invitations.values()].map((invitation) => ({
      ...invitation,
      answers: invitation.answers.filter(({ isOutdated }) => !isOutdated),
    })),
  ];
  const dateOf = (office: Office, week: number) => {
    const master = office.events.find(({ recurrenceId }) => !recurrenceId);
    return master?.recurrence && atWall(master.start, wallOf(master.start) + 7 * week * DAY);
  };
  fc.assert(
    fc.property(fc.array(step, { minLength: 3, maxLength: 30 }), (steps) => {
      const [juna, salma] = [new Office(JUNA, round()), new Office(SALMA)];
      let bag: Letter[] = [];
      const collect = () => {
        const posted = [...juna.posted(), ...salma.posted()];
        for (const letter of posted) sent.set(letter.id, letter);
        bag.push(...posted);
      };
      const sent = new Map<string, Letter>();
      let hasLost = false;
      const deliver = (letter: Letter) =>
        [juna, salma].forEach((office) => letter.to.includes(office.address) && office.receive(letter));
      for (const one of steps) {
        const master = juna.events.find(({ recurrenceId }) => !recurrenceId)!;
        const left = new Set(master.recurrence!.exceptionDates.map(dateKey));
        switch (one.kind) {
          case 'move': {
            const by = one.hours * HOUR;
            const shifted = (time: CalendarEvent['start']) => atWall(time, wallOf(time) + by);
            juna.put(
              ...juna.events.map((each) => ({
                ...each,
                start: shifted(each.start),
                end: shifted(each.end),
                ...(each.recurrenceId ? { recurrenceId: shifted(each.recurrenceId) } : {}),
                ...(each.recurrence
                  ? {
                      recurrence: {
                        ...each.recurrence,
                        exceptionDates: each.recurrence.exceptionDates.map(shifted),
                        dates: each.recurrence.dates.map(shifted),
                      },
                    }
                  : {}),
              })),
            );
            break;
          }
          case 'rename':
            juna.put({ ...master, title: one.title });
            break;
          case 'date': {
            const recurrenceId = dateOf(juna, one.week)!;
            if (left.has(dateKey(recurrenceId))) break;
            const known = juna.events.find((each) => dateKey(each.recurrenceId) === dateKey(recurrenceId));
            const base = known ?? {
              ...onDate(master, recurrenceId),
              recurrenceId,
              id: `date-${++ids}`,
              seriesId: master.id,
            };
            juna.put({
              ...base,
              start: atWall(recurrenceId, wallOf(recurrenceId) + one.hours * HOUR),
              end: atWall(recurrenceId, wallOf(recurrenceId) + (one.hours + 1) * HOUR),
              attendees: master.attendees!,
            });
            break;
          }
          case 'leave': {
            const date = dateOf(juna, one.week)!;
            if (left.has(dateKey(date))) break;
            juna.remove(
              ...juna.events.filter(
                ({ recurrenceId }) => recurrenceId && dateKey(recurrenceId) === dateKey(date),
              ),
            );
            const recurrence = master.recurrence!;
            juna.put({
              ...master,
              recurrence: { ...recurrence, exceptionDates: [...recurrence.exceptionDates, date] },
            });
            break;
          }
          case 'further': {
            const date = atWall(master.start, wallOf(master.start) + one.day * DAY + HOUR / 2);
            const recurrence = master.recurrence!;
            if (!recurrence.dates.some((each) => dateKey(each) === dateKey(date)))
              juna.put({ ...master, recurrence: { ...recurrence, dates: [...recurrence.dates, date] } });
            break;
          }
          case 'guests':
            juna.put(
              ...juna.events.map((each) => ({
                ...each,
                attendees: [guest(TOBIAS), ...(one.has ? [guest(SALMA)] : [])],
              })),
            );
            break;
          case 'tell':
            juna.tell(one.audience);
            break;
          case 'answer': {
            const recurrenceId = one.week === undefined ? undefined : dateOf(salma, one.week);
            salma.do(
              giveAnswer(
                salma.state,
                UID,
                { answer: one.answer, comment: '', ...(recurrenceId ? { recurrenceId } : {}) },
                wording,
                context(),
              ),
            );
            break;
          }
          case 'ask':
            salma.do(askHowItStands(salma.state, UID, wording, context()));
            break;
          case 'mail': {
            collect();
            const letter = bag[one.at % Math.max(1, bag.length)];
            if (!letter) break;
            if (one.how !== 'double') bag = bag.filter((each) => each !== letter);
            if (one.how === 'lose') hasLost = true;
            else deliver(letter);
          }
        }
        for (const office of [juna, salma])
          for (const invitation of office.state.invitations.values()) Invitation.parse(invitation);
      }
      // In the end all is told, sent once more, and answered once more as it was answered.
      collect();
      bag.forEach(deliver);
      juna.tell();
      const master = juna.events.find(({ recurrenceId }) => !recurrenceId)!;
      const isInvited = master.attendees!.some((each) => isAt(each, [SALMA]));
      carry(juna, salma);
      if (!isInvited) {
        // Nobody can know of what was lost and is not sent again.
        const known = salma.state.invitations.get(UID);
        expect(hasLost || !known || known.isCancelled).toBe(true);
        return;
      }
      juna.do(remindGuests(juna.state, UID, [guest(SALMA)], '', wording, context()));
      carry(juna, salma);
      const { answers } = salma.state.invitations.get(UID)!;
      for (const { answer, recurrenceId, isOutdated } of [...answers].sort((a, b) => a.at - b.at))
        if (!isOutdated && answer !== 'delegated')
          salma.do(
            giveAnswer(
              salma.state,
              UID,
              { answer, comment: '', ...(recurrenceId ? { recurrenceId } : {}) },
              wording,
              context(),
            ),
          );
      carry(juna, salma);
      const kept = salma.state.invitations.get(UID)!;
      const told = new Map(juna.events.map((each) => [dateKey(each.recurrenceId), asTold(each)]));
      const came = new Map(kept.events.map((each) => [dateKey(each.recurrenceId), each]));
      expect([...came.keys()].sort()).toEqual([...told.keys()].sort());
      for (const [key, one] of told) {
        const other = came.get(key)!;
        for (const field of SHARED_WITH_GUESTS)
          if (field !== 'recurrence') expect([key, field, other[field]]).toEqual([key, field, one[field]]);
        const dates = (each: CalendarEvent) => [
          each.recurrence?.rules,
          each.recurrence?.dates.map(dateKey).sort(),
          each.recurrence?.exceptionDates.map(dateKey).sort(),
        ];
        expect(dates(other)).toEqual(dates(one));
        const answered = answerFor(juna.state.invitations.get(UID)!.answers, SALMA, one.recurrenceId);
        const own = ownAnswerOf(kept, other, [SALMA]);
        expect([key, answered && !answered.isOutdated ? answered.answer : 'needs-action']).toEqual([
          key,
          own,
        ]);
      }
      expect(kept.isBehind).toBeUndefined();
      // What comes late changes nothing any more; an answer to an earlier time may be noted as one.
      const settled = [juna, salma].map(standing);
      [...sent.values()].reverse().forEach(deliver);
      expect([juna, salma].map(standing)).toEqual(settled);
    }),
    { numRuns: 120 },
  );
});

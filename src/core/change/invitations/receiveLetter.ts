import type { Invitation, ItipMethod, Letter, WaitsFor } from '../../model/invitation';
import type { State } from '../../model/state';
import { withAnswers } from '../../people/invitations/answers';
import { receiveAsGuest } from '../../people/invitations/guest';
import { isAt, type ItipMessage } from '../../people/invitations/itipMessage';
import { receiveAsOrganizer } from '../../people/invitations/organizer';
import { readMessages } from '../../people/invitations/readMessage';
import { type ChangeContext, type Patch } from '../patch';
import { UnitOfWork } from '../unitOfWork';
import { admitStranger } from './answering';
import { entriesOfUid } from './entriesOfUid';
import { takeAllowedProposal } from './proposal';
import { putGuestEntries } from './guestEntries';

/** A mail that came, as far as it is about invitations. */
export interface Mail {
  /** Its Message-ID. */
  readonly id: string;
  /** The address that it comes from; undefined for a file that somebody laid before the application. */
  readonly from: string | undefined;
  readonly subject: string;
  readonly text: string;
  readonly calendar: string;
}

/** What came of a mail. */
export interface ReceivedMail {
  /** Undefined where nothing changed. */
  readonly patch: Patch | undefined;
  /** Entries that messages were believed of, those that wait for a decision, and those that said nothing new. */
  readonly taken: readonly string[];
  readonly waiting: readonly string[];
  readonly known: readonly string[];
}

/** The messages of a mail; none where its calendar text can't be read. */
function messagesOf({ calendar }: Mail, context: ChangeContext): ItipMessage[] {
  try {
    return readMessages(calendar, context);
  } catch {
    return [];
  }
}

/** The longest id that a letter is kept under. */
const LONGEST_ID = 300;

/** Messages that guests send to who invites. */
const OF_GUESTS: readonly ItipMethod[] = ['REPLY', 'COUNTER', 'REFRESH'];

/** Whether a message is about an entry that is here and that somebody else invites to, or that is one's own. */
const isOthers = (state: State, { uid, organizer }: ItipMessage): boolean =>
  entriesOfUid(state, uid).some((event) => !event.organizer || !isAt(organizer, [event.organizer.address]));

/** Keeps what an invitation became, with its entries. */
function keep(state: State, work: UnitOfWork, invitation: Invitation): void {
  work.put('invitations', invitation);
  if (invitation.role === 'guest') {
    putGuestEntries(state, invitation, work);
    return;
  }
  for (const event of entriesOfUid(state, invitation.id)) {
    const answered = withAnswers(event, invitation.answers);
    if (answered !== event) work.put('entries', answered);
  }
}

/** Notes the last letter that was read of those that came, by its number at the relay. */
const noteRead = (state: State, work: UnitOfWork, number: number): void => {
  const session = state.sessions.get('session');
  work.put('sessions', {
    ...session,
    id: 'session',
    lettersRead: Math.max(number, session?.lettersRead ?? 0),
  });
};

/**
 * Takes in a mail: what is believed of it changes the entries, what waits for a decision is kept as it came.
 * @param number its number at the relay: that it was read is kept with what became of it
 */
export function receiveLetter(
  state: State,
  mail: Mail,
  context: ChangeContext,
  number?: number,
): ReceivedMail {
  const messages = messagesOf(mail, context);
  const work = new UnitOfWork(state, context);
  if (number !== undefined) noteRead(state, work, number);
  const [taken, waiting, known]: [string[], string[], string[]] = [[], [], []];
  let name = '';
  const wait = (message: ItipMessage, waitsFor: WaitsFor): string => {
    waiting.push(message.uid);
    const letter: Letter = {
      // A mail may speak of several entries, each of which waits by itself.
      id: `${mail.id.slice(0, LONGEST_ID / 2)} ${message.uid}`.slice(0, LONGEST_ID),
      direction: 'in',
      method: message.method,
      uid: message.uid,
      from: mail.from ?? '',
      to: [],
      subject: mail.subject.slice(0, 1000),
      text: mail.text.slice(0, 20_000),
      calendar: mail.calendar,
      at: context.now,
      waitsFor,
    };
    work.put('letters', letter);
    return letter.id;
  };
  for (const message of messages) {
    const invitation = state.invitations.get(message.uid);
    const isOfGuest = OF_GUESTS.includes(message.method);
    name = message.parts.find(({ event }) => event)?.event?.title ?? invitation?.events[0]?.title ?? name;
    if (isOfGuest && !invitation) {
      wait(message, 'unknown-entry');
      continue;
    }
    const received = isOfGuest
      ? receiveAsOrganizer(invitation!, message, mail.from)
      : !invitation && isOthers(state, message)
        ? ({ kind: 'forged' } as const)
        : receiveAsGuest(invitation, message, mail.from);
    const allowed =
      received.kind === 'proposal' ? takeAllowedProposal(work.state, message, context) : undefined;
    if (allowed) {
      taken.push(message.uid);
      work.add(allowed.changes);
    } else if (received.kind === 'taken') {
      taken.push(message.uid);
      keep(state, work, received.invitation);
    } else if (received.kind === 'nothing-new') known.push(message.uid);
    else {
      const letterId = wait(message, received.kind);
      // Where guests may invite others, who answers was invited by one of them.
      const mayCome =
        received.kind === 'stranger' &&
        invitation?.role === 'organizer' &&
        invitation.events.some(({ guestsMay }) => guestsMay?.includes('invite'));
      const admitted = mayCome ? admitStranger(work.state, letterId, context) : undefined;
      if (!admitted) continue;
      work.add(admitted.changes);
      waiting.pop();
      taken.push(message.uid);
    }
  }
  const changes = work.changes();
  return {
    patch:
      changes.length > 0
        ? work.patch({ what: 'letter-read', count: Math.max(1, taken.length), name })
        : undefined,
    taken,
    waiting,
    known,
  };
}

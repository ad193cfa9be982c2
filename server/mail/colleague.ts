import type { CalendarEvent } from '@/core/model/entry';
import type { Invitation } from '@/core/model/invitation';
import type { Person } from '@/core/model/person';
import { answerInvitation, receiveAsGuest } from '@/core/people/invitations/guest';
import { isAt, type ItipMessage } from '@/core/people/invitations/itipMessage';
import { declineProposal, receiveAsOrganizer, tellAgain } from '@/core/people/invitations/organizer';
import type { Outgoing } from '@/core/people/invitations/addressing';
import { tell } from '@/core/people/invitations/telling';
import { Series } from '@/core/recurrence/series';
import { DAY, HOUR, MINUTE } from '@/core/time/civil';
import { atInstant, type InstantRange, instantOf } from '@/core/time/eventTime';
import { workingDay } from '@/core/time/workingPattern';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { busyTimesIn } from '../../demo/busyTimes';
import { mailtoOf } from '@/core/model/emailAddress';

/** What a made-up colleague does with a message. */
export interface Reaction {
  /** What they know of the entry then. */
  readonly invitation: Invitation;
  /** What they send, and how long they take for it, in milliseconds. */
  readonly replies: readonly {
    readonly outgoing: Outgoing;
    readonly after: number;
    readonly words: string;
  }[];
}

/** How long each takes to answer, in milliseconds: a few are late. */
const QUICK = 1_200;
const AFTER: Readonly<Record<string, number>> = {
  'Salma Wray': 10 * MINUTE,
  'Dev Arlen': 3 * HOUR,
};
export const takes = ({ name }: Pick<Person, 'name'>): number => AFTER[name] ?? QUICK;

/** Who always proposes another time. */
const ELSEWHEN = 'Ines Falk';
/** So many dates of a series are looked at, and so many days for another time. */
const DATES = 4;
const DAYS = 10;

/** The first dates of an entry. */
function datesOf(event: CalendarEvent, from: number): InstantRange[] {
  const zone = event.start.kind === 'zoned' ? event.start.zone : 'UTC';
  if (event.recurrence)
    return new Series(event)
      .next(instantToWall(zone, from), DATES, zone)
      .map(({ start, end }) => ({ start, end }));
  return [{ start: instantOf(event.start, zone), end: instantOf(event.end, zone) }];
}

/** How taken somebody is then: by what they have, and by their working hours. */
export function takenAt(person: Person, range: InstantRange): 'free' | 'tentative' | 'busy' | 'not-working' {
  const spans = busyTimesIn(person, range);
  if (spans.some(({ kind }) => kind !== 'tentative')) return 'busy';
  const { workingPattern: pattern, zone = 'UTC' } = person;
  if (pattern) {
    const wall = instantToWall(zone, range.start);
    const day = Math.floor(wall / DAY);
    const from = (wall - day * DAY) / MINUTE;
    const until = from + (range.end - range.start) / MINUTE;
    const works = workingDay(pattern, day).spans;
    if (works.length === 0 || from < works[0]!.from || until > works.at(-1)!.to) return 'not-working';
  }
  return spans.length > 0 ? 'tentative' : 'free';
}

/** The next time after another one at which somebody is free for as long. */
function freeAfter(person: Person, { start, end }: InstantRange): InstantRange | undefined {
  const { workingPattern: pattern, zone = 'UTC' } = person;
  const length = end - start;
  const today = Math.floor(instantToWall(zone, start) / DAY);
  for (let day = today; day < today + DAYS; day++)
    for (const { from, to } of pattern ? workingDay(pattern, day).spans : [])
      for (let minute = from; minute + length / MINUTE <= to; minute += 30) {
        const at = wallToInstant(zone, day * DAY + minute * MINUTE);
        if (at > start && takenAt(person, { start: at, end: at + length }) === 'free')
          return { start: at, end: at + length };
      }
  return undefined;
}

const WORDS = {
  accepted: 'I will be there.',
  tentative: 'I have something else then that may be moved.',
  declined: 'I am busy then.',
  'not-working': 'That is outside my working hours.',
  proposal: 'Could we do it then instead?',
  room: { accepted: 'The room is yours.', declined: 'The room is taken then.' },
} as const;

/** What somebody answers to an invitation of theirs. */
function answerTo(person: Person, invitation: Invitation, about: ItipMessage, now: number) {
  const [part] = about.parts;
  const event = part?.event ?? invitation.events[0]!;
  const date = part?.recurrenceId ? { recurrenceId: part.recurrenceId } : {};
  const ranges = datesOf(event, now);
  const taken = ranges.map((range) => takenAt(person, range));
  const isAway = taken.includes('not-working');
  const isBusy = isAway || taken.includes('busy');
  if (person.kind === 'room') {
    const answer = isBusy ? ('declined' as const) : ('accepted' as const);
    return { ...date, answer, comment: WORDS.room[answer] };
  }
  const [first] = ranges;
  const other = person.name === ELSEWHEN && first && event.start.kind === 'zoned' && freeAfter(person, first);
  if (other)
    return {
      ...date,
      answer: 'declined' as const,
      comment: WORDS.proposal,
      proposal: {
        start: atInstant(event.start, other.start, 'UTC'),
        end: atInstant(event.end, other.end, 'UTC'),
      },
    };
  const answer = isBusy
    ? ('declined' as const)
    : taken.includes('tentative')
      ? ('tentative' as const)
      : ('accepted' as const);
  return { ...date, answer, comment: isAway ? WORDS['not-working'] : WORDS[answer] };
}

/** What a guest makes of a message of who invites. */
function asGuest(
  person: Person,
  known: Invitation | undefined,
  message: ItipMessage,
  from: string,
  now: number,
): Reaction | undefined {
  const received = receiveAsGuest(known, message, from);
  if (received.kind !== 'taken') return undefined;
  const { invitation } = received;
  const isAsked =
    message.method === 'REQUEST' &&
    message.parts.some(({ attendees }) =>
      attendees.some(
        (guest) =>
          isAt(guest, person.addresses) &&
          String(guest.parameters.partstat ?? 'NEEDS-ACTION').toUpperCase() === 'NEEDS-ACTION' &&
          String(guest.parameters.rsvp ?? 'TRUE').toUpperCase() !== 'FALSE',
      ),
    );
  if (!isAsked) return { invitation, replies: [] };
  const given = answerTo(person, invitation, message, now);
  const after = takes(person);
  const answered = answerInvitation(invitation, given, person.addresses, now + after);
  return {
    invitation: answered.invitation,
    replies: [{ outgoing: answered.outgoing, after, words: given.comment }],
  };
}

/** What a colleague who invites makes of a message of a guest. */
function asOrganizer(
  person: Person,
  known: Invitation,
  message: ItipMessage,
  from: string,
  now: number,
): Reaction | undefined {
  const received = receiveAsOrganizer(known, message, from);
  const [guest] = message.parts[0]?.attendees ?? [];
  switch (received.kind) {
    case 'taken':
      return { invitation: received.invitation, replies: [] };
    case 'refresh': {
      const outgoing = guest ? tellAgain(known, [guest], '', now + QUICK) : [];
      return {
        invitation: { ...known, stamp: now + QUICK },
        replies: outgoing.map((each) => ({ outgoing: each, after: QUICK, words: '' })),
      };
    }
    case 'proposal': {
      const [part] = message.parts;
      const { start, end } = part?.event ?? {};
      const isFree =
        start?.kind === 'zoned' &&
        end?.kind === 'zoned' &&
        takenAt(person, { start: instantOf(start, 'UTC'), end: instantOf(end, 'UTC') }) !== 'busy';
      if (!isFree || part?.recurrenceId) {
        const outgoing = declineProposal(known, message, WORDS.declined, now + QUICK);
        return { invitation: known, replies: [{ outgoing, after: QUICK, words: WORDS.declined }] };
      }
      const moved = known.events.map((event) => (event.recurrenceId ? event : { ...event, start, end }));
      return asToldBy(person, known, moved, now + QUICK, 'That suits, too.', QUICK);
    }
    case 'nothing-new':
    case 'forged':
    case 'stranger':
      return undefined;
  }
}

/** What somebody tells who invites: a new entry, or a changed one. */
export function asToldBy(
  person: Person,
  known: Invitation | undefined,
  events: readonly CalendarEvent[],
  now: number,
  words: string,
  after: number,
): Reaction | undefined {
  const organizer = { address: mailtoOf(person.addresses[0]!), parameters: { cn: person.name } };
  const told = tell(events[0]!.uid, known, events, {
    organizer,
    own: person.addresses,
    audience: 'all',
    comment: words,
    now,
  });
  return (
    told && {
      invitation: told.invitation,
      replies: told.outgoing.map((outgoing) => ({ outgoing, after, words })),
    }
  );
}

/** What a colleague does with a message that came to them. */
export const reactTo = (
  person: Person,
  known: Invitation | undefined,
  message: ItipMessage,
  from: string,
  now: number,
): Reaction | undefined =>
  known?.role === 'organizer'
    ? asOrganizer(person, known, message, from, now)
    : asGuest(person, known, message, from, now);

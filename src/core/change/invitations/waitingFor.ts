import type { CalendarEvent } from '../../model/entry';
import type { Letter } from '../../model/invitation';
import type { State } from '../../model/state';
import { ownAnswerOf } from '../../people/invitations/guest';
import { Series } from '../../recurrence/series';
import { instantOf, zoneOf } from '../../time/eventTime';
import { wallToInstant } from '../../time/zones';
import { entriesOfUid } from './entriesOfUid';
import { ownAddresses } from './ownUser';
import { untoldUids } from './tellGuests';

/** Something about invitations that waits for a decision of the person. */
export type Waiting =
  | {
      readonly kind: 'invitation' | 'called-off' | 'behind' | 'untold';
      readonly id: string;
      readonly event: CalendarEvent;
      readonly at: number;
    }
  | {
      readonly kind: 'letter';
      readonly id: string;
      readonly letter: Letter;
      readonly event: CalendarEvent | undefined;
      readonly at: number;
    };

/** Whether the last of an entry's dates is over at an instant. */
function isOver(event: CalendarEvent, now: number, zone: string): boolean {
  const end = instantOf(event.end, zone);
  if (!event.recurrence) return end < now;
  const last = new Series(event).lastWall(zone);
  if (last === Infinity) return false;
  return wallToInstant(zoneOf(event.start, zone), last) + end - instantOf(event.start, zone) < now;
}

/**
 * All that needs the person's decision, invitations first, by their times: the list in People, and the number at its place. What
 * is over needs none.
 * @param now an instant in milliseconds
 * @param zone in which floating times are read
 */
export function waitingFor(state: State, now: number, zone: string): Waiting[] {
  const own = ownAddresses(state);
  const waiting: Waiting[] = [];
  for (const invitation of state.invitations.values()) {
    if (invitation.role !== 'guest') continue;
    const [event] = entriesOfUid(state, invitation.id);
    if (!event || isOver(event, now, zone)) continue;
    const at = instantOf(event.start, zone);
    const id = invitation.id;
    if (invitation.isCancelled) waiting.push({ kind: 'called-off', id, event, at });
    else if (invitation.isBehind) waiting.push({ kind: 'behind', id, event, at });
    else if (invitation.events.some((each) => ownAnswerOf(invitation, each, own) === 'needs-action'))
      waiting.push({ kind: 'invitation', id, event, at });
  }
  for (const uid of untoldUids(state)) {
    const event = entriesOfUid(state, uid)[0] ?? state.invitations.get(uid)?.events[0];
    if (event) waiting.push({ kind: 'untold', id: uid, event, at: instantOf(event.start, zone) });
  }
  for (const letter of state.letters.values())
    if (letter.direction === 'in')
      waiting.push({
        kind: 'letter',
        id: letter.id,
        letter,
        event: entriesOfUid(state, letter.uid)[0],
        at: letter.at,
      });
  return waiting.sort((a, b) => Number(a.kind === 'letter') - Number(b.kind === 'letter') || a.at - b.at);
}

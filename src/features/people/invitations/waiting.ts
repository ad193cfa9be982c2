import { entriesOfUid } from '@/core/change/invitations/entriesOfUid';
import { ownAddresses } from '@/core/change/invitations/ownUser';
import { untoldUids } from '@/core/change/invitations/tellGuests';
import type { CalendarEvent } from '@/core/model/entry';
import type { Letter } from '@/core/model/invitation';
import type { State } from '@/core/model/state';
import { ownAnswerOf } from '@/core/people/invitations/guest';
import { instantOf } from '@/core/time/eventTime';
import { Series } from '@/core/recurrence/series';

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

/** Whether the last of an entry's dates lies before an instant. */
function isOver(event: CalendarEvent, now: number, zone: string): boolean {
  if (event.recurrence) return new Series(event).lastWall(zone) < now;
  return instantOf(event.end, zone) < now;
}

/** All that waits, invitations first, by their times. What is over waits no more. */
export function waitingOf(state: State, now: number, zone: string): Waiting[] {
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

import type { CalendarEvent } from '@/core/model/entry';
import type { Invitation } from '@/core/model/invitation';
import { answerOfPartstat } from '@/core/people/invitations/answers';
import { asTold } from '@/core/people/invitations/sharedFields';
import { addressOf } from './people';
import { MADE } from './scenario';
import { plainAddress } from '@/core/model/emailAddress';
import { HOUR } from '@/core/time/civil';

/** Whose calendar the demo is. */
export const OWNER = { name: 'Juna Marsh', address: addressOf('Juna Marsh') };

/** How long each takes to answer, in milliseconds. */
const tookOf = (address: string): number => (/tobias|salma/.test(address) ? 30 : 2) * HOUR;

/** What the guests of the demo's entries were told and answered: all of it a while ago. */
export function invitationsOf(entries: readonly CalendarEvent[]): Invitation[] {
  const byUid = new Map<string, CalendarEvent[]>();
  for (const entry of entries)
    if (entry.attendees) byUid.set(entry.uid, [...(byUid.get(entry.uid) ?? []), entry]);
  return [...byUid].map(([uid, events]): Invitation => {
    const guests = events.flatMap(({ attendees = [] }) => attendees);
    return {
      id: uid,
      role: 'organizer',
      organizer: events[0]!.organizer!,
      sequence: 0,
      stamp: MADE,
      timeSequences: { '': 0 },
      toldTo: Object.fromEntries(guests.map(({ address }) => [plainAddress(address), 0])),
      toldAt: Object.fromEntries(guests.map(({ address }) => [plainAddress(address), MADE])),
      events: events.map(asTold),
      answers: guests.flatMap(({ address, parameters }) => {
        const answer = answerOfPartstat(String(parameters.partstat));
        return answer
          ? [{ address: plainAddress(address), answer, at: MADE + tookOf(address), sequence: 0, comment: '' }]
          : [];
      }),
    };
  });
}

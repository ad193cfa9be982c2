import { isReadOnly } from '../../model/calendar';
import type { CalendarEvent } from '../../model/entry';
import type { Invitation } from '../../model/invitation';
import type { State } from '../../model/state';
import { dateKey } from '../../people/invitations/itipMessage';
import { guestEvents } from '../../people/invitations/guest';
import { SHARED_WITH_GUESTS } from '../../people/invitations/sharedFields';
import { toBin } from '../binChanges';
import { targetCalendar } from '../calendarChanges';
import type { UnitOfWork } from '../unitOfWork';
import { entriesOfUid } from './entriesOfUid';
import { ownAddresses } from './ownUser';

const SHARED = [...SHARED_WITH_GUESTS, 'organizer', 'attendees', 'ownAnswer'] as const;

/** What an invitation counts as by what was answered to it: nobody's time is taken by what they declined. */
const availabilityOf = ({ ownAnswer, availability }: CalendarEvent): CalendarEvent['availability'] =>
  ownAnswer === 'declined' || availability === 'free'
    ? 'free'
    : ownAnswer === 'accepted'
      ? 'busy'
      : 'tentative';

/** What is here of an entry, with what its guests were told: all that is one's own stays. */
function merged(kept: CalendarEvent, told: CalendarEvent, now: number): CalendarEvent {
  const next: Record<string, unknown> = { ...kept };
  for (const field of SHARED)
    if (told[field] === undefined) delete next[field];
    else next[field] = told[field];
  const result = next as unknown as CalendarEvent;
  const { skipDaysOff } = kept.recurrence ?? {};
  return {
    ...result,
    ...(result.recurrence && skipDaysOff ? { recurrence: { ...result.recurrence, skipDaysOff } } : {}),
    // What was set by hand stays for as long as the answer does.
    availability: kept.ownAnswer === told.ownAnswer ? kept.availability : availabilityOf(told),
    sequence: told.sequence,
    modified: now,
  };
}

/** Puts the entries of an invitation as they are now: new ones, changed ones, and without dates that are gone. */
export function putGuestEntries(state: State, invitation: Invitation, work: UnitOfWork): void {
  const { now, newId } = work.context;
  // What a feed brings stays as it brings it.
  const here = entriesOfUid(state, invitation.id).filter(
    ({ calendarId }) => !isReadOnly(state.calendars.get(calendarId)),
  );
  const drops = state.settings.get('settings')?.dropsDeclined === true;
  const told = guestEvents(invitation, ownAddresses(state), drops);
  if (told.length === 0 && invitation.isCancelled) {
    // Called off before it was ever told: what is here of it says so, and stays.
    for (const event of here) work.put('entries', { ...event, status: 'cancelled', modified: now });
    return;
  }
  const master = told.find(({ recurrenceId }) => recurrenceId === undefined);
  const keptMaster = here.find(({ recurrenceId }) => recurrenceId === undefined);
  const calendarId = here[0]?.calendarId ?? targetCalendar(state, new Set())?.id;
  if (calendarId === undefined) return;
  const seriesId = keptMaster?.id ?? newId();
  const known = new Map(here.map((event) => [dateKey(event.recurrenceId), event]));
  const keys = new Set<string>();
  for (const event of told) {
    const key = dateKey(event.recurrenceId);
    const kept = known.get(key);
    keys.add(key);
    if (drops && event.ownAnswer === 'declined' && kept && event.recurrenceId === undefined) {
      for (const each of here) work.add(toBin(state, each, work.context));
      return;
    }
    const { seriesId: _, ...rest } = event;
    const placed: CalendarEvent = kept
      ? merged(kept, event, now)
      : {
          ...rest,
          id: key === '' ? seriesId : newId(),
          calendarId,
          availability: availabilityOf(event),
          created: now,
          modified: now,
          ...(master && event.recurrenceId ? { seriesId } : {}),
        };
    work.put('entries', placed);
  }
  for (const event of here) if (!keys.has(dateKey(event.recurrenceId))) work.remove('entries', event.id);
}

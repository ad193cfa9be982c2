import type { CalendarEvent } from '../../model/entry';
import type { Letter } from '../../model/invitation';
import type { State } from '../../model/state';
import { skippedDates } from '../../interchange/icalendar/skipDaysOffProperty';
import type { ItipMessage } from '../../people/invitations/itipMessage';
import type { Outgoing } from '../../people/invitations/telling';
import { writeMessage } from '../../people/invitations/writeMessage';
import { overridesOf } from '../overrides';
import { type ChangeContext, makePatch, type Patch, put } from '../patch';
import { daysOffFor } from '../target';
import { ownAddresses } from './ownUser';

/** How a message is put into words: the interface has them. */
export type Wording = (outgoing: Outgoing) => { readonly subject: string; readonly text: string };

/** A series whose dates on days off are left out as such: guests know nothing of one's days off. */
function withoutDaysOff(state: State, event: CalendarEvent, now: number): CalendarEvent {
  const kept = state.entries.get(event.id);
  const lookup = kept && daysOffFor(state, kept);
  if (!kept || !lookup || !event.recurrence) return event;
  const dates = skippedDates(kept, overridesOf(state, kept.id), lookup, now);
  return {
    ...event,
    recurrence: {
      ...event.recurrence,
      dates: [...event.recurrence.dates, ...dates.flatMap(({ instead }) => instead ?? [])],
      exceptionDates: [...event.recurrence.exceptionDates, ...dates.map(({ left }) => left)],
    },
  };
}

/** A message as a letter that waits to go out. */
export function letterOf(
  state: State,
  outgoing: Outgoing,
  wording: Wording,
  { now, newId }: ChangeContext,
): Letter {
  const message: ItipMessage = {
    ...outgoing.message,
    parts: outgoing.message.parts.map((part) =>
      part.event ? { ...part, event: withoutDaysOff(state, part.event, now) } : part,
    ),
  };
  return {
    id: `${newId()}@orderly-week`,
    direction: 'out',
    method: message.method,
    uid: message.uid,
    from: ownAddresses(state)[0] ?? '',
    to: [...outgoing.to],
    ...wording(outgoing),
    calendar: writeMessage(message),
    at: now,
  };
}

/** Words that go to somebody without an invitation. */
export function sendWords(
  state: State,
  { to, subject, text }: Pick<Letter, 'to' | 'subject' | 'text'>,
  context: ChangeContext,
): Patch {
  const letter: Letter = {
    id: `${context.newId()}@orderly-week`,
    direction: 'out',
    uid: '',
    from: ownAddresses(state)[0] ?? '',
    to,
    subject,
    text,
    calendar: '',
    at: context.now,
  };
  return makePatch(context, { what: 'guests-told', count: to.length, name: subject }, [
    put(state, 'letters', letter),
  ]);
}

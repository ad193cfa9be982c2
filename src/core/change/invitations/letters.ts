import { type CalendarEvent, isEvent, seriesOf } from '../../model/entry';
import type { Letter } from '../../model/invitation';
import type { State } from '../../model/state';
import { skippedDates } from '../../interchange/icalendar/skipDaysOffProperty';
import type { ItipMessage } from '../../people/invitations/itipMessage';
import type { Outgoing } from '../../people/invitations/addressing';
import { writeMessage } from '../../people/invitations/writeMessage';
import { overridesOf } from '../overrides';
import { type ChangeContext, makePatch, type Patch, put } from '../patch';
import { daysOffFor } from '../target';
import { entriesOfUid } from './entriesOfUid';
import { ownAddresses } from './ownUser';

/** How a message is put into words: the interface has them. */
export type Wording = (outgoing: Outgoing) => { readonly subject: string; readonly text: string };

/** A series whose dates on days off are left out as such: guests know nothing of one's days off. */
function withoutDaysOff(state: State, event: CalendarEvent, now: number): CalendarEvent {
  const kept = seriesOf(state.entries.get(event.id));
  const lookup = kept && daysOffFor(state, kept);
  if (!kept || !isEvent(kept) || !lookup || !event.recurrence) return event;
  const dates = skippedDates(kept, overridesOf(state, kept.id).filter(isEvent), lookup, now);
  return {
    ...event,
    recurrence: {
      ...event.recurrence,
      dates: [...event.recurrence.dates, ...dates.flatMap(({ instead }) => instead ?? [])],
      exceptionDates: [...event.recurrence.exceptionDates, ...dates.map(({ left }) => left)],
    },
  };
}

/** So many a letter is addressed to; more get letters of their own. */
const MOST_ADDRESSEES = 200;
/** The longest subject, and the longest notes that go along: what is longer would be too much for the mail. */
const LONGEST_SUBJECT = 1000;
const LONGEST_NOTES = 100_000;

const letter = (
  state: State,
  fields: Pick<Letter, 'to' | 'subject' | 'text'> & Partial<Letter>,
  { now, newId }: ChangeContext,
): Letter => ({
  id: `${newId()}@orderly-week`,
  direction: 'out',
  uid: '',
  from: ownAddresses(state)[0] ?? '',
  calendar: '',
  at: now,
  ...fields,
  subject: fields.subject.slice(0, LONGEST_SUBJECT),
});

/** A message as letters that wait to go out. */
export function lettersOf(
  state: State,
  outgoing: Outgoing,
  wording: Wording,
  context: ChangeContext,
): Letter[] {
  const message: ItipMessage = {
    ...outgoing.message,
    parts: outgoing.message.parts.map(({ event, ...part }) => ({
      ...part,
      ...(event ? { event: shortened(withoutDaysOff(state, event, context.now)) } : {}),
    })),
  };
  const calendar = writeMessage(message);
  const { method, uid } = message;
  const chunks = Array.from({ length: Math.ceil(outgoing.to.length / MOST_ADDRESSEES) }, (_, index) =>
    outgoing.to.slice(index * MOST_ADDRESSEES, (index + 1) * MOST_ADDRESSEES),
  );
  const answered = entriesOfUid(state, uid).find(({ answersMail }) => answersMail)?.answersMail;
  const said = wording(outgoing);
  const reply = answered
    ? {
        inReplyTo: answered.id,
        subject: `Re: ${answered.subject.replace(/^(re:\s*)+/i, '') || said.subject}`,
      }
    : {};
  return chunks.map((to) => letter(state, { method, uid, to, ...said, ...reply, calendar }, context));
}

const shortened = (event: CalendarEvent): CalendarEvent =>
  event.notes.length > LONGEST_NOTES ? { ...event, notes: `${event.notes.slice(0, LONGEST_NOTES)}…` } : event;

/** Words that go to somebody without an invitation. */
export const sendWords = (
  state: State,
  words: Pick<Letter, 'to' | 'subject' | 'text'>,
  context: ChangeContext,
): Patch =>
  makePatch(context, { what: 'guests-told', count: words.to.length, name: words.subject }, [
    put(state, 'letters', letter(state, words, context)),
  ]);

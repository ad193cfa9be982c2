import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent, OwnAnswer } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { ANSWERS, type GuestAnswer, type Invitation } from '../../model/invitation';
import { dateKey } from './itipMessage';
import { plainAddress } from '../../model/emailAddress';

/** PARTSTAT (RFC 5545 3.2.12) of an answer, and back. */
export const partstatOf = (answer: OwnAnswer | 'delegated'): string => answer.toUpperCase();
export const answerOfPartstat = (partstat: string): GuestAnswer['answer'] | undefined =>
  ([...ANSWERS, 'delegated'] as const).find((answer) => partstatOf(answer) === partstat.toUpperCase());

/** A guest with what they answered. */
export const withPartstat = (guest: CalendarUser, answer: OwnAnswer | 'delegated'): CalendarUser => ({
  ...guest,
  parameters: { ...guest.parameters, partstat: partstatOf(answer) },
});

/**
 * What somebody answered last for a date, or for the entry itself: what was said of the date alone, or of all dates, whichever
 * came later.
 */
export function answerFor(
  answers: readonly GuestAnswer[],
  address: string,
  recurrenceId?: EventTime,
): GuestAnswer | undefined {
  const key = dateKey(recurrenceId);
  const wanted = plainAddress(address);
  let last: GuestAnswer | undefined;
  for (const answer of answers) {
    const of = dateKey(answer.recurrenceId);
    if (answer.address !== wanted || (of !== '' && of !== key)) continue;
    if (!last || answer.at > last.at || (answer.at === last.at && of !== '')) last = answer;
  }
  return last;
}

/** So many answers to one entry are kept: nobody fills the storage with answers to single dates. */
const MOST_ANSWERS = 10_000;

/** Answers with one more: of one guest for one date the latest counts. Undefined if that is known, or older than what is. */
export function withAnswer(
  answers: readonly GuestAnswer[],
  answer: GuestAnswer,
): readonly GuestAnswer[] | undefined {
  const key = dateKey(answer.recurrenceId);
  const same = (other: GuestAnswer) =>
    other.address === answer.address && dateKey(other.recurrenceId) === key;
  const known = answers.find(same);
  if (
    known &&
    (known.sequence > answer.sequence || (known.sequence === answer.sequence && known.at >= answer.at))
  )
    return undefined;
  return [...answers.filter((other) => !same(other)), answer].slice(-MOST_ANSWERS);
}

/** The version since which a date has its time. */
export const timeSequenceOf = (
  { timeSequences }: Pick<Invitation, 'timeSequences'>,
  recurrenceId?: EventTime,
): number => Math.max(timeSequences[''] ?? 0, timeSequences[dateKey(recurrenceId)] ?? 0);

/** An entry whose guests stand with what they answered to it. */
export function withAnswers(event: CalendarEvent, answers: readonly GuestAnswer[]): CalendarEvent {
  if (!event.attendees) return event;
  return {
    ...event,
    attendees: event.attendees.map((guest) => {
      const last = answerFor(answers, guest.address, event.recurrenceId);
      return last && !last.isOutdated ? withPartstat(guest, last.answer) : guest;
    }),
  };
}

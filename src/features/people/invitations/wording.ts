import type { Wording } from '@/core/change/invitations/letters';
import { answerOfPartstat } from '@/core/people/invitations/answers';
import type { CalendarEvent } from '@/core/model/entry';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { dayText, timeRangeText } from '@/ui/dates';
import { recurrenceText } from '@/ui/recurrenceText';
import { words } from '@/ui/words';
import { invitationWords as said } from '@/ui/words/invitations';

/** When something is, on its own clock. */
export function whenText({
  start,
  end,
  recurrence,
}: Pick<CalendarEvent, 'start' | 'end' | 'recurrence'>): string {
  const [from, until] = [wallOf(start), wallOf(end)];
  const day = dayText(Math.floor(from / DAY));
  const last = Math.floor((until - (start.kind === 'date' ? DAY : 0)) / DAY);
  const days = last > Math.floor(from / DAY) ? `${day} – ${dayText(last)}` : day;
  const time = start.kind === 'date' ? '' : timeRangeText(from, until);
  return [days, time, recurrence ? recurrenceText(recurrence, start) : ''].filter(Boolean).join(', ');
}

/** The subject and the words of a letter, for who reads it without a calendar. */
export const wordingOf: Wording = ({ message: { method, parts } }) => {
  const [part] = parts;
  const event = part?.event;
  const comment = part?.comment ?? '';
  const title = event?.title || words.entry.noTitle;
  const answer = answerOfPartstat(String(part?.attendees[0]?.parameters.partstat ?? ''));
  const text =
    method === 'REPLY' && answer && answer !== 'delegated'
      ? said.answerLetter(answer, comment)
      : event
        ? said.letter(title, whenText(event), event.location, comment)
        : comment;
  return { subject: said.subject(method, title), text };
};

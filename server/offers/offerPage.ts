import { instantToWall, isKnownZone } from '@/core/time/zones';
import { htmlPage } from '../htmlPage';
import { mayChoose, type OfferBox } from './offerBox';
import { escapeHtml } from '@/core/interchange/escapeHtml';

const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeZone: 'UTC' });
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' });

/** What is said on the page after a press. */
export const OFFER_NOTES = {
  kept: 'Booked. The invitation comes by mail when the calendar is next open with its owner.',
  taken: 'Somebody was faster, or the offer is over. Nothing was booked.',
  not: 'Nothing was booked: choose a time, and say your name and the address that the invitation is to go to.',
} as const;
export type OfferNote = keyof typeof OFFER_NOTES;

/** The page on which somebody chooses one of the offered times. */
export function offerPage(box: OfferBox, now: number, note: OfferNote | undefined): string {
  const zone = isKnownZone(box.zone) ? box.zone : 'UTC';
  const textOf = ({ start, end }: { start: number; end: number }): string => {
    const [from, until] = [start, end].map((instant) => instantToWall(zone, instant));
    return `${day.format(from)}, ${clock.format(from)} – ${clock.format(until)}`;
  };
  const ahead = box.times.filter(({ start }) => start > now + box.ahead);
  const chosen = box.chosen && box.times.find(({ start }) => start === box.chosen!.start);
  const choices = ahead
    .map(
      (time, index) =>
        `<li><label class="choice"><input type="radio" name="start" value="${time.start}" required${index === 0 ? ' checked' : ''} /> ${textOf(time)}</label></li>`,
    )
    .join('');
  const body = chosen
    ? `<p><strong>${textOf(chosen)}</strong> was chosen. Nothing more can be.</p>`
    : !mayChoose(box, now) || ahead.length === 0
      ? '<p>This offer is over. Ask for another.</p>'
      : `<form method="post"><ul>${choices}</ul>
<label>Your name<input name="name" required maxlength="200" autocomplete="name" /></label>
<label>Your e-mail address<input name="address" type="email" required maxlength="254" autocomplete="email" /></label>
<p><button>Book this time</button></p></form>`;
  return htmlPage({
    title: box.title,
    body: `<h1>${escapeHtml(box.title)}</h1>
<p>${box.name === '' ? 'These times are offered' : `${escapeHtml(box.name)} offers these times`}. Times of ${escapeHtml(zone.replaceAll('_', ' '))}.</p>
${note ? `<p role="status"><strong>${OFFER_NOTES[note]}</strong></p>` : ''}
${body}`,
  });
}

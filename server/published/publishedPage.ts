import { publishedDays, type PublishedItem } from '@/core/interchange/published/publishedDays';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { dateString, DAY } from '@/core/time/civil';
import { instantToWall, isKnownZone } from '@/core/time/zones';
import { escapeHtml, htmlPage } from '../htmlPage';
import type { StoredCopy } from './publishedStore';

/** How many days a page shows. */
export const DAYS_SHOWN = 28;

const longDay = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeZone: 'UTC' });
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' });
const dayText = (day: number): string => longDay.format(day * DAY);

function timeText({ occurrence }: PublishedItem, day: number): string {
  if (occurrence.allDay) return 'All day';
  const { startWall, endWall } = occurrence;
  const from = startWall < day * DAY ? '…' : clock.format(startWall);
  const to = endWall > (day + 1) * DAY ? '…' : clock.format(endWall);
  if (startWall <= day * DAY && endWall >= (day + 1) * DAY) return 'All day';
  return startWall === endWall ? from : `${from} – ${to}`;
}

function itemMarkup(item: PublishedItem, day: number): string {
  const { title, location } = item.occurrence;
  const more = [location, item.notes].filter(Boolean).map(escapeHtml).join('\n');
  return `<li class="entry"><span class="time">${timeText(item, day)}</span><span>${escapeHtml(title || 'No title')}${
    more ? `<span class="more">${more}</span>` : ''
  }</span></li>`;
}

/** The page of a published calendar: four weeks from a day on, as plain text, made to be printed too. */
export async function publishedPage(
  copy: StoredCopy,
  from: number | undefined,
  now: number,
): Promise<string> {
  const zone = isKnownZone(copy.zone) ? copy.zone : 'UTC';
  let id = 0;
  const file = await readCalendarFile(copy.text, { zone, now, newId: () => String(++id) });
  const first = from ?? Math.floor(instantToWall(zone, now) / DAY);
  const end = first + DAYS_SHOWN;
  const days = publishedDays(file.events, { first, end }, zone);
  const link = (day: number, text: string) => `<a href="?from=${dateString(day)}">${text}</a>`;
  const sections = days.map(
    ({ day, items }) =>
      `<section aria-labelledby="d${day}"><h2 id="d${day}"><time datetime="${dateString(day)}">${dayText(day)}</time></h2><ul>${items
        .map((item) => itemMarkup(item, day))
        .join('')}</ul></section>`,
  );
  return htmlPage({
    title: copy.name,
    body: `<h1>${escapeHtml(copy.name)}</h1>
<p>${dayText(first)} to ${dayText(end - 1)}. Times of ${escapeHtml(zone.replaceAll('_', ' '))}.</p>
<nav aria-label="Other weeks">${link(first - DAYS_SHOWN, 'Four weeks before')}${link(end, 'Four weeks after')}</nav>
${sections.join('\n') || '<p>There is nothing in these four weeks.</p>'}
<p><small>Last changed ${escapeHtml(new Date(copy.updated).toISOString().slice(0, 16).replace('T', ' '))} UTC</small></p>`,
  });
}

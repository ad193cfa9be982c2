import { publishedDays, type PublishedItem } from '@/core/interchange/published/publishedDays';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { dateString, DAY } from '@/core/time/civil';
import { instantToWall, isKnownZone } from '@/core/time/zones';
import { changeForm } from './handInForms';
import type { StoredCopy } from './publishedStore';
import { escapeHtml } from '@/core/interchange/escapeHtml';

/** How far back and ahead a page can be asked about, in days from the day that it was made. */
const BACK = 366;
const AHEAD = 3 * 366;

const longDay = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeZone: 'UTC' });
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' });
export const dayText = (day: number): string => longDay.format(day * DAY);

/** The day that it is in a copy's zone. */
export const today = ({ zone }: Pick<StoredCopy, 'zone'>, now: number): number =>
  Math.floor(instantToWall(isKnownZone(zone) ? zone : 'UTC', now) / DAY);

function timeText({ occurrence }: PublishedItem, day: number): string {
  if (occurrence.allDay) return 'All day';
  const { startWall, endWall } = occurrence;
  const from = startWall < day * DAY ? '…' : clock.format(startWall);
  const to = endWall > (day + 1) * DAY ? '…' : clock.format(endWall);
  if (startWall <= day * DAY && endWall >= (day + 1) * DAY) return 'All day';
  return startWall === endWall ? from : `${from} – ${to}`;
}

function itemMarkup(item: PublishedItem, day: number, changeable: ReadonlySet<string>): string {
  const { title, location } = item.occurrence;
  const more = [location, item.notes].filter(Boolean).map(escapeHtml).join('\n');
  return `<li class="entry"><span class="time">${timeText(item, day)}</span><span>${escapeHtml(title || 'No title')}${
    more ? `<span class="more">${more}</span>` : ''
  }${changeable.has(item.uid) ? changeForm(item) : ''}</span></li>`;
}

/** The parts of a page, a day each, for the days that it can be asked about. */
export interface PageSections {
  /** Half-open day numbers. */
  readonly first: number;
  readonly end: number;
  readonly days: readonly (readonly [day: number, markup: string])[];
}

/** Makes the parts of a published calendar's page: what takes long, once for each copy. */
export async function pageSections(
  copy: Pick<StoredCopy, 'text' | 'zone' | 'allows'>,
  now: number,
): Promise<PageSections> {
  const zone = isKnownZone(copy.zone) ? copy.zone : 'UTC';
  let id = 0;
  const file = await readCalendarFile(copy.text, { zone, now, newId: () => String(++id) });
  const first = today(copy, now) - BACK;
  const end = today(copy, now) + AHEAD;
  const changeable = new Set(copy.allows?.changeable);
  const days = publishedDays(file.events, { first, end }, zone).map(({ day, items }) => {
    const list = items.map((item) => itemMarkup(item, day, changeable)).join('');
    const head = `<h2 id="d${day}"><time datetime="${dateString(day)}">${dayText(day)}</time></h2>`;
    return [day, `<section aria-labelledby="d${day}">${head}<ul>${list}</ul></section>`] as const;
  });
  return { first, end, days };
}

import type { PublishedItem } from '@/core/interchange/published/publishedDays';
import { handedInTimes } from '@/core/people/sharing/handedInTimes';
import type { Allowances } from './publishedStore';
import { escapeHtml } from '@/core/interchange/escapeHtml';

const field = (label: string, attributes: string): string => `<label>${label}<input ${attributes} /></label>`;

const entryFields = ({
  title,
  date,
  from = '',
  until = '',
  place,
}: {
  readonly title: string;
  readonly date: string;
  readonly from?: string | undefined;
  readonly until?: string | undefined;
  readonly place: string;
}): string =>
  [
    field('Title', `name="title" required maxlength="200" value="${escapeHtml(title)}"`),
    field('Date', `name="date" type="date" required value="${date}"`),
    field('From', `name="from" type="time" value="${from}"`),
    field('Until', `name="until" type="time" value="${until}"`),
    field('Place', `name="place" maxlength="200" value="${escapeHtml(place)}"`),
  ].join('');

/** What changes an entry on its page, or takes it out; nothing where a form can't say when it is. */
export function changeForm({ occurrence, uid }: PublishedItem): string {
  const times = handedInTimes(occurrence);
  if (!times) return '';
  const { title, location: place, start } = occurrence;
  return `<details><summary>Change</summary><form method="post">
<input type="hidden" name="uid" value="${escapeHtml(uid)}" /><input type="hidden" name="start" value="${start}" />
${entryFields({ title, place, ...times })}
<p><button name="kind" value="change">Hand in the change</button> <button name="kind" value="remove">Take it out</button></p></form></details>`;
}

/** What adds an entry on a day to one of the calendars that may be added to. */
export function addForm({ calendars }: Allowances, date: string): string {
  const choices = calendars
    .map(({ id, name }) => `<option value="${escapeHtml(id)}">${escapeHtml(name)}</option>`)
    .join('');
  return `<details><summary>Add an entry</summary><form method="post"><input type="hidden" name="kind" value="add" />
<label>Calendar<select name="calendar">${choices}</select></label>
${entryFields({ title: '', date, from: '09:00', until: '10:00', place: '' })}
<p><small>Without “from” and “until” it takes the whole day.</small></p><p><button>Hand in the entry</button></p></form></details>`;
}

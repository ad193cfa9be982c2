import { dateString } from '@/core/time/civil';
import { htmlPage } from '../htmlPage';
import { addForm } from './handInForms';
import { dayText, type PageSections } from './pageSections';
import type { StoredCopy } from './publishedStore';
import { escapeHtml } from '@/core/interchange/escapeHtml';

/** How many days a page shows. */
export const DAYS_SHOWN = 28;

/** The page of a published calendar: four weeks from a day on, as plain text, made to be printed too. */
export function publishedPage(
  copy: Pick<StoredCopy, 'name' | 'zone' | 'updated' | 'allows'>,
  sections: PageSections | undefined,
  first: number,
  note = '',
): string {
  const end = first + DAYS_SHOWN;
  const link = (day: number, text: string) => `<a href="?from=${dateString(day)}">${text}</a>`;
  const shown = sections?.days.filter(([day]) => day >= first && day < end).map(([, markup]) => markup) ?? [];
  const isBeyond = sections && (end <= sections.first || first >= sections.end);
  const none = !sections
    ? 'This calendar is too large for a page. Its feed has all of it.'
    : isBeyond
      ? 'The page does not reach so far. The calendar’s feed does.'
      : 'There is nothing in these four weeks.';
  return htmlPage({
    title: copy.name,
    body: `<h1>${escapeHtml(copy.name)}</h1>
<p>${dayText(first)} to ${dayText(end - 1)}. Times of ${escapeHtml(copy.zone.replaceAll('_', ' '))}.</p>
<nav aria-label="Other weeks">${link(first - DAYS_SHOWN, 'Four weeks before')}${link(end, 'Four weeks after')}</nav>
${note === '' ? '' : `<p role="status"><strong>${escapeHtml(note)}</strong></p>`}${copy.allows ? addForm(copy.allows, dateString(first)) : ''}
${shown.join('\n') || `<p>${none}</p>`}
<p><small>Last changed ${escapeHtml(new Date(copy.updated).toISOString().slice(0, 16).replace('T', ' '))} UTC</small></p>`,
  });
}

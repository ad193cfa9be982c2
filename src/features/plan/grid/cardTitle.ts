import type { Occurrence } from '@/core/schedule/occurrence';
import { words } from '@/ui/words';
import { standingOf } from '@/core/schedule/standing';

/** What a card is headed with: the title, or that it has none yet, and a question mark where it is tentative. */
export function cardTitle(occurrence: Occurrence, isDraft = false): string {
  const name = occurrence.title || (isDraft ? words.plan.newDraft : words.entry.noTitle);
  return standingOf(occurrence) === 'tentative' ? `${name}\u00a0?` : name;
}

import type { Occurrence } from '@/core/schedule/occurrence';
import { words } from '@/ui/words';

/** What a card is headed with: the title, or that it has none yet, and a question mark where it is tentative. */
export function cardTitle({ title, availability }: Occurrence, isDraft = false): string {
  const name = title || (isDraft ? words.plan.newDraft : words.entry.noTitle);
  return availability === 'tentative' ? `${name}\u00a0?` : name;
}

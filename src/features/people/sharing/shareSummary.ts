import { type Calendar, PUBLISHED_LEVELS } from '@/core/model/calendar';
import type { SeenCalendars } from '@/core/people/sharing/access';
import { sharingWords as said } from '@/ui/words/sharing';

/** What somebody sees, in a line: calendars by how much of them. */
export function shareSummary(
  { calendars, withPrivate }: SeenCalendars,
  all: ReadonlyMap<string, Calendar>,
  isActing: boolean,
): string {
  if (isActing) return said.actsShort(withPrivate);
  const parts = PUBLISHED_LEVELS.flatMap((depth) => {
    const names = [...calendars].flatMap(([id, access]) =>
      access.depth === depth ? (all.get(id)?.name ?? []) : [],
    );
    return names.length > 0 ? said.part(depth, names) : [];
  });
  return parts.length === 0 ? said.nothing : parts.reverse().join(' · ');
}

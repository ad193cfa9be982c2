import { DAY } from '@/core/time/civil';
import { GhostCard } from '../hours/GhostLayer';
import { drawnGhosts, type Ghost, useGhost } from '../grid/ghost';
import { sizes } from '@/ui/theme/tokens';
import { HEAD } from './weekSizes';

/** The dashed cards of a drag over the days of weeks, or of a draft where they name no entries. */
export function DayGhost({
  weeks,
  rowHeight,
  columnWidth,
  left,
  draft,
}: {
  weeks: readonly (readonly number[])[];
  rowHeight: number;
  columnWidth: number;
  left: number;
  draft: Ghost | null;
}) {
  const dragged = useGhost((state) => state.ghost);
  return drawnGhosts(dragged ?? draft).flatMap((ghost) => {
    const first = Math.floor(ghost.startWall / DAY);
    const end = Math.max(first + 1, Math.ceil(ghost.endWall / DAY));
    return weeks.map((week, row) => {
      const from = week.findIndex((day) => day >= first && day < end);
      if (from === -1) return null;
      const to = week.findLastIndex((day) => day >= first && day < end) + 1;
      return (
        <GhostCard
          key={`${week[0]} ${ghost.key ?? ''}`}
          ghost={ghost}
          style={{
            top: row * rowHeight + HEAD + 1,
            height: ghost.allDay ? sizes.ribbon - 2 : Math.min(40, rowHeight - HEAD - 4),
            left: left + from * columnWidth + 2,
            width: (to - from) * columnWidth - 4,
          }}
        />
      );
    });
  });
}

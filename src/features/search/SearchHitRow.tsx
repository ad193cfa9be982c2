import { memo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { SearchHit } from '@/core/search/entrySearch';
import { DAY } from '@/core/time/civil';
import { dateText, timeText, weekdayText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

const OVER = { textDecoration: 'line-through' } as const;

const dayOf = (wall: number): string => {
  const day = Math.floor(wall / DAY);
  return `${weekdayText(day)} ${dateText(day)}`;
};

function whenText({ occurrence }: SearchHit): string {
  if (!occurrence) return '';
  const { startWall, allDay } = occurrence;
  return `${dayOf(startWall)} · ${allDay ? words.entry.allDayLabel : timeText(startWall)}`;
}

/** That it is a to-do, and when it is due. */
function todoText({ occurrence, isOver, isDue }: SearchHit): string {
  if (isOver) return words.search.todoDone;
  if (!occurrence || !isDue) return words.search.todo;
  const { endWall, allDay } = occurrence;
  // What is due on a day has until its end.
  return words.search.todoDue(allDay ? dayOf(endWall - 1) : `${dayOf(endWall)} · ${timeText(endWall)}`);
}

/** An entry that was found: title, when, where; of a series the next date. */
export const SearchHitRow = memo(function SearchHitRow({
  id,
  hit,
  calendar,
  active,
  onShow,
}: {
  id: string;
  hit: SearchHit;
  calendar: Calendar | undefined;
  active: boolean;
  onShow: (hit: SearchHit) => void;
}) {
  const { colours, calendar: tonesOf } = useTheme();
  const tones = tonesOf(calendar?.colour ?? 'slate');
  const when = [hit.kind === 'todo' ? todoText(hit) : whenText(hit), hit.location].filter(Boolean);
  return (
    // The keys that choose are the field's: an option of a list that the field controls.
    <div
      id={id}
      role="option"
      aria-selected={active}
      tabIndex={-1}
      data-testid="search-hit"
      onClick={() => onShow(hit)}
      className={classes.row}
      style={{
        borderColor: colours.line,
        backgroundColor: active ? colours.accentTint : colours.card,
        color: colours.ink,
      }}
    >
      <div className={classes.mark} style={{ backgroundColor: tones.band, color: tones.onBand }}>
        {calendar?.mark}
      </div>
      <div className={classes.texts}>
        <div className={classes.title}>
          <span style={hit.isOver ? OVER : undefined}>{hit.title || words.entry.noTitle}</span>{' '}
          {hit.isRecurring ? <AppIcon name="autorenew" size={14} color={colours.quietInk} /> : null}
        </div>
        <div style={{ color: colours.quietInk }}>{when.join(' · ')}</div>
      </div>
    </div>
  );
});

const classes = pageClasses('searchhit', {
  row: {
    display: 'flex',
    alignItems: 'center',
    gap: space(3),
    padding: `${space(2)}px ${space(3)}px`,
    minHeight: 52,
    boxSizing: 'border-box',
    borderBottomWidth: hairline,
    borderBottomStyle: 'solid',
    cursor: 'pointer',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    lineHeight: '17px',
    fontVariantNumeric: 'tabular-nums',
  },
  mark: {
    width: 28,
    height: 24,
    flexShrink: 0,
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: corner,
    fontWeight: 700,
  },
  texts: { flexGrow: 1, minWidth: 0, overflowWrap: 'anywhere' },
  title: { fontWeight: 700, fontSize: fontSizes.body, lineHeight: '19px' },
});

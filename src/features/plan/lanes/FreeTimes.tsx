import { lengthText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

interface FreeTime {
  readonly startWall: number;
  readonly endWall: number;
  readonly left: number;
  readonly width: number;
  readonly label: string;
}

/** The times at which none of the lanes is taken; a press drafts an entry there. */
export function FreeTimes({
  gaps,
  headWidth,
  onPress,
}: {
  gaps: readonly FreeTime[];
  headWidth: number;
  onPress: (startWall: number, endWall: number) => void;
}) {
  const { colours } = useTheme();
  return (
    <div
      role="group"
      data-inert
      aria-label={words.lanes.together}
      className={classes.row}
      style={{ backgroundColor: colours.page }}
    >
      <div
        className={classes.head}
        style={{ width: headWidth, color: colours.ink, backgroundColor: colours.page }}
      >
        {headWidth > 100 ? words.lanes.together : words.lanes.free}
      </div>
      {gaps.map((gap) => (
        <button
          key={gap.startWall}
          type="button"
          aria-label={gap.label}
          title={gap.label}
          data-testid="free-time"
          onClick={() => onPress(gap.startWall, gap.endWall)}
          className={classes.gap}
          style={{
            left: headWidth + gap.left + 1,
            width: gap.width - 3,
            color: colours.ink,
            borderColor: colours.primary,
            backgroundColor: colours.card,
          }}
        >
          {gap.width > 64
            ? words.desk.free(lengthText(gap.endWall - gap.startWall))
            : lengthText(gap.endWall - gap.startWall)}
        </button>
      ))}
    </div>
  );
}

const classes = pageClasses('freetimes', {
  row: {
    position: 'relative',
    height: 56,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
  },
  head: {
    position: 'sticky',
    left: 0,
    zIndex: 5,
    height: 56,
    display: 'inline-flex',
    alignItems: 'center',
    paddingLeft: space(2),
    boxSizing: 'border-box',
    fontWeight: 700,
  },
  gap: {
    position: 'absolute',
    top: 8,
    height: 40,
    padding: 0,
    borderWidth: hairline,
    borderStyle: 'solid',
    borderRadius: corner,
    fontFamily: 'inherit',
    fontSize: 'inherit',
    overflow: 'hidden',
    whiteSpace: 'nowrap',
    cursor: 'pointer',
  },
});

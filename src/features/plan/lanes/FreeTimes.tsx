import { lengthText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

interface FreeTime {
  /** Instants, half-open. */
  readonly start: number;
  readonly end: number;
  readonly left: number;
  readonly width: number;
  readonly label: string;
}

/** The least widths of a free time that says its length, with and without the word. */
const WITH_WORD = 64;
const WITH_LENGTH = 48;

/** The times at which none of the lanes is taken; a press drafts an entry there. */
export function FreeTimes({
  gaps,
  headWidth,
  onPress,
}: {
  gaps: readonly FreeTime[];
  headWidth: number;
  onPress: (start: number, end: number) => void;
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
          key={gap.start}
          type="button"
          aria-label={gap.label}
          title={gap.label}
          data-testid="free-time"
          onClick={() => onPress(gap.start, gap.end)}
          className={classes.gap}
          style={{
            left: headWidth + gap.left + 1,
            width: gap.width - 3,
            color: colours.ink,
            borderColor: colours.primary,
            backgroundColor: colours.card,
          }}
        >
          {gap.width > WITH_WORD
            ? words.desk.free(lengthText(gap.end - gap.start))
            : gap.width > WITH_LENGTH
              ? lengthText(gap.end - gap.start)
              : null}
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

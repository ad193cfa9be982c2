import { type DayCard, drawnMinutes, type HoursScale, minuteToY } from '@/core/layout/hours';
import { type TravelMark, travelMarks } from '@/core/layout/travelMarks';
import { timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** The least width of a card beside which a flag has words. */
const WITH_WORDS = 84;
/** By so many pixels a flag stands over the moment that it is about. */
const FLAG_OVER = 8;
/** A dotted line leads down to the middle of the card's tab. */
const TO_TAB = 11;

/** The ways to a day's cards and back: a flag where one leaves, and a dotted line to the card's tab. */
export function TravelMarks({
  cards,
  scale,
  day,
  width,
}: {
  cards: readonly DayCard[];
  scale: HoursScale;
  day: number;
  width: number;
}) {
  return travelMarks(cards, scale, day).map((mark) => (
    <Way
      key={`${mark.key}${mark.direction}`}
      mark={mark}
      width={width}
      // Above the hours it would be cut.
      isAtTop={mark.top < minuteToY(scale, drawnMinutes(scale).from) + FLAG_OVER}
      title={cards.find(({ occurrence }) => occurrence.key === mark.key)?.occurrence.title ?? ''}
    />
  ));
}

function Way({
  mark,
  width,
  title,
  isAtTop,
}: {
  mark: TravelMark;
  width: number;
  title: string;
  isAtTop: boolean;
}) {
  const { colours } = useTheme();
  const { direction, top, height, left, wall } = mark;
  const isThere = direction === 'there';
  const time = timeText(wall);
  return (
    <div
      role="note"
      aria-label={
        isThere ? words.travel.flagOf(time, title || words.entry.noTitle) : words.travel.backOf(time)
      }
      data-testid={isThere ? 'travel-flag' : 'travel-back'}
      className={classes.way}
      style={{ top, height: Math.max(2, height), left: left * width + 1 }}
    >
      <div className={classes.line} style={{ borderColor: colours.ink, left: TO_TAB }} />
      {isThere ? (
        <div
          className={classes.flag}
          style={{
            top: isAtTop ? 1 : -FLAG_OVER,
            color: colours.ink,
            backgroundColor: colours.card,
            borderColor: colours.line,
          }}
        >
          <AppIcon name="flag-outline" size={12} color={colours.ink} />
          {width > WITH_WORDS ? words.travel.flag(time) : time}
        </div>
      ) : null}
    </div>
  );
}

const classes = pageClasses('travel', {
  way: { position: 'absolute', pointerEvents: 'none' },
  line: { position: 'absolute', top: 0, bottom: 0, width: 0, borderLeftWidth: 2, borderLeftStyle: 'dotted' },
  // A line lies under the cards that it passes, a flag over them.
  flag: {
    position: 'absolute',
    zIndex: 2,
    left: 3,
    display: 'inline-flex',
    alignItems: 'center',
    gap: 2,
    padding: `0 ${space(1)}px 0 2px`,
    borderWidth: hairline,
    borderStyle: 'solid',
    borderRadius: corner,
    whiteSpace: 'nowrap',
    lineHeight: '15px',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    fontVariantNumeric: 'tabular-nums',
  },
});

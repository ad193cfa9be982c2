import { wallMinute } from '@/core/layout/hours';
import type { LaneHours } from '@/core/layout/lanes';
import { MINUTE } from '@/core/time/civil';
import { hourText, shortDayText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';

/** The hours over the lanes; the day stays in sight at their left. */
export function HourHeads({
  day,
  hours,
  hourWidth,
  headWidth,
}: {
  day: number;
  hours: LaneHours;
  hourWidth: number;
  headWidth: number;
}) {
  const { colours } = useTheme();
  const minutes = [];
  for (let minute = hours.from; minute < hours.to; minute += 60) minutes.push(minute);
  return (
    <div
      aria-hidden
      data-inert
      className={classes.row}
      style={{ borderColor: colours.line, backgroundColor: colours.card, color: colours.quietInk }}
    >
      <div
        className={classes.day}
        style={{ width: headWidth, color: colours.ink, backgroundColor: colours.card }}
      >
        {headWidth > 100 ? shortDayText(day) : null}
      </div>
      {minutes.map((minute) => (
        <div
          key={minute}
          style={{ width: hourWidth, flexShrink: 0, paddingLeft: 3, boxSizing: 'border-box' }}
        >
          {hourText(wallMinute(hours, minute) * MINUTE)}
        </div>
      ))}
    </div>
  );
}

const classes = pageClasses('lanehours', {
  row: {
    display: 'flex',
    position: 'sticky',
    top: 0,
    zIndex: 6,
    height: 32,
    alignItems: 'center',
    borderBottomWidth: hairline,
    borderBottomStyle: 'solid',
    boxSizing: 'border-box',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    fontVariantNumeric: 'tabular-nums',
  },
  day: {
    position: 'sticky',
    left: 0,
    flexShrink: 0,
    fontWeight: 700,
    paddingLeft: space(2),
    boxSizing: 'border-box',
    lineHeight: '31px',
    overflow: 'hidden',
    whiteSpace: 'nowrap',
  },
});

import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { words } from '@/ui/words';

/** Under the cards of all lanes: the minutes that the day's clock leaves out. Pixels. */
export function MissingTime({ left, width }: { left: number; width: number }) {
  const { colours } = useTheme();
  return (
    <div
      role="note"
      aria-label={words.plan.missingHour}
      data-testid="missing-hour"
      className={classes.mark}
      style={{
        left,
        width,
        backgroundColor: colours.page,
        backgroundImage: `repeating-linear-gradient(135deg, transparent 0 6px, ${colours.line} 6px 8px)`,
      }}
    />
  );
}

/** Over all lanes: what of today is over, and now. Pixels. */
export function NowMarks({ left, now }: { left: number; now: number }) {
  const { colours } = useTheme();
  return (
    <>
      <div
        aria-hidden
        className={classes.mark}
        style={{ left, width: now, backgroundColor: colours.shade }}
      />
      <div
        aria-hidden
        className={classes.mark}
        style={{ left: left + now - 1, width: 2, backgroundColor: colours.accent }}
      />
    </>
  );
}

const classes = pageClasses('lanemarks', {
  mark: { position: 'absolute', top: 0, bottom: 0, pointerEvents: 'none' },
});

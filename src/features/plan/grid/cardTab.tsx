import { AppIcon } from '@/ui/icons/AppIcon';
import { pageClasses } from '@/ui/pageClasses';
import type { CalendarColours } from '@/ui/theme/calendarColours';
import { corner, fontFamilies, fontSizes, hairline } from '@/ui/theme/tokens';

/** Where a tab stands: at the corner of a card, of a roomy one, or before a line. */
export type TabKind = 'corner' | 'roomy' | 'line';

const TICK: Readonly<Record<TabKind, number>> = { corner: 14, roomy: 14, line: 12 };

/**
 * The index tab of a card: its calendar's mark on the colour, or a tick where it is selected. Not a component: there are
 * hundreds of them.
 */
export function cardTab({
  kind,
  tones,
  mark,
  selected,
}: {
  kind: TabKind;
  tones: CalendarColours;
  mark: string | undefined;
  selected: boolean;
}) {
  return (
    <span
      aria-hidden
      className={`${classes.tab} ${classes[kind]}`}
      style={{ backgroundColor: tones.band, color: tones.onBand }}
    >
      {selected ? <AppIcon name="check" size={TICK[kind]} color={tones.onBand} /> : mark}
    </span>
  );
}

const atCorner = { position: 'absolute', left: -hairline, top: -hairline } as const;

const classes = pageClasses('cardtab', {
  tab: {
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    flexShrink: 0,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    fontWeight: 700,
    lineHeight: '16px',
    borderRadius: `${corner}px 0 ${corner}px 0`,
  },
  corner: { ...atCorner, width: 24, height: 18 },
  roomy: { ...atCorner, width: 28, height: 20 },
  line: { width: 22, height: 16 },
});

import { StyleSheet, View } from 'react-native';
import { hoursHeight, type HoursScale, minuteToY, scaleMinute } from '@/core/layout/hours';
import { DAY, MINUTE } from '@/core/time/civil';
import { lengthText, timeRangeText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { drawnGhosts, type Ghost, useGhost } from '../grid/ghost';
import type { EntryPlaces, HoursColumn } from '@/core/layout/hoursGrid';
import { cardsWidth } from './columnSizes';

interface GhostLayerProps {
  part: 'hours' | 'ribbons';
  columns: readonly HoursColumn[];
  columnWidth: number;
  scale: HoursScale;
  draft: Ghost | null;
  /** Where a draft was laid out among the others. */
  places: EntryPlaces;
}

/** The dashed cards of a drag, or of a draft, over the hours or the ribbons. */
export function GhostLayer({ part, columns, columnWidth, scale, draft, places }: GhostLayerProps) {
  const dragged = useGhost(({ ghost }) => ghost);
  // What is dragged lies over everything; a draft beside the others.
  const laidOut = dragged ? undefined : places;
  return drawnGhosts(dragged ?? draft)
    .filter(({ allDay }) => allDay === (part === 'ribbons'))
    .map((ghost) =>
      part === 'ribbons' ? (
        <RibbonGhost
          key={ghost.key ?? ''}
          ghost={ghost}
          columns={columns}
          columnWidth={columnWidth}
          row={laidOut?.ribbon?.row ?? 0}
        />
      ) : (
        <HourGhosts
          key={ghost.key ?? ''}
          columns={columns}
          ghost={ghost}
          scale={scale}
          laidOut={laidOut}
          columnWidth={columnWidth}
        />
      ),
    );
}

/** The dashed ribbon of a drag or a draft. */
function RibbonGhost({
  ghost,
  columns,
  columnWidth,
  row,
}: Pick<GhostLayerProps, 'columns' | 'columnWidth'> & { ghost: Ghost; row: number }) {
  const first = Math.floor(ghost.startWall / DAY);
  const end = Math.max(first + 1, Math.ceil(ghost.endWall / DAY));
  const shown = columns
    .map((column, index) => ({ ...column, index }))
    .filter(({ day, calendarId }) => day >= first && day < end && isIts(calendarId, ghost));
  const from = shown[0]?.index;
  if (from === undefined) return null;
  return (
    <GhostCard
      ghost={ghost}
      style={{
        top: row * sizes.ribbon + 1,
        height: sizes.ribbon - 3,
        left: from * columnWidth + 1,
        width: shown.length * columnWidth - 3,
      }}
    />
  );
}

/** The dashed cards over the hours of the columns. */
function HourGhosts({
  columns,
  ghost,
  scale,
  laidOut,
  columnWidth,
}: {
  columns: readonly HoursColumn[];
  ghost: Ghost;
  scale: HoursScale;
  laidOut: EntryPlaces | undefined;
  columnWidth: number;
}) {
  return (
    <>
      {columns.map(({ day, calendarId }, index) => {
        const wallFrom = (ghost.startWall - day * DAY) / MINUTE;
        const wallTo = (ghost.endWall - day * DAY) / MINUTE;
        if (wallFrom >= 1440 || wallTo <= 0 || !isIts(calendarId, ghost)) return null;
        const from = scaleMinute(scale, wallFrom);
        const to = scaleMinute(scale, wallTo);
        const top = Math.min(minuteToY(scale, from), hoursHeight(scale) - 20);
        const across = laidOut?.cards[index]?.across;
        const left = across ? across.left * cardsWidth(columnWidth) : 0;
        const width = across ? across.width * cardsWidth(columnWidth) - 3 : columnWidth - 3;
        const height = Math.max(20, minuteToY(scale, to) - top);
        return (
          <GhostCard
            key={index}
            ghost={ghost}
            style={{
              top,
              height,
              left: index * columnWidth + 1 + left,
              width,
            }}
          />
        );
      })}
    </>
  );
}

const isIts = (calendarId: string | undefined, ghost: Ghost): boolean =>
  calendarId === undefined || calendarId === ghost.calendarId;

/** A narrower one bears its mark alone. */
const LEAST_TITLED = 64;

export function GhostCard({
  ghost,
  style,
}: {
  ghost: Ghost;
  style: { top: number; height: number; left: number; width: number };
}) {
  const { colours, calendar } = useTheme();
  const tones = calendar(ghost.colour);
  const times = timeRangeText(ghost.startWall, ghost.endWall);
  return (
    <View
      pointerEvents="none"
      testID="ghost"
      style={[styles.ghost, style, { borderColor: colours.accent, backgroundColor: tones.tint }]}
    >
      <View style={styles.row}>
        <Mark small mark={ghost.mark} colour={ghost.colour} />
        {style.width < LEAST_TITLED ? null : (
          <AppText size="small" weight="700" colour={tones.ink} numberOfLines={1} style={styles.title}>
            {ghost.copy ? '+ ' : ''}
            {ghost.title || words.plan.newDraft}
          </AppText>
        )}
      </View>
      {style.height > 34 && !ghost.allDay && measureSmallText(times, '400') <= style.width - 12 ? (
        <AppText size="small" figures colour={tones.ink} numberOfLines={1} style={styles.time}>
          {times}
          {style.width > 140 ? ` · ${lengthText(ghost.endWall - ghost.startWall)}` : ''}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  ghost: {
    position: 'absolute',
    borderWidth: focusWidth,
    borderStyle: 'dashed',
    borderRadius: corner,
    overflow: 'hidden',
    zIndex: 5,
  },
  row: { flexDirection: 'row' },
  title: { flex: 1, paddingHorizontal: space(1), lineHeight: 17 },
  time: { paddingHorizontal: space(1), lineHeight: 17 },
});

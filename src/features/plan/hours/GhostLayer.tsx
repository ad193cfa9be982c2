import { StyleSheet, View } from 'react-native';
import { hoursHeight, type HoursScale, minuteToY } from '@/core/layout/hours';
import { DAY, MINUTE } from '@/core/time/civil';
import { lengthText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { type Ghost, useGhost } from './ghost';

/** The dashed card of a drag or a draft, over the hours or the ribbons. */
export function GhostLayer({
  part,
  days,
  columnWidth,
  scale,
  draft,
}: {
  part: 'hours' | 'ribbons';
  days: readonly number[];
  columnWidth: number;
  scale: HoursScale;
  draft: Ghost | null;
}) {
  const dragged = useGhost(({ ghost }) => ghost);
  const ghost = dragged ?? draft;
  if (!ghost || ghost.allDay !== (part === 'ribbons')) return null;
  if (part === 'ribbons') {
    const first = Math.floor(ghost.startWall / DAY);
    const end = Math.max(first + 1, Math.ceil(ghost.endWall / DAY));
    const shown = days.map((day, index) => ({ day, index })).filter(({ day }) => day >= first && day < end);
    const from = shown[0]?.index;
    if (from === undefined) return null;
    const width = shown.length * columnWidth - 3;
    return (
      <GhostCard
        ghost={ghost}
        style={{ top: 1, height: sizes.ribbon - 3, left: from * columnWidth + 1, width }}
      />
    );
  }
  return (
    <>
      {days.map((day, index) => {
        const from = (ghost.startWall - day * DAY) / MINUTE;
        const to = (ghost.endWall - day * DAY) / MINUTE;
        if (from >= 1440 || to <= 0) return null;
        const top = Math.min(minuteToY(scale, from), hoursHeight(scale) - 20);
        const height = Math.max(20, minuteToY(scale, to) - top);
        return (
          <GhostCard
            key={day}
            ghost={ghost}
            style={{ top, height, left: index * columnWidth + 1, width: columnWidth - 3 }}
          />
        );
      })}
    </>
  );
}

function GhostCard({
  ghost,
  style,
}: {
  ghost: Ghost;
  style: { top: number; height: number; left: number; width: number };
}) {
  const { colours, calendar } = useTheme();
  const tones = calendar(ghost.colour);
  return (
    <View
      pointerEvents="none"
      testID="ghost"
      style={[styles.ghost, style, { borderColor: colours.accent, backgroundColor: tones.tint }]}
    >
      <View style={styles.row}>
        <Mark small mark={ghost.mark} colour={ghost.colour} />
        <AppText size="small" weight="700" colour={tones.ink} numberOfLines={1} style={styles.title}>
          {ghost.copy ? '+ ' : ''}
          {ghost.title || words.plan.newDraft}
        </AppText>
      </View>
      {style.height > 34 && !ghost.allDay ? (
        <AppText size="small" figures colour={tones.ink} numberOfLines={1} style={styles.time}>
          {timeRangeText(ghost.startWall, ghost.endWall)}
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

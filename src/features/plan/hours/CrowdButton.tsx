import { useRef, useState } from 'react';
import { Pressable, StyleSheet, type View } from 'react-native';
import type { Crowd } from '@/core/layout/hours';
import type { Calendar } from '@/core/model/calendar';
import { workspace } from '@/features/workspace';
import { dayText, timeRangeText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { MenuItem } from '@/ui/primitives/MenuItem';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { CROWD_WIDTH, cardsWidth, liesOver } from './columnSizes';

/** How many entries have no room beside the others of their hour; pressed, it lists all that lie there. */
export function CrowdButton({
  crowd,
  day,
  width,
  calendars,
}: {
  crowd: Crowd;
  day: number;
  width: number;
  calendars: ReadonlyMap<string, Calendar>;
}) {
  const { colours } = useTheme();
  const button = useRef<View>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const first = Math.min(...crowd.all.map(({ startWall }) => startWall));
  const over = liesOver(width);
  return (
    <>
      <Pressable
        ref={button}
        role="button"
        aria-label={words.plan.crowd(crowd.count, timeText(first))}
        testID="crowd"
        onPress={() => setAnchor(anchorOf(button.current))}
        style={[
          styles.button,
          {
            top: crowd.top + (over ? 20 : 1),
            left: over ? 1 : cardsWidth(width) - CROWD_WIDTH + 1,
            width: over ? cardsWidth(width) - 2 : CROWD_WIDTH - 2,
            backgroundColor: colours.card,
            borderColor: colours.accent,
          },
        ]}
      >
        <AppText size="small" weight="700" figures style={styles.count}>{`+${crowd.count}`}</AppText>
      </Pressable>
      {anchor ? (
        <CrowdList
          anchor={anchor}
          day={day}
          first={first}
          setAnchor={setAnchor}
          crowd={crowd}
          calendars={calendars}
        />
      ) : null}
    </>
  );
}

/** All entries of the hour. */
function CrowdList({
  anchor,
  day,
  first,
  setAnchor,
  crowd,
  calendars,
}: {
  anchor: Anchor;
  day: number;
  first: number;
  setAnchor: (next: Anchor | null) => void;
  crowd: Crowd;
  calendars: ReadonlyMap<string, Calendar>;
}) {
  return (
    <Popover
      anchor={anchor}
      label={words.plan.crowdTitle(`${dayText(day)}, ${timeText(first)}`)}
      onClose={() => setAnchor(null)}
    >
      {crowd.all.map(({ key, title, calendarId, startWall, endWall }) => (
        <MenuItem
          key={key}
          label={[
            timeRangeText(startWall, endWall),
            title || words.entry.noTitle,
            calendars.get(calendarId)?.mark,
          ]
            .filter(Boolean)
            .join(' · ')}
          onPress={() => {
            setAnchor(null);
            workspace.reveal(key);
          }}
        />
      ))}
    </Popover>
  );
}

const styles = StyleSheet.create({
  button: {
    position: 'absolute',
    height: 20,
    borderWidth: hairline,
    borderRadius: corner,
    alignItems: 'center',
    justifyContent: 'center',
    zIndex: 3,
  },
  count: { lineHeight: 16 },
});

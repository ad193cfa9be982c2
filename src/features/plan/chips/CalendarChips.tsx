import { memo, Suspense, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { fitChips } from '@/core/layout/chips';
import type { Calendar } from '@/core/model/calendar';
import { MINUTE } from '@/core/time/civil';
import { lengthText } from '@/ui/dates';
import { later } from '@/ui/later';
import { Button } from '@/ui/primitives/Button';
import type { Anchor } from '@/ui/primitives/Popover';
import { sizes, space, WIDE } from '@/ui/theme/tokens';
import { useFontsLoaded } from '@/ui/useFontsLoaded';
import { words } from '@/ui/words';
import { useFrameSize } from '../grid/useFrameSize';
import { Chip, chipWidths } from './Chip';
import { ChipMenu } from './ChipMenu';
import { type Showing, toggled } from './showing';

const list = later(() => import('./CalendarListSheet').then((module) => module.CalendarListSheet));
export const preloadList = list.fetchAhead;

/** A chip for each calendar, as large as there is room; where they are shrunk, the list of all stands after them. */
export const CalendarChips = memo(function CalendarChips({
  minutes,
  ...showing
}: Showing & { minutes: Readonly<Record<string, number>> | undefined }) {
  const { calendars, hidden, onHiddenChange } = showing;
  const wide = useWindowDimensions().width >= WIDE;
  const { width, onLayout } = useFrameSize('chips');
  useFontsLoaded();
  const [menu, setMenu] = useState<{ calendar: Calendar; anchor: Anchor } | null>(null);
  const [isListOpen, openList] = useState(false);
  const hoursOf = ({ id }: Calendar): string => {
    const taken = minutes?.[id];
    return taken ? lengthText(taken * MINUTE) : '';
  };
  const least = wide ? sizes.target : sizes.touchTarget;
  const widths = calendars.map((calendar) => chipWidths(calendar.name, wide ? hoursOf(calendar) : '', least));
  const { level, shown, hasList } = fitChips(widths, width, GAP, least);
  return (
    <View role="group" aria-label={words.chips.label} onLayout={onLayout} style={styles.row}>
      {width === 0
        ? null
        : calendars
            .slice(0, shown)
            .map((calendar, index) => (
              <Chip
                key={calendar.id}
                calendar={calendar}
                level={level}
                width={widths[index]![level]}
                isHidden={hidden.includes(calendar.id)}
                hours={wide ? hoursOf(calendar) : ''}
                onPress={() => onHiddenChange(toggled(hidden, calendar.id))}
                onMenu={(anchor) => setMenu({ calendar, anchor })}
              />
            ))}
      {width > 0 && hasList ? (
        <Button
          icon={shown < calendars.length ? undefined : 'menu-down'}
          iconOnly={shown === calendars.length}
          label={words.chips.list}
          shown={`+${calendars.length - shown}`}
          onPress={() => openList(true)}
          style={[styles.list, { width: least }]}
        />
      ) : null}
      {menu ? <ChipMenu {...menu} {...showing} onClose={() => setMenu(null)} /> : null}
      {isListOpen ? (
        <Suspense fallback={null}>
          <list.Later {...showing} hoursOf={hoursOf} onClose={() => openList(false)} />
        </Suspense>
      ) : null}
    </View>
  );
});

const GAP = space(1);

const styles = StyleSheet.create({
  row: {
    minHeight: sizes.chipRow,
    flexDirection: 'row',
    alignItems: 'center',
    gap: GAP,
    flex: 1,
    minWidth: 0,
    overflow: 'hidden',
  },
  list: { height: 34, minHeight: 34, paddingHorizontal: 0 },
});

import { useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { ChipLevel, ChipWidths } from '@/core/layout/chips';
import type { Calendar } from '@/core/model/calendar';
import { AppIcon } from '@/ui/icons/AppIcon';
import { measureText } from '@/ui/measureText';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { type Anchor, anchorOf } from '@/ui/primitives/Popover';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';

const MARK = 28;
const MENU = 26;
const PADDING = 3;
const HEIGHT = 34;
/** What a text may be wider than it was measured. */
const SLACK = 2;

/** How wide a calendar's chip is with all that it says, with mark and hours, and with its mark alone. */
export function chipWidths(name: string, hours: string, least: number): ChipWidths {
  const edge = 2 * hairline + PADDING;
  // Figures stand in columns, each as wide as the widest.
  const figures = hours.replaceAll(/\d/g, '0');
  const hoursWidth = hours === '' ? 0 : space(2) + measureText(figures, '400', fontSizes.body) + SLACK;
  const said = MARK + edge + hoursWidth;
  return {
    full: Math.ceil(said + space(2) + measureText(name, '700', fontSizes.body) + SLACK + MENU),
    hours: Math.max(least, Math.ceil(said + space(2))),
    mark: least,
  };
}

interface ChipProps {
  calendar: Calendar;
  level: ChipLevel;
  width: number;
  isHidden: boolean;
  /** The hours that it takes in the shown range, in words. */
  hours: string;
  onPress: () => void;
  onMenu: (anchor: Anchor) => void;
}

/** A calendar: press it to show or hide its entries. Its menu opens by the arrow, by the right button and by a long press. */
export function Chip({ calendar, level, width, isHidden, hours, onPress, onMenu }: ChipProps) {
  const { colours, calendar: tonesOf } = useTheme();
  const tones = tonesOf(calendar.colour);
  const chip = useRef<View>(null);
  const openMenu = () => onMenu(anchorOf(chip.current));
  const ink = isHidden ? colours.quietInk : tones.ink;
  return (
    <View
      ref={chip}
      {...webProps({
        onContextMenu: (event) => {
          event.preventDefault();
          onMenu(anchorOf(event.currentTarget as unknown as View));
        },
        title: level === 'full' ? undefined : calendar.name,
      })}
      style={[
        styles.chip,
        { width },
        isHidden
          ? { backgroundColor: colours.card, borderColor: colours.line }
          : { backgroundColor: tones.tint, borderColor: tones.tint },
      ]}
    >
      <ChipSwitch
        isHidden={isHidden}
        calendar={calendar}
        onPress={onPress}
        openMenu={openMenu}
        level={level}
        ink={ink}
        hours={hours}
      />
      {level === 'full' ? (
        <Pressable
          role="button"
          aria-label={words.chips.menu(calendar.name)}
          onPress={openMenu}
          style={styles.more}
        >
          <AppIcon name="menu-down" size={18} color={ink} />
        </Pressable>
      ) : null}
    </View>
  );
}

/** The part of a chip that shows or hides its calendar. */
function ChipSwitch({
  isHidden,
  calendar,
  onPress,
  openMenu,
  level,
  ink,
  hours,
}: {
  isHidden: boolean;
  calendar: Calendar;
  onPress: () => void;
  openMenu: () => void;
  level: ChipLevel;
  ink: string;
  hours: string;
}) {
  return (
    <Pressable
      role="switch"
      aria-checked={!isHidden}
      aria-label={calendar.name}
      onPress={onPress}
      onLongPress={openMenu}
      style={[styles.press, level === 'mark' ? styles.alone : null]}
    >
      <Mark mark={calendar.mark} colour={calendar.colour} off={isHidden && level !== 'full'} />
      {level === 'full' ? (
        <AppText weight="700" colour={ink} numberOfLines={1} style={isHidden ? styles.struck : null}>
          {calendar.name}
        </AppText>
      ) : null}
      {level === 'mark' || hours === '' || isHidden ? null : (
        <AppText figures colour={ink} numberOfLines={1}>
          {hours}
        </AppText>
      )}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    borderWidth: hairline,
    borderRadius: corner,
    height: HEIGHT,
  },
  press: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    height: 40,
    paddingLeft: PADDING,
  },
  alone: { justifyContent: 'center', paddingLeft: 0 },
  more: { height: 40, width: MENU, alignItems: 'center', justifyContent: 'center' },
  struck: { textDecorationLine: 'line-through' },
});

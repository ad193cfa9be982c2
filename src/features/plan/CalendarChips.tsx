import { useRouter } from 'expo-router';
import { memo, useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import type { Calendar } from '@/core/model/calendar';
import { MINUTE } from '@/core/time/civil';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { lengthText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

interface CalendarChipsProps {
  calendars: readonly Calendar[];
  hidden: readonly string[];
  minutes: Readonly<Record<string, number>> | undefined;
  onHiddenChange: (hidden: readonly string[]) => void;
}

/** A chip for each calendar: press it to show or hide its entries; its menu has the rest. */
export const CalendarChips = memo(function CalendarChips({
  calendars,
  hidden,
  minutes,
  onHiddenChange,
}: CalendarChipsProps) {
  const { width } = useWindowDimensions();
  const [menu, setMenu] = useState<{ calendar: Calendar; anchor: Anchor } | null>(null);
  const toggle = (id: string) =>
    onHiddenChange(hidden.includes(id) ? hidden.filter((other) => other !== id) : [...hidden, id]);
  return (
    <View role="group" aria-label={words.chips.label} style={styles.row}>
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.chips}>
        {calendars.map((calendar) => (
          <Chip
            key={calendar.id}
            calendar={calendar}
            isHidden={hidden.includes(calendar.id)}
            hours={width >= WIDE ? minutes?.[calendar.id] : undefined}
            onPress={() => toggle(calendar.id)}
            onMenu={(anchor) => setMenu({ calendar, anchor })}
          />
        ))}
      </ScrollView>
      {menu ? (
        <ChipMenu
          {...menu}
          onlyOne={calendars.length - hidden.length === 1 && !hidden.includes(menu.calendar.id)}
          onAlone={() =>
            onHiddenChange(calendars.filter(({ id }) => id !== menu.calendar.id).map(({ id }) => id))
          }
          onAll={() => onHiddenChange([])}
          onClose={() => setMenu(null)}
        />
      ) : null}
    </View>
  );
});

function Chip({
  calendar,
  isHidden,
  hours,
  onPress,
  onMenu,
}: {
  calendar: Calendar;
  isHidden: boolean;
  hours: number | undefined;
  onPress: () => void;
  onMenu: (anchor: Anchor) => void;
}) {
  const { colours, calendar: tonesOf } = useTheme();
  const tones = tonesOf(calendar.colour);
  const chip = useRef<View>(null);
  const openMenu = () => onMenu(anchorOf(chip.current));
  return (
    <View
      ref={chip}
      style={[
        styles.chip,
        isHidden
          ? { backgroundColor: colours.card, borderColor: colours.line }
          : { backgroundColor: tones.tint, borderColor: tones.tint },
      ]}
    >
      <Pressable
        role="switch"
        aria-checked={!isHidden}
        aria-label={calendar.name}
        onPress={onPress}
        onLongPress={openMenu}
        style={styles.press}
      >
        <Mark mark={calendar.mark} colour={calendar.colour} />
        <AppText
          weight="700"
          colour={isHidden ? colours.quietInk : tones.ink}
          numberOfLines={1}
          style={isHidden ? styles.struck : null}
        >
          {calendar.name}
        </AppText>
        {hours && !isHidden ? (
          <AppText figures colour={tones.ink}>
            {lengthText(hours * MINUTE)}
          </AppText>
        ) : null}
      </Pressable>
      <Pressable
        role="button"
        aria-label={words.chips.menu(calendar.name)}
        onPress={openMenu}
        style={styles.more}
      >
        <AppIcon name="menu-down" size={18} color={isHidden ? colours.quietInk : tones.ink} />
      </Pressable>
    </View>
  );
}

function ChipMenu({
  calendar,
  anchor,
  onlyOne,
  onAlone,
  onAll,
  onClose,
}: {
  calendar: Calendar;
  anchor: Anchor;
  onlyOne: boolean;
  onAlone: () => void;
  onAll: () => void;
  onClose: () => void;
}) {
  const router = useRouter();
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const { targetCalendarId } = useSettings();
  const act = (action: () => void) => () => {
    action();
    onClose();
  };
  const isTarget = targetCalendarId === calendar.id;
  return (
    <Popover anchor={anchor} label={calendar.name} onClose={onClose}>
      <Button
        role="menuitem"
        kind="quiet"
        style={styles.item}
        label={onlyOne ? words.chips.all : words.chips.alone}
        onPress={act(onlyOne ? onAll : onAlone)}
      />
      {onlyOne ? null : (
        <Button
          role="menuitem"
          kind="quiet"
          style={styles.item}
          label={words.chips.all}
          onPress={act(onAll)}
        />
      )}
      <Button
        role="menuitem"
        kind="quiet"
        style={styles.item}
        disabled={isTarget}
        label={isTarget ? words.chips.isTarget : words.chips.target}
        onPress={act(() =>
          commit(changeSettings(store.getSnapshot().state, { targetCalendarId: calendar.id }, context())),
        )}
      />
      <Button
        role="menuitem"
        kind="quiet"
        style={styles.item}
        label={words.chips.details}
        onPress={act(() => router.push({ pathname: '/setup', params: { calendar: calendar.id } }))}
      />
    </Popover>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: sizes.chipRow, justifyContent: 'center', flex: 1, minWidth: 0 },
  chips: { gap: space(2), alignItems: 'center', paddingVertical: 2, paddingHorizontal: 2 },
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    borderWidth: hairline,
    borderRadius: corner,
    height: 34,
  },
  press: { flexDirection: 'row', alignItems: 'center', gap: space(2), height: 40, paddingLeft: 3 },
  more: { height: 40, width: 26, alignItems: 'center', justifyContent: 'center' },
  struck: { textDecorationLine: 'line-through' },
  item: { justifyContent: 'flex-start' },
});

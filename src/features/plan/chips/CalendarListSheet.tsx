import { useRef, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { type Anchor, anchorOf } from '@/ui/primitives/Popover';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { ChipMenu } from './ChipMenu';
import { type Showing, toggled } from './showing';

/** All calendars with their names and hours, to show or hide them, where their chips have no room. */
export function CalendarListSheet({
  hoursOf,
  onClose,
  ...showing
}: Showing & { hoursOf: (calendar: Calendar) => string; onClose: () => void }) {
  const { calendars, hidden, onHiddenChange } = showing;
  const [menu, setMenu] = useState<{ calendar: Calendar; anchor: Anchor } | null>(null);
  return (
    <Sheet
      title={words.chips.label}
      closeLabel={words.actions.close}
      onClose={onClose}
      footer={
        <View style={styles.footer}>
          <Button label={words.chips.all} disabled={hidden.length === 0} onPress={() => onHiddenChange([])} />
          <Button kind="primary" label={words.actions.close} onPress={onClose} />
        </View>
      }
    >
      <View>
        {calendars.map((calendar) => {
          const isHidden = hidden.includes(calendar.id);
          return (
            <Row
              key={calendar.id}
              calendar={calendar}
              isHidden={isHidden}
              said={isHidden ? words.chips.hidden : hoursOf(calendar)}
              onPress={() => onHiddenChange(toggled(hidden, calendar.id))}
              onMenu={(anchor) => setMenu({ calendar, anchor })}
            />
          );
        })}
      </View>
      {menu ? <ChipMenu {...menu} {...showing} onClose={() => setMenu(null)} /> : null}
    </Sheet>
  );
}

function Row({
  calendar,
  isHidden,
  said,
  onPress,
  onMenu,
}: {
  calendar: Calendar;
  isHidden: boolean;
  said: string;
  onPress: () => void;
  onMenu: (anchor: Anchor) => void;
}) {
  const { colours } = useTheme();
  const more = useRef<View>(null);
  return (
    <View style={[styles.row, { borderColor: colours.line }]}>
      <Pressable
        role="switch"
        aria-checked={!isHidden}
        aria-label={calendar.name}
        onPress={onPress}
        style={styles.press}
      >
        <Mark mark={calendar.mark} colour={calendar.colour} off={isHidden} />
        <AppText
          weight="700"
          tone={isHidden ? 'quiet' : 'ink'}
          style={[styles.name, isHidden ? styles.struck : null]}
        >
          {calendar.name}
        </AppText>
        <AppText figures tone="quiet">
          {said}
        </AppText>
      </Pressable>
      <Button
        ref={more}
        icon="menu-down"
        iconOnly
        kind="quiet"
        label={words.chips.menu(calendar.name)}
        onPress={() => onMenu(anchorOf(more.current))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: sizes.touchTarget,
    borderBottomWidth: hairline,
  },
  press: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(3),
    minHeight: sizes.touchTarget,
  },
  name: { flex: 1 },
  struck: { textDecorationLine: 'line-through' },
  footer: { flexDirection: 'row', gap: space(2), justifyContent: 'flex-end' },
});

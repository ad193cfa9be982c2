import { Pressable, StyleSheet, View } from 'react-native';
import { type Colour, type Hue, HUES } from '@/core/model/colour';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { ColourField } from '@/ui/primitives/PlatformField';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { CalendarColours } from '@/ui/theme/calendarColours';

/** One of the twelve hues, another colour, or none where that can be. */
export function HuePicker({
  label,
  colour,
  mark,
  none,
  onChange,
}: {
  label: string;
  colour: Colour | undefined;
  /** What stands on the hues' tabs. */
  mark: string;
  /** What it is called where no colour is chosen. */
  none?: { label: string; onPress: () => void };
  onChange: (colour: Colour) => void;
}) {
  const { calendar: tonesOf } = useTheme();
  return (
    <View style={styles.picker}>
      {none ? (
        <Button label={none.label} role="radio" selected={colour === undefined} onPress={none.onPress} />
      ) : null}
      <View role="radiogroup" aria-label={label} style={styles.hues}>
        {HUES.map((hue) => {
          const tones = tonesOf(hue);
          const chosen = hue === colour;
          return (
            <HueButton key={hue} chosen={chosen} hue={hue} onChange={onChange} tones={tones} mark={mark} />
          );
        })}
      </View>
      <ColourField
        label={words.calendars.otherColour}
        value={colour?.startsWith('#') ? colour : '#808080'}
        onChange={(picked) => onChange(picked)}
      />
    </View>
  );
}

/** A hue by its name, as a card would have it. */
function HueButton({
  chosen,
  hue,
  onChange,
  tones,
  mark,
}: {
  chosen: boolean;
  hue: Hue;
  onChange: (colour: string) => void;
  tones: CalendarColours;
  mark: string;
}) {
  const { colours } = useTheme();
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={words.hues[hue]}
      onPress={() => onChange(hue)}
      style={[styles.hue, { backgroundColor: tones.tint, borderColor: chosen ? colours.accent : tones.tint }]}
    >
      <View style={[styles.tab, { backgroundColor: tones.band }]}>
        {chosen ? (
          <AppIcon name="check" size={16} color={tones.onBand} />
        ) : (
          <AppText size="small" weight="700" colour={tones.onBand}>
            {mark}
          </AppText>
        )}
      </View>
      <AppText size="small" weight="700" colour={tones.ink}>
        {words.hues[hue]}
      </AppText>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  picker: { gap: space(2) },
  hues: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  hue: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: focusWidth,
    borderRadius: corner,
    minHeight: sizes.target,
    width: 112,
    padding: space(1),
  },
  tab: { width: 28, height: 28, borderRadius: corner, alignItems: 'center', justifyContent: 'center' },
});

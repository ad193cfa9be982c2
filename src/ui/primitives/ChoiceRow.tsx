import { useLayoutEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { SegmentedButtons } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { corner, hairline, sizes, space } from '../theme/tokens';
import { AppText } from './AppText';
import { Button } from './Button';

export interface Choice<Value extends string> {
  readonly value: Value;
  readonly label: string;
}

interface ChoiceRowProps<Value extends string> {
  label: string;
  choices: readonly Choice<Value>[];
  value: Value;
  onChange: (value: Value) => void;
  hideLabel?: boolean;
  /** How wide it is at least, in pixels. */
  room?: number | undefined;
}

/** The width of the narrowest panel inside, and of a segment beside its letters, of which none is wider than this. */
const ROW = 280;
const SEGMENT = 34;
const LETTER = 7.6;

/** Segments are wider than they need be up to this together. */
const WIDEST = 360;

/** How wide equal segments are with none of them cut. */
const widthOf = (choices: readonly Choice<string>[]): number =>
  choices.length * (Math.max(...choices.map(({ label }) => label.length)) * LETTER + SEGMENT);

/** Whether answers stand side by side as equal segments. */
const fitsSegments = (choices: readonly Choice<string>[], room: number): boolean =>
  choices.length > 1 && widthOf(choices) <= room;

/** A choice of one among a few, all of them shown: joined where they fit on one line, else one button after the other. */
export function ChoiceRow<Value extends string>(props: ChoiceRowProps<Value>) {
  const { label, choices, value, onChange, hideLabel, room = ROW } = props;
  return (
    <View role="radiogroup" aria-label={label} style={styles.group}>
      {hideLabel ? null : (
        <AppText size="small" tone="quiet" aria-hidden>
          {label}
        </AppText>
      )}
      {fitsSegments(choices, room) ? (
        <Segments {...props} room={room} />
      ) : (
        <View style={styles.row}>
          {choices.map((choice) => (
            <Button
              key={choice.value}
              role="radio"
              label={choice.label}
              selected={choice.value === value}
              onPress={() => onChange(choice.value)}
            />
          ))}
        </View>
      )}
    </View>
  );
}

function Segments<Value extends string>({
  choices,
  value,
  onChange,
  room,
}: ChoiceRowProps<Value> & { room: number }) {
  const { colours } = useTheme();
  const row = useRef<View>(null);
  // Paper's segments are buttons to the page: here one of them is chosen.
  useLayoutEffect(() => {
    const element = row.current as unknown as HTMLElement;
    element.querySelectorAll('button').forEach((segment, index) => {
      segment.setAttribute('role', 'radio');
      segment.setAttribute('aria-checked', String(choices[index]?.value === value));
    });
  });
  return (
    <View ref={row} style={{ maxWidth: Math.max(WIDEST, room), minWidth: widthOf(choices) }}>
      <SegmentedButtons
        density="small"
        value={value}
        onValueChange={(chosen) => onChange(chosen as Value)}
        theme={SQUARE}
        buttons={choices.map((choice) => ({
          value: choice.value,
          label: choice.label,
          checkedColor: colours.onPrimary,
          uncheckedColor: colours.ink,
          style: [
            styles.segment,
            {
              borderColor: choice.value === value ? colours.primary : colours.line,
              backgroundColor: choice.value === value ? colours.primary : colours.card,
            },
          ],
          labelStyle: styles.label,
        }))}
      />
    </View>
  );
}

/** Paper rounds the ends of a row of segments by five times this. */
const SQUARE = { roundness: corner / 5 };

const styles = StyleSheet.create({
  group: { gap: space(1) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  segment: { minWidth: 0, minHeight: sizes.target, borderWidth: hairline, justifyContent: 'center' },
  label: { marginHorizontal: 0 },
});

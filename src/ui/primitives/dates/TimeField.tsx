import { useState } from 'react';
import { View } from 'react-native';
import { DAY, MINUTE } from '@/core/time/civil';
import { typedTime } from '@/core/time/typedTimes';
import { timeText, writingHabits } from '../../dates';
import { webProps } from '../../web';
import { words } from '../../words';
import type { FrameProps } from '../FieldFrame';
import { type Anchor, anchorOf, Popover } from '../Popover';
import { TextField } from '../TextField';
import { OptionRow } from './OptionRow';
import { pickButton } from './pickButton';
import { useTypedValue } from './useTypedValue';

const TIME = /^([01]\d|2[0-3]):[0-5]\d$/;
const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
const timeOf = (minutes: number): string =>
  new Date((((minutes * MINUTE) % DAY) + DAY) % DAY).toISOString().slice(11, 16);

const LIST_WIDTH = 140;
/** Minutes between the times of the list, and by which an arrow key leads. */
const LIST_STEP = 30;
const KEY_STEP = 15;

/** The next full step after or before a time, in minutes after midnight. */
const stepped = (minutes: number, by: number): number =>
  by > 0 ? (Math.floor(minutes / by) + 1) * by : (Math.ceil(minutes / -by) - 1) * -by;

/**
 * A time of day (`HH:MM`), typed as the person writes times or picked from a list; the arrow keys lead on by a quarter of an
 * hour. What is typed and no time yet is handed on as it is, and said to be none beside the field.
 */
export function TimeField({
  value,
  onChange,
  error,
  testID,
  ...frame
}: FrameProps & { value: string; onChange: (value: string) => void; testID?: string }) {
  const [field, setField] = useState<View | null>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const minutes = TIME.test(value) ? minutesOf(value) : undefined;
  const { isUnread, ...typing } = useTypedValue(
    value,
    (time) => (TIME.test(time) ? timeText(minutesOf(time) * MINUTE) : undefined),
    (text) => {
      const found = typedTime(text, writingHabits());
      return found === undefined ? undefined : timeOf(found);
    },
    onChange,
  );
  const close = () => setAnchor(null);
  const open = () => setAnchor(anchorOf(field));
  // The nearest of the list has the focus first.
  const nearest = minutes === undefined ? 9 * 60 : Math.floor(minutes / LIST_STEP) * LIST_STEP;
  return (
    <View
      ref={setField}
      style={fieldStyle(frame.narrow)}
      {...webProps({
        onKeyDownCapture: (event) => {
          if (!(event.target instanceof HTMLInputElement)) return;
          const by = { ArrowUp: KEY_STEP, ArrowDown: -KEY_STEP }[event.key];
          if (event.altKey && event.key === 'ArrowDown') open();
          else {
            if (by === undefined || minutes === undefined || event.altKey || event.ctrlKey) return;
            typing.forget();
            onChange(timeOf(stepped(minutes, by)));
          }
          event.preventDefault();
          event.stopPropagation();
        },
      })}
    >
      <TextField
        {...frame}
        value={typing.text}
        onChangeText={typing.onChangeText}
        onFocus={typing.onFocus}
        onBlur={typing.onBlur}
        selectTextOnFocus
        error={error ?? (isUnread ? words.dates.noTime(timeText(9.5 * 60 * MINUTE)) : undefined)}
        right={pickButton('clock-outline', words.dates.pickTime(frame.label), open)}
        testID={testID}
      />
      {anchor ? (
        <Popover
          anchor={anchor}
          label={words.dates.pickTime(frame.label)}
          role="listbox"
          width={LIST_WIDTH}
          onClose={close}
        >
          {Array.from({ length: (24 * 60) / LIST_STEP }, (_, index) => index * LIST_STEP).map((offered) => (
            <OptionRow
              key={offered}
              label={timeText(offered * MINUTE)}
              selected={offered === nearest}
              onPress={() => {
                close();
                typing.forget();
                onChange(timeOf(offered));
              }}
            />
          ))}
        </Popover>
      ) : null}
    </View>
  );
}

const fieldStyle = (narrow: boolean | undefined) =>
  ({ flexGrow: 1, flexShrink: 1, flexBasis: narrow ? 0 : 120, minWidth: narrow ? 0 : 120 }) as const;

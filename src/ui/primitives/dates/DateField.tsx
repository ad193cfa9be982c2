import { useState } from 'react';
import { View } from 'react-native';
import { dateString, isRealDate, parseDate } from '@/core/time/civil';
import { typedDay } from '@/core/time/typedTimes';
import { fieldDayText, writingHabits, writtenToday } from '../../dates';
import { later } from '../../later';
import { webProps } from '../../web';
import { words } from '../../words';
import type { FrameProps } from '../FieldFrame';
import { type Anchor, anchorOf, Popover } from '../Popover';
import { TextField } from '../TextField';
import { pickButton } from './pickButton';
import { useTypedValue } from './useTypedValue';

const { Later: DayPicker } = later(async () => (await import('./DayGrid')).DayGrid);

const isDate = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && isRealDate(text);
const PICKER_WIDTH = 304;
/** Keys that lead to another day, in days. */
const STEPS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1, PageUp: 7, PageDown: -7 };

/**
 * A date (`YYYY-MM-DD`), typed as the person writes dates or picked from a month; the arrow keys lead to the day after and
 * before. What is typed and no date yet is handed on as it is, and said to be none beside the field.
 */
export function DateField({
  value,
  onChange,
  onCommit,
  near,
  error,
  testID,
  ...frame
}: FrameProps & {
  value: string;
  onChange: (value: string) => void;
  /** A date that was picked, or that stands in the field as it is left. */
  onCommit?: (date: string) => void;
  /** The day number that dates without a year are near to, and that the picker begins at; else the value's. */
  near?: number;
  testID?: string;
}) {
  const [field, setField] = useState<View | null>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const day = isDate(value) ? parseDate(value) : undefined;
  const [lastDay, setLastDay] = useState(day);
  if (day !== undefined && day !== lastDay) setLastDay(day);
  const about = near ?? lastDay ?? writtenToday();
  const { isUnread, ...typing } = useTypedValue(
    value,
    (date) => (isDate(date) ? fieldDayText(parseDate(date)) : undefined),
    (text) => {
      const found = typedDay(text, about, writingHabits());
      return found === undefined ? undefined : dateString(found);
    },
    onChange,
  );
  const close = () => setAnchor(null);
  const open = () => setAnchor(anchorOf(field));
  return (
    <View
      ref={setField}
      style={fieldStyle(frame.narrow)}
      {...webProps({
        onKeyDownCapture: (event) => {
          if (!(event.target instanceof HTMLInputElement)) return;
          if (event.altKey && event.key === 'ArrowDown') open();
          else {
            const step = STEPS[event.key];
            if (step === undefined || day === undefined || event.altKey || event.ctrlKey) return;
            typing.forget();
            onChange(dateString(day + step));
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
        onBlur={() => {
          typing.onBlur();
          if (day !== undefined) onCommit?.(value);
        }}
        selectTextOnFocus
        error={error ?? (isUnread ? words.dates.noDate(fieldDayText(about)) : undefined)}
        right={pickButton('calendar-blank-outline', words.dates.pickDay(frame.label), open)}
        testID={testID}
      />
      {anchor ? (
        <Popover
          anchor={anchor}
          label={words.dates.pickDay(frame.label)}
          role="dialog"
          width={PICKER_WIDTH}
          onClose={close}
        >
          <DayPicker
            day={day}
            near={about}
            onPick={(picked) => {
              close();
              typing.forget();
              onChange(dateString(picked));
              onCommit?.(dateString(picked));
            }}
          />
        </Popover>
      ) : null}
    </View>
  );
}

const fieldStyle = (narrow: boolean | undefined) =>
  ({ flexGrow: 1, flexShrink: 1, flexBasis: narrow ? 0 : 168, minWidth: narrow ? 0 : 168 }) as const;

import { MINUTE } from '@/core/time/civil';
import { clockOfMinute, minuteOfClock } from '@/core/time/clockTime';
import { typedTime } from '@/core/time/typedTimes';
import { timeText, writingHabits } from '../../dates';
import { words } from '../../words';
import { OptionRow } from './OptionRow';
import { TypedField, type TypedFieldProps } from './TypedField';

const LIST_WIDTH = 140;
/** Minutes between the times of the list, and by which an arrow key leads. */
const LIST_STEP = 30;
const KEY_STEP = 15;
/** An example of a time, in minutes after midnight. */
const EXAMPLE = 9 * 60 + 30;
const OFFERED = Array.from({ length: (24 * 60) / LIST_STEP }, (_, index) => index * LIST_STEP);

/** The next full step after or before a time, as a key says. */
function stepped(time: string, key: string): string | undefined {
  const minute = minuteOfClock(time);
  if (minute === undefined) return undefined;
  const steps = minute / KEY_STEP;
  if (key === 'ArrowUp') return clockOfMinute((Math.floor(steps) + 1) * KEY_STEP);
  return key === 'ArrowDown' ? clockOfMinute((Math.ceil(steps) - 1) * KEY_STEP) : undefined;
}

/** A time of day (`HH:MM`), typed as the person writes times or picked from a list. */
export function TimeField(props: TypedFieldProps) {
  const { value, label } = props;
  // The nearest of the list has the focus first.
  const nearest = Math.floor((minuteOfClock(value) ?? 9 * 60) / LIST_STEP) * LIST_STEP;
  return (
    <TypedField
      {...props}
      kind={{
        written: (time) => {
          const minute = minuteOfClock(time);
          return minute === undefined ? undefined : timeText(minute * MINUTE);
        },
        read: (text) => {
          const found = typedTime(text, writingHabits());
          return found === undefined ? undefined : clockOfMinute(found);
        },
        stepped,
        unread: words.dates.noTime(timeText(EXAMPLE * MINUTE)),
        icon: 'clock-outline',
        pick: words.dates.pickTime(label),
        pickRole: 'listbox',
        pickWidth: LIST_WIDTH,
        width: 120,
      }}
      picker={(onPick) =>
        OFFERED.map((offered) => (
          <OptionRow
            key={offered}
            label={timeText(offered * MINUTE)}
            selected={offered === nearest}
            onPress={() => onPick(clockOfMinute(offered))}
          />
        ))
      }
    />
  );
}

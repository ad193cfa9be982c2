import { AppIcon } from '@/ui/icons/AppIcon';
import { PressField } from '@/ui/primitives/PressField';
import { recurrenceText } from '@/ui/recurrenceText';
import { useTheme } from '@/ui/theme/theme';
import { words } from '@/ui/words';
import { type EventForm, timesOf } from '../formModel';

/** How the entry repeats, in words; pressed, it opens the repeat editor. */
export function RepeatRow({
  form,
  error,
  onPress,
}: {
  form: EventForm;
  error: string | undefined;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  const times = timesOf(form);
  const text = !form.recurrence
    ? words.repeat.none
    : times
      ? recurrenceText(form.recurrence, times.start)
      : words.repeat.waits;
  return (
    <PressField
      label={words.repeat.label}
      name={`${words.repeat.change}: ${text}`}
      icon="autorenew"
      isSet={!!form.recurrence}
      text={text}
      trailing={<AppIcon name="chevron-right" size={20} color={colours.quietInk} />}
      error={error}
      disabled={!times}
      onPress={onPress}
      testID="repeat"
    />
  );
}

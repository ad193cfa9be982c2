import { AppIcon } from '@/ui/icons/AppIcon';
import { PressField } from '@/ui/primitives/PressField';
import { recurrenceText } from '@/ui/recurrenceText';
import { useTheme } from '@/ui/theme/theme';
import { repeatWords } from '@/ui/words/repeat';
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
    ? repeatWords.none
    : times
      ? recurrenceText(form.recurrence, times.start)
      : repeatWords.waits;
  return (
    <PressField
      label={repeatWords.label}
      name={`${repeatWords.change}: ${text}`}
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

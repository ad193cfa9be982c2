import { isRealDate } from '@/core/time/civil';
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
  const isDated = /^\d{4}-\d{2}-\d{2}$/.test(form.startDate) && isRealDate(form.startDate);
  const text =
    form.recurrence && isDated ? recurrenceText(form.recurrence, timesOf(form).start) : words.repeat.none;
  return (
    <PressField
      label={words.repeat.label}
      name={`${words.repeat.change}: ${text}`}
      icon="autorenew"
      isSet={!!form.recurrence}
      text={text}
      trailing={<AppIcon name="chevron-right" size={20} color={colours.quietInk} />}
      error={error}
      disabled={!isDated}
      onPress={onPress}
      testID="repeat"
    />
  );
}

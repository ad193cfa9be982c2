import { changeSettings } from '@/core/change/calendarChanges';
import { weekdaysFrom } from '@/core/time/civil';
import { useOpenStore, useSettings } from '@/store';
import { weekdayName } from '@/ui/dates';
import { SelectField } from '@/ui/primitives/PlatformField';
import { words } from '@/ui/words';
import { useCommands } from './useCommands';

/** The day that the person's weeks begin with, in every view. */
export function WeekStartField() {
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const { weekStart } = useSettings();
  return (
    <SelectField
      label={words.look.weekStart}
      value={String(weekStart)}
      options={weekdaysFrom(1).map((weekday) => ({
        value: String(weekday),
        label: weekdayName(weekday, 'long'),
      }))}
      onChange={(value) =>
        commit(changeSettings(store.getSnapshot().state, { weekStart: Number(value) }, context()))
      }
    />
  );
}

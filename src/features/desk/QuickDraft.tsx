import { StyleSheet, View } from 'react-native';
import type { EventFields } from '@/core/change/eventFields';
import { DAY } from '@/core/time/civil';
import { instantOf, wallOf } from '@/core/time/eventTime';
import { useCommands, workspace } from '@/features/workspace';
import { useWritableCalendars, useSettings } from '@/store';
import { dayText, lengthText, timeRangeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField, TextField } from '@/ui/primitives/Field';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** A new entry for the time that was pressed: its title and calendar, saved with Enter. */
export function QuickDraft({ fields }: { fields: EventFields }) {
  const { homeZone } = useSettings();
  const calendars = useWritableCalendars();
  const { create } = useCommands();
  const start = wallOf(fields.start);
  const end = wallOf(fields.end);
  const firstDay = Math.floor(start / DAY);
  const lastDay = Math.ceil(end / DAY) - 1;
  const save = () => {
    workspace.edit(null);
    if (!create(fields)) workspace.edit({ fields, panel: 'quick' });
  };
  return (
    <View style={styles.panel}>
      <TitleText>{words.plan.newDraft}</TitleText>
      <View>
        <AppText>
          {lastDay > firstDay ? `${dayText(firstDay)} – ${dayText(lastDay)}` : dayText(firstDay)}
        </AppText>
        {fields.start.kind === 'date' ? null : (
          <AppText figures weight="700">
            {`${timeRangeText(start, end)} · ${lengthText(instantOf(fields.end, homeZone) - instantOf(fields.start, homeZone))}`}
          </AppText>
        )}
      </View>
      <TextField
        label={words.editor.title}
        value={fields.title}
        onChangeText={(title) => workspace.editFields({ title })}
        onSubmit={save}
        autoFocus
        large
        testID="draft-title"
      />
      <SelectField
        label={words.editor.calendar}
        value={fields.calendarId}
        options={calendars.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(calendarId) => workspace.editFields({ calendarId })}
      />
      <View style={styles.actions}>
        <Button kind="primary" label={words.actions.save} onPress={save} />
        <Button label={words.actions.allFields} onPress={() => workspace.edit({ fields, panel: 'full' })} />
        <Button kind="quiet" label={words.actions.cancel} onPress={() => workspace.edit(null)} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: space(3) },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});

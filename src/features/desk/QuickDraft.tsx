import type { EventFields } from '@/core/model/entry';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { inCalendar } from '@/core/change/calendarDefaults';
import { DAY } from '@/core/time/civil';
import { instantOf, wallOf } from '@/core/time/eventTime';
import { WordsOfDraft } from '@/features/line';
import { type Editing, useCommands, workspace } from '@/features/workspace';
import { useWritableCalendars, useSettings } from '@/store';
import { dayText, lengthText, timeRangeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { StickyActions } from '@/ui/primitives/StickyActions';
import { space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { ClockNotes } from './ClockNotes';

/**
 * A new entry for the time that was pressed: its title and calendar, saved with Enter. Escape lets it be; what was written
 * is put aside and not lost.
 */
export function QuickDraft({ editing }: { editing: Editing }) {
  const { fields } = editing;
  const settings = useSettings();
  const { homeZone } = settings;
  const [problem, setProblem] = useState('');
  const calendars = useWritableCalendars();
  const { create } = useCommands();
  const start = wallOf(fields.start);
  const end = wallOf(fields.end);
  const firstDay = Math.floor(start / DAY);
  const lastDay = Math.ceil(end / DAY) - 1;
  const save = () => {
    if (fields.title.trim() === '') setProblem(words.line.missingTitle);
    else if (create({ ...fields, title: fields.title.trim() })) workspace.finishEditing();
  };
  return (
    <View
      style={styles.panel}
      {...webProps({
        onKeyDownCapture: (event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          workspace.putAside();
        },
      })}
    >
      <TitleText>{words.plan.newDraft}</TitleText>
      <DraftTime
        lastDay={lastDay}
        firstDay={firstDay}
        fields={fields}
        start={start}
        end={end}
        homeZone={homeZone}
      />
      <ClockNotes start={fields.start} end={fields.end} />
      <WordsOfDraft editing={editing} problem={problem} onWrite={() => setProblem('')} onSubmit={save} />
      <SelectField
        label={words.editor.calendar}
        value={fields.calendarId}
        options={calendars.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(calendarId) => {
          const changed = inCalendar(fields, calendarId, calendars, settings);
          workspace.editFields(changed);
          // What is written from now on is read over it.
          workspace.goOn({ before: { ...editing.before, ...changed } });
        }}
      />
      <DraftActions save={save} />
    </View>
  );
}

/** What can be done with a draft. */
function DraftActions({ save }: { save: () => void }) {
  return (
    <StickyActions>
      <Button kind="primary" label={words.actions.save} onPress={save} />
      <Button
        label={words.actions.allFields}
        onPress={() => workspace.goOn({ panel: 'full', words: undefined })}
      />
      <Button kind="quiet" label={words.actions.cancel} onPress={() => workspace.finishEditing()} />
    </StickyActions>
  );
}

/** The time that was pressed, in words. */
function DraftTime({
  lastDay,
  firstDay,
  fields,
  start,
  end,
  homeZone,
}: {
  lastDay: number;
  firstDay: number;
  fields: EventFields;
  start: number;
  end: number;
  homeZone: string;
}) {
  return (
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
  );
}

const styles = StyleSheet.create({
  panel: { gap: space(3) },
});

import { StyleSheet, View } from 'react-native';
import type { EntryLineDraft } from '@/core/entryline/parseEntryLine';
import type { Calendar } from '@/core/model/calendar';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { type Editing, usePlanAddress, workspace } from '@/features/workspace';
import { useWritableCalendars, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { fieldsOver } from './lineFields';
import { partsShown } from './partText';
import { problemText } from './problemText';
import { useGrammar, useLineReader } from './useLineReader';

/** The title of a draft over a pressed time: its words are read as those of the entry line, and say the rest too. */
export function WordsOfDraft({
  editing,
  problem,
  onWrite,
  onSubmit,
}: {
  editing: Editing;
  problem: string;
  onWrite: () => void;
  onSubmit: () => void;
}) {
  const { fields, before } = editing;
  const { zone } = usePlanAddress().address;
  const calendars = useWritableCalendars();
  const target = calendars.find(({ id }) => id === before.calendarId);
  const selectedDay = Math.floor(wallOf(before.start) / DAY);
  const grammar = useGrammar();
  const read = useLineReader({ calendars, target, zone, selectedDay });
  const text = editing.words ?? fields.title;
  const reading = grammar && text.trim() ? read(grammar, text) : undefined;
  const draft = reading?.draft;
  const calendar = reading?.calendar;
  const write = (next: string) => {
    onWrite();
    const now = grammar && next.trim() ? read(grammar, next) : undefined;
    // Before the grammar has come, and without words, they are a title.
    workspace.editFields(now ? fieldsOver(before, now) : { ...before, title: next });
    workspace.goOn({ words: next });
  };
  return (
    <View style={styles.words}>
      <TextField
        label={words.editor.title}
        value={text}
        onChangeText={write}
        error={problem || undefined}
        onSubmit={onSubmit}
        autoFocus
        large
        testID="draft-title"
      />
      {draft && calendar ? <Understood draft={draft} calendar={calendar} zone={zone} /> : null}
      {draft?.problems.map((each) => (
        <AppText key={each.text} size="small" tone="error" role="alert">
          {problemText(each)}
        </AppText>
      ))}
    </View>
  );
}

/** What the words say beside the title. */
function Understood({ draft, calendar, zone }: { draft: EntryLineDraft; calendar: Calendar; zone: string }) {
  const settings = useSettings();
  const zoneName = zoneLabel(settings, draft.start.kind === 'zoned' ? draft.start.zone : zone);
  const said = partsShown(draft, { calendar, viewZone: zone, zoneName }).filter(({ part }) =>
    draft.said.includes(part),
  );
  if (said.length === 0) return null;
  return (
    <AppText size="small" role="status" testID="draft-understood">
      <AppText size="small" weight="700">
        {draft.title || words.entry.noTitle}
      </AppText>
      {` · ${said.map(({ text }) => text).join(' · ')}`}
    </AppText>
  );
}

const styles = StyleSheet.create({ words: { gap: space(1) } });

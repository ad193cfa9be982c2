import { StyleSheet, View } from 'react-native';
import { fieldsOf, valueOf } from '@/core/fields/fieldsOf';
import { sameValue } from '@/core/change/seriesLike';

import type { Change, Patch } from '@/core/change/patch';
import type { Entry } from '@/core/model/entry';
import { useCalendars, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import { FieldChangeRow } from './FieldChangeRow';

const said = tidyWords.history;
/** How many records are listed. */
const MOST = 20;

type EntryChange = Extract<Change, { collection: 'entries' }>;
const isOfEntry = (change: Change): change is EntryChange => change.collection === 'entries';

/** What a patch changed of entries: each with its fields before and after. */
export function PatchDetails({ patch }: { patch: Patch }) {
  const changes = patch.changes.filter(isOfEntry);
  return (
    <View style={styles.list}>
      {changes.slice(0, MOST).map((change) => (
        <RecordChange key={change.id} change={change} />
      ))}
      {changes.length > MOST ? <AppText tone="quiet">{said.more(changes.length - MOST)}</AppText> : null}
    </View>
  );
}

function RecordChange({ change: { before, after } }: { change: EntryChange }) {
  const { homeZone } = useSettings();
  const calendars = useCalendars();
  const entry: Entry = (after ?? before)!;
  const names = {
    calendarName: (id: string) => calendars.find((calendar) => calendar.id === id)?.name ?? id,
    homeZone,
    start: entry.start,
  };
  const differing =
    before && after
      ? fieldsOf(entry.kind).names.filter(
          (field) => !sameValue(valueOf(before, field), valueOf(after, field)),
        )
      : [];
  return (
    <View style={styles.record}>
      <AppText weight="700">
        {entry.title || words.entry.noTitle}
        {before && after ? '' : ` · ${after ? said.made : said.removed}`}
      </AppText>
      {differing.map((field) => (
        <FieldChangeRow
          key={field}
          field={field}
          before={valueOf(before!, field)}
          after={valueOf(after!, field)}
          names={names}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: space(2) }, record: { gap: 2 } });

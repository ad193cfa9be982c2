import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BatchReport, BatchRow, Outcome } from '@/core/change/batch/batchRun';
import { SCOPES, type Scope, masterOf, targetOfKey } from '@/core/change/target';
import { useCalendars, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';
import { FieldChangeRow } from './FieldChangeRow';
import type { ValueNames } from '@/ui/fieldValueText';

const said = batchWords.preview;
/** How many rows are listed at first, and how many more at each press. */
const PAGE = 30;

interface PreviewRowsProps {
  report: BatchReport;
  outcome: Outcome;
  /** Which occurrences change of each series, by its id, where it is not the same for all. */
  onScope: (seriesId: string, scope: Scope) => void;
  onTakeOut: (key: string) => void;
}

/** The entries that a batch change is about with one outcome: what would change of each, or why nothing can. */
export function PreviewRows({ report, outcome, onScope, onTakeOut }: PreviewRowsProps) {
  const [most, setMost] = useState(PAGE);
  const rows = report.rows.filter((row) => row.outcome === outcome);
  if (rows.length === 0) return <AppText tone="quiet">{said.none[outcome]}</AppText>;
  return (
    <View role="list" aria-label={said.title} style={styles.list} testID="preview-rows">
      {rows.slice(0, most).map((row) => (
        <PreviewCard key={row.key} row={row} onScope={onScope} onTakeOut={onTakeOut} />
      ))}
      {rows.length > most ? (
        <Button label={said.more(rows.length - most)} onPress={() => setMost(most + PAGE * 3)} />
      ) : null}
    </View>
  );
}

function PreviewCard({
  row,
  onScope,
  onTakeOut,
}: { row: BatchRow } & Pick<PreviewRowsProps, 'onScope' | 'onTakeOut'>) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const calendars = useCalendars();
  const master = useSnapshot(({ state }) => masterOf(state, targetOfKey(row.key)));
  const names: ValueNames = {
    calendarName: (id) => calendars.find((calendar) => calendar.id === id)?.name ?? id,
    homeZone,
    start: master?.start,
  };
  const title = row.title || words.entry.noTitle;
  const isOne = row.scope !== undefined && targetOfKey(row.key).entryId !== master?.id;
  const asksScope = row.scope !== undefined && (targetOfKey(row.key).recurrenceKey !== undefined || isOne);
  return (
    <View
      role="listitem"
      style={[
        styles.card,
        { borderColor: asksScope ? colours.accent : colours.line, backgroundColor: colours.card },
      ]}
    >
      <View style={styles.head}>
        <AppText weight="700" style={styles.title} numberOfLines={2}>
          {title}
        </AppText>
        {row.outcome === 'changed' ? (
          <Button
            icon="close"
            iconOnly
            kind="quiet"
            label={said.takeOut(title)}
            onPress={() => onTakeOut(row.key)}
          />
        ) : null}
      </View>
      {row.reason ? <AppText tone="quiet">{words.refusals[row.reason]}</AppText> : null}
      {row.changes.map(({ field, before, after }) => (
        <FieldChangeRow key={field} field={field} before={before} after={after} names={names} />
      ))}
      {row.deeds.map((deed) => (
        <AppText key={deed} size="small">
          {deed in said.deeds ? said.deeds[deed as keyof typeof said.deeds] : batchWords.kinds[deed]}
        </AppText>
      ))}
      {asksScope && master ? (
        <ChoiceRow
          label={batchWords.scope.for(title)}
          choices={SCOPES.map((value) => ({ value, label: batchWords.scope[value] }))}
          value={row.scope!}
          onChange={(scope) => onScope(master.id, scope)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(2) },
  card: { borderWidth: hairline, borderRadius: corner, padding: space(3), gap: space(1) },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  title: { flex: 1 },
});

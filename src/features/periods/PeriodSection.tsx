import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { deletePeriodSet } from '@/core/change/presetChanges';
import type { PeriodSet } from '@/core/model/periodSet';
import { DAY } from '@/core/time/civil';
import { periodAt } from '@/core/time/periods';
import { useCommands } from '@/features/workspace';
import { useNowWall, useOpenStore, usePeriodSets } from '@/store';
import { rangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { periodWords } from '@/ui/words/periods';
import { PeriodSetSheet } from './PeriodSetSheet';

/** The period sets, each with the period that holds today. */
export function PeriodSection() {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const sets = usePeriodSets();
  const today = Math.floor(useNowWall() / DAY);
  const [editing, setEditing] = useState<{ set: PeriodSet | undefined } | null>(null);
  return (
    <View style={styles.section}>
      <AppText tone="quiet">{periodWords.about}</AppText>
      {sets.map((set) => {
        const now = periodAt(set.rule, today);
        return (
          <View
            key={set.id}
            role="group"
            aria-label={set.name}
            style={[styles.set, { backgroundColor: colours.card, borderColor: colours.line }]}
          >
            <View style={styles.name}>
              <AppText size="large" weight="700">
                {set.name}
              </AppText>
              {now ? (
                <AppText size="small" tone="quiet" figures>
                  {periodWords.now(
                    now.name || words.periods.numbered(now.number, now.year),
                    rangeText(now.first, now.end - 1, true),
                  )}
                </AppText>
              ) : null}
            </View>
            <Button
              icon="pencil-outline"
              iconOnly
              label={periodWords.edit(set.name)}
              onPress={() => setEditing({ set })}
            />
            <Button
              icon="delete-outline"
              iconOnly
              kind="danger"
              label={periodWords.delete(set.name)}
              onPress={() => {
                const patch = deletePeriodSet(store.getSnapshot().state, set.id, context());
                if (patch) commit(patch);
              }}
            />
          </View>
        );
      })}
      <View style={styles.row}>
        <Button icon="plus" label={periodWords.new} onPress={() => setEditing({ set: undefined })} />
      </View>
      {editing ? <PeriodSetSheet set={editing.set} today={today} onClose={() => setEditing(null)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  section: { gap: space(3) },
  row: { flexDirection: 'row' },
  set: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    padding: space(3),
    borderWidth: hairline,
    borderRadius: corner,
  },
  name: { flex: 1, gap: 2 },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  BIN_DAYS,
  type BinnedEntry,
  binnedCalendars,
  binnedEntries,
  emptyBin,
  restoreCalendar,
  restoreFromBin,
} from '@/core/change/binChanges';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { useCommands } from '@/features/workspace';
import { useNow, useSnapshot } from '@/store';
import { fullDayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { setupWords } from '@/ui/words/setup';

const said = setupWords.bin;
/** How many are shown at first, and how many more at each press. */
const PAGE = 20;

/** Deleted entries, the latest first: each can be brought back, and all removed for good. */
export function BinSection() {
  const { commit, context } = useCommands();
  const state = useSnapshot((snapshot) => snapshot.state);
  const [shown, setShown] = useState(PAGE);
  const [asks, setAsks] = useState(false);
  const bin = binnedEntries(state);
  const empty = () => {
    const patch = emptyBin(state, context());
    if (patch) commit(patch);
    setAsks(false);
  };
  return (
    <>
      <AppText tone="quiet">{state.bin.size > 0 ? said.hint(BIN_DAYS) : said.empty(BIN_DAYS)}</AppText>
      {binnedCalendars(state).map(({ calendar, items, deleted }) => (
        <BinnedRow
          key={calendar.id}
          title={said.calendar(calendar.name)}
          mark={calendar.mark}
          colour={calendar.colour}
          details={[words.calendars.entries(items.length)]}
          deleted={deleted}
          onRestore={() => {
            const patch = restoreCalendar(state, calendar.id, context());
            if (patch) commit(patch);
          }}
        />
      ))}
      {bin.slice(0, shown).map((binned) => (
        <BinRow
          key={binned.item.id}
          binned={binned}
          onRestore={() => commit(restoreFromBin(state, [binned.item.id], context()))}
        />
      ))}
      {state.bin.size > 0 ? (
        <View style={styles.actions}>
          {bin.length > shown ? (
            <Button label={said.more(bin.length - shown)} onPress={() => setShown(shown + PAGE)} />
          ) : null}
          <Button kind="danger" label={said.emptyIt} onPress={() => setAsks(true)} />
        </View>
      ) : null}
      {asks ? (
        <Sheet
          title={said.asks(state.bin.size)}
          closeLabel={words.actions.cancel}
          onClose={() => setAsks(false)}
          go={{ label: said.emptyIt, onPress: empty, kind: 'danger' }}
        >
          <AppText>{said.forGood}</AppText>
        </Sheet>
      ) : null}
    </>
  );
}

function BinRow({ binned: { item, changed }, onRestore }: { binned: BinnedEntry; onRestore: () => void }) {
  const calendar = useSnapshot(({ state }) => state.calendars.get(item.entry.calendarId));
  const { entry, deleted } = item;
  return (
    <BinnedRow
      title={entry.title || words.entry.noTitle}
      mark={calendar?.mark ?? '–'}
      colour={calendar?.colour ?? 'slate'}
      details={[
        fullDayText(Math.floor(wallOf(entry.start) / DAY)),
        entry.recurrence ? said.series(changed.length) : '',
      ]}
      deleted={deleted}
      onRestore={onRestore}
    />
  );
}

/** A thing in the bin, how long it stays, and what brings it back. */
function BinnedRow({
  title,
  mark,
  colour,
  details,
  deleted,
  onRestore,
}: {
  title: string;
  mark: string;
  colour: string;
  details: readonly string[];
  deleted: number;
  onRestore: () => void;
}) {
  const now = useNow();
  // The page's clock may lag behind the moment that an entry was deleted at.
  const daysLeft = Math.ceil(BIN_DAYS - Math.max(0, now - deleted) / DAY);
  return (
    <View role="group" aria-label={title} style={styles.item}>
      <Mark mark={mark} colour={colour} />
      <View style={styles.grow}>
        <AppText numberOfLines={1}>{title}</AppText>
        <AppText size="small" tone="quiet">
          {[...details, said.daysLeft(daysLeft)].filter(Boolean).join(' · ')}
        </AppText>
      </View>
      <Button label={said.restore(title)} shown={words.actions.restore} onPress={onRestore} />
    </View>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', alignItems: 'center', gap: space(3) },
  grow: { flex: 1, minWidth: 0 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});

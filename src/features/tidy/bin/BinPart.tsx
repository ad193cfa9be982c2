import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import {
  BIN_DAYS,
  type BinnedEntry,
  binnedCalendars,
  binnedEntries,
  emptyBin,
  removeFromBin,
  restoreCalendar,
  restoreFromBin,
} from '@/core/change/binChanges';
import type { Patch } from '@/core/change/patch';
import { foldText } from '@/core/schedule/entryFilter';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { summaryText, useCommands } from '@/features/workspace';
import { useNow, useSettings, useSnapshot, useWritableCalendars } from '@/store';
import { dayText, fullDayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';

const said = tidyWords.bin;
/** How many are shown at first, and how many more at each press. */
const PAGE = 30;

/** What is asked before something is removed for good: all of it, or one entry. */
type Asks = { readonly title: string; readonly label: string; readonly go: () => void } | undefined;

/** By which deed each entry went to the bin, as far as it is known. */
function deedsById(done: readonly Patch[]): ReadonlyMap<string, Patch> {
  const found = new Map<string, Patch>();
  for (const patch of done)
    for (const { collection, id, after } of patch.changes)
      if (collection === 'bin' && after) found.set(id, patch);
  return found;
}

/** Deleted entries, the latest first: each is found, brought back or removed for good. */
export function BinPart() {
  const { commit, context } = useCommands();
  const state = useSnapshot((snapshot) => snapshot.state);
  const done = useSnapshot(({ history }) => history.done);
  const deeds = useMemo(() => deedsById(done), [done]);
  const [find, setFind] = useState('');
  const [shown, setShown] = useState(PAGE);
  const [asks, setAsks] = useState<Asks>();
  const bin = binnedEntries(state);
  const wanted = foldText(find.trim());
  const found = bin.filter(({ item: { entry } }) =>
    foldText(`${entry.title} ${entry.location} ${entry.notes}`).includes(wanted),
  );
  const calendars = wanted === '' ? binnedCalendars(state) : [];
  const perform = (patch: Patch | undefined) => {
    if (patch) commit(patch);
  };
  return (
    <ScrollView contentContainerStyle={styles.part}>
      <AppText tone="quiet">{state.bin.size > 0 ? said.hint(BIN_DAYS) : said.empty(BIN_DAYS)}</AppText>
      {bin.length > 0 ? (
        <TextField label={said.find} value={find} onChangeText={setFind} testID="bin-find" />
      ) : null}
      {bin.length > 0 && found.length === 0 ? <AppText tone="quiet">{said.nothingFits}</AppText> : null}
      {calendars.map(({ calendar, items, deleted }) => (
        <BinnedRow
          key={calendar.id}
          title={said.calendar(calendar.name)}
          mark={calendar.mark}
          colour={calendar.colour}
          details={[words.calendars.entries(items.length)]}
          deleted={deleted}
          onRestore={() => perform(restoreCalendar(state, calendar.id, context()))}
        />
      ))}
      {found.slice(0, shown).map((binned) => (
        <BinRow
          key={binned.item.id}
          binned={binned}
          deed={deeds.get(binned.item.id)}
          onRestore={(intoId) => perform(restoreFromBin(state, [binned.item.id], context(), intoId))}
          onRemove={(title) =>
            setAsks({
              title: said.deleteAsks(title),
              label: said.deleteShort,
              go: () => perform(removeFromBin(state, [binned.item.id], context())),
            })
          }
        />
      ))}
      {state.bin.size > 0 ? (
        <View style={styles.actions}>
          {found.length > shown ? (
            <Button label={said.more(found.length - shown)} onPress={() => setShown(shown + PAGE)} />
          ) : null}
          <Button
            kind="danger"
            label={said.emptyIt}
            onPress={() =>
              setAsks({
                title: said.asks(state.bin.size),
                label: said.emptyIt,
                go: () => perform(emptyBin(state, context())),
              })
            }
          />
        </View>
      ) : null}
      {asks ? (
        <Sheet
          title={asks.title}
          closeLabel={words.actions.cancel}
          onClose={() => setAsks(undefined)}
          go={{
            label: asks.label,
            onPress: () => {
              asks.go();
              setAsks(undefined);
            },
            kind: 'danger',
          }}
        >
          <AppText>{said.forGood}</AppText>
        </Sheet>
      ) : null}
    </ScrollView>
  );
}

/** An entry in the bin: where it was, when and by what it was deleted, and where it comes back to. */
function BinRow({
  binned: { item, changed },
  deed,
  onRestore,
  onRemove,
}: {
  binned: BinnedEntry;
  deed: Patch | undefined;
  onRestore: (intoId: string | undefined) => void;
  onRemove: (title: string) => void;
}) {
  const { homeZone } = useSettings();
  const calendar = useSnapshot(({ state }) => state.calendars.get(item.entry.calendarId));
  const writable = useWritableCalendars();
  const [into, setInto] = useState(writable[0]?.id);
  const { entry, deleted } = item;
  const title = entry.title || words.entry.noTitle;
  return (
    <BinnedRow
      title={title}
      mark={calendar?.mark ?? '–'}
      colour={calendar?.colour ?? 'slate'}
      details={[
        calendar?.name ?? '',
        entry.start ? fullDayText(Math.floor(wallOf(entry.start) / DAY)) : '',
        entry.recurrence ? said.series(changed.length) : '',
        said.deleted(dayText(Math.floor(instantToWall(homeZone, deleted) / DAY))),
        // That it went to the bin is said already.
        deed && deed.summary.what !== 'entries-binned' ? summaryText(deed.summary) : '',
      ]}
      deleted={deleted}
      onRestore={() => onRestore(calendar ? undefined : into)}
      onRemove={() => onRemove(title)}
    >
      {/* One whose calendar is gone goes where it is asked to. */}
      {calendar || writable.length === 0 ? null : (
        <View style={styles.into}>
          <SelectField
            label={said.into(title)}
            hideLabel
            value={into ?? ''}
            options={writable.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setInto}
          />
        </View>
      )}
    </BinnedRow>
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
  onRemove,
  children,
}: {
  title: string;
  mark: string;
  colour: string;
  details: readonly string[];
  deleted: number;
  onRestore: () => void;
  onRemove?: () => void;
  children?: React.ReactNode;
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
      {children}
      <View style={styles.pair}>
        <Button label={said.restore(title)} shown={words.actions.restore} onPress={onRestore} />
        {onRemove ? (
          <Button
            icon="delete-outline"
            iconOnly
            kind="quiet"
            label={said.deleteOne(title)}
            onPress={onRemove}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(3), paddingBottom: space(8), maxWidth: 800 },
  item: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(3) },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  into: { width: 150 },
  pair: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});

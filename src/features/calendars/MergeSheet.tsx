import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { mergeCalendars, previewMerge } from '@/core/change/mergeCalendars';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/entry';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { isHead, type Double } from '@/core/tidy/doubles';
import { withdrawn } from '@/features/publish';
import { useCommands } from '@/features/workspace';
import { useSnapshot, useWritableCalendars } from '@/store';
import { shortDayText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Mark } from '@/ui/primitives/Mark';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';

const said = exchangeWords.merge;
const SHOWN = 25;

/** What merging a calendar into another one would do, its doubles side by side, before it is done. */
export function MergeSheet({ calendar, onClose }: { calendar: Calendar; onClose: () => void }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const others = useWritableCalendars().filter(({ id }) => id !== calendar.id);
  const { commit, context, refuse } = useCommands();
  const [intoId, setIntoId] = useState(others[0]?.id ?? '');
  const [both, setBoth] = useState<ReadonlySet<string>>(new Set());
  const into = others.find(({ id }) => id === intoId);
  const preview = useMemo(
    () =>
      state.calendars.has(intoId) ? previewMerge(state, calendar.id, intoId) : { entries: [], doubles: [] },
    [state, calendar.id, intoId],
  );
  const { entries, doubles } = preview;
  const toggle = (id: string) => {
    const next = new Set(both);
    if (!next.delete(id)) next.add(id);
    setBoth(next);
  };
  const go = async () => {
    if (!into) return;
    if (!(await withdrawn(calendar))) return refuse(exchangeWords.publish.failed);
    commit(mergeCalendars(state, calendar.id, into.id, both, context()));
    onClose();
  };
  return (
    <Sheet
      title={said.title(calendar.name)}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.go, onPress: () => void go(), disabled: !into }}
    >
      <SelectField
        label={said.into}
        value={intoId}
        options={others.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => {
          setIntoId(id);
          setBoth(new Set());
        }}
        testID="merge-into"
      />
      {into ? (
        <AppText weight="700" role="status">
          {`${said.moves(entries.filter(isHead).length, into.name)} ${said.gone(calendar.name)}`}
        </AppText>
      ) : null}
      {into && doubles.length > 0 ? (
        <MergeDoubles
          doubles={doubles}
          both={both}
          setBoth={setBoth}
          into={into}
          calendar={calendar}
          toggle={toggle}
        />
      ) : null}
    </Sheet>
  );
}

/** What is in both calendars, side by side, to be kept once or twice. */
function MergeDoubles({
  doubles,
  both,
  setBoth,
  into,
  calendar,
  toggle,
}: {
  doubles: readonly Double[];
  both: ReadonlySet<string>;
  setBoth: (next: ReadonlySet<string>) => void;
  into: Calendar;
  calendar: Calendar;
  toggle: (id: string) => void;
}) {
  return (
    <View style={styles.doubles} testID="merge-doubles">
      <AppText tone="accent">{said.doubles(doubles.length)}</AppText>
      <View style={styles.all}>
        <Button label={said.keepOneAll} selected={both.size === 0} onPress={() => setBoth(new Set())} />
        <Button
          label={said.keepBothAll}
          selected={both.size === doubles.length}
          onPress={() => setBoth(new Set(doubles.map(({ one }) => one.id)))}
        />
      </View>
      {doubles.slice(0, SHOWN).map(({ one, other }) => (
        <View key={one.id} role="group" aria-label={one.title || words.entry.noTitle} style={styles.pair}>
          <Side event={other} calendar={into} label={said.stays} />
          <Side event={one} calendar={calendar} label={said.comes} isFaded={!both.has(one.id)} />
          <Button label={said.keepBoth} selected={both.has(one.id)} onPress={() => toggle(one.id)} />
        </View>
      ))}
      {doubles.length > SHOWN ? <AppText tone="quiet">{said.more(doubles.length - SHOWN)}</AppText> : null}
      <AppText size="small" tone="quiet">
        {said.one}
      </AppText>
    </View>
  );
}

function Side({
  event,
  calendar,
  label,
  isFaded,
}: {
  event: CalendarEvent;
  calendar: Calendar;
  label: string;
  isFaded?: boolean;
}) {
  const { colours } = useTheme();
  const start = wallOf(event.start);
  return (
    <View style={[styles.side, { borderColor: colours.line, borderStyle: isFaded ? 'dashed' : 'solid' }]}>
      <View style={styles.head}>
        <Mark mark={calendar.mark} colour={calendar.colour} />
        <AppText size="small" tone="quiet" numberOfLines={1}>
          {label}
        </AppText>
      </View>
      <AppText weight="500" numberOfLines={2} style={isFaded ? styles.struck : undefined}>
        {event.title || words.entry.noTitle}
      </AppText>
      <AppText size="small" tone="quiet" figures>
        {[
          shortDayText(Math.floor(start / DAY)),
          event.start.kind === 'date' ? '' : timeRangeText(start, wallOf(event.end)),
          event.location,
        ]
          .filter(Boolean)
          .join(' · ')}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  doubles: { gap: space(3) },
  all: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), alignItems: 'center' },
  side: { flexGrow: 1, flexBasis: 140, padding: space(2), borderWidth: hairline, borderRadius: corner },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2), marginBottom: space(1) },
  struck: { textDecorationLine: 'line-through' },
});

import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
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
import { FormField } from '@/ui/forms/FormField';
import { useFormOf } from '@/ui/forms/useFormOf';
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

/** Which calendar takes the entries, and which doubles (ids of this calendar's) are kept twice. */
const MergeForm = z.object({ intoId: z.string().min(1), both: z.array(z.string()) });

/** What merging a calendar into another one would do, its doubles side by side, before it is done. */
export function MergeSheet({ calendar, onClose }: { calendar: Calendar; onClose: () => void }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const others = useWritableCalendars().filter(({ id }) => id !== calendar.id);
  const { commit, context, refuse } = useCommands();
  const { control, typed, change, submit } = useFormOf(MergeForm, { intoId: others[0]?.id ?? '', both: [] });
  const { intoId } = typed;
  const into = others.find(({ id }) => id === intoId);
  const preview = useMemo(
    () =>
      state.calendars.has(intoId) ? previewMerge(state, calendar.id, intoId) : { entries: [], doubles: [] },
    [state, calendar.id, intoId],
  );
  const { entries, doubles } = preview;
  const go = () =>
    submit(async (chosen) => {
      if (!(await withdrawn(calendar))) return refuse(exchangeWords.publish.failed);
      commit(mergeCalendars(state, calendar.id, chosen.intoId, new Set(chosen.both), context()));
      onClose();
    });
  return (
    <Sheet
      title={said.title(calendar.name)}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.go, onPress: go, disabled: !into }}
    >
      <SelectField
        label={said.into}
        value={intoId}
        options={others.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => change({ intoId: id, both: [] })}
        testID="merge-into"
      />
      {into ? (
        <AppText weight="700" role="status">
          {`${said.moves(entries.filter(isHead).length, into.name)} ${said.gone(calendar.name)}`}
        </AppText>
      ) : null}
      {into && doubles.length > 0 ? (
        <FormField control={control} name="both">
          {({ value, onChange }) => (
            <MergeDoubles doubles={doubles} both={value} setBoth={onChange} into={into} calendar={calendar} />
          )}
        </FormField>
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
}: {
  doubles: readonly Double[];
  both: readonly string[];
  setBoth: (next: readonly string[]) => void;
  into: Calendar;
  calendar: Calendar;
}) {
  const toggle = (id: string) =>
    setBoth(both.includes(id) ? both.filter((other) => other !== id) : [...both, id]);
  return (
    <View style={styles.doubles} testID="merge-doubles">
      <AppText tone="accent">{said.doubles(doubles.length)}</AppText>
      <View style={styles.all}>
        <Button label={said.keepOneAll} selected={both.length === 0} onPress={() => setBoth([])} />
        <Button
          label={said.keepBothAll}
          selected={both.length === doubles.length}
          onPress={() => setBoth(doubles.map(({ one }) => one.id))}
        />
      </View>
      {doubles.slice(0, SHOWN).map(({ one, other }) => (
        <View key={one.id} role="group" aria-label={one.title || words.entry.noTitle} style={styles.pair}>
          <Side event={other} calendar={into} label={said.stays} />
          <Side event={one} calendar={calendar} label={said.comes} isFaded={!both.includes(one.id)} />
          <Button label={said.keepBoth} selected={both.includes(one.id)} onPress={() => toggle(one.id)} />
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

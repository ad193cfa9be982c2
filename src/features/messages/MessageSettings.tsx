import { useQuery } from '@tanstack/react-query';
import { createElement, useState, useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import type { RunDownTimes, Settings } from '@/core/model/settings';
import { runDownTimes } from '@/core/reminders/runDown';
import { DAY, MINUTE, weekdaysFrom } from '@/core/time/civil';
import { useCommands } from '@/features/workspace';
import { followingData, useNow, useOpenStore, useSettings, useSnapshot } from '@/store';
import { timeText, weekdayName } from '@/ui/dates';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { messageWords } from '@/ui/words/messages';
import { instantToWall } from '@/core/time/zones';
import { AddressForm } from './messageForm';
import { latestHandover } from './messageHandover';
import { runDownFor } from './messagePlan';
import { runDownMessage } from './messageText';

const said = messageWords.setup;

/** What the run-down begins as: at seven on working days. */
const MORNING: RunDownTimes = { minute: 7 * 60, weekdays: [] };
/** The times that a run-down can come at, in minutes of the day. */
const OFFERED = Array.from({ length: 48 }, (_, index) => index * 30);

function useChange() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  return (fields: Partial<Settings>) => commit(changeSettings(store.getSnapshot().state, fields, context()));
}

/** Where messages go, the day's run-down, and what became of them. */
export function MessageSettings() {
  return (
    <>
      <AppText tone="quiet">{said.simulated}</AppText>
      <Addresses />
      <RunDownFields />
      <HandoverStatus />
    </>
  );
}

/** One's own addresses; kept when both can be. */
function Addresses() {
  const { addresses } = useSettings();
  const change = useChange();
  const { control, submit } = useFormOf(AddressForm, {
    email: addresses?.email ?? '',
    phone: addresses?.phone ?? '',
  });
  const save = () => submit((typed) => void change({ addresses: typed }));
  return (
    <View role="group" aria-label={said.addresses} style={styles.group}>
      <AppText size="small" tone="quiet" aria-hidden>
        {said.addresses}
      </AppText>
      <View style={styles.row}>
        <FormText control={control} name="email" label={said.email} maxLength={254} onSubmit={save} />
        <FormText control={control} name="phone" label={said.phone} maxLength={32} onSubmit={save} />
      </View>
      <View style={styles.actions}>
        <Button label={words.actions.save} onPress={save} testID="save-addresses" />
      </View>
    </View>
  );
}

/** When the run-down comes, and how the next one reads. */
function RunDownFields() {
  const { addresses, runDown = MORNING, weekStart } = useSettings();
  const change = useChange();
  return (
    <View role="group" aria-label={said.runDown} style={styles.group}>
      <AppText size="small" tone="quiet" aria-hidden>
        {said.runDown}
      </AppText>
      <SelectField
        label={said.runDownAt}
        value={String(runDown.minute)}
        options={[...new Set([...OFFERED, runDown.minute])]
          .sort((a, b) => a - b)
          .map((minute) => ({ value: String(minute), label: timeText(minute * MINUTE) }))}
        onChange={(minute) => change({ runDown: { ...runDown, minute: Number(minute) } })}
        testID="run-down-time"
      />
      <ToggleRow
        label={said.runDownDays}
        choices={weekdaysFrom(weekStart).map((weekday) => ({
          value: String(weekday),
          label: weekdayName(weekday, 'short'),
        }))}
        values={runDown.weekdays.map(String)}
        onChange={(weekdays) => change({ runDown: { ...runDown, weekdays: weekdays.map(Number).sort() } })}
      />
      {addresses?.email && runDown.weekdays.length > 0 ? (
        <RunDownPreview runDown={runDown} />
      ) : (
        <AppText tone="quiet">{said.runDownNone}</AppText>
      )}
    </View>
  );
}

/** The next run-down, made by what makes the mail. */
function RunDownPreview({ runDown }: { runDown: RunDownTimes }) {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const { homeZone } = useSettings();
  const now = useNow();
  const [next] = runDownTimes(runDown, now, now + 8 * DAY, homeZone);
  const { data } = useQuery({
    queryKey: ['run-down', next?.day, next?.at],
    ...followingData(store, ['entries', 'bin', 'calendars', 'settings'], async () =>
      next ? runDownMessage(await runDownFor(store, next.day, next.at - DAY)) : null,
    ),
  });
  if (!data) return null;
  return (
    <View style={[styles.preview, { borderColor: colours.line, backgroundColor: colours.card }]}>
      <AppText size="small" tone="quiet">
        {said.runDownPreview}
      </AppText>
      <AppText weight="700">{data.subject}</AppText>
      <AppText figures testID="run-down-preview" style={styles.lines}>
        {data.body}
      </AppText>
    </View>
  );
}

/** What became of messages, and the way to the outbox. */
function HandoverStatus() {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const [subscribe] = useState(() => latestHandover.subscribe);
  const { outcome, plan, at } = useSyncExternalStore(subscribe, latestHandover.get);
  const box = useSnapshot(({ state }) => state.sessions.get('session')?.messageBox);
  const count = plan?.messages.length ?? 0;
  const isWrong = outcome === 'failed' || outcome === 'refused';
  const text = {
    none: said.none,
    failed: said.failed,
    refused: said.refused,
    done: count > 0 ? said.handed(count, timeText(instantToWall(homeZone, at))) : said.none,
  }[outcome];
  return (
    <View style={styles.group}>
      <AppText role="status" tone={isWrong ? 'error' : 'quiet'} figures testID="handover">
        {text}
      </AppText>
      {plan && plan.left > 0 ? <AppText tone="quiet">{said.tooMany(plan.left)}</AppText> : null}
      {(['email', 'text'] as const).map((way) =>
        plan && plan.missing[way] > 0 ? (
          <AppText key={way} tone="accent">
            {said.missing[way](plan.missing[way])}
          </AppText>
        ) : null,
      )}
      {box
        ? createElement(
            'a',
            {
              href: `/outbox/${box.token}`,
              target: '_blank',
              rel: 'noreferrer',
              style: { color: colours.primary, minHeight: sizes.target },
            },
            <AppText style={{ color: colours.primary }}>{said.outbox}</AppText>,
          )
        : null}
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: space(2) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) },
  actions: { flexDirection: 'row' },
  preview: { borderWidth: hairline, borderRadius: corner, padding: space(3), gap: space(2) },
  lines: { whiteSpace: 'pre-wrap' } as object,
});

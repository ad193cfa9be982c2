import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { ScrollView, StyleSheet, View } from 'react-native';
import { dismissReminders, snoozeReminders } from '@/core/reminders/cameReminders';
import type { ReminderTrigger } from '@/core/model/reminder';
import { useCommands, useNoticePlace, useReveal } from '@/features/workspace';
import { useNow, useOpenStore, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { NoticeBar } from '@/ui/primitives/NoticeBar';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';
import { DueRow } from './DueRow';
import { useReminderKeeper } from './keeper/useReminderKeeper';
import { useNoticeAnswers } from './useNoticeAnswers';
import { type Heard, useHeardReminders } from './useHeardReminders';
import { useTold } from './useTold';

const said = reminderWords.due;

/** How reminders are answered: kept quietly, and known to every open page. */
function useAnswers() {
  const { store } = useOpenStore();
  const { context } = useCommands();
  const state = () => store.getSnapshot().state;
  return {
    dismiss: (ids: readonly string[]) =>
      void store.commit(dismissReminders(state(), ids, context()), 'quiet'),
    snooze: (ids: readonly string[], trigger: ReminderTrigger) =>
      void store.commit(snoozeReminders(state(), ids, trigger, context()), 'quiet'),
  };
}

/** The title of the page counts what is due. */
function useCountInTitle(count: number): void {
  useEffect(() => {
    document.title = count > 0 ? said.title(count, words.product) : words.product;
  }, [count]);
}

/** The reminders that are due, over every place: oldest first, each until it is answered. */
export function ReminderHost() {
  const kept = useReminderKeeper();
  const heard = useHeardReminders();
  const answers = useAnswers();
  const reveal = useReveal();
  useTold(heard, kept);
  useCountInTitle(heard.length);
  useNoticeAnswers(heard, { ...answers, open: (one) => reveal(one.came.occurrenceKey) });
  const desk = useNoticePlace(({ element }) => element);
  if (heard.length === 0) return null;
  const list = (
    <DueList
      heard={heard}
      onDismiss={answers.dismiss}
      onSnooze={answers.snooze}
      onOpen={(one) => reveal(one.came.occurrenceKey)}
    />
  );
  return desk ? createPortal(list, desk) : list;
}

/** How many are listed at first, and how many more at each press. */
const PAGE = 20;

interface DueListProps {
  heard: readonly Heard[];
  onDismiss: (ids: readonly string[]) => void;
  onSnooze: (ids: readonly string[], trigger: ReminderTrigger) => void;
  onOpen: (one: Heard) => void;
}

/** The first that is still to come, and all others at a press: those to come apart from those that are over. */
function DueList({ heard, onDismiss, onSnooze, onOpen }: DueListProps) {
  const now = useNow();
  const passed = useSnapshot(({ state }) => state.sessions.get('session')?.remindersPassed ?? 0);
  /** How many are listed: the first alone until more are asked for. */
  const [most, setMost] = useState(1);
  const toCome = heard.filter(({ span }) => span.end > now);
  const over = heard.filter(({ span }) => span.end <= now);
  const first = toCome[0] ?? over[0]!;
  // Of hundreds that came while nobody looked, the first are as many as anybody reads.
  const [shownToCome, shownOver] = [toCome.slice(0, most), over.slice(0, Math.max(0, most - toCome.length))];
  const left = heard.length - shownToCome.length - shownOver.length;
  const row = (one: Heard) => (
    <DueRow
      key={one.came.id}
      heard={one}
      onSnooze={(trigger) => onSnooze([one.came.id], trigger)}
      onDismiss={() => onDismiss([one.came.id])}
      onOpen={() => onOpen(one)}
    />
  );
  const isOpen = most > 1 && heard.length > 1;
  return (
    <NoticeBar label={words.reminder.label} testID="due-reminders">
      <ScrollView style={styles.list} contentContainerStyle={styles.content} aria-live="assertive">
        {isOpen ? (
          <>
            {toCome.length > 0 && over.length > 0 ? <AppText weight="700">{said.toCome}</AppText> : null}
            {shownToCome.map(row)}
            {shownOver.length > 0 ? (
              <AppText weight="700" testID="over-by-now">
                {said.over}
              </AppText>
            ) : null}
            {shownOver.map(row)}
            {left > 0 ? (
              <Button label={said.further(Math.min(left, PAGE))} onPress={() => setMost(most + PAGE)} />
            ) : null}
            {passed > 0 ? <AppText tone="quiet">{said.passed(passed)}</AppText> : null}
          </>
        ) : (
          row(first)
        )}
      </ScrollView>
      {heard.length > 1 ? (
        <View style={styles.all}>
          <Button
            kind="quiet"
            label={isOpen ? said.less : said.more(heard.length - 1)}
            onPress={() => setMost(isOpen ? 1 : PAGE)}
            testID="more-reminders"
          />
          <Button
            kind="quiet"
            label={reminderWords.dismissAll}
            onPress={() => onDismiss(heard.map(({ came }) => came.id))}
          />
        </View>
      ) : null}
    </NoticeBar>
  );
}

const styles = StyleSheet.create({
  list: { flexGrow: 1, flexShrink: 1, flexBasis: 280, maxHeight: 320 },
  content: { gap: space(2) },
  all: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});

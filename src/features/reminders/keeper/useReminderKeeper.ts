import { useEffect, useState } from 'react';
import type { ChangeContext } from '@/core/change/patch';
import { PAGE_WAYS } from '@/core/model/cameReminder';
import { followCollections, holdLock, remindersQuery, useOpenStore } from '@/store';
import { ReminderKeeper } from './reminderKeeper';

/** The lock that the page holds that keeps the reminders: the next page gets it when that one is gone. */
const LOCK = 'orderly-week-reminders';
/** So long nothing has to have changed before it is looked anew, in milliseconds: what one does first is drawn first. */
const QUIET = 300;

/** What reminders hang on. */
const ABOUT = ['entries', 'calendars', 'settings', 'reminded'] as const;

/** Has a keeper look when the page comes into sight again, since it may have slept; gives how to have it not do so. */
function wakeWithPage(keeper: ReminderKeeper): () => void {
  const wake = () => {
    if (document.visibilityState === 'visible') keeper.look();
    else void keeper.note();
  };
  document.addEventListener('visibilitychange', wake);
  window.addEventListener('pageshow', wake);
  window.addEventListener('focus', wake);
  return () => {
    document.removeEventListener('visibilitychange', wake);
    window.removeEventListener('pageshow', wake);
    window.removeEventListener('focus', wake);
  };
}

/** What this page knows of keeping: since when it does, and what has come to it. */
export interface Kept {
  /** The instant since which this page keeps; undefined while another does. */
  readonly since: number | undefined;
  /** The ids of reminders that came while this page kept. */
  readonly fresh: ReadonlySet<string>;
}

/** Keeps the reminders of all open pages, if no other page does. */
export function useReminderKeeper(): Kept {
  const { store, clock } = useOpenStore();
  const [kept, setKept] = useState<Kept>({ since: undefined, fresh: new Set() });
  useEffect(() => {
    document.documentElement.dataset.attending = 'true';
    const state = () => store.getSnapshot().state;
    const context = (): ChangeContext => ({
      now: clock(),
      newId: () => crypto.randomUUID(),
      zone: remindersQuery(state(), []).zone,
    });
    const keeper = new ReminderKeeper({
      state,
      opened: clock() - performance.now(),
      context,
      commit: (patch) => store.commit(patch, 'quiet'),
      due: (from, to) => store.engine.dueReminders(remindersQuery(state(), PAGE_WAYS), from, to),
      next: (after) => store.engine.nextReminder(remindersQuery(state(), PAGE_WAYS), after),
      wait: (milliseconds, then) => {
        const timer = setTimeout(then, milliseconds);
        return () => clearTimeout(timer);
      },
      onCame: (came) =>
        setKept(({ since, fresh }) => ({ since, fresh: new Set([...fresh, ...came.map(({ id }) => id)]) })),
    });
    const letGo = holdLock(
      LOCK,
      () => {
        setKept(({ fresh }) => ({ since: clock(), fresh }));
        keeper.start();
      },
      () => keeper.stop(),
    );
    let timer: ReturnType<typeof setTimeout>;
    const leave = followCollections(store, ABOUT, () => {
      clearTimeout(timer);
      timer = setTimeout(() => keeper.look(), QUIET);
    });
    const sleepOn = wakeWithPage(keeper);
    return () => {
      sleepOn();
      clearTimeout(timer);
      leave();
      letGo();
    };
  }, [store, clock]);
  return kept;
}

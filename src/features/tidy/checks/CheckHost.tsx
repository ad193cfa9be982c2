import { usePathname } from 'expo-router';
import { useEffect, useState } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import { useCommands, usePlanAddress } from '@/features/workspace';
import { useOpenStore, useSnapshot } from '@/store';
import { noteFindings, STALE } from './noteFindings';
import { useFindings } from './useFindings';

/** So long the page has been open before the checks run by themselves, in milliseconds. */
const QUIET = 20_000;

/** Runs the checks by themselves once a month, in a quiet moment, and notes how much they found. */
export function CheckHost() {
  const { clock } = useOpenStore();
  const at = useSnapshot(({ state }) => state.sessions.get('session')?.findings?.at);
  const [isDue, setDue] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setDue(at === undefined || clock() - at > STALE), QUIET);
    return () => clearTimeout(timer);
  }, [at, clock]);
  useHiddenNoted();
  return isDue ? <CheckRun onDone={() => setDue(false)} /> : null;
}

/** Notes since when calendars have been hidden in Plan, so that the checks can tell which have been for long. */
function useHiddenNoted() {
  const { store, clock } = useOpenStore();
  const { context } = useCommands();
  const { address } = usePlanAddress();
  const isPlan = usePathname() === '/';
  const hidden = address.hidden.join('\n');
  useEffect(() => {
    if (!isPlan) return;
    const { state } = store.getSnapshot();
    const known = new Map(Object.entries(state.sessions.get('session')?.hiddenSince ?? {}));
    const ids = hidden.split('\n').filter((id) => state.calendars.has(id));
    if (ids.length === known.size && ids.every((id) => known.has(id))) return;
    const hiddenSince = Object.fromEntries(ids.map((id) => [id, known.get(id) ?? clock()]));
    void store.commit(changeSession(state, { hiddenSince }, context()), 'quiet');
  }, [isPlan, hidden, store, clock, context]);
}

function CheckRun({ onDone }: { onDone: () => void }) {
  const { store } = useOpenStore();
  const { context } = useCommands();
  const { total, isKnown } = useFindings();
  useEffect(() => {
    if (!isKnown) return;
    noteFindings(store, total, context());
    onDone();
  }, [isKnown, total, store, context, onDone]);
  return null;
}

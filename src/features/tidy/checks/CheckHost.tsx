import { useEffect, useState } from 'react';
import { useCommands } from '@/features/workspace';
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
  return isDue ? <CheckRun onDone={() => setDue(false)} /> : null;
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

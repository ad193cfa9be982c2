import { useEffect } from 'react';
import { summaryText, workspace } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';
import { type CameIn, HandIns } from './handIns';
import { PublishedCopies } from './publishedCopies';
import { Withdrawals } from './withdrawals';

/** Says what colleagues added and changed. */
function sayCameIn(came: readonly CameIn[]): void {
  const [first] = came;
  if (!first) return;
  const done = came.filter(({ refused }) => refused === undefined);
  const text =
    came.length > 1
      ? exchangeWords.handedIn.several(done.length, came.length - done.length)
      : first.refused
        ? exchangeWords.handedIn.refused(first.summary.by ?? '', first.refused)
        : summaryText(first.summary);
  workspace.say({ text, tone: done.length > 0 ? 'done' : 'problem', undo: done.length === 1 });
}

/** Sends what is published to the server when it changes, takes off it what is published no more, and takes in what came. */
export function PublishHost() {
  const { store, clock } = useOpenStore();
  useEffect(() => {
    const contextOf = () => ({
      now: clock(),
      newId: () => crypto.randomUUID(),
      zone: store.getSnapshot().state.settings.get('settings')?.homeZone ?? 'UTC',
    });
    const copies = new PublishedCopies(store, clock);
    const withdrawals = new Withdrawals(store, contextOf);
    const handIns = new HandIns(store, contextOf, sayCameIn);
    return () => {
      copies.end();
      withdrawals.end();
      handIns.end();
    };
  }, [store, clock]);
  return null;
}

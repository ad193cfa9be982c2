import fc from 'fast-check';
import {
  type CommitRole,
  emptyHistory,
  type History,
  recordCommit,
  redoPatch,
  undoPatch,
} from '@/core/change/history';
import type { Patch } from '@/core/change/patch';
import { KEPT_COMMITS, outdated } from './outdated';

interface Commit {
  readonly role: CommitRole;
  readonly patch: Patch;
}

const patch = (id: string): Patch => ({ id, at: 0, summary: { what: 'entry-made', count: 1 }, changes: [] });

const historyOf = (log: readonly Commit[]): History =>
  log.reduce((history, { role, patch: each }) => recordCommit(history, role, each), emptyHistory);

const latest = ({ done, undone }: History) =>
  [done, undone].map((list) => list.slice(-KEPT_COMMITS).map(({ id }) => id));

/** Does what is wished, where it is possible. */
function next(history: History, wish: CommitRole, id: string): Commit | undefined {
  const made = wish === 'undo' ? undoPatch(history) : wish === 'redo' ? redoPatch(history) : patch(id);
  return made && { role: wish, patch: made };
}

test('what can be undone and done again is the same whenever the log is cleared, and the log stays small', () => {
  const wishes = fc.array(
    fc.oneof(
      { weight: 5, arbitrary: fc.constant<CommitRole>('do') },
      { weight: 4, arbitrary: fc.constant<CommitRole>('undo') },
      { weight: 3, arbitrary: fc.constant<CommitRole>('redo') },
      { weight: 2, arbitrary: fc.constant<CommitRole>('quiet') },
    ),
    { minLength: 60, maxLength: 400 },
  );
  fc.assert(
    fc.property(wishes, fc.integer({ min: 1, max: 30 }), (all, every) => {
      let whole = emptyHistory;
      let log: Commit[] = [];
      all.forEach((wish, index) => {
        const commit = next(whole, wish, `deed ${index}`);
        if (!commit) return;
        whole = recordCommit(whole, commit.role, commit.patch);
        log.push(commit);
        if (index % every !== 0) return;
        const old = new Set(outdated(log));
        log = log.filter((each) => !old.has(each));
        expect(latest(historyOf(log))).toEqual(latest(whole));
        expect(log.length).toBeLessThanOrEqual(5 * KEPT_COMMITS);
      });
    }),
    { numRuns: 60 },
  );
});

test('fifty deeds can be undone after a reload, though a hundred were undone and done again meanwhile', () => {
  const deeds = Array.from({ length: 60 }, (_, index): Commit => ({
    role: 'do',
    patch: patch(`deed ${index}`),
  }));
  let history = historyOf(deeds);
  const log = [...deeds];
  for (let turns = 0; turns < 100; turns++) {
    const commit = next(history, turns % 2 === 0 ? 'undo' : 'redo', '')!;
    log.push(commit);
    history = recordCommit(history, commit.role, commit.patch);
  }
  const old = new Set(outdated(log));
  expect(
    historyOf(log.filter((each) => !old.has(each)))
      .done.slice(-50)
      .map(({ id }) => id),
  ).toEqual(deeds.slice(-50).map(({ patch: { id } }) => id));
});

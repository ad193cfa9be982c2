import type { Store, Turn } from '@/store';
import { words } from '@/ui/words';
import { summaryText } from './summaryText';
import { workspace } from './workspace';

/** Undoes or does again so many changes, and says it. */
const turnBack = async (count: unknown, step: () => Turn | undefined, isRedo: boolean): Promise<void> => {
  const most = typeof count === 'number' ? count : 1;
  const turns: Turn[] = [];
  while (turns.length < most) {
    const turn = step();
    if (!turn) break;
    turns.push(turn);
  }
  const isKept = await Promise.all(turns.map(({ kept }) => kept));
  if (isKept.includes(false)) return;
  const said = isRedo
    ? { one: words.redone, several: words.redoneSeveral, none: words.nothingToRedo }
    : { one: words.undone, several: words.undoneSeveral, none: words.nothingToUndo };
  const [first] = turns;
  const text = !first
    ? said.none
    : turns.length === 1
      ? said.one(summaryText(first.patch.summary))
      : said.several(turns.length);
  workspace.say({ text, tone: 'done', undo: isRedo && first !== undefined });
};

/** Undo and redo, as the person asks for them. */
export const turnCommands = (store: Store) => ({
  /** Takes back the latest change, or several. */
  undo: (count?: unknown): Promise<void> => turnBack(count, () => store.undo(), false),
  /** Does again what was undone last, or several. */
  redo: (count?: unknown): Promise<void> => turnBack(count, () => store.redo(), true),
});

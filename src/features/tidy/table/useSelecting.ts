import { useMemo, useRef } from 'react';
import type { Likeness, TableQuery } from '@/core/tidy/table/tableQuery';
import { useWorkspace, workspace } from '@/features/workspace';
import { useOpenStore } from '@/store';

/** What selects rows of the table: one, those up to another, all, the others, those like one. */
export interface Selecting {
  readonly selected: ReadonlySet<string>;
  readonly toggle: (index: number, key: string) => void;
  /** From the row that was pressed last to this one. */
  readonly upTo: (index: number) => Promise<void>;
  readonly all: () => Promise<void>;
  readonly invert: () => Promise<void>;
  readonly like: (key: string, likeness: Likeness) => Promise<void>;
}

/** Selects in the table; what is selected stays so in every view and place. */
export function useSelecting(query: TableQuery): Selecting {
  const { store } = useOpenStore();
  const keys = useWorkspace((state) => state.selected);
  const selected = useMemo(() => new Set(keys), [keys]);
  /** Where a range of rows begins. */
  const anchor = useRef(0);
  return {
    selected,
    toggle: (index, key) => {
      anchor.current = index;
      const now = useWorkspace.getState().selected;
      workspace.selectAll(now.includes(key) ? now.filter((other) => other !== key) : [...now, key]);
    },
    upTo: async (index) => {
      const [from, to] = [Math.min(anchor.current, index), Math.max(anchor.current, index)];
      const between = await store.engine.tableKeys(query, from, to + 1);
      workspace.selectAll([...new Set([...useWorkspace.getState().selected, ...between])]);
    },
    all: async () => workspace.selectAll(await store.engine.tableKeys(query)),
    invert: async () => {
      const now = new Set(useWorkspace.getState().selected);
      const all = await store.engine.tableKeys(query);
      workspace.selectAll(all.filter((key) => !now.has(key)));
    },
    like: async (key, likeness) => workspace.selectAll(await store.engine.keysLike(key, likeness)),
  };
}

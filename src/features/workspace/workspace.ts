import { create } from 'zustand';
import { DESK_BESIDE } from '@/ui/theme/tokens';
import type { EventFields } from '@/core/change/eventFields';
import type { Scope, Target } from '@/core/change/target';

/** An entry being written: a new one, or a change of the target. */
export interface Editing {
  readonly target?: Target;
  readonly fields: EventFields;
  /** A few fields beside the view, or the whole editor. */
  readonly panel: 'quick' | 'full';
}

/** The line at the bottom that says what happened. */
export interface Notice {
  readonly text: string;
  readonly tone: 'done' | 'problem';
  readonly undo: boolean;
  /** Where to find what it tells of: a day number, and the key to select there. */
  readonly where?: { readonly day: number; readonly key: string | undefined };
}

/** A question that waits for its answer before a series changes. */
export interface ScopeQuestion {
  readonly about: 'change' | 'bin' | 'copy';
  readonly title: string;
  /** The scopes that make sense for it. */
  readonly scopes: readonly Scope[];
  readonly answer: (scope: Scope | undefined) => void;
}

/** What the person is doing now: nothing of it is kept. */
interface Workspace {
  /** Keys of the selected occurrences, latest last. */
  readonly selected: readonly string[];
  /** Whether entries are being collected: arrows then walk on and leave the selection as it is. */
  readonly collecting: boolean;
  readonly deskOpen: boolean;
  readonly editing: Editing | null;
  /** The id of the series whose page is open. */
  readonly seriesShown: string | null;
  readonly notice: Notice | null;
  readonly question: ScopeQuestion | null;
  readonly keysShown: boolean;
  /** The sheet of Plan that is open. */
  readonly sheet: PlanSheet | null;
  /** Whether the search stands in the desk's place. */
  readonly searching: boolean;
}

/** What Plan opens sheets for. */
export type PlanSheet = 'look' | 'filter' | 'presets' | 'goto' | 'export';

export const useWorkspace = create<Workspace>()(() => ({
  selected: [],
  collecting: false,
  // Beside the view there is room for it from the start; over the view it waits to be asked for.
  deskOpen: typeof window !== 'undefined' && window.innerWidth >= DESK_BESIDE,
  editing: null,
  seriesShown: null,
  notice: null,
  question: null,
  keysShown: false,
  sheet: null,
  searching: false,
}));

const set = useWorkspace.setState;

export const workspace = {
  select: (key: string | null) =>
    set({
      collecting: false,
      selected: key === null ? [] : [key],
      ...(key === null ? {} : { deskOpen: true }),
    }),
  /** Adds an entry to the selection; pressed again while collecting, takes it out. */
  collect: (key: string) =>
    set(({ selected, collecting }) => ({
      collecting: true,
      selected:
        collecting && selected.includes(key)
          ? selected.filter((other) => other !== key)
          : [...selected.filter((other) => other !== key), key],
      deskOpen: true,
    })),
  clearSelection: () => set({ selected: [], collecting: false }),
  replaceSelected: (from: string, to: string) =>
    set(({ selected }) => ({ selected: selected.map((key) => (key === from ? to : key)) })),
  setDesk: (deskOpen: boolean) => set({ deskOpen }),
  edit: (editing: Editing | null) => set({ editing }),
  showSeries: (seriesShown: string | null) => set({ seriesShown }),
  /** Changes the fields of what is being written, so that the view shows them at once. */
  editFields: (fields: Partial<EventFields>) =>
    set(({ editing }) =>
      editing ? { editing: { ...editing, fields: { ...editing.fields, ...fields } } } : {},
    ),
  say: (notice: Notice | null) => set({ notice }),
  showKeys: (keysShown: boolean) => set({ keysShown }),
  openSheet: (sheet: PlanSheet | null) => set({ sheet }),
  search: (searching: boolean) => set({ searching }),
  /** Asks which occurrences of a series are meant; undefined if the person lets it be. */
  askScope: (
    about: ScopeQuestion['about'],
    title: string,
    scopes: readonly Scope[],
  ): Promise<Scope | undefined> =>
    new Promise((resolve) => {
      set({
        question: {
          about,
          title,
          scopes,
          answer: (scope) => {
            set({ question: null });
            resolve(scope);
          },
        },
      });
    }),
};

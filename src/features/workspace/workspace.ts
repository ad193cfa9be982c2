import type { EventFields } from '@/core/model/entry';
import { create } from 'zustand';
import { DESK_BESIDE } from '@/ui/theme/tokens';
import type { Scope, Target } from '@/core/change/target';
import type { StepKind } from '@/core/model/batchStep';
import type { FixPart } from '@/core/tidy/checks/finding';

/** An entry being written: a new one, or a change of the target. */
export interface Editing {
  /** What tells one from another, also of the same entry. */
  readonly id: string;
  readonly target?: Target | undefined;
  /** The fields as they would be kept now. */
  readonly fields: EventFields;
  /** The fields that it began with. */
  readonly before: EventFields;
  /** A few fields beside the view, or the whole editor. */
  readonly panel: 'quick' | 'full';
  /** What stands in the editor's form, half-typed too. */
  readonly typed?: Readonly<Record<string, unknown>> | undefined;
  /** The words that a draft over a pressed time was written in: they say more than its title. */
  readonly words?: string | undefined;
  /** Bytes in base 64 of files that it begins with, by the ids of its attachments: they do not outlast a reload. */
  readonly pending?: ReadonlyMap<string, string> | undefined;
  /** Whether something would be lost if it went. */
  readonly changed: boolean;
}

/** The line at the bottom that says what happened. */
export interface Notice {
  readonly text: string;
  readonly tone: 'done' | 'problem';
  readonly undo: boolean;
  /** Where to find what it tells of: a day number, and the key to select there. */
  readonly where?: { readonly day: number; readonly key: string | undefined } | undefined;
  /** What else can be done about it. */
  readonly act?: { readonly label: string; readonly do: () => void };
}

/** A question that waits for its answer before a series changes. */
export interface ScopeQuestion {
  readonly about: 'change' | 'bin' | 'copy';
  readonly title: string;
  /** The scopes that make sense for it. */
  readonly scopes: readonly Scope[];
  readonly answer: (scope: Scope | undefined) => void;
}

/** A to-do whose sheet is open: its form, or the one that gives it a time. */
export interface OpenTodo {
  /** A `targetKey`. */
  readonly key: string;
  readonly as: 'form' | 'time';
  /** What stands in the fields of the form that were touched, half-typed too. */
  readonly typed?: Readonly<Record<string, unknown>> | undefined;
}

/** What the person is doing now. What is being written outlasts a reload; nothing else of it is kept. */
interface Workspace {
  /** Keys of the selected occurrences, latest last. */
  readonly selected: readonly string[];
  /** Whether entries are being collected: arrows then walk on and leave the selection as it is. */
  readonly collecting: boolean;
  readonly deskOpen: boolean;
  readonly editing: Editing | null;
  /** What was being written when something else was begun, latest last. */
  readonly aside: readonly Editing[];
  /** What stands in the entry line. */
  readonly line: string;
  /** An entry that is to be brought into sight, by its key: hours that hide it open. */
  readonly revealed: string | null;
  readonly todo: OpenTodo | null;
  /** The place whose page is open, as it is written. */
  readonly place: string | null;
  /** The id of the series whose page is open. */
  readonly seriesShown: string | null;
  readonly notice: Notice | null;
  readonly question: ScopeQuestion | null;
  readonly keysShown: boolean;
  /** The sheet of Plan that is open. */
  readonly sheet: PlanSheet | null;
  /** Whether the search stands in the desk's place. */
  readonly searching: boolean;
  /** The batch change that is being put together over the selection, and the step that it begins with. */
  readonly batch: {
    readonly begin?: StepKind | undefined;
    /** What findings propose, in place of steps over the selection. */
    readonly fixes?: readonly FixPart[];
  } | null;
  /** How much needs a decision in People: the length of that list, once it was looked through. */
  readonly waiting: number;
  /** Whether the list of the last changes is open. */
  readonly changesShown: boolean;
  /** Whether the rows around the view are open, where a low window folds them. */
  readonly rowsOpen: boolean;
}

/** What Plan opens sheets for. */
export type PlanSheet = 'look' | 'filter' | 'presets' | 'goto' | 'export' | 'colleagues';

export const useWorkspace = create<Workspace>()(() => ({
  selected: [],
  collecting: false,
  // Beside the view there is room for it from the start; over the view it waits to be asked for.
  deskOpen: typeof window !== 'undefined' && window.innerWidth >= DESK_BESIDE,
  editing: null,
  aside: [],
  line: '',
  revealed: null,
  todo: null,
  place: null,
  seriesShown: null,
  notice: null,
  question: null,
  keysShown: false,
  sheet: null,
  searching: false,
  batch: null,
  waiting: 0,
  changesShown: false,
  rowsOpen: false,
}));

const set = useWorkspace.setState;

/** What was put aside, with what is being written if that would be lost. */
const withAside = ({ editing, aside }: Workspace): readonly Editing[] =>
  editing?.changed ? [...aside, editing] : aside;

/** Over the view the desk goes when there is nothing on it; beside the view it stays. */
const restingDesk = ({ selected }: Workspace): Partial<Workspace> =>
  selected.length === 0 && window.innerWidth < DESK_BESIDE ? { deskOpen: false } : {};

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
  /** Selects so many at once; each press goes on collecting. */
  selectAll: (selected: readonly string[]) => set({ selected, collecting: selected.length > 0 }),
  clearSelection: () => set({ selected: [], collecting: false }),
  /** Keeps the selection on what a change put elsewhere. */
  setSelected: (selected: readonly string[]) => set({ selected }),
  replaceSelected: (from: string, to: string) =>
    set(({ selected }) => ({ selected: selected.map((key) => (key === from ? to : key)) })),
  /** Selects an entry and brings it into sight. */
  reveal: (key: string) =>
    set({ selected: [key], collecting: false, deskOpen: true, revealed: key, searching: false }),
  wasRevealed: () => set({ revealed: null }),
  setDesk: (deskOpen: boolean) => set({ deskOpen }),
  /** Begins to write an entry. What was being written and would be lost is put aside. */
  edit: (editing: Omit<Editing, 'id'>) =>
    set((before) => ({ editing: { id: crypto.randomUUID(), ...editing }, aside: withAside(before) })),
  /** Goes on with what is being written in another panel, or for another time. */
  goOn: (changes: Partial<Editing>) =>
    set(({ editing }) => (editing ? { editing: { ...editing, ...changes } } : {})),
  /** What was being written is kept as an entry, or thrown away. */
  finishEditing: () => set((before) => ({ editing: null, ...restingDesk(before) })),
  /** Stops writing; what would be lost is put aside. Answers whether something was. */
  putAside: (): boolean => {
    const before = useWorkspace.getState();
    set({ editing: null, aside: withAside(before), ...restingDesk(before) });
    return before.editing?.changed === true;
  },
  /** Takes up what was put aside. */
  takeUp: (editing: Editing) =>
    set((before) => ({
      editing,
      aside: withAside(before).filter((other) => other !== editing),
      deskOpen: true,
    })),
  throwAway: (editing: Editing) =>
    set(({ aside }) => ({ aside: aside.filter((other) => other !== editing) })),
  addAside: (drafts: readonly Editing[]) => set(({ aside }) => ({ aside: [...aside, ...drafts] })),
  writeLine: (line: string) => set({ line }),
  openTodo: (key: string, as: OpenTodo['as'] = 'form') => set({ todo: { key, as } }),
  /** Goes on with a form that was left half-typed. */
  takeUpTodo: (todo: OpenTodo) => set({ todo }),
  /** Keeps what is typed into the form of the open to-do. */
  keepTodo: (typed: OpenTodo['typed']) => set(({ todo }) => (todo ? { todo: { ...todo, typed } } : {})),
  showPlace: (place: string | null) => set({ place }),
  closeTodo: () => set({ todo: null }),
  showSeries: (seriesShown: string | null) => set({ seriesShown }),
  /** Changes the fields of what is being written, so that the view shows them at once. */
  editFields: (fields: Partial<EventFields>) =>
    set(({ editing }) =>
      editing ? { editing: { ...editing, changed: true, fields: { ...editing.fields, ...fields } } } : {},
    ),
  say: (notice: Notice | null) => set({ notice }),
  noteWaiting: (waiting: number) => set({ waiting }),
  showKeys: (keysShown: boolean) => set({ keysShown }),
  showChanges: (changesShown: boolean) => set({ changesShown }),
  openSheet: (sheet: PlanSheet | null) => set({ sheet }),
  openRows: (rowsOpen: boolean) => set({ rowsOpen }),
  search: (searching: boolean) => set({ searching }),
  /** Begins a batch change over what is selected, at a step if one is meant. */
  beginBatch: (begin?: StepKind) => set({ batch: { begin } }),
  /** Shows what some fixes would do, to do it from there. */
  beginFixes: (fixes: readonly FixPart[]) => set({ batch: { fixes } }),
  leaveBatch: () => set({ batch: null }),
  /** Asks which occurrences of a series are meant; undefined if the person lets it be. */
  askScope: (
    about: ScopeQuestion['about'],
    title: string,
    scopes: readonly Scope[],
  ): Promise<Scope | undefined> =>
    new Promise((resolve) => {
      // A question that another one takes the place of is let be.
      useWorkspace.getState().question?.answer(undefined);
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

import type { Change, Patch } from '@/core/change/patch';
import type { History } from '@/core/change/history';
import type { State } from '@/core/model/state';

/** Where an entry is: its day, or nowhere. */
type Place = string | undefined;

interface Deed {
  readonly label: string;
  readonly changes: readonly { readonly name: string; readonly before: Place; readonly after: Place }[];
}

/** What is known of the entries of a trial: which day each is on, and what can be undone and done again. */
export interface Model {
  readonly entries: ReadonlyMap<string, string>;
  readonly done: readonly Deed[];
  readonly undone: readonly Deed[];
}

/** Something that a person does. */
export type Deeds =
  | { readonly what: 'make' | 'move' | 'bin'; readonly name: string; readonly day: string }
  | { readonly what: 'undo' | 'redo' }
  | {
      readonly what: 'import';
      readonly names: readonly string[];
      readonly day: string;
      readonly calendar: string;
    };

/** Entries of trials bear these names. */
export const isOfTrial = (name: string): boolean => name.startsWith('Trial ');

const LABELS = { make: 'entry-made', move: 'entry-moved', bin: 'entries-binned' } as const;

const nextDay = (day: string): string =>
  new Date(Date.parse(`${day}T00:00Z`) + 24 * 60 * 60 * 1000).toISOString().slice(0, 10);

function put(entries: ReadonlyMap<string, string>, changes: Deed['changes'], side: 'before' | 'after') {
  const result = new Map(entries);
  for (const change of changes) {
    const place = change[side];
    if (place === undefined) result.delete(change.name);
    else result.set(change.name, place);
  }
  return result;
}

/** The model after something was done. */
export function after(model: Model, deed: Deeds): Model {
  const { entries, done, undone } = model;
  const make = (made: Deed): Model => ({
    entries: put(entries, made.changes, 'after'),
    done: [...done, made],
    undone: [],
  });
  switch (deed.what) {
    case 'make':
    case 'move':
    case 'bin': {
      const { what, name, day } = deed;
      const before = entries.get(name);
      const now = what === 'make' ? day : what === 'move' ? nextDay(before ?? day) : undefined;
      return make({ label: `${LABELS[what]} ${name}`, changes: [{ name, before, after: now }] });
    }
    case 'import':
      return make({
        label: `imported ${deed.calendar}`,
        changes: deed.names.map((name) => ({ name, before: undefined, after: deed.day })),
      });
    case 'undo': {
      const latest = done.at(-1);
      if (!latest) return model;
      const back = put(entries, latest.changes, 'before');
      return { entries: back, done: done.slice(0, -1), undone: [...undone, latest] };
    }
    case 'redo': {
      const latest = undone.at(-1);
      if (!latest) return model;
      const again = put(entries, latest.changes, 'after');
      return { entries: again, done: [...done, latest], undone: undone.slice(0, -1) };
    }
  }
}

function placeOf(record: Change['before']): Place {
  const start = record && 'start' in record ? record.start : undefined;
  if (typeof start !== 'object') return undefined;
  return start.kind === 'date' ? start.date : start.local.slice(0, 10);
}

function deedOf({ summary, changes }: Patch): Deed {
  return {
    label: `${summary.what} ${summary.name ?? ''}`,
    changes: changes.flatMap((change) => {
      const record = change.after ?? change.before;
      if (change.collection !== 'entries' || !record || !('title' in record)) return [];
      if (!isOfTrial(record.title)) return [];
      return [{ name: record.title, before: placeOf(change.before), after: placeOf(change.after) }];
    }),
  };
}

/** What is kept, as a model. */
export function modelOf(state: State, history: History): Model {
  const entries = new Map<string, string>();
  for (const entry of state.entries.values())
    if (isOfTrial(entry.title)) entries.set(entry.title, placeOf(entry)!);
  return { entries, done: history.done.map(deedOf), undone: history.undone.map(deedOf) };
}

/** How many of the latest deeds can be undone and done again after a start. */
const KEPT_DEEDS = 50;

/** In what two models differ, in words; undefined if they are equal. */
export function difference(one: Model, other: Model): string | undefined {
  const differing = [...new Set([...one.entries.keys(), ...other.entries.keys()])].filter(
    (name) => one.entries.get(name) !== other.entries.get(name),
  );
  if (differing.length > 0)
    return `${differing.length} entries, ${differing[0]}: ${one.entries.get(differing[0]!)} and ${other.entries.get(differing[0]!)}`;
  for (const list of ['done', 'undone'] as const) {
    const lengths = [one, other].map((model) => model[list].length);
    const compared = Math.max(Math.min(...lengths), Math.min(KEPT_DEEDS, Math.max(...lengths)));
    const [labels, others] = [one, other].map((model) =>
      (compared > 0 ? model[list].slice(-compared) : []).map(({ label }) => label).join(', '),
    );
    if (labels !== others) return `${list}: [${labels}] and [${others}]`;
  }
  return undefined;
}

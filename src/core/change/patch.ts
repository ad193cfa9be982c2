import { z } from 'zod';
import { readRecord, stamped } from '../model/readRecord';
import { COLLECTION_NAMES, type CollectionName, type RecordOf, type State } from '../model/state';

/** One record put (`after`) or removed (`after` null), with the record that it replaces. */
export interface ChangeOf<Name extends CollectionName> {
  readonly collection: Name;
  readonly id: string;
  readonly before: RecordOf<Name> | null;
  readonly after: RecordOf<Name> | null;
}
export type Change = { [Name in CollectionName]: ChangeOf<Name> }[CollectionName];

/** A change as it was written, its records read as those of their collection. */
const ReadChange = z
  .object({
    collection: z.enum(COLLECTION_NAMES),
    id: z.string(),
    before: z.unknown(),
    after: z.unknown(),
  })
  .transform((change, context): Change => {
    const read = (value: unknown): RecordOf<CollectionName> | null => {
      const { record, issues } = value === null ? { record: null } : readRecord(change.collection, value);
      if (issues) for (const { path, message } of issues) context.addIssue({ code: 'custom', path, message });
      return record ?? null;
    };
    return { ...change, before: read(change.before), after: read(change.after) } as Change;
  });

/** What a patch did, for the line that says so: the interface has the words. */
const SUMMARIES = [
  'todo-made',
  'todo-done',
  'todo-open',
  'todo-part',
  'todos-timed',
  'entry-made',
  'entries-made',
  'entry-changed',
  'entry-moved',
  'entries-moved',
  'entry-stretched',
  'entries-stretched',
  'entry-to-calendar',
  'entry-copied',
  'series-copied',
  'occurrence-reset',
  'occurrence-brought-back',
  'entries-binned',
  'entries-to-calendar',
  'entries-reminded',
  'entries-batch',
  'entries-by-recipe',
  'entries-restored',
  'bin-emptied',
  'calendar-made',
  'calendar-changed',
  'calendar-deleted',
  'calendar-restored',
  'calendars-ordered',
  'calendars-merged',
  'calendar-published',
  'calendar-withdrawn',
  'entry-duplicated',
  'entries-copied',
  'entries-copied-there',
  'entry-again',
  'category-changed',
  'categories-merged',
  'category-removed',
  'attachments-removed',
  'note-kept',
  'feed-refreshed',
  'restored',
  'imported',
  'settings-changed',
  'preset-saved',
  'presets-changed',
  'preset-deleted',
  'period-set-saved',
  'period-set-deleted',
  'taken-back',
  'findings-fine',
  'findings-again',
  'recipe-kept',
  'recipe-removed',
  'person-saved',
  'people-added',
  'people-merged',
  'people-removed',
  'busy-times-read',
  'share-saved',
  'address-withdrawn',
  'offer-made',
  'offer-ended',
  'offer-chosen',
  'handed-in-added',
  'handed-in-changed',
  'handed-in-removed',
  'handed-in-refused',
  'guests-told',
  'nobody-told',
  'letter-read',
  'letter-dismissed',
  'letters-sent',
  'invitation-answered',
  'session-changed',
] as const;
export type SummaryKind = (typeof SUMMARIES)[number];
export const Summary = z.object({
  /** What a later version did is said as a change. */
  what: z.enum(SUMMARIES).catch('entry-changed'),
  count: z.number().int().min(0),
  /** The title of the entry or the name of the calendar that it is about. */
  name: z.string().optional(),
  /** Changed occurrences that had no place in their series any more, and went to the bin. */
  dropped: z.number().int().min(1).optional(),
  /** Of several, how many could not be changed. */
  left: z.number().int().min(1).optional(),
  /** The calendar that something went to. */
  into: z.string().optional(),
  /** Who did it, where that was somebody else. */
  by: z.string().optional(),
});
export type Summary = z.infer<typeof Summary>;

/** A change of the state as a list of records put and removed: the only way that data changes. */
export const Patch = z.object({
  id: z.string().min(1),
  /** Instant in milliseconds. */
  at: z.number(),
  summary: Summary,
  changes: z.array(ReadChange),
});
export interface Patch extends Omit<z.infer<typeof Patch>, 'changes'> {
  readonly changes: readonly Change[];
  /** Where what was changed is found after it, as a `targetKey`: for who follows it, and never kept. */
  readonly landed?: string;
  /** What may be done that is not done by hand; asked where it is committed, and never kept. */
  readonly permission?: Permission;
}

/** `closed-calendars`: it may touch entries of calendars whose entries can't be changed by hand. */
export type Permission = 'closed-calendars';

/** Where a change takes the time, fresh ids and the viewer's zone from. */
export interface ChangeContext {
  /** Instant in milliseconds. */
  readonly now: number;
  readonly newId: () => string;
  /** The zone that floating times and whole days are read in. */
  readonly zone: string;
}

/** A patch as it is written: its records with their versions, and without what is never kept. */
export const stampedPatch = ({ landed: _, permission: __, ...patch }: Patch): Patch => ({
  ...patch,
  changes: patch.changes.map((change) => {
    const written = (record: Change['before']) => record && stamped(change.collection, record);
    return { ...change, before: written(change.before), after: written(change.after) } as Change;
  }),
});

/** A patch with a fresh id. */
export const makePatch = (
  context: ChangeContext,
  summary: Summary,
  changes: readonly Change[],
  permission?: Permission,
): Patch => ({
  id: context.newId(),
  at: context.now,
  summary,
  changes,
  ...(permission ? { permission } : {}),
});

/** A change that puts a record in place of what the state holds under its id. */
export function put<Name extends CollectionName>(
  state: State,
  collection: Name,
  record: RecordOf<Name>,
): ChangeOf<Name> {
  const before = (state[collection] as ReadonlyMap<string, RecordOf<Name>>).get(record.id) ?? null;
  return { collection, id: record.id, before, after: record };
}

/** A change that removes a record. */
export function remove<Name extends CollectionName>(
  collection: Name,
  record: RecordOf<Name>,
): ChangeOf<Name> {
  return { collection, id: record.id, before: record, after: null };
}

/** The id of the patch that takes another one back. */
export const inverseId = (id: string): string => `${id}-`;

/** The id of the patch that one of such an id takes back. */
export const undoneId = (id: string): string => id.replace(/-$/, '');

/** The patch that takes another one back. */
export const inversePatch = (patch: Patch): Patch => ({
  ...patch,
  id: inverseId(patch.id),
  changes: patch.changes
    .map((change) => ({ ...change, before: change.after, after: change.before }) as Change)
    .reverse(),
});

/** The state after a patch. Collections that it does not touch stay the same objects. */
export function applyPatch(state: State, patch: Patch): State {
  const touched = new Map<CollectionName, Map<string, unknown>>();
  for (const { collection, id, after } of patch.changes) {
    let records = touched.get(collection);
    if (!records) {
      records = new Map<string, unknown>(state[collection]);
      touched.set(collection, records);
    }
    if (after === null) records.delete(id);
    else records.set(id, after);
  }
  return { ...state, ...Object.fromEntries(touched) } as State;
}

import { z } from 'zod';
import { Calendar } from './calendar';
import { Category } from './category';
import { Entry } from './entry';
import { OwnNote } from './ownNote';
import { PeriodSet } from './periodSet';
import { Settings } from './settings';
import { ViewPreset } from './viewPreset';

/** An entry in the bin, with the changed occurrences that went along kept as items of their own. */
export const BinItem = z.object({
  id: z.string().min(1),
  entry: Entry,
  deleted: z.number(),
  /** The calendar that went with it, to come back with it. */
  calendar: Calendar.optional(),
  /** The person's own note on it, which went with its calendar. */
  ownNote: OwnNote.optional(),
});
export type BinItem = z.infer<typeof BinItem>;

/** Parts of Plan that can be folded away. */
export const FOLDABLE = ['strip', 'chips', 'desk'] as const;
export type Foldable = (typeof FOLDABLE)[number];

/** What the application remembers between visits that is no data of the person: never part of undo. */
export const Session = z.object({
  id: z.literal('session'),
  /** No reminder that fell due up to this instant waits for an answer. */
  remindedUntil: z.number().optional(),
  /** Reminders after it that were dismissed, by their keys. */
  dismissed: z.array(z.string()).optional(),
  /** The device's zone that the person was asked about, where it is not the home zone. */
  askedZone: z.string().optional(),
  /** When a backup was last saved, or its offer was put off. */
  backedUp: z.number().optional(),
  backupPutOff: z.number().optional(),
  /** Parts of Plan that are folded away. */
  folded: z.array(z.enum(FOLDABLE)).optional(),
});
export type Session = z.infer<typeof Session>;

/** The collections of records and the schema of each; a record is known by its collection and id. */
export const COLLECTIONS = {
  calendars: Calendar,
  entries: Entry,
  bin: BinItem,
  categories: Category,
  ownNotes: OwnNote,
  settings: Settings,
  presets: ViewPreset,
  periodSets: PeriodSet,
  sessions: Session,
} as const;

export type CollectionName = keyof typeof COLLECTIONS;
export type RecordOf<Name extends CollectionName> = z.infer<(typeof COLLECTIONS)[Name]>;
export const COLLECTION_NAMES = Object.keys(COLLECTIONS) as CollectionName[];

/** All data: immutable records by id. Only `applyPatch` makes a new state from an old one. */
export type State = { readonly [Name in CollectionName]: ReadonlyMap<string, RecordOf<Name>> };

/** A state without any record. */
export function emptyState(): State {
  return {
    calendars: new Map(),
    entries: new Map(),
    bin: new Map(),
    categories: new Map(),
    ownNotes: new Map(),
    settings: new Map(),
    presets: new Map(),
    periodSets: new Map(),
    sessions: new Map(),
  };
}

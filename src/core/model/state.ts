import { z } from 'zod';
import { BusyTimes } from './busyTimes';
import { Calendar } from './calendar';
import { CameReminder } from './cameReminder';
import { Category } from './category';
import { Entry } from './entry';
import { alarmsAsReminders, inBin, keptTextAsFields, relatedAsField } from './entryMigrations';
import { FineFinding } from './fineFinding';
import { Invitation, Letter } from './invitation';
import type { Migration } from './migration';
import { Offer } from './offer';
import { OwnNote } from './ownNote';
import { PeriodSet } from './periodSet';
import { Recipe } from './recipe';
import { Person } from './person';
import { Settings } from './settings';
import { Share } from './share';
import { TableColumns } from './tableColumns';
import { Withdrawal } from './withdrawal';
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
  /** All reminders that fell due up to this instant were found. */
  remindedUntil: z.number().optional(),
  /** Up to release 0.1: reminders after it that were dismissed, by their keys. */
  dismissed: z.array(z.string()).optional(),
  /** Where this browser's messages are handed over, and what proves that they are its own. */
  messageBox: z.object({ token: z.string().min(22), key: z.string().min(22) }).optional(),
  /** How many more came while nobody looked than are kept one by one. */
  remindersPassed: z.number().optional(),
  /** The device's zone that the person was asked about, where it is not the home zone. */
  askedZone: z.string().optional(),
  /** When a backup was last saved, or its offer was put off. */
  backedUp: z.number().optional(),
  backupPutOff: z.number().optional(),
  /** Parts of Plan that are folded away. */
  folded: z.array(z.enum(FOLDABLE)).optional(),
  /** Whether to-dos stand beside the calendar. */
  todosBeside: z.boolean().optional(),
  /** How the columns of Tidy's table stand. */
  tableColumns: TableColumns.optional(),
  /** How much Tidy's checks found, and when they last looked. */
  findings: z.object({ count: z.number().int().min(0), at: z.number() }).optional(),
  /** The last letter that was fetched from the mail relay, by its number there. */
  lettersRead: z.number().int().min(0).optional(),
  /** Since when calendars have been hidden in Plan, instants by their ids. */
  hiddenSince: z.record(z.string(), z.number()).optional(),
});
export type Session = z.infer<typeof Session>;

/** A collection of records. */
interface Collection {
  readonly schema: z.ZodType<{ id: string }>;
  /** From the first version on; a record says of which version it is, once there is more than one. */
  readonly migrations: readonly Migration[];
  /** How many keys of the storage its records are spread over. */
  readonly chunks: number;
  /** Whether a backup holds it: all but what is of one device. */
  readonly isBackedUp: boolean;
  /** Whether it goes with the demo when someone begins empty. */
  readonly isContent: boolean;
}

const none: readonly Migration[] = [];
const ENTRY_MIGRATIONS = [keptTextAsFields, alarmsAsReminders, relatedAsField] as const;

/** The collections of records; a record is known by its collection and id. */
export const COLLECTIONS = {
  calendars: { schema: Calendar, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  entries: {
    schema: Entry,
    migrations: ENTRY_MIGRATIONS,
    chunks: 64,
    isBackedUp: true,
    isContent: true,
  },
  bin: {
    schema: BinItem,
    migrations: ENTRY_MIGRATIONS.map(inBin),
    chunks: 8,
    isBackedUp: true,
    isContent: true,
  },
  categories: { schema: Category, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  ownNotes: { schema: OwnNote, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  settings: { schema: Settings, migrations: none, chunks: 1, isBackedUp: true, isContent: false },
  presets: { schema: ViewPreset, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  periodSets: { schema: PeriodSet, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  recipes: { schema: Recipe, migrations: none, chunks: 1, isBackedUp: true, isContent: false },
  fineFindings: { schema: FineFinding, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  people: { schema: Person, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  shares: { schema: Share, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  offers: { schema: Offer, migrations: none, chunks: 1, isBackedUp: true, isContent: true },
  busyTimes: { schema: BusyTimes, migrations: none, chunks: 4, isBackedUp: false, isContent: true },
  invitations: { schema: Invitation, migrations: none, chunks: 4, isBackedUp: true, isContent: true },
  letters: { schema: Letter, migrations: none, chunks: 4, isBackedUp: false, isContent: true },
  withdrawals: { schema: Withdrawal, migrations: none, chunks: 1, isBackedUp: false, isContent: false },
  reminded: { schema: CameReminder, migrations: none, chunks: 1, isBackedUp: false, isContent: false },
  sessions: { schema: Session, migrations: none, chunks: 1, isBackedUp: false, isContent: false },
} as const satisfies Readonly<Record<string, Collection>>;

export type CollectionName = keyof typeof COLLECTIONS;
export type RecordOf<Name extends CollectionName> = z.infer<(typeof COLLECTIONS)[Name]['schema']>;
export const COLLECTION_NAMES = Object.keys(COLLECTIONS) as CollectionName[];

/** All data: immutable records by id. Only `applyPatch` makes a new state from an old one. */
export type State = { readonly [Name in CollectionName]: ReadonlyMap<string, RecordOf<Name>> };

/** The names of the collections that a backup holds. */
export type BackedUp = {
  [Name in CollectionName]: (typeof COLLECTIONS)[Name]['isBackedUp'] extends true ? Name : never;
}[CollectionName];
export const BACKED_UP = COLLECTION_NAMES.filter((name): name is BackedUp => COLLECTIONS[name].isBackedUp);

/** A state without any record. */
export const emptyState = (): State =>
  Object.fromEntries(COLLECTION_NAMES.map((name) => [name, new Map()])) as unknown as State;

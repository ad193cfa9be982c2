import { z } from 'zod';
import { readRecord, stamped } from '../../model/readRecord';
import { BACKED_UP, type BackedUp, type RecordOf, type State } from '../../model/state';
import { isKnownZone } from '../../time/zones';
import { FileError } from '../icalendar/problems';

/** What is said at the head of a backup, and the version of its schema that is written. */
const BACKUP_FORMAT = 'orderly-week-backup';
const BACKUP_VERSION = 1;

/** The records of a backup, valid each by itself. */
export type BackupRecords = { readonly [Name in BackedUp]: readonly RecordOf<Name>[] };

/** A record that could not be read. */
interface BackupProblem {
  readonly collection: BackedUp;
  readonly id: string;
  /** What it is called, where it says so. */
  readonly name: string | undefined;
  /** The field that can't be read. */
  readonly detail: string;
}

export interface Backup {
  /** Instant in milliseconds. */
  readonly saved: number;
  readonly records: BackupRecords;
  /** The bytes of attachments in base 64, by their ids. */
  readonly files: ReadonlyMap<string, string>;
  /** Texts that could not be read where the backup was saved, by their keys there. */
  readonly setAside: ReadonlyMap<string, string>;
  readonly problems: readonly BackupProblem[];
}

const BASE64 = /^[A-Za-z0-9+/]*={0,2}$/;

/** The outer shape of the file; what stands in it is read record by record. */
const BackupShape = z.object({
  format: z.literal(BACKUP_FORMAT),
  version: z.number().int().min(1),
  saved: z.iso.datetime(),
  records: z.record(z.string(), z.array(z.unknown())),
  files: z.record(z.string(), z.string().regex(BASE64)),
  setAside: z.record(z.string(), z.string()).optional(),
});

/**
 * Writes everything as one JSON text.
 * @param saved an instant in milliseconds
 * @param setAside texts that could not be read, by their keys: kept with the rest, whatever they are
 */
export function writeBackup(
  state: Pick<State, BackedUp>,
  files: ReadonlyMap<string, string>,
  saved: number,
  setAside: ReadonlyMap<string, string> = new Map(),
): string {
  const records = Object.fromEntries(
    BACKED_UP.map((name) => [name, [...state[name].values()].map((record) => stamped(name, record))]),
  );
  return JSON.stringify({
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    saved: new Date(saved).toISOString(),
    records,
    files: Object.fromEntries(files),
    ...(setAside.size > 0 ? { setAside: Object.fromEntries(setAside) } : {}),
  } satisfies z.infer<typeof BackupShape>);
}

/**
 * Reads a backup. Records that are not valid are reported and left out; the others are there.
 * @throws FileError if the text is no backup, or one of a later version
 */
export function readBackup(text: string): Backup {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    // One that begins as a backup does and can't be read to its end is one that was damaged.
    throw new FileError(text.slice(0, 200).includes(BACKUP_FORMAT) ? 'damaged-backup' : 'not-a-backup');
  }
  const head = z.object({ format: z.literal(BACKUP_FORMAT), version: z.number() }).safeParse(value);
  if (!head.success) throw new FileError('not-a-backup');
  if (head.data.version > BACKUP_VERSION) throw new FileError('newer-backup');
  const shape = BackupShape.safeParse(value);
  if (!shape.success) throw new FileError('damaged-backup');

  const problems: BackupProblem[] = [];
  const read = (collection: BackedUp): unknown[] =>
    (shape.data.records[collection] ?? []).flatMap((item, index) => {
      const { record, issues } = readRecord(collection, item);
      if (record) {
        const zone = 'homeZone' in record ? record.homeZone : undefined;
        if (zone !== undefined && !isKnownZone(zone))
          problems.push({ collection, id: 'settings', name: zone, detail: 'homeZone' });
        return [record];
      }
      const said = z.looseObject({}).safeParse(item).data ?? {};
      const text = (name: string) => (typeof said[name] === 'string' ? said[name] : undefined);
      problems.push({
        collection,
        id: text('id') ?? String(index + 1),
        name: text('title') ?? text('name'),
        detail: String(issues[0]?.path[0] ?? ''),
      });
      return [];
    });
  const records = Object.fromEntries(BACKED_UP.map((name) => [name, read(name)]));
  return {
    saved: Date.parse(shape.data.saved),
    records: records as unknown as BackupRecords,
    files: new Map(Object.entries(shape.data.files)),
    setAside: new Map(Object.entries(shape.data.setAside ?? {})),
    problems,
  };
}

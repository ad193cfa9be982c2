import { isArchive } from '@/core/interchange/icalendar/fileText';
import { LARGEST_BACKUP, LARGEST_FILE } from '@/core/interchange/icalendar/problems';
import type { Calendar } from '@/core/model/calendar';
import { calendarFiles } from '@/store';
import { type Gathered, type ImportedFile, type ImportStep, type Refusal, setStep } from './importStep';

interface NamedBytes {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** The files in what was given, and those of an archive that are left out. */
interface Inside {
  readonly files: readonly NamedBytes[];
  readonly leftOut: Gathered['refused'];
}

export const titleOf = (name: string): string => name.replace(/\.[^.]*$/, '').slice(0, 120);

/** What comes after the files are read: a table to confirm, the preview, or why there is none. */
export function stepAfter({ parts, refused, tables }: Gathered): ImportStep {
  const [table, ...others] = tables;
  if (table) return { kind: 'table', ...table, gathered: { parts, refused, tables: others } };
  const [only] = refused;
  if (parts.length === 0 && only) return { kind: 'refused', ...only };
  return { kind: 'preview', parts, refused };
}

const NOTHING: Gathered = { parts: [], refused: [], tables: [] };

const joined = (one: Gathered, other: Partial<Gathered>): Gathered => ({
  parts: [...one.parts, ...(other.parts ?? [])],
  refused: [...one.refused, ...(other.refused ?? [])],
  tables: [...one.tables, ...(other.tables ?? [])],
});

/** What calendar files are read with. */
export interface ReadWith {
  readonly zone: string;
  readonly now: number;
  readonly calendars: readonly Pick<Calendar, 'id' | 'name'>[];
}

/** Reads a calendar file; undefined where that was cancelled. */
async function readCalendar(
  file: NamedBytes,
  { zone, now, calendars }: ReadWith,
  goesOn: () => boolean,
): Promise<Partial<Gathered> | undefined> {
  const options = { zone, now, calendars: calendars.map(({ id, name }) => ({ id, name })) };
  const result = await calendarFiles().read(file.bytes, options, async (done, total) => {
    if (goesOn()) setStep({ kind: 'reading', name: file.name, done, total });
    return goesOn();
  });
  if ('cancelled' in result) return undefined;
  if ('refused' in result) return { refused: [{ name: file.name, reason: result.refused }] };
  const { name, description, colour, preserved, events, todos, problems } = result.file;
  const part: ImportedFile = {
    name: file.name,
    title: (name ?? titleOf(file.name)).slice(0, 120),
    description,
    colour,
    preserved,
    events,
    todos,
    files: result.files,
    problems: problems.map((problem) => ({ form: 'ics' as const, ...problem })),
  };
  return { parts: [part] };
}

/** Reads a table, whose columns are confirmed afterwards. */
async function readTable({ name, bytes }: NamedBytes): Promise<Partial<Gathered> | undefined> {
  const read = await calendarFiles().readTable(bytes);
  if ('cancelled' in read) return undefined;
  return 'refused' in read ? { refused: [{ name, reason: read.refused }] } : { tables: [{ name, read }] };
}

/** The files themselves: out of archives, too. */
async function unpacked(file: File): Promise<Inside | Refusal> {
  if (file.size > LARGEST_FILE) return 'too-large';
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (!isArchive(bytes)) return { files: [{ name: file.name, bytes }], leftOut: [] };
  const result = await calendarFiles().unzip(bytes);
  if ('refused' in result) return result.refused;
  if ('cancelled' in result) return { files: [], leftOut: [] };
  if (result.unpacked.length + result.leftOut.length === 0) return 'not-a-calendar';
  return { files: result.unpacked, leftOut: result.leftOut };
}

/** Reads a backup, or says why it is none; undefined where that was cancelled. */
export async function readBackup(file: File): Promise<ImportStep | undefined> {
  const { name } = file;
  if (file.size > LARGEST_BACKUP) return { kind: 'refused', name, reason: 'too-large' };
  const result = await calendarFiles().readBackup(new Uint8Array(await file.arrayBuffer()));
  if ('refused' in result) return { kind: 'refused', name, reason: result.refused };
  return 'backup' in result ? { kind: 'backup', name, backup: result.backup } : undefined;
}

/** Reads calendar files, tables and archives of these, one after the other; undefined where that was cancelled. */
export async function readFiles(
  files: readonly File[],
  options: ReadWith,
  goesOn: () => boolean,
): Promise<Gathered | undefined> {
  let gathered = NOTHING;
  for (const file of files) {
    const inside = await unpacked(file);
    if (typeof inside === 'string') {
      gathered = joined(gathered, { refused: [{ name: file.name, reason: inside }] });
      continue;
    }
    gathered = joined(gathered, { refused: inside.leftOut });
    for (const each of inside.files) {
      if (!goesOn()) return undefined;
      setStep({ kind: 'reading', name: each.name, done: 0, total: 0 });
      const isTable = /\.(csv|tsv)$/i.test(each.name);
      const read = isTable ? await readTable(each) : await readCalendar(each, options, goesOn);
      if (!read) return undefined;
      gathered = joined(gathered, read);
    }
  }
  return gathered;
}

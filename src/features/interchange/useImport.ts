import { useMemo } from 'react';
import { create } from 'zustand';
import type { Backup } from '@/core/interchange/backup/backupFile';
import type { ColumnMapping } from '@/core/interchange/csv/columns';
import type { DateOrder } from '@/core/interchange/csv/dates';
import type { CsvProblem } from '@/core/interchange/csv/readCsv';
import { isArchive } from '@/core/interchange/icalendar/fileText';
import {
  LARGEST_BACKUP,
  LARGEST_FILE,
  type FileRefusal,
  type ReadProblem,
} from '@/core/interchange/icalendar/problems';
import type { Colour } from '@/core/model/colour';
import type { CalendarEvent } from '@/core/model/entry';
import type { Preserved } from '@/core/model/preserved';
import { calendarFiles, endFiles, type ReadTable, useOpenStore, useSettings } from '@/store';

export type Refusal = FileRefusal | 'failed';

/** What one file brings, whatever its form was. */
export interface ImportedFile {
  readonly name: string;
  /** What its calendar is called, from the file or its name. */
  readonly title: string;
  readonly description: string;
  readonly colour: Colour | undefined;
  readonly preserved: Preserved | undefined;
  readonly events: readonly CalendarEvent[];
  /** The bytes of its attachments in base 64. */
  readonly files: ReadonlyMap<string, string>;
  /** What could not be read: in a calendar file, or in a table. */
  readonly problems: readonly (
    ({ readonly form: 'ics' } & ReadProblem) | ({ readonly form: 'csv' } & CsvProblem)
  )[];
}

/** What has been read so far of several files. */
interface Gathered {
  readonly parts: readonly ImportedFile[];
  readonly refused: readonly { readonly name: string; readonly reason: Refusal }[];
  /** Tables whose columns have not been confirmed yet. */
  readonly tables: readonly { readonly name: string; readonly read: ReadTable }[];
}

/** How far an import has come. */
export type ImportStep =
  | { kind: 'idle' }
  | { kind: 'reading'; name: string; done: number; total: number }
  | { kind: 'refused'; name: string; reason: Refusal }
  | { kind: 'table'; name: string; read: ReadTable; gathered: Gathered }
  | { kind: 'preview'; parts: readonly ImportedFile[]; refused: Gathered['refused'] }
  | { kind: 'backup'; name: string; backup: Backup }
  | { kind: 'saving' };

export const useImportStep = create<{ step: ImportStep }>()(() => ({ step: { kind: 'idle' } }));
const setStep = (step: ImportStep): void => useImportStep.setState({ step });

/** The latest reading, and those that have not ended. */
let latest = 0;
const running = new Set<number>();

/** Whether a reading goes on: it was not cancelled, and no other took its place. */
const isWanted = (run: number) => (): boolean =>
  latest === run && useImportStep.getState().step.kind === 'reading';

/** How long one may go on that is wanted no more, and how often one looks, in milliseconds. */
const STOPS_WITHIN = 2_000;
const LOOK = 20;

/** Waits until what is wanted no more has stopped, as it does between entries; what does not is ended. */
async function stopRunning(): Promise<void> {
  const unwanted = [...running];
  const goesOn = () => unwanted.some((run) => running.has(run));
  for (let waited = 0; goesOn() && waited < STOPS_WITHIN; waited += LOOK)
    await new Promise((resolve) => setTimeout(resolve, LOOK));
  if (goesOn()) endFiles();
}

interface NamedBytes {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** The files in what was given, and those of an archive that are left out. */
interface Inside {
  readonly files: readonly NamedBytes[];
  readonly leftOut: Gathered['refused'];
}

const titleOf = (name: string): string => name.replace(/\.[^.]*$/, '').slice(0, 120);

/** What comes after the files are read: a table to confirm, the preview, or why there is none. */
function next({ parts, refused, tables }: Gathered): ImportStep {
  const [table, ...others] = tables;
  if (table) return { kind: 'table', ...table, gathered: { parts, refused, tables: others } };
  const [only] = refused;
  if (parts.length === 0 && only) return { kind: 'refused', ...only };
  return { kind: 'preview', parts, refused };
}

/** Reads files in a worker, step by step; nothing changes until the person says where it goes. */
export function useImport() {
  const { clock, store } = useOpenStore();
  const { homeZone, defaultLengthMinutes } = useSettings();
  return useMemo(() => {
    const readCalendar = async (file: NamedBytes, goesOn: () => boolean): Promise<Gathered | undefined> => {
      const calendars = [...store.getSnapshot().state.calendars.values()].map(({ id, name }) => ({
        id,
        name,
      }));
      const options = { zone: homeZone, now: clock(), calendars };
      const result = await calendarFiles().read(file.bytes, options, async (done, total) => {
        if (goesOn()) setStep({ kind: 'reading', name: file.name, done, total });
        return goesOn();
      });
      if ('cancelled' in result) return undefined;
      if ('refused' in result)
        return { parts: [], tables: [], refused: [{ name: file.name, reason: result.refused }] };
      const { name, description, colour, preserved, events, problems } = result.file;
      const part = {
        name: file.name,
        title: (name ?? titleOf(file.name)).slice(0, 120),
        description,
        colour,
      };
      return {
        parts: [
          {
            ...part,
            preserved,
            events,
            files: result.files,
            problems: problems.map((problem) => ({ form: 'ics' as const, ...problem })),
          },
        ],
        tables: [],
        refused: [],
      };
    };
    const readTable = async (file: NamedBytes): Promise<Gathered | undefined> => {
      const result = await calendarFiles().readTable(file.bytes);
      if ('cancelled' in result) return undefined;
      return 'refused' in result
        ? { parts: [], tables: [], refused: [{ name: file.name, reason: result.refused }] }
        : { parts: [], refused: [], tables: [{ name: file.name, read: result }] };
    };
    /** The files themselves: out of archives, too. */
    const unpacked = async (file: File): Promise<Inside | Refusal> => {
      const bytes = new Uint8Array(await file.arrayBuffer());
      if (!isArchive(bytes)) return { files: [{ name: file.name, bytes }], leftOut: [] };
      const result = await calendarFiles().unzip(bytes);
      if ('refused' in result) return result.refused;
      if ('cancelled' in result) return { files: [], leftOut: [] };
      if (result.unpacked.length + result.leftOut.length === 0) return 'not-a-calendar';
      return { files: result.unpacked, leftOut: result.leftOut };
    };
    const readBackup = async (file: File, goesOn: () => boolean): Promise<void> => {
      const result = await calendarFiles().readBackup(new Uint8Array(await file.arrayBuffer()));
      if (!goesOn()) return;
      if ('refused' in result) setStep({ kind: 'refused', name: file.name, reason: result.refused });
      else if ('backup' in result) setStep({ kind: 'backup', name: file.name, backup: result.backup });
    };

    return {
      /** Reads calendar files, tables, archives of these, or one backup. */
      async read(files: readonly File[]): Promise<void> {
        const [first] = files;
        if (!first) return;
        const run = ++latest;
        const goesOn = isWanted(run);
        setStep({ kind: 'reading', name: first.name, done: 0, total: 0 });
        await stopRunning();
        if (!goesOn()) return;
        running.add(run);
        let gathered: Gathered = { parts: [], refused: [], tables: [] };
        const refuse = (name: string, reason: Refusal) => {
          gathered = { ...gathered, refused: [...gathered.refused, { name, reason }] };
        };
        try {
          if (files.length === 1 && /\.json$/i.test(first.name)) {
            if (first.size <= LARGEST_BACKUP) return await readBackup(first, goesOn);
            return setStep({ kind: 'refused', name: first.name, reason: 'too-large' });
          }
          for (const file of files) {
            const inside = file.size > LARGEST_FILE ? 'too-large' : await unpacked(file);
            if (typeof inside === 'string') {
              refuse(file.name, inside);
              continue;
            }
            inside.leftOut.forEach(({ name, reason }) => refuse(name, reason));
            for (const each of inside.files) {
              if (!goesOn()) return;
              setStep({ kind: 'reading', name: each.name, done: 0, total: 0 });
              const read = /\.(csv|tsv)$/i.test(each.name)
                ? await readTable(each)
                : await readCalendar(each, goesOn);
              if (!read) return;
              gathered = {
                parts: [...gathered.parts, ...read.parts],
                refused: [...gathered.refused, ...read.refused],
                tables: [...gathered.tables, ...read.tables],
              };
            }
          }
          // What was read has arrived in this task: it is shown in the next one.
          await new Promise((resolve) => setTimeout(resolve));
          if (goesOn()) setStep(next(gathered));
        } catch {
          if (goesOn()) setStep({ kind: 'refused', name: first.name, reason: 'failed' });
        } finally {
          running.delete(run);
        }
      },
      /** Takes a table's entries, its columns being confirmed, and goes on. */
      async takeTable(mapping: ColumnMapping, dateOrder: DateOrder): Promise<void> {
        const { step } = useImportStep.getState();
        if (step.kind !== 'table') return;
        const { name, read, gathered } = step;
        const run = ++latest;
        setStep({ kind: 'reading', name, done: 0, total: 0 });
        running.add(run);
        const goesOn = isWanted(run);
        try {
          const options = { mapping, dateOrder, zone: homeZone, defaultLengthMinutes, now: clock() };
          const { events, problems } = await calendarFiles().readTableEvents(read.table, options);
          const part: ImportedFile = {
            name,
            title: titleOf(name),
            description: '',
            colour: undefined,
            preserved: undefined,
            events,
            files: new Map(),
            problems: problems.map((problem) => ({ form: 'csv' as const, ...problem })),
          };
          if (goesOn()) setStep(next({ ...gathered, parts: [...gathered.parts, part] }));
        } catch {
          if (goesOn()) setStep({ kind: 'refused', name, reason: 'failed' });
        } finally {
          running.delete(run);
        }
      },
      saving: () => setStep({ kind: 'saving' }),
      close: () => {
        setStep({ kind: 'idle' });
        void stopRunning();
      },
    };
  }, [clock, store, homeZone, defaultLengthMinutes]);
}

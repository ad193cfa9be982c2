import { create } from 'zustand';
import type { Backup } from '@/core/interchange/backup/backupFile';
import type { CsvProblem } from '@/core/interchange/csv/readCsv';
import type { FileRefusal, ReadProblem } from '@/core/interchange/icalendar/problems';
import type { Colour } from '@/core/model/colour';
import type { CalendarEvent, Todo } from '@/core/model/entry';
import type { Preserved } from '@/core/model/preserved';
import type { ReadTable } from '@/store';

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
  readonly todos: readonly Todo[];
  /** The bytes of its attachments in base 64. */
  readonly files: ReadonlyMap<string, string>;
  /** What could not be read: in a calendar file, or in a table. */
  readonly problems: readonly (
    ({ readonly form: 'ics' } & ReadProblem) | ({ readonly form: 'csv' } & CsvProblem)
  )[];
}

/** What has been read so far of several files. */
export interface Gathered {
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
export const setStep = (step: ImportStep): void => useImportStep.setState({ step });

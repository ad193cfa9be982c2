import { type Backup, readBackup, writeBackup } from '@/core/interchange/backup/backupFile';
import type { ColumnMapping } from '@/core/interchange/csv/columns';
import { guessTable } from '@/core/interchange/csv/guessTable';
import { type CsvTable, readCsvTable } from '@/core/interchange/csv/csvTable';
import { type DateOrder, guessDateOrder } from '@/core/interchange/csv/dates';
import { readCsv, type ReadCsv } from '@/core/interchange/csv/readCsv';
import { writeCsv } from '@/core/interchange/csv/writeCsv';
import { embedAttachments, extractAttachments } from '@/core/interchange/icalendar/attachProperty';
import type { CalendarFile } from '@/core/interchange/icalendar/calendarFile';
import { fileText, tableText } from '@/core/interchange/icalendar/fileText';
import { FileError, type FileRefusal, LARGEST_BACKUP } from '@/core/interchange/icalendar/problems';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { writeCalendarFile, type WrittenCalendar } from '@/core/interchange/icalendar/writeCalendarFile';
import { readMail, type ReadMail } from '@/core/interchange/mail/readMail';
import { type PublishedDay, publishedDays } from '@/core/interchange/published/publishedDays';
import { type PublishedPart, publishedParts } from '@/core/interchange/published/publishedEvents';
import { unzip, type Unpacked } from '@/core/interchange/unzip';
import { CalendarEvent, type Entry, Todo } from '@/core/model/entry';
import type { UsualReminders } from '@/core/model/reminder';
import type { WorkingPattern } from '@/core/model/settings';
import type { State } from '@/core/model/state';
import type { Person } from '@/core/model/person';
import { type FreeBusy, readFreeBusy } from '@/core/people/busy/freeBusyFile';
import { readCards, type ReadCards } from '@/core/people/vcard/readCards';
import { writeCards } from '@/core/people/vcard/writeCards';
import { DaysOff } from '@/core/schedule/daysOff';

/** What came of reading a file. */
export type ReadAnswer<Read> = Read | { refused: FileRefusal } | { cancelled: true };

/** A calendar file, with the files of its attachments apart from the events. */
export interface ReadCalendar {
  readonly file: CalendarFile;
  readonly files: ReadonlyMap<string, string>;
}

/** A table with what its columns and dates are taken for at first. */
export interface ReadTable {
  readonly table: CsvTable;
  readonly mapping: ColumnMapping;
  /** Undefined where the dates could be read both ways. */
  readonly dateOrder: DateOrder | undefined;
  /** Whether its bytes are no UTF-8 and were read as Western European text. */
  readonly isGuessedEncoding: boolean;
}

/** What a file of series that skip days off is written with: the entries that mark them, and their calendars' names. */
export interface WrittenDaysOff {
  readonly events: readonly CalendarEvent[];
  readonly calendars: readonly { id: string; name: string }[];
  readonly workingPattern: WorkingPattern;
  readonly now: number;
}

class Cancelled extends Error {}

const newId = (): string => crypto.randomUUID();

async function answer<Read>(read: () => Read | Promise<Read>): Promise<ReadAnswer<Read>> {
  try {
    return await read();
  } catch (error) {
    if (error instanceof Cancelled) return { cancelled: true };
    if (error instanceof FileError) return { refused: error.reason };
    throw error;
  }
}

const sourceOf = (daysOff: WrittenDaysOff, tellsNames: boolean) => ({
  now: daysOff.now,
  calendarName: (id: string) =>
    tellsNames ? daysOff.calendars.find((known) => known.id === id)?.name : undefined,
  lookup: (id: string) =>
    new DaysOff(daysOff.events.filter((event) => event.calendarId === id)).lookup(daysOff.workingPattern),
});

/** Reads and writes files. In a worker of its own: long files hold up neither the page nor the engine. */
export class Files {
  /** Reads a calendar file's bytes. `onProgress` answers whether to go on. */
  read(
    bytes: Uint8Array,
    options: { zone: string; now: number; calendars: readonly { id: string; name: string }[] },
    onProgress: (done: number, total: number) => Promise<boolean>,
  ): Promise<ReadAnswer<ReadCalendar>> {
    return answer(async () => {
      const file = await readCalendarFile(fileText(bytes), {
        ...options,
        newId,
        onProgress: async (done, total) => {
          if (!(await onProgress(done, total))) throw new Cancelled();
        },
      });
      const events = extractAttachments(file.events, newId);
      const todos = extractAttachments(file.todos, newId);
      return {
        file: {
          ...file,
          events: events.entries.map((event) => CalendarEvent.parse(event)),
          todos: todos.entries.map((todo) => Todo.parse(todo)),
        },
        files: new Map([...events.files, ...todos.files]),
      };
    });
  }

  /** Reads a table's bytes. */
  readTable(bytes: Uint8Array): Promise<ReadAnswer<ReadTable>> {
    return answer(() => {
      const { text, isGuessed } = tableText(bytes);
      const table = readCsvTable(text);
      const mapping = guessTable(table);
      const dates = mapping.flatMap((field, index) =>
        field && /^(start|end)(Date)?$/.test(field) ? table.rows.map(({ cells }) => cells[index] ?? '') : [],
      );
      // Where no column is known to hold dates yet, any may.
      const texts = dates.length > 0 ? dates : table.rows.flatMap(({ cells }) => cells);
      return { table, mapping, dateOrder: guessDateOrder(texts), isGuessedEncoding: isGuessed };
    });
  }

  /** The entries of a table, read as the person says. */
  readTableEvents(
    table: CsvTable,
    options: {
      mapping: ColumnMapping;
      dateOrder: DateOrder;
      zone: string;
      defaultLengthMinutes: number;
      now: number;
    },
  ): ReadCsv {
    const { events, todos, problems } = readCsv(table, { ...options, newId });
    return {
      events: events.map((event) => CalendarEvent.parse(event)),
      todos: todos.map((todo) => Todo.parse(todo)),
      problems,
    };
  }

  /** Reads a file of cards: people and rooms (RFC 6350). */
  cards(bytes: Uint8Array): Promise<ReadAnswer<ReadCards>> {
    return answer(() => readCards(bytes));
  }

  /** Writes people and rooms as a file of cards. */
  writeCards(people: readonly Person[]): string {
    return writeCards(people);
  }

  /** Reads a mail: its words, its calendar texts and its files (RFC 5322, RFC 6047). */
  mail(bytes: Uint8Array): Promise<ReadAnswer<{ mail: ReadMail }>> {
    return answer(async () => ({ mail: await readMail(bytes) }));
  }

  /** The free and busy times of a calendar file (RFC 5545 3.6.4); undefined where it says none. */
  freeBusy(text: string): Promise<ReadAnswer<{ freeBusy: FreeBusy | undefined }>> {
    return answer(() => ({ freeBusy: readFreeBusy(text) }));
  }

  /** Reads a backup's bytes. */
  readBackup(bytes: Uint8Array): Promise<ReadAnswer<{ backup: Backup }>> {
    return answer(() => ({ backup: readBackup(fileText(bytes, LARGEST_BACKUP)) }));
  }

  /** The files of an archive that can be imported. */
  unzip(bytes: Uint8Array): Promise<ReadAnswer<Unpacked>> {
    return answer(() => unzip(bytes, ['.ics', '.ical', '.csv', '.tsv']));
  }

  /**
   * Writes entries as an iCalendar file; with a calendar, under its name; with the files of their attachments, and with the
   * usual reminders of their calendars.
   */
  write(
    entries: readonly Entry[],
    calendar: WrittenCalendar | undefined,
    daysOff: WrittenDaysOff,
    files: ReadonlyMap<string, string> = new Map(),
    usual: ReadonlyMap<string, UsualReminders> = new Map(),
  ): string {
    const options = { daysOff: sourceOf(daysOff, true), usual };
    return writeCalendarFile(embedAttachments({ entries, files }), calendar, options);
  }

  /** Writes calendars as others see them, each at its level; occurrences that were moved to other calendars are not there. */
  publish(parts: readonly PublishedPart[], name: string, daysOff: WrittenDaysOff): string {
    const { events: seen, taken } = publishedParts(parts);
    const withoutHistory = { ids: taken, now: daysOff.now };
    const options = { daysOff: sourceOf(daysOff, false), withoutHistory };
    return writeCalendarFile(seen, { name, description: '' }, options);
  }

  /** What a published calendar shows day by day, within half-open day numbers on a zone's clock. */
  publishedDays(
    events: readonly CalendarEvent[],
    range: { readonly first: number; readonly end: number },
    zone: string,
  ): PublishedDay[] {
    return publishedDays(events, range, zone);
  }

  /** Writes entries as a table. */
  writeTable(entries: readonly Entry[], calendars: readonly { id: string; name: string }[]): string {
    return writeCsv(entries, (id) => calendars.find((known) => known.id === id)?.name);
  }

  /** Writes everything as a backup. */
  writeBackup(
    state: State,
    files: ReadonlyMap<string, string>,
    now: number,
    setAside: ReadonlyMap<string, string>,
  ): string {
    return writeBackup(state, files, now, setAside);
  }
}

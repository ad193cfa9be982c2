import { proposeMark } from '../change/calendarChanges';
import { applyPatch, type Patch } from '../change/patch';
import type { Calendar } from '../model/calendar';
import { type Entry } from '../model/entry';
import { initialSettings } from '../model/initialSettings';
import type { Preserved } from '../model/preserved';
import { emptyState, type State } from '../model/state';
import { type Backup, readBackup, writeBackup } from './backup/backupFile';
import { DATED_BY } from './csv/columns';
import { guessTable } from './csv/guessTable';
import { readCsvTable } from './csv/csvTable';
import { type DateOrder, guessDateOrder } from './csv/dates';
import { readCsv } from './csv/readCsv';
import { writeCsv } from './csv/writeCsv';
import { embedAttachments, extractAttachments } from './icalendar/attachProperty';
import { FileError } from './icalendar/problems';
import { readCalendarFile } from './icalendar/readCalendarFile';
import { writeCalendarFile, type WrittenCalendar } from './icalendar/writeCalendarFile';

/** The forms of file that can be turned into each other. */
export const FILE_FORMS = ['ics', 'csv', 'json'] as const;
export type FileForm = (typeof FILE_FORMS)[number];

export interface ConvertOptions {
  /** The zone of times that name none. */
  readonly zone: string;
  /** The order of numbers in the dates of a table; guessed where it is not given. */
  readonly dateOrder?: DateOrder;
  /** Instant in milliseconds. */
  readonly now: number;
  readonly newId: () => string;
  /** What is changed on the way. */
  readonly change?: (state: State) => Patch;
}

/** Something that could not be read: where, and why. */
export interface ConvertProblem {
  readonly where: string;
  readonly code: string;
  readonly detail: string;
}

/** What a file of any form holds. */
interface Contents {
  readonly calendars: readonly (WrittenCalendar & { readonly id: string })[];
  readonly entries: readonly Entry[];
  readonly files: ReadonlyMap<string, string>;
  readonly backup: Backup | undefined;
  readonly problems: readonly ConvertProblem[];
}

const CALENDAR_ID = 'calendar';
const DEFAULT_LENGTH_MINUTES = 60;

async function readContents(text: string, form: FileForm, options: ConvertOptions): Promise<Contents> {
  const nothing = { files: new Map<string, string>(), backup: undefined };
  const within = (entry: Entry): Entry => ({ ...entry, calendarId: CALENDAR_ID });
  switch (form) {
    case 'ics': {
      const file = await readCalendarFile(text, options);
      const { name, description, colour, preserved } = file;
      return {
        ...nothing,
        calendars: [
          {
            id: CALENDAR_ID,
            name: name ?? '',
            description,
            ...(colour ? { colour } : {}),
            ...(preserved ? { preserved } : {}),
          },
        ],
        entries: [...file.events, ...file.todos].map(within),
        problems: file.problems.map(({ line, code, detail }) => ({ where: `line ${line}`, code, detail })),
      };
    }
    case 'csv': {
      const table = readCsvTable(text);
      const mapping = guessTable(table);
      if (!DATED_BY.some((field) => mapping.includes(field))) throw new FileError('no-start-column');
      const dates = mapping.flatMap((field, index) =>
        field === 'start' || field === 'startDate' ? table.rows.map(({ cells }) => cells[index] ?? '') : [],
      );
      const { events, todos, problems } = readCsv(table, {
        ...options,
        mapping,
        dateOrder: options.dateOrder ?? guessDateOrder(dates) ?? 'day-month',
        defaultLengthMinutes: DEFAULT_LENGTH_MINUTES,
      });
      return {
        ...nothing,
        calendars: [{ id: CALENDAR_ID, name: '', description: '' }],
        entries: [...events, ...todos].map(within),
        problems: problems.map(({ line, code, detail }) => ({ where: `row ${line}`, code, detail })),
      };
    }
    case 'json': {
      const backup = readBackup(text);
      const problems = backup.problems.map(({ collection, id, detail }) => ({
        where: `${collection}/${id}`,
        code: 'not-valid',
        detail,
      }));
      const { calendars, entries } = backup.records;
      return { calendars, entries, files: backup.files, backup, problems };
    }
  }
}

/** What several calendars' files held beyond events, together. */
function preservedOfAll(calendars: Contents['calendars']): Preserved | undefined {
  const kept = calendars.flatMap(({ preserved }) => preserved ?? []);
  if (kept.length === 0) return undefined;
  return {
    properties: kept.length === 1 ? kept[0]!.properties : [],
    components: kept.flatMap(({ components }) => components),
  };
}

function asOneCalendar(calendars: Contents['calendars']): WrittenCalendar | undefined {
  const [only, ...more] = calendars;
  if (only && more.length === 0) return only;
  const preserved = preservedOfAll(calendars);
  return preserved && { name: '', description: '', preserved };
}

const byId = <Item extends { id: string }>(items: readonly Item[]): ReadonlyMap<string, Item> =>
  new Map(items.map((item) => [item.id, item]));

/** The calendars of a file as they are kept here. */
const keptCalendars = (calendars: Contents['calendars'], options: ConvertOptions): Calendar[] =>
  calendars.map((calendar, index): Calendar => {
    const name = calendar.name.slice(0, 80) || 'Calendar';
    return {
      ...calendar,
      name,
      colour: calendar.colour ?? 'pine',
      mark: proposeMark(name, []),
      order: index + 1,
      created: options.now,
      modified: options.now,
    };
  });

/** What a file holds, as a state. */
function stateOf({ calendars, entries, backup }: Contents, options: ConvertOptions): State {
  const records = Object.entries(backup?.records ?? {}).map(([name, list]) => [
    name,
    byId(list as readonly { id: string }[]),
  ]);
  return {
    ...emptyState(),
    settings: byId([initialSettings(options.zone)]),
    ...(backup
      ? Object.fromEntries(records)
      : { calendars: byId(keptCalendars(calendars, options)), entries: byId(entries) }),
  };
}

function asBackup(contents: Contents, options: ConvertOptions): string {
  const apart = extractAttachments(contents.entries, options.newId);
  return writeBackup(stateOf({ ...contents, entries: apart.entries }, options), apart.files, options.now);
}

/**
 * Turns a file of one form into another: calendar files (RFC 5545), tables, backups.
 * @throws FileError if the text is none of its form
 */
export async function convertFile(
  text: string,
  from: FileForm,
  to: FileForm,
  options: ConvertOptions,
): Promise<{ text: string; problems: readonly ConvertProblem[] }> {
  const read = await readContents(text, from, options);
  const { calendars, files, backup, problems } = read;
  const before = stateOf(read, options);
  const after = options.change ? applyPatch(before, options.change(before)) : before;
  const entries = options.change ? [...after.entries.values()] : read.entries;
  switch (to) {
    case 'ics': {
      const written = embedAttachments({ entries, files });
      return { text: writeCalendarFile(written, asOneCalendar(calendars)), problems };
    }
    case 'csv': {
      return {
        text: writeCsv(entries, (id) => calendars.find((known) => known.id === id)?.name),
        problems,
      };
    }
    case 'json': {
      if (!backup) return { text: asBackup({ ...read, entries }, options), problems };
      return { text: writeBackup(after, files, backup.saved), problems };
    }
  }
}

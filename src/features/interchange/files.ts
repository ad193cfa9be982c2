import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import type { Calendar } from '@/core/model/calendar';
import { type Entry, eventsOf } from '@/core/model/entry';
import type { UsualReminders } from '@/core/model/reminder';
import type { State } from '@/core/model/state';
import { calendarFiles, type Store } from '@/store';

/** What can be imported, as a chooser of files is told. */
export const IMPORTABLE =
  '.ics,.eml,.csv,.tsv,.zip,.json,text/calendar,text/csv,application/zip,application/json';

/** What series that skip days off are written with. */
export function writtenDaysOff(state: State, entries: readonly Entry[], now: number) {
  const markers = new Set(entries.flatMap((entry) => entry.recurrence?.skipDaysOff?.calendarId ?? []));
  return {
    events:
      markers.size === 0
        ? []
        : eventsOf(state.entries.values()).filter((event) => markers.has(event.calendarId)),
    calendars: [...state.calendars.values()].map(({ id, name }) => ({ id, name })),
    workingPattern: state.settings.get('settings')?.workingPattern ?? standardWorkingPattern,
    now,
  };
}

/** The forms in which entries are saved. */
export const EXPORT_FORMS = ['ics', 'csv'] as const;
export type ExportForm = (typeof EXPORT_FORMS)[number];

/** Writes entries to a file for the person; those of one calendar under its name. */
export async function exportEntries(
  store: Store,
  entries: readonly Entry[],
  calendar: Calendar | undefined,
  options: { readonly form: ExportForm; readonly withFiles: boolean; readonly now: number },
): Promise<void> {
  const { state } = store.getSnapshot();
  const name = `${calendar ? plainName(calendar.name) : 'orderly-week'}.${options.form}`;
  if (options.form === 'csv') {
    const calendars = [...state.calendars.values()].map(({ id, name: title }) => ({ id, name: title }));
    saveFile(name, await calendarFiles().writeTable(entries, calendars), 'text/csv;charset=utf-8');
    return;
  }
  const attached = options.withFiles
    ? entries.flatMap(({ attachments = [] }) => attachments.map(({ id }) => id))
    : [];
  const files = await store.files.readAll(attached);
  const written = calendar && {
    name: calendar.name,
    description: calendar.description,
    colour: calendar.colour,
    ...(calendar.preserved ? { preserved: calendar.preserved } : {}),
  };
  const text = await calendarFiles().write(
    entries,
    written,
    writtenDaysOff(state, entries, options.now),
    files,
    usualIn(state),
  );
  saveFile(name, text, 'text/calendar;charset=utf-8');
}

/** The usual reminders of the calendars that have some, by their ids. */
const usualIn = ({ calendars }: State): ReadonlyMap<string, UsualReminders> =>
  new Map(
    [...calendars.values()].flatMap(({ id, usualReminders }) =>
      usualReminders ? [[id, usualReminders] as const] : [],
    ),
  );

/** Writes everything to a backup for the person. */
export async function saveBackup(store: Store, now: number, day: string): Promise<void> {
  const { state } = store.getSnapshot();
  const ids = [
    ...[...state.entries.values()].flatMap(({ attachments = [] }) => attachments),
    ...[...state.bin.values()].flatMap(({ entry }) => entry.attachments ?? []),
  ].map(({ id }) => id);
  const aside = new Map((await store.readAside()).map(({ key, text }) => [key, text]));
  const text = await calendarFiles().writeBackup(state, await store.files.readAll(ids), now, aside);
  saveFile(`orderly-week-backup-${day}.json`, text, 'application/json');
}

/** Hands a text or bytes to the person as a file. */
export function saveFile(name: string, content: string | Blob, type: string): void {
  const address = URL.createObjectURL(content instanceof Blob ? content : new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

/** Lets the person choose files; none if it was let be. */
export function chooseFiles(accept?: string): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.multiple = true;
    if (accept !== undefined) input.accept = accept;
    const end = (files: File[]) => {
      input.remove();
      resolve(files);
    };
    input.addEventListener('change', () => end([...(input.files ?? [])]));
    input.addEventListener('cancel', () => end([]));
    // One that stands nowhere may be cleared away before it has opened.
    input.hidden = true;
    document.body.append(input);
    input.click();
  });
}

/** A calendar's name as a file name. */
const plainName = (name: string): string =>
  name
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
    .replaceAll(/^-|-$/g, '') || 'calendar';

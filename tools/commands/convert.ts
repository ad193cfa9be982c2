import { readFile, realpath, writeFile } from 'node:fs/promises';
import { extname, resolve } from 'node:path';
import { convertFile, type ConvertOptions, FILE_FORMS, type FileForm } from '@/core/interchange/convert';
import { DATE_ORDERS } from '@/core/interchange/csv/dates';
import { fileText } from '@/core/interchange/icalendar/fileText';
import { FileError, type FileRefusal } from '@/core/interchange/icalendar/problems';
import { CommandError, readParameters, readZone, whyOf, whyUnreadable } from './commandError';
import type { Terminal } from './terminal';

function formOf(path: string): FileForm {
  const ending = extname(path).slice(1).toLowerCase();
  const form = FILE_FORMS.find((known) => known === ending);
  if (!form) throw new CommandError(`${path}: the name must end in .ics, .csv, or .json for a backup`);
  return form;
}

/** Turns a calendar file, a table or a backup into another of these. */
export async function convert(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(args, CONVERT_OPTIONS, ['the file to read', 'the file to write']);
  const [from, to] = given as [string, string];
  await convertFiles(from, to, options, terminal);
}

/** What can be said of how a file is read. */
export const CONVERT_OPTIONS = { zone: { type: 'string' }, dates: { type: 'string' } } as const;

/** Turns one file into another. Nothing is written if the file is refused. */
export async function convertFiles(
  from: string,
  to: string,
  options: Readonly<Record<string, string | boolean | undefined>>,
  terminal: Terminal,
  change?: (zone: string) => ConvertOptions['change'],
): Promise<void> {
  const forms = { from: formOf(from), to: formOf(to) };
  if (await isSameFile(from, to)) throw new CommandError(`${to} is the file that is read: name another`);
  const zone = options.zone === undefined ? 'UTC' : readZone(options.zone, 'zone');
  const dateOrder = DATE_ORDERS.find((order) => order === options.dates);
  if (options.dates !== undefined && !dateOrder)
    throw new CommandError(`--dates is one of ${DATE_ORDERS.join(', ')}`);
  let bytes: Uint8Array;
  try {
    bytes = await readFile(from);
  } catch (error) {
    throw new CommandError(whyUnreadable(from, error));
  }
  let text: string;
  try {
    const converted = await convertFile(fileText(bytes), forms.from, forms.to, {
      zone,
      ...(dateOrder ? { dateOrder } : {}),
      now: Date.now(),
      newId: () => crypto.randomUUID(),
      ...(change ? { change: change(zone) } : {}),
    });
    for (const { where, code, detail } of converted.problems) terminal.error(`${where}: ${code}: ${detail}`);
    text = converted.text;
  } catch (error) {
    if (error instanceof FileError) throw new CommandError(`${from} can't be read: ${WHY[error.reason]}`);
    throw error;
  }
  try {
    await writeFile(to, text);
  } catch (error) {
    throw new CommandError(`${to} can't be written: ${whyOf(error)}`);
  }
}

const isSameFile = async (one: string, other: string): Promise<boolean> => {
  if (resolve(one) === resolve(other)) return true;
  const paths = await Promise.all([one, other].map((path) => realpath(path).catch(() => undefined)));
  return paths[0] !== undefined && paths[0] === paths[1];
};

/** Why a file is refused, in words. */
const WHY: Readonly<Record<FileRefusal, string>> = {
  empty: 'it is empty',
  'too-large': 'it is too large',
  zip: 'it is an archive: unpack it first',
  'zip-inside': 'it is an archive within an archive',
  'other-kind': 'it is of another kind',
  'wrong-encoding': 'it is not written in UTF-8',
  'not-a-card': 'it has no cards in it',
  'not-a-calendar': 'it is no calendar file: it has no BEGIN:VCALENDAR',
  'cut-off': 'it ends in the middle of a calendar',
  'not-a-table': 'it is no table',
  'no-start-column': 'no column is known to hold the start; name one "start" or "date"',
  'not-a-backup': 'it is no backup',
  'damaged-backup': 'it is a damaged backup',
  'newer-backup': 'it is a backup of a later version',
};

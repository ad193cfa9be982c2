import { readFile, writeFile } from 'node:fs/promises';
import { extname } from 'node:path';
import { convertFile, FILE_FORMS, type FileForm } from '@/core/interchange/convert';
import { DATE_ORDERS } from '@/core/interchange/csv/dates';
import { fileText } from '@/core/interchange/icalendar/fileText';
import { FileError } from '@/core/interchange/icalendar/problems';
import { CommandError, readParameters, readZone, whyUnreadable } from './commandError';
import type { Terminal } from './terminal';

function formOf(path: string): FileForm {
  const ending = extname(path).slice(1).toLowerCase();
  const form = FILE_FORMS.find((known) => known === ending);
  if (!form) throw new CommandError(`${path}: the name must end in .ics, .csv, or .json for a backup`);
  return form;
}

/** Turns a calendar file, a table or a backup into another of these. Nothing is written if the file is refused. */
export async function convert(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(args, { zone: { type: 'string' }, dates: { type: 'string' } }, [
    'the file to read',
    'the file to write',
  ]);
  const [from, to] = given as [string, string];
  const forms = { from: formOf(from), to: formOf(to) };
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
  try {
    const converted = await convertFile(fileText(bytes), forms.from, forms.to, {
      zone,
      ...(dateOrder ? { dateOrder } : {}),
      now: Date.now(),
      newId: () => crypto.randomUUID(),
    });
    for (const { where, code, detail } of converted.problems) terminal.error(`${where}: ${code}: ${detail}`);
    await writeFile(to, converted.text);
  } catch (error) {
    if (error instanceof FileError) throw new CommandError(`${from} can't be read: ${error.reason}`);
    throw error;
  }
}

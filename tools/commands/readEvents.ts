import { readFile } from 'node:fs/promises';
import { fileText } from '@/core/interchange/icalendar/fileText';
import { FileError } from '@/core/interchange/icalendar/problems';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import type { CalendarEvent } from '@/core/model/entry';
import { isRuleProblem } from '@/core/recurrence/ruleProblems';
import { ruleProblemsInEnglish } from '@/core/recurrence/words/english';
import { parseLocal } from '@/core/time/civil';
import { wallToInstant } from '@/core/time/zones';
import { CommandError, readMoment, whyUnreadable } from './commandError';
import type { Terminal } from './terminal';

/** The events of a calendar file, in its order; what could not be read is said. */
export async function readEvents(
  path: string,
  zone: string,
  terminal: Terminal,
): Promise<readonly CalendarEvent[]> {
  let bytes: Uint8Array;
  try {
    bytes = await readFile(path);
  } catch (error) {
    throw new CommandError(whyUnreadable(path, error));
  }
  let id = 0;
  try {
    // Ids that count up: occurrences of the same time stay in the order of the file.
    const newId = () => String(++id).padStart(9, '0');
    const file = await readCalendarFile(fileText(bytes), { zone, now: Date.now(), newId });
    for (const { line, code, detail } of file.problems)
      terminal.error(`line ${line}: ${isRuleProblem(code) ? ruleProblemsInEnglish[code] : code}: ${detail}`);
    return file.events;
  } catch (error) {
    if (error instanceof FileError) throw new CommandError(`${path} is no calendar file: ${error.reason}`);
    throw error;
  }
}

/** An instant that an option names, on the clock of a zone where it names none. */
export function instantOfOption(text: string | boolean | undefined, name: string, zone: string): number {
  const { local, offset } = readMoment(text, name);
  return offset === undefined ? wallToInstant(zone, parseLocal(local)) : Date.parse(`${local}${offset}`);
}

import type { CalendarFile } from '@/core/interchange/icalendar/calendarFile';
import { fileText } from '@/core/interchange/icalendar/fileText';
import { FileError, type FileRefusal } from '@/core/interchange/icalendar/problems';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { writeCalendarFile } from '@/core/interchange/icalendar/writeCalendarFile';
import type { Calendar } from '@/core/model/calendar';
import { CalendarEvent } from '@/core/model/entry';
import type { WorkingPattern } from '@/core/model/settings';
import { DaysOff } from '@/core/schedule/daysOff';

export type ReadFileResult = { file: CalendarFile } | { refused: FileRefusal } | { cancelled: true };

/** What a file of series that skip days off is written with: the entries that mark them, and their calendars' names. */
export interface WrittenDaysOff {
  readonly events: readonly CalendarEvent[];
  readonly calendars: readonly { id: string; name: string }[];
  readonly workingPattern: WorkingPattern;
  readonly now: number;
}

class Cancelled extends Error {}

/** Reads and writes calendar files. In a worker of its own: long files hold up neither the page nor the engine. */
export class Files {
  /** Reads a calendar file's bytes. `onProgress` answers whether to go on. */
  async read(
    bytes: Uint8Array,
    options: { zone: string; now: number; calendars: readonly { id: string; name: string }[] },
    onProgress: (done: number, total: number) => Promise<boolean>,
  ): Promise<ReadFileResult> {
    try {
      const file = await readCalendarFile(fileText(bytes), {
        ...options,
        newId: () => crypto.randomUUID(),
        onProgress: async (done, total) => {
          if (!(await onProgress(done, total))) throw new Cancelled();
        },
      });
      return { file: { ...file, events: file.events.map((event) => CalendarEvent.parse(event)) } };
    } catch (error) {
      if (error instanceof Cancelled) return { cancelled: true };
      if (error instanceof FileError) return { refused: error.reason };
      throw error;
    }
  }

  /** Writes events as an iCalendar file; with a calendar, under its name. */
  write(events: readonly CalendarEvent[], calendar: Calendar | undefined, daysOff: WrittenDaysOff): string {
    return writeCalendarFile(events, calendar, {
      now: daysOff.now,
      calendarName: (id) => daysOff.calendars.find((known) => known.id === id)?.name,
      lookup: (id) =>
        new DaysOff(daysOff.events.filter((event) => event.calendarId === id)).lookup(daysOff.workingPattern),
    });
  }
}

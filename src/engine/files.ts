import type { CalendarFile } from '@/core/interchange/icalendar/calendarFile';
import { fileText } from '@/core/interchange/icalendar/fileText';
import { FileError, type FileRefusal } from '@/core/interchange/icalendar/problems';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { writeCalendarFile } from '@/core/interchange/icalendar/writeCalendarFile';
import type { Calendar } from '@/core/model/calendar';
import { CalendarEvent } from '@/core/model/entry';

export type ReadFileResult = { file: CalendarFile } | { refused: FileRefusal } | { cancelled: true };

class Cancelled extends Error {}

/** Reads and writes calendar files. In a worker of its own: long files hold up neither the page nor the engine. */
export class Files {
  /** Reads a calendar file's bytes. `onProgress` answers whether to go on. */
  async read(
    bytes: Uint8Array,
    options: { zone: string; now: number },
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
  write(events: readonly CalendarEvent[], calendar: Calendar | undefined): string {
    return writeCalendarFile(events, calendar);
  }
}

import { z } from 'zod';
import { proposeColour, proposeMark } from '@/core/change/calendarChanges';
import { type ImportPart, keptOfCalendar } from '@/core/change/importEntries';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import { words } from '@/ui/words';
import type { ImportedFile } from './importStep';

/** Where files go: into a calendar, or into new ones, the only one of them by a name that was written. */
export type ImportTarget = { readonly calendarId: string } | { readonly newName: string | undefined };

const spelt = (name: string): string => name.trim().toLowerCase();

/** The calendar of a name; letters large or small are the same. */
export const calendarNamed = (calendars: readonly Calendar[], name: string): Calendar | undefined =>
  calendars.find((calendar) => spelt(calendar.name) === spelt(name));

/** Chosen instead of a calendar: new ones are made. */
export const NEW_CALENDAR = 'new';

/** The form of where one file or several go: several are named by themselves, one has a name of its own. */
export const importChoice = (isOne: boolean, calendars: readonly Calendar[]) =>
  z
    .object({ into: z.string(), newName: z.string().trim() })
    .superRefine(({ into, newName }, { addIssue }) => {
      if (!isOne || into !== NEW_CALENDAR) return;
      const there = calendarNamed(calendars, newName);
      const message =
        newName === '' ? words.calendars.nameMissing : there && words.calendars.nameTaken(there.name);
      if (message) addIssue({ code: 'custom', path: ['newName'], message });
    })
    .transform(({ into, newName }): ImportTarget =>
      into === NEW_CALENDAR ? { newName: isOne ? newName : undefined } : { calendarId: into },
    );

/**
 * What of each file goes where. Of several files each has a calendar of its own, or the one that goes by its name and can
 * be changed; new ones take a free mark, and the colour of their file where no other has it.
 */
export function partsInto(
  files: readonly ImportedFile[],
  target: ImportTarget,
  calendars: readonly Calendar[],
): ImportPart[] {
  const marks = calendars.map(({ mark }) => mark);
  const colours: string[] = calendars.map(({ colour }) => colour);
  const writable = calendars.filter((calendar) => !isReadOnly(calendar));
  return files.map(
    ({ name: file, events, todos, title, description, colour: own, preserved: kept }): ImportPart => {
      const entries = [...events, ...todos];
      const preserved = keptOfCalendar(kept);
      if ('calendarId' in target)
        return { file, entries, into: { calendarId: target.calendarId, preserved } };
      const name = (target.newName ?? title).trim() || words.calendars.title;
      const there = target.newName === undefined ? calendarNamed(writable, name) : undefined;
      if (there) return { file, entries, into: { calendarId: there.id, preserved } };
      const mark = proposeMark(name, marks);
      const colour = own && !colours.includes(own) ? own : proposeColour(colours);
      marks.push(mark);
      colours.push(colour);
      const newCalendar = { name, description, mark, colour, ...(preserved ? { preserved } : {}) };
      return { file, entries, into: { newCalendar } };
    },
  );
}

import type { Entry } from '../model/entry';
import type { EntryFilter } from '../model/look';
import { filterTest } from './entryFilter';

/** Which entries are saved to a file. */
export interface ExportChoice {
  /** Of one calendar, or of all. */
  readonly calendarId?: string | undefined;
  readonly hiddenCalendarIds?: readonly string[];
  readonly filter?: EntryFilter | undefined;
  /** Ids of entries that occur in a range, where there is one. */
  readonly occurring?: ReadonlySet<string> | undefined;
}

/** The entries of a choice. A series is taken whole, with its changed occurrences, if it or one of them is chosen. */
export function chosenEntries(entries: Iterable<Entry>, choice: ExportChoice): Entry[] {
  const passes = filterTest(choice.filter);
  const hidden = new Set(choice.hiddenCalendarIds);
  const all = [...entries].filter(
    ({ calendarId }) =>
      !hidden.has(calendarId) && (choice.calendarId === undefined || choice.calendarId === calendarId),
  );
  const headOf = (event: Entry) => event.seriesId ?? event.id;
  const heads = new Set(
    all.filter((event) => passes(event) && (!choice.occurring || choice.occurring.has(event.id))).map(headOf),
  );
  return all.filter((event) => heads.has(headOf(event)));
}

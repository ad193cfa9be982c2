import { type Entry, isEvent, isTodo } from '../../model/entry';
import { civilDate, DAY } from '../../time/civil';
import { readCalendarProperties } from './calendarProperties';
import { type ComponentLines, componentTree, contentLines } from './fileText';
import type { CalendarFile } from './calendarFile';
import type { ReadProblem } from './problems';
import type { ReadContext } from './readContext';
import { readEvent } from './readEvent';
import { readTodo } from './readTodo';
import { zoneFinder } from './zoneNames';

export interface ReadOptions {
  readonly zone: string;
  readonly now: number;
  readonly newId: () => string;
  /** The calendars that are here already, which a series may name as those of its days off. */
  readonly calendars?: readonly { id: string; name: string }[];
  /** Told after every few hundred components; may wait, so that whoever asked can cancel. */
  readonly onProgress?: (done: number, total: number) => Promise<void> | void;
}

const PAUSE_AFTER = 250;

/**
 * Reads an iCalendar file (RFC 5545). Component by component, line by line: what can't be read is reported with
 * its line, and the rest is read; what is no event and no to-do is kept as it stands.
 * @throws FileError if it is no calendar or cut off
 */
export async function readCalendarFile(text: string, options: ReadOptions): Promise<CalendarFile> {
  const calendars = componentTree(contentLines(text));
  const problems: ReadProblem[] = [];
  const timezones = calendars.flatMap((calendar) =>
    calendar.components.filter((component) => component.name === 'VTIMEZONE'),
  );
  const year = civilDate(Math.floor(options.now / DAY)).year;
  const context = {
    ...options,
    findZone: zoneFinder(timezones, year, options.zone),
    report: (problem: ReadProblem) => problems.push(problem),
  };
  const components = calendars
    .flatMap((calendar) => calendar.components)
    .filter((part) => part.name === 'VEVENT' || part.name === 'VTODO');
  const entries: Entry[] = [];
  const unread: ComponentLines[] = [];
  for (const [done, component] of components.entries()) {
    if (done % PAUSE_AFTER === 0) await options.onProgress?.(done, components.length);
    const entry = readOrReport(component, context);
    if (entry) entries.push(entry);
    else unread.push(component);
  }
  const all = withSeries(entries);
  return {
    ...readCalendarProperties(calendars, unread, context),
    events: all.filter(isEvent),
    todos: all.filter(isTodo),
    problems: onceEach(problems),
  };
}

/** One entry that can't be read for whatever reason loses nobody the others. */
function readOrReport(component: ComponentLines, context: ReadContext): Entry | undefined {
  try {
    return component.name === 'VTODO' ? readTodo(component, context) : readEvent(component, context);
  } catch {
    context.report({ line: component.line, code: 'unreadable-entry', detail: '' });
    return undefined;
  }
}

/** Gives changed occurrences the series that they belong to, by UID. */
function withSeries(entries: readonly Entry[]): Entry[] {
  const keyOf = ({ kind, uid }: Entry): string => `${kind} ${uid}`;
  const series = new Map(
    entries.filter(({ recurrence }) => recurrence).map((entry) => [keyOf(entry), entry]),
  );
  return entries.map((entry) => {
    const master = entry.recurrenceId && series.get(keyOf(entry));
    return master ? { ...entry, seriesId: master.id } : entry;
  });
}

/** A zone's name is wrong in every event that uses it: said once. */
function onceEach(problems: readonly ReadProblem[]): ReadProblem[] {
  const said = new Set<string>();
  return problems.filter((problem) => {
    if (problem.code !== 'mapped-zone' && problem.code !== 'unknown-zone') return true;
    const key = `${problem.code}${problem.detail}`;
    return said.has(key) ? false : said.add(key);
  });
}

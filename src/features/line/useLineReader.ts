import { useEffect, useMemo, useState } from 'react';
import type * as entryline from '@/core/entryline';
import { isReadOnly, type Calendar } from '@/core/model/calendar';
import { importWords } from '@/features/zones';
import { useNowWall, usePeople, useSettings, useSnapshot } from '@/store';
import { writesDayFirst } from '@/ui/dates';
import type { TodoFields } from '@/core/model/entry';
import { contextFor, type LineLook, type ReadLine, readLine } from './lineFields';

export type Grammar = Pick<
  typeof entryline,
  | 'dayInWords'
  | 'guestCompletions'
  | 'isTodoLine'
  | 'otherReadings'
  | 'parseEntryLine'
  | 'readTodoLine'
  | 'rewriteLine'
>;

/** Reads a line; pieces of it that are `kept` stay in the title. */
export type LineReader = (grammar: Grammar, line: string, kept?: readonly string[]) => ReadLine;

/** A line in which everything is said once, so that nothing is met for the first time while somebody types. */
const WARMING = 'Call Thu 15:00 Halifax time for 45 min every week at Gull Point';

/** The grammar of the entry line, once its script has come. */
export function useGrammar(): Grammar | undefined {
  const [grammar, setGrammar] = useState<Grammar>();
  useEffect(() => {
    let isHere = true;
    void importWords().then((it) => {
      if (isHere) setGrammar(it);
    });
    return () => {
      isHere = false;
    };
  }, []);
  useEffect(() => {
    if (!grammar) return;
    const warm = () => {
      const zone = 'UTC';
      grammar.parseEntryLine(WARMING, { nowWall: 0, zone, selectedDay: 0, defaultLength: 0, calendars: [] });
    };
    const quiet = window.requestIdleCallback?.(warm);
    return () => {
      if (quiet !== undefined) window.cancelIdleCallback(quiet);
    };
  }, [grammar]);
  return grammar;
}

/** Where lines are written. */
interface WrittenAt {
  readonly calendars: readonly Calendar[];
  readonly target: Calendar | undefined;
  readonly zone: string;
  readonly selectedDay: number;
}

/** What lines are read against: where they go, in which zone and habits they are meant. */
function useLineLook({ calendars, target, zone, selectedDay }: WrittenAt): LineLook {
  const settings = useSettings();
  const nowWall = useNowWall(zone);
  const people = usePeople();
  const known = useSnapshot(({ state }) => state.categories);
  return useMemo(
    () => ({
      settings,
      nowWall,
      zone,
      selectedDay,
      dayFirst: writesDayFirst(),
      calendars: calendars.filter((each) => !isReadOnly(each)),
      target,
      categories: [...known.values()].map(({ name }) => name),
      // Who has no address can't be invited.
      people: people.filter(({ addresses }) => addresses.length > 0),
      kept: [],
    }),
    [settings, nowWall, zone, selectedDay, calendars, target, known, people],
  );
}

/** Reads lines as entries. */
export function useLineReader(at: WrittenAt): LineReader {
  const look = useLineLook(at);
  return useMemo(
    () =>
      (grammar, line, kept = []) =>
        readLine(grammar.parseEntryLine, line, { ...look, kept }),
    [look],
  );
}

/** Reads lines as to-dos, each with the calendar that it goes to; undefined without a calendar. */
export function useTodoReader(at: WrittenAt) {
  const look = useLineLook(at);
  return useMemo(
    () =>
      (grammar: Grammar, line: string): ReadTodo | undefined => {
        const { fields, calendarId, draft } = grammar.readTodoLine(
          grammar.parseEntryLine,
          line,
          contextFor(look, look.target),
        );
        const calendar = look.calendars.find(({ id }) => id === calendarId) ?? look.target;
        return calendar && { calendar, draft, fields: { ...fields, calendarId: calendar.id } };
      },
    [look],
  );
}

/** A line that was read as a to-do. */
export interface ReadTodo {
  readonly calendar: Calendar;
  readonly fields: TodoFields;
  readonly draft: entryline.TodoLine['draft'];
}

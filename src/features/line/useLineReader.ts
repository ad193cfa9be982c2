import { useEffect, useMemo, useState } from 'react';
import type * as entryline from '@/core/entryline';
import { isReadOnly, type Calendar } from '@/core/model/calendar';
import { importWords } from '@/features/zones';
import { useNowWall, usePeople, useSettings, useSnapshot } from '@/store';
import { writesDayFirst } from '@/ui/dates';
import { type LineLook, type ReadLine, readLine } from './lineFields';

export type Grammar = Pick<
  typeof entryline,
  'dayInWords' | 'guestCompletions' | 'otherReadings' | 'parseEntryLine' | 'rewriteLine'
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

/** Reads lines as entries: where they go, in which zone and habits they are meant. */
export function useLineReader({
  calendars,
  target,
  zone,
  selectedDay,
}: {
  calendars: readonly Calendar[];
  target: Calendar | undefined;
  zone: string;
  selectedDay: number;
}): LineReader {
  const settings = useSettings();
  const nowWall = useNowWall(zone);
  const people = usePeople();
  const known = useSnapshot(({ state }) => state.categories);
  return useMemo(() => {
    const look: LineLook = {
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
    };
    return (grammar, line, kept = []) => readLine(grammar.parseEntryLine, line, { ...look, kept });
  }, [settings, nowWall, zone, selectedDay, calendars, target, known, people]);
}

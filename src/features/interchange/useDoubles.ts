import { useEffect, useMemo, useState } from 'react';
import type { DoubleChoice, ImportDoubles } from '@/core/change/importEntries';
import { isReadOnly } from '@/core/model/calendar';
import { type CalendarEvent, isEvent } from '@/core/model/entry';
import type { State } from '@/core/model/state';
import { type FoundDouble, useOpenStore } from '@/store';

/** The entries of an import that are here already, and what becomes of each. */
export interface Doubles {
  readonly found: readonly { readonly double: FoundDouble; readonly one: CalendarEvent }[];
  readonly isLooking: boolean;
  readonly choice: DoubleChoice;
  /** Sets what becomes of all; choices for single ones are forgotten. */
  readonly chooseAll: (choice: DoubleChoice) => void;
  readonly choiceOf: (id: string) => DoubleChoice;
  readonly choose: (id: string, choice: DoubleChoice) => void;
  /** How many entries are left out, with the changed occurrences of series. */
  readonly skipped: number;
  readonly chosen: (state: State) => ImportDoubles;
}

/** Looks for entries that are here already, in the engine. */
export function useDoubles(events: readonly CalendarEvent[]): Doubles {
  const { store } = useOpenStore();
  const [doubles, setDoubles] = useState<readonly FoundDouble[]>();
  const [choice, setChoice] = useState<DoubleChoice>('skip');
  const [own, setOwn] = useState<ReadonlyMap<string, DoubleChoice>>(new Map());
  useEffect(() => {
    let isWanted = true;
    const closed = [...store.getSnapshot().state.calendars.values()].filter(isReadOnly).map(({ id }) => id);
    const give = (found: readonly FoundDouble[]) => {
      if (isWanted) setDoubles(found);
    };
    // Handing many events over takes the page a moment, which is not to fall together with showing them.
    const handle = setTimeout(() => void store.engine.doubles(events, closed).then(give, () => give([])));
    return () => {
      isWanted = false;
      clearTimeout(handle);
    };
  }, [store, events]);
  return useMemo(() => {
    const byId = new Map(events.map((event) => [event.id, event]));
    const choiceOf = (id: string) => own.get(id) ?? choice;
    const left = new Set(doubles?.map(({ oneId }) => oneId).filter((id) => choiceOf(id) === 'skip'));
    return {
      found: (doubles ?? []).flatMap((double) => {
        const one = byId.get(double.oneId);
        return one ? [{ double, one }] : [];
      }),
      isLooking: doubles === undefined,
      choice,
      chooseAll: (next) => {
        setChoice(next);
        setOwn(new Map());
      },
      choiceOf,
      choose: (id, next) => setOwn(new Map([...own, [id, next]])),
      skipped: left.size === 0 ? 0 : events.filter(({ id, seriesId }) => left.has(seriesId ?? id)).length,
      chosen: (state) => ({
        choiceOf,
        doubles: (doubles ?? []).flatMap(({ oneId, otherId, by }) => {
          const [one, other] = [byId.get(oneId), state.entries.get(otherId)];
          return one && other && isEvent(other) ? [{ one, other, by }] : [];
        }),
      }),
    };
  }, [events, doubles, choice, own]);
}

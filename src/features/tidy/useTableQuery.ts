import { useMemo } from 'react';
import type { TidyLook } from '@/core/tidy/tidyLook';
import type { TableQuery } from '@/core/tidy/table/tableQuery';
import { periodsTouching } from '@/core/time/periods';
import { usePlanAddress } from '@/features/workspace';
import { useCalendars, useNow, useSettings } from '@/store';
import { useSpan } from './useSpan';
import { HOUR } from '@/core/time/civil';

const NOTHING: readonly string[] = [];
/** The moment that words are looked for from moves so often, in milliseconds: the table need not with every minute. */
const MOVES_EVERY = HOUR;

/** What the table asks for, as the address says it. */
export function useTableQuery(
  look: TidyLook,
  folded: readonly string[] = NOTHING,
  unfolded: readonly string[] = NOTHING,
): TableQuery {
  const { address } = usePlanAddress();
  const { workingPattern } = useSettings();
  const calendars = useCalendars();
  const { days, rule } = useSpan(look.span);
  const now = Math.floor(useNow() / MOVES_EVERY) * MOVES_EVERY;
  const { zone, filter, hidden, showCancelled } = address;
  return useMemo(() => {
    const periods = rule && days ? periodsTouching(rule, days.first, days.end) : [];
    return {
      zone,
      now,
      workingPattern,
      ...(days ? { range: { firstDay: days.first, endDay: days.end } } : {}),
      ...(look.kind ? { kind: look.kind } : {}),
      as: days ? look.as : 'entries',
      text: look.find,
      filter,
      withoutCancelled: !showCancelled,
      hiddenCalendarIds: hidden,
      calendars: calendars.map(({ id, name, mark, feed }) => ({
        id,
        name,
        mark,
        isFeed: feed !== undefined,
      })),
      sort: look.sort,
      ...(look.group ? { group: look.group } : {}),
      periods: periods.map(({ first, end }) => ({ first, end })),
      folded,
      unfolded,
    };
  }, [
    look,
    days,
    rule,
    zone,
    filter,
    hidden,
    showCancelled,
    workingPattern,
    calendars,
    now,
    folded,
    unfolded,
  ]);
}

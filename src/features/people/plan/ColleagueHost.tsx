import { useEffect, useMemo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import { colleagueLaneId, colleagueOccurrences, takenMinutes } from '@/core/people/busy/colleagueOccurrences';
import { startOfDay } from '@/core/time/zones';
import { type Colleagues, NO_COLLEAGUES, type PlanAddress, showColleagues } from '@/features/workspace';
import { usePeople } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { colleagueWords as said } from '@/ui/words/colleagues';
import { hueOf, initialsOf } from '../personMark';
import { useBusyTimes } from '../useBusyTimes';

/** Has the times of the colleagues that Plan's address names stand in it, and says what there is to say of them. */
export function ColleagueHost({
  address: { colleagues: ids, colleaguesOver, calendarColumns, view, zone },
  days: { first, end },
  isShown,
}: {
  address: PlanAddress;
  /** The shown days, half-open day numbers. */
  days: { readonly first: number; readonly end: number };
  /** Whether the view shows them. */
  isShown: boolean;
}) {
  const all = usePeople();
  const people = useMemo(() => all.filter(({ id }) => ids.includes(id)), [all, ids]);
  const { times, isAway } = useBusyTimes(people);
  // In a column or a lane of their own they stand as one's own do.
  const isOutlined = view !== 'lanes' && !(view === 'day' && (calendarColumns || !colleaguesOver));
  const shown = useMemo((): Colleagues => {
    const range = { start: startOfDay(zone, first), end: startOfDay(zone, end) };
    return {
      calendars: people.map((person, order): Calendar => ({
        id: colleagueLaneId(person.id),
        name: person.name,
        description: '',
        colour: hueOf(person),
        mark: initialsOf(person),
        order,
        created: 0,
        modified: 0,
      })),
      occurrences: people.flatMap(({ id }) =>
        colleagueOccurrences(id, times.get(id), { first, end }, zone, { titles: said.titles, isOutlined }),
      ),
      minutes: Object.fromEntries(
        people.map(({ id }) => [colleagueLaneId(id), takenMinutes(times.get(id)?.spans ?? [], range)]),
      ),
    };
  }, [people, times, first, end, zone, isOutlined]);
  useEffect(() => showColleagues(isShown ? shown : NO_COLLEAGUES), [shown, isShown]);
  useEffect(() => () => showColleagues(NO_COLLEAGUES), []);
  const text = !isShown ? said.notInThisView : isAway ? said.away : people.length === 0 ? said.gone : '';
  return text === '' ? null : (
    <AppText role="status" size="small" tone="quiet">
      {text}
    </AppText>
  );
}

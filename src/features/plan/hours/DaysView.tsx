import { useMemo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import { isColleagueLane } from '@/features/workspace';
import type { ViewProps } from '../viewProps';
import { HoursView } from './HoursView';

/** The views of days side by side with their hours; one day also by calendars. */
export function DaysView(props: ViewProps) {
  const { address, days, calendars } = props;
  const { view, calendarColumns, colleaguesOver, hidden } = address;
  const columns = useMemo(() => {
    const shown = calendars.filter(({ id }) => !hidden.includes(id));
    const day = days[0]!;
    const columnOf = ({ id }: Calendar) => ({ day, calendarId: id });
    const colleagues = shown.filter(isColleagueLane);
    if (view !== 'day' || shown.length < 2) return days.map((each) => ({ day: each }));
    if (calendarColumns) return shown.map(columnOf);
    return colleagues.length > 0 && !colleaguesOver
      ? [{ day, isOwn: true }, ...colleagues.map(columnOf)]
      : [{ day }];
  }, [days, calendars, hidden, view, calendarColumns, colleaguesOver]);
  return <HoursView {...props} columns={columns} />;
}

import { useMemo } from 'react';
import type { ViewProps } from '../viewProps';
import { HoursView } from './HoursView';

/** The views of days side by side with their hours; one day also by calendars. */
export function DaysView(props: ViewProps) {
  const { address, days, calendars } = props;
  const { view, calendarColumns, hidden } = address;
  const columns = useMemo(() => {
    const shown = calendars.filter(({ id }) => !hidden.includes(id));
    const [day] = days;
    return view === 'day' && calendarColumns && shown.length > 1
      ? shown.map(({ id }) => ({ day: day!, calendarId: id }))
      : days.map((each) => ({ day: each }));
  }, [days, calendars, hidden, view, calendarColumns]);
  return <HoursView {...props} columns={columns} />;
}

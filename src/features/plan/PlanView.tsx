import { Suspense, useMemo } from 'react';
import { later } from '@/ui/later';
import { HoursView } from './hours/HoursView';
import type { ViewProps } from './viewProps';

// The views beyond the hours are fetched when they are first asked for, or in a quiet moment.
const weeks = later(() => import('./weeks/WeeksView').then((module) => module.WeeksView));
const year = later(() => import('./year/YearView').then((module) => module.YearView));
const agenda = later(() => import('./agenda/AgendaView').then((module) => module.AgendaView));
const lanes = later(() => import('./lanes/LanesView').then((module) => module.LanesView));
export const preloadViews = (): Promise<unknown> =>
  Promise.all([weeks, year, agenda, lanes].map(({ fetchAhead }) => fetchAhead()));

/** The view that the address names. */
export function PlanView(props: ViewProps) {
  const { address, days, calendars } = props;
  const { view, day, calendarColumns, hidden } = address;
  const columns = useMemo(() => {
    const shown = calendars.filter(({ id }) => !hidden.includes(id));
    return view === 'day' && calendarColumns && shown.length > 1
      ? shown.map(({ id }) => ({ day, calendarId: id }))
      : days.map((each) => ({ day: each }));
  }, [days, calendars, hidden, view, day, calendarColumns]);
  if (view === 'weeks' || view === 'year' || view === 'agenda' || view === 'lanes')
    return (
      <Suspense fallback={null}>
        {view === 'weeks' ? <weeks.Later {...props} /> : null}
        {view === 'year' ? <year.Later {...props} /> : null}
        {view === 'agenda' ? <agenda.Later {...props} /> : null}
        {view === 'lanes' ? <lanes.Later {...props} /> : null}
      </Suspense>
    );
  return (
    <HoursView
      columns={columns}
      gridStep={address.gridStep}
      rowHeight={address.rowHeight}
      fadePast={address.fadePast}
      weekNumbers={address.weekNumbers}
      zone={address.zone}
      answer={props.answer}
      calendars={calendars}
      draftCalendar={props.draftCalendar}
      draft={props.draft}
      selectedKeys={props.selectedKeys}
      actions={props.actions}
      onOpenDay={props.onOpenDay}
    />
  );
}

import { lazy, Suspense, useMemo } from 'react';
import { HoursView } from './hours/HoursView';
import type { ViewProps } from './viewProps';

const loadWeeks = () => import('./weeks/WeeksView').then((module) => ({ default: module.WeeksView }));
const loadYear = () => import('./year/YearView').then((module) => ({ default: module.YearView }));
const loadAgenda = () => import('./agenda/AgendaView').then((module) => ({ default: module.AgendaView }));
const loadLanes = () => import('./lanes/LanesView').then((module) => ({ default: module.LanesView }));

// The views beyond the hours are fetched when they are first asked for, or in a quiet moment.
const WeeksView = lazy(loadWeeks);
const YearView = lazy(loadYear);
const AgendaView = lazy(loadAgenda);
const LanesView = lazy(loadLanes);
export const preloadViews = (): Promise<unknown> =>
  Promise.all([loadWeeks(), loadYear(), loadAgenda(), loadLanes()]);

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
        {view === 'weeks' ? <WeeksView {...props} /> : null}
        {view === 'year' ? <YearView {...props} /> : null}
        {view === 'agenda' ? <AgendaView {...props} /> : null}
        {view === 'lanes' ? <LanesView {...props} /> : null}
      </Suspense>
    );
  return (
    <HoursView
      columns={columns}
      gridStep={address.gridStep}
      rowHeight={address.rowHeight}
      fadePast={address.fadePast}
      zone={address.zone}
      answer={props.answer}
      calendars={calendars}
      draftCalendar={props.draftCalendar}
      draft={props.draft}
      selectedKeys={props.selectedKeys}
      actions={props.actions}
    />
  );
}

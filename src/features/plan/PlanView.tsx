import { type ComponentType, Suspense } from 'react';
import type { ViewName } from '@/core/model/look';
import { later } from '@/ui/later';
import { DaysView } from './hours/DaysView';
import type { ViewProps } from './viewProps';

// The views beyond the hours are fetched when they are first asked for, or in a quiet moment.
const weeks = later(() => import('./weeks/WeeksView').then((module) => module.WeeksView));
const year = later(() => import('./year/YearView').then((module) => module.YearView));
const agenda = later(() => import('./agenda/AgendaView').then((module) => module.AgendaView));
const lanes = later(() => import('./lanes/LanesView').then((module) => module.LanesView));
export const preloadViews = (): Promise<unknown> =>
  Promise.all([weeks, year, agenda, lanes].map(({ fetchAhead }) => fetchAhead()));

/** What draws each view. */
const DRAWN_BY: Readonly<Record<ViewName, ComponentType<ViewProps>>> = {
  day: DaysView,
  days: DaysView,
  workdays: DaysView,
  week: DaysView,
  weeks: weeks.Later,
  year: year.Later,
  agenda: agenda.Later,
  lanes: lanes.Later,
};

/** The view that the address names. */
export function PlanView(props: ViewProps) {
  const Drawn = DRAWN_BY[props.address.view];
  return (
    <Suspense fallback={null}>
      <Drawn {...props} />
    </Suspense>
  );
}

import type { HandedInEntry } from '../../model/handIn';
import type { Occurrence } from '../../schedule/occurrence';
import { dateString, DAY, localString } from '../../time/civil';

/** The wall clock of an occurrence as a form says it: date, from and until; undefined where it goes over more than a day. */
export function handedInTimes({
  startWall,
  endWall,
  allDay,
}: Pick<Occurrence, 'startWall' | 'endWall' | 'allDay'>):
  Pick<HandedInEntry, 'date' | 'from' | 'until'> | undefined {
  const date = dateString(Math.floor(startWall / DAY));
  if (allDay) return endWall - startWall > DAY ? undefined : { date };
  if (endWall - startWall >= DAY) return undefined;
  const clock = (wall: number): string => localString(wall).slice(11, 16);
  return { date, from: clock(startWall), until: clock(endWall) };
}

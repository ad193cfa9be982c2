import { hasWayThere, type Occurrence } from '@/core/schedule/occurrence';
import { timeText } from './dates';
import { words } from './words';

/** When one leaves for something: "leave 13:20"; nothing where there is no way there. */
export const leaveText = (occurrence: Pick<Occurrence, 'start' | 'ways'>): string =>
  hasWayThere(occurrence) ? words.travel.flag(timeText(occurrence.ways!.leaveWall)) : '';

/** When one is back from something: "back 17:10"; nothing where there is no way back. */
export const backText = ({ end, ways }: Pick<Occurrence, 'end' | 'ways'>): string =>
  ways && ways.home > end ? words.travel.backOf(timeText(ways.homeWall)) : '';

import { writesTwelveHours } from '@/ui/dates';
import { sizes } from '@/ui/theme/tokens';

/** What "pm" takes beside a time, in pixels. */
const HALF_OF_DAY = 10;

/** The widths of the hours at the left and of a further zone's, in pixels. */
export function railSizes(): { hour: number; zone: number } {
  const further = writesTwelveHours() ? HALF_OF_DAY : 0;
  return { hour: sizes.hourRail + further, zone: sizes.zoneRail + further };
}

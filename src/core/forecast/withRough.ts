import { markOccurrences } from '../schedule/markOccurrences';
import { daysOf, type Occurrence } from '../schedule/occurrence';
import { type DayForecast, isRough } from './forecast';

const mark = markOccurrences('isRough');

/** Occurrences, of which those outdoors on a day of rough weather are marked so. */
export const withRough = (
  occurrences: readonly Occurrence[],
  weather: ReadonlyMap<number, DayForecast>,
  outdoors: string | undefined,
): readonly Occurrence[] =>
  outdoors === undefined || weather.size === 0
    ? occurrences
    : mark(occurrences, (each) => {
        const day = weather.get(daysOf(each).first);
        return !!day && isRough(day.weather) && !!each.categories?.includes(outdoors);
      });

import { useMemo } from 'react';
import { type DayForecast, FORECAST_DAYS } from '@/core/forecast/forecast';
import { placeOfDay } from '@/core/forecast/placeOfDay';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { workingDay } from '@/core/time/workingPattern';
import { useForecasts } from './useForecasts';
import { useNowWall } from './useNow';
import { useSettings } from './StoreContext';

/** The weather of a day, and where. */
export interface DayWeather extends DayForecast {
  readonly place: string;
}

const NONE: readonly Occurrence[] = [];
const NO_WEATHER: ReadonlyMap<number, DayWeather> = new Map();

/** The weather of the next of some days, each at the place of that day, by day numbers; nothing where it is not wanted. */
export function useWeather(
  days: readonly number[],
  occurrences: readonly Occurrence[] = NONE,
): ReadonlyMap<number, DayWeather> {
  const { homeZone, workingPattern, weather } = useSettings();
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const places = useMemo(() => {
    const found = new Map<number, string>();
    if (!weather) return found;
    for (const day of days) {
      if (day < today || day >= today + FORECAST_DAYS) continue;
      const place = placeOfDay(day, occurrences, workingDay(workingPattern, day), weather);
      if (place !== undefined) found.set(day, place);
    }
    return found;
  }, [days, occurrences, workingPattern, weather, today]);
  const forecasts = useForecasts([...places.values()], today);
  return useMemo(() => {
    if (places.size === 0) return NO_WEATHER;
    return new Map(
      [...places].flatMap(([day, place]) => {
        const forecast = forecasts.get(place)?.get(day);
        return forecast ? [[day, { ...forecast, place }] as const] : [];
      }),
    );
  }, [places, forecasts]);
}

import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { type DayForecast, Forecast, FORECAST } from '@/core/forecast/forecast';
import { dateString, HOUR, parseDate } from '@/core/time/civil';

/** So long a forecast is as good as new, in milliseconds. */
const FRESH = HOUR;
/** So long the server may take to answer, in milliseconds. */
const PATIENCE = 10_000;

async function readForecast(place: string, from: string): Promise<readonly DayForecast[]> {
  const asked = new URLSearchParams({ place, from });
  const response = await fetch(`${FORECAST}?${asked}`, { signal: AbortSignal.timeout(PATIENCE) });
  if (!response.ok) throw new Error(`the forecast answered ${response.status}`);
  return Forecast.parse(await response.json()).days;
}

/** The weather of some places by day number, from a day on: places of which nothing is known, or not yet, are left out. */
export type Forecasts = ReadonlyMap<string, ReadonlyMap<number, DayForecast>>;

/** The forecasts of some places from a day on; nothing while the server is out of reach. */
export function useForecasts(places: readonly string[], today: number): Forecasts {
  const named = JSON.stringify([...new Set(places)].sort());
  const asked = useMemo(() => JSON.parse(named) as string[], [named]);
  const results = useQueries({
    queries: asked.map((place) => ({
      queryKey: ['forecast', place, today],
      queryFn: () => readForecast(place, dateString(today)),
      staleTime: FRESH,
    })),
    combine,
  });
  return useMemo(
    () =>
      new Map(
        asked.flatMap((place, index) => {
          const days = results[index];
          return days ? [[place, new Map(days.map((day) => [parseDate(day.date), day]))] as const] : [];
        }),
      ),
    [asked, results],
  );
}

const combine = (results: readonly { data: readonly DayForecast[] | undefined }[]) =>
  results.map(({ data }) => data);

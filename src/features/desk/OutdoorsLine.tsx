import { useMemo } from 'react';
import { isRough } from '@/core/forecast/forecast';
import type { CalendarEvent } from '@/core/model/entry';
import { DAY } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { useDays, useForecasts, useNowWall, useSettings, useWeather } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { weatherText } from '@/ui/weatherText';
import { words } from '@/ui/words';

/** That the weather of its day is rough, of an entry outdoors: at its place, or where one is on that day. */
export function OutdoorsLine({ event }: { event: CalendarEvent }) {
  const { weather } = useSettings();
  return weather?.outdoors !== undefined && event.categories.includes(weather.outdoors) ? (
    <RoughWeather event={event} />
  ) : null;
}

function RoughWeather({ event }: { event: CalendarEvent }) {
  const { homeZone, weather } = useSettings();
  const day = Math.floor(instantToWall(homeZone, instantOf(event.start, homeZone)) / DAY);
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const place = event.location.trim();
  const { answer } = useDays(day, day + 1);
  const days = useMemo(() => [day], [day]);
  const there = useForecasts(place ? [place] : [], today)
    .get(place)
    ?.get(day);
  const here = useWeather(days, answer?.occurrences).get(day);
  const found = there ? { ...there, place } : here;
  if (!found || !weather || !isRough(found.weather)) return null;
  return (
    <AppText tone="accent" role="status" testID="outdoors-warning">
      {words.weather.outdoors(weatherText(found, weather.degrees), found.place)}
    </AppText>
  );
}

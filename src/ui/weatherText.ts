import { type DayForecast, type Degrees, inDegrees } from '@/core/forecast/forecast';
import { words } from './words';

/** The weather of a day in a word and a figure: "rain 9°". */
export const weatherText = ({ weather, high }: DayForecast, degrees: Degrees): string =>
  words.weather.short(words.weather.names[weather], inDegrees(high, degrees));

/** The weather of a day as it is read out, with where that is, and that it is made up. */
export const weatherSaid = (day: DayForecast & { readonly place: string }, degrees: Degrees): string =>
  words.weather.said(weatherText(day, degrees), inDegrees(day.low, degrees), day.place);

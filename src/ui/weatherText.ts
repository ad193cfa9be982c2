import { type DayForecast, type Degrees, inDegrees } from '@/core/forecast/forecast';
import { words } from './words';

/** The weather of a day in a word and a figure: "rain 9°". */
export const weatherText = ({ weather, high }: DayForecast, degrees: Degrees): string =>
  words.weather.short(words.weather.names[weather], inDegrees(high, degrees));

import { z } from 'zod';

/** Where the server's stand-in for a forecast is asked. */
export const FORECAST = '/api/forecast';
/** The most days that a forecast reaches. */
export const FORECAST_DAYS = 10;
/** The longest name of a place that is asked about, in UTF-16 units. */
export const LONGEST_PLACE = 200;

export const WEATHERS = ['clear', 'cloudy', 'fog', 'showers', 'rain', 'snow', 'wind', 'storm'] as const;
export type Weather = (typeof WEATHERS)[number];

/** The weather of a day: the word for most of it, and the highest and the lowest temperature in degrees Celsius. */
export const DayForecast = z.object({
  /** `YYYY-MM-DD` on the clock of the place. */
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
  weather: z.enum(WEATHERS),
  high: z.number().min(-90).max(70),
  low: z.number().min(-90).max(70),
});
export type DayForecast = z.infer<typeof DayForecast>;

/** What the server answers about a place. */
export const Forecast = z.object({
  /** Whether it is made up. */
  isSimulated: z.boolean(),
  days: z.array(DayForecast).max(FORECAST_DAYS),
});
export type Forecast = z.infer<typeof Forecast>;

/** Whether one would rather not be outdoors. */
export const isRough = (weather: Weather): boolean =>
  weather === 'rain' || weather === 'snow' || weather === 'wind' || weather === 'storm';

export const DEGREES = ['celsius', 'fahrenheit'] as const;
export type Degrees = (typeof DEGREES)[number];

/** A temperature in degrees Celsius as a whole number of a scale; never minus zero. */
export const inDegrees = (celsius: number, scale: Degrees): number =>
  Math.round(scale === 'celsius' ? celsius : celsius * 1.8 + 32) + 0;

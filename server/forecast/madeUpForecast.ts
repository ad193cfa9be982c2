import { createHash } from 'node:crypto';
import type { DayForecast, Weather } from '@/core/forecast/forecast';
import { civilDate, dateString, parseDate } from '@/core/time/civil';

/** The weather of a coast, by how likely it is in hundredths. */
const LIKELY: readonly (readonly [Weather, number])[] = [
  ['clear', 24],
  ['cloudy', 27],
  ['showers', 18],
  ['rain', 12],
  ['wind', 9],
  ['fog', 6],
  ['storm', 4],
];

/** A number from 0 up to 1 that is always the same for the same words. */
const chance = (...words: readonly string[]): number =>
  createHash('sha256').update(words.join('\n')).digest().readUInt32BE(0) / 2 ** 32;

function weatherAt(share: number): Weather {
  let upTo = 0;
  for (const [weather, hundredths] of LIKELY) {
    upTo += hundredths / 100;
    if (share < upTo) return weather;
  }
  return 'cloudy';
}

/** Made-up weather for a place on some days from a date on: mild by the sea, colder in winter, the same for the same place and day. */
export function madeUpForecast(place: string, from: string, days: number): DayForecast[] {
  const first = parseDate(from);
  const where = place.trim().toLowerCase();
  return Array.from({ length: days }, (_, index) => {
    const date = dateString(first + index);
    const { month } = civilDate(first + index);
    const season = 12 - 8 * Math.cos(((month - 1) / 12) * 2 * Math.PI);
    const high = Math.round(season + 6 * chance(where, date, 'high') - 2 * chance(where, 'coast'));
    const low = high - 3 - Math.floor(5 * chance(where, date, 'low'));
    const weather = weatherAt(chance(where, date, 'weather'));
    return { date, weather: weather === 'rain' && high < 2 ? 'snow' : weather, high, low };
  });
}

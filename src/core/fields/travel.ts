import { LONGEST_TRAVEL, type Travel } from '../model/entry';
import type { JCalProperty } from '../model/jcal';
import { formatDuration, minutesOfDuration, parseDuration } from '../time/duration';
import type { PropertyCodec } from './field';

/** The way to an event and back: the standard has no property for it. */
const THERE = 'x-orderly-week-travel-there';
const BACK = 'x-orderly-week-travel-back';

/** What others call the way there in properties of their own: "X-…-TRAVEL-DURATION", "X-…-TRAVEL-TIME". */
const FOREIGN = /^x-.*travel-?(duration|time)$/;

/** Whole minutes of a duration that is a way; 0 for any other text. */
function minutesOf(text: string): number {
  const duration = parseDuration(text);
  const minutes = duration ? Math.round(minutesOfDuration(duration)) : 0;
  return minutes > 0 && minutes <= LONGEST_TRAVEL ? minutes : 0;
}

/** A way, or undefined where there is none in either direction. */
export const travelOf = (there: number, back: number): Travel | undefined =>
  there > 0 || back > 0 ? { there, back } : undefined;

const duration = (name: string, minutes: number): JCalProperty[] =>
  minutes > 0 ? [[name, {}, 'text', formatDuration(0, minutes)]] : [];

/** Travel in a VEVENT. */
export const travelProperty: PropertyCodec<Travel | undefined> = {
  names: [THERE, BACK],
  read: ({ text }) => travelOf(minutesOf(text(THERE)), minutesOf(text(BACK))),
  write: (value) => [...duration(THERE, value?.there ?? 0), ...duration(BACK, value?.back ?? 0)],
  foreign: {
    names: FOREIGN,
    read: (property) => travelOf(minutesOf(String(property[3])), 0),
    says: (property, value) => minutesOf(String(property[3])) === (value?.there ?? 0),
  },
};

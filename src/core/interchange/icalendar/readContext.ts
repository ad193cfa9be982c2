import type { ContentLine } from './fileText';
import type { ReadProblem } from './problems';

/** A property in jCal form (RFC 7265 3.4): name, parameters, type, values. */
export type JCalProperty = [string, Record<string, string | string[]>, string, ...unknown[]];

/** A component in jCal form (RFC 7265 3.3): name, properties, components inside. */
export type JCalComponent = [string, JCalProperty[], JCalComponent[]];

/** What reading an event needs from its surroundings. */
export interface ReadContext {
  /** The zone that floating times are compared in. */
  readonly zone: string;
  readonly now: number;
  readonly newId: () => string;
  readonly findZone: (name: string) => string | undefined;
  /** The calendars that a series may name as those of its days off. */
  readonly calendars?: readonly { id: string; name: string }[];
  readonly report: (problem: ReadProblem) => void;
}

/** A property with the line that it was read from. */
export interface ReadLine {
  readonly property: JCalProperty;
  readonly line: ContentLine;
}

import type { JCalProperty } from '../../model/jcal';
import type { ContentLine } from './fileText';
import type { ReadProblem } from './problems';

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

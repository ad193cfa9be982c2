import type { Calendar } from '../model/calendar';
import { DAY } from '../time/civil';
import type { Doubt } from './candidate';

/** A zone under a name that a person may write. */
interface NamedZone {
  readonly name: string;
  readonly zone: string;
}

/** What a line is read against. */
export interface EntryLineContext {
  /** Wall time in the home zone. */
  readonly nowWall: number;
  readonly zone: string;
  /** The day number to use when the line names none. */
  readonly selectedDay: number;
  /** Milliseconds. */
  readonly defaultLength: number;
  readonly calendars: readonly Pick<Calendar, 'id' | 'name' | 'mark'>[];
  /** The ISO weekday that weeks begin with; Monday if not said. */
  readonly weekStart?: number;
  /** Whether numbers are written day before month where the person is; so if not said. */
  readonly dayFirst?: boolean;
  /** Categories that there are. */
  readonly categories?: readonly string[];
  /** Who can be invited by name. */
  readonly people?: readonly { readonly id: string; readonly name: string }[];
  /** The person's own names of zones, which count before all others. */
  readonly zones?: readonly NamedZone[];
  /** What the person chose before, by the pattern of a doubt. */
  readonly habits?: Readonly<Record<string, string>>;
  /** Pieces of the line that are words of the title, whatever else they could say. */
  readonly kept?: readonly string[];
}

/** Takes of two or more meanings the one that the person is used to, else the first, and says that there are others. */
type ChooseDay = <More extends object>(
  pattern: string,
  days: Readonly<Record<string, number>>,
  more?: More,
) => { readonly day: number; readonly doubt: Doubt } & More;

/** What the parts of a line are read against. */
export interface LineContext extends EntryLineContext {
  /** Today, as a day number. */
  readonly today: number;
  readonly dayFirst: boolean;
  readonly choose: ChooseDay;
}

/** The order in which choices are taken: the usual one first. */
export const inOrder = (
  pattern: string,
  choices: readonly string[],
  habits: EntryLineContext['habits'],
): readonly string[] => {
  const usual = habits?.[pattern];
  return usual !== undefined && choices.includes(usual)
    ? [usual, ...choices.filter((choice) => choice !== usual)]
    : choices;
};

/** Fills in what a context leaves out. */
export function lineContext(context: EntryLineContext): LineContext {
  return {
    ...context,
    today: Math.floor(context.nowWall / DAY),
    dayFirst: context.dayFirst ?? true,
    choose: (pattern, days, more) => {
      const choices = inOrder(pattern, Object.keys(days), context.habits);
      return { ...more!, day: days[choices[0]!]!, doubt: { pattern, choices } };
    },
  };
}

import { useMemo } from 'react';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import type { Attender, GapRoom, GapsQuestion, MeetingWay } from '@/core/people/gaps/gapQuery';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { useCalendarKinds, useEngineAnswer, useNow, useSettings, useDaysOff } from '@/store';
import type { Hours } from '../WithinHours';

/** What a time is looked for with, as a person chooses it. */
export interface FindChoices extends Hours {
  readonly minutes: number;
  readonly weeks: '1' | '2' | '4';
  readonly way: MeetingWay;
  readonly withPause: boolean;
  readonly overTentative: boolean;
  readonly withRoom: boolean;
  /** Every how many weeks it is to be held; once for none. */
  readonly everyWeeks: 0 | 1 | 2;
  /** What has to be in the room. */
  readonly equipment: readonly string[];
  /** Who need not come. */
  readonly optional: readonly string[];
}

export const firstChoices = (minutes: number): FindChoices => ({
  minutes,
  weeks: '2',
  way: 'either',
  withPause: false,
  overTentative: false,
  withRoom: false,
  everyWeeks: 0,
  earliest: undefined,
  latest: undefined,
  equipment: [],
  optional: [],
});

/** One's own id among those who meet. */
export const OWN_ID = '';
/** The minutes of a break, and in steps of so many it is looked for from now on, in milliseconds. */
const PAUSE = 10;
const STEP = 15 * MINUTE;
/** So many dates of a series are looked at. */
const DATES = 10;
const WEEK = 7 * DAY;

const attenderOf = (
  person: Person,
  times: BusyTimes | undefined,
  zone: string,
  isRequired: boolean,
): Attender => ({
  id: person.id,
  isRequired,
  zone: person.zone ?? zone,
  workingPattern: person.workingPattern ?? standardWorkingPattern,
  place: person.place,
  busy: times?.spans ?? [],
  ...(times ? { known: { start: times.from, end: times.until } } : {}),
});

/** Times that suit some people, by what is known of them; nothing is asked before it `isKnown`. */
export function useGaps(
  people: readonly Person[],
  rooms: readonly Person[],
  times: ReadonlyMap<string, BusyTimes>,
  choices: FindChoices,
  exceptEntryIds: readonly string[],
  isKnown: boolean,
) {
  const { homeZone, workingPattern, homeLabel } = useSettings();
  const { free, unlisted } = useCalendarKinds();
  const from = Math.ceil(useNow() / STEP) * STEP;
  const [firstDay, lastDay] = [from, from + Number(choices.weeks) * WEEK].map((instant) =>
    Math.floor(instantToWall(homeZone, instant) / DAY),
  );
  const daysOff = useDaysOff(firstDay!, lastDay! + 1);
  const question = useMemo(
    (): GapsQuestion => ({
      own: {
        id: OWN_ID,
        isRequired: true,
        zone: homeZone,
        workingPattern,
        place: homeLabel ?? '',
      },
      others: people.map((person) =>
        attenderOf(person, times.get(person.id), homeZone, !choices.optional.includes(person.id)),
      ),
      rooms: rooms.map(({ id, place, seats = 0, equipment }): GapRoom => ({
        id,
        place,
        seats,
        equipment,
        busy: times.get(id)?.spans ?? [],
      })),
      range: { start: from, end: from + Number(choices.weeks) * WEEK },
      zone: homeZone,
      minutes: choices.minutes,
      way: choices.way,
      overTentative: choices.overTentative,
      pause: choices.withPause ? PAUSE : 0,
      withRoom: choices.withRoom,
      equipment: choices.withRoom ? choices.equipment : [],
      ...(choices.earliest === undefined ? {} : { earliest: choices.earliest }),
      ...(choices.latest === undefined ? {} : { latest: choices.latest }),
      daysOff,
      freeCalendarIds: [...free, ...unlisted],
      exceptEntryIds,
      ...(choices.everyWeeks > 0 ? { series: { everyWeeks: choices.everyWeeks, dates: DATES } } : {}),
    }),
    [
      people,
      rooms,
      times,
      choices,
      homeZone,
      workingPattern,
      homeLabel,
      from,
      free,
      unlisted,
      daysOff,
      exceptEntryIds,
    ],
  );
  return { question, ...useEngineAnswer(['gaps', question], { enabled: isKnown }) };
}

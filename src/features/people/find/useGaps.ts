import { useMemo } from 'react';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import type { Attender, GapRoom, GapsQuestion, MeetingWay } from '@/core/people/gaps/gapQuery';
import { MINUTE } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { useCalendarKinds, useEngineAnswer, useNow, useSettings } from '@/store';

/** What a time is looked for with, as a person chooses it. */
export interface FindChoices {
  readonly minutes: number;
  readonly weeks: '1' | '2' | '4';
  readonly way: MeetingWay;
  readonly withPause: boolean;
  readonly overTentative: boolean;
  readonly withRoom: boolean;
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
  optional: [],
});

/** One's own id among those who meet. */
export const OWN_ID = '';
/** The minutes of a break, and in steps of so many it is looked for from now on, in milliseconds. */
const PAUSE = 10;
const STEP = 15 * MINUTE;
const WEEK = 7 * 86_400_000;

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

/** Times that suit some people, by what is known of them. */
export function useGaps(
  people: readonly Person[],
  rooms: readonly Person[],
  times: ReadonlyMap<string, BusyTimes>,
  choices: FindChoices,
) {
  const { homeZone, workingPattern, homeLabel } = useSettings();
  const { free, unlisted } = useCalendarKinds();
  const from = Math.ceil(useNow() / STEP) * STEP;
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
      equipment: [],
      daysOff: [],
      freeCalendarIds: [...free, ...unlisted],
      exceptEntryIds: [],
    }),
    [people, rooms, times, choices, homeZone, workingPattern, homeLabel, from, free, unlisted],
  );
  return { question, ...useEngineAnswer(['gaps', question]) };
}

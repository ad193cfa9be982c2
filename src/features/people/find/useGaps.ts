import { useMemo } from 'react';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import type { Attender, GapRoom, GapsQuestion, MeetingWay } from '@/core/people/gaps/gapQuery';
import type { State } from '@/core/model/state';
import { daysOf } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { useCalendarKinds, useDays, useEngineAnswer, useNow, useSettings, useSnapshot } from '@/store';

/** What a time is looked for with, as a person chooses it. */
export interface FindChoices {
  readonly minutes: number;
  readonly weeks: '1' | '2' | '4';
  readonly way: MeetingWay;
  readonly withPause: boolean;
  readonly overTentative: boolean;
  readonly withRoom: boolean;
  /** Minutes of the day that it begins and ends within; undefined for any. */
  readonly earliest: number | undefined;
  readonly latest: number | undefined;
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

const NO_DAYS: readonly number[] = [];

/** The days off of a range, by the calendar that series skip days off of, where one does. */
function useDaysOff(from: number, until: number): readonly number[] {
  const { homeZone } = useSettings();
  const [first, end] = [from, until].map((instant) => Math.floor(instantToWall(homeZone, instant) / DAY));
  const calendarId = useSnapshot(({ state }) => daysOffCalendar(state.entries));
  const { answer } = useDays(first!, end! + 1);
  return useMemo(() => {
    if (calendarId === undefined || !answer) return NO_DAYS;
    return answer.occurrences.flatMap((occurrence) => {
      if (occurrence.calendarId !== calendarId || !occurrence.allDay) return [];
      const { first: day, end: after } = daysOf(occurrence);
      return Array.from({ length: after - day }, (_, index) => day + index);
    });
  }, [calendarId, answer]);
}

let known: { entries: State['entries']; id: string | undefined } | undefined;
/** The calendar whose days off are skipped, found once for each state of the entries. */
function daysOffCalendar(entries: State['entries']): string | undefined {
  if (known?.entries !== entries) {
    let id: string | undefined;
    for (const { recurrence } of entries.values()) id ??= recurrence?.skipDaysOff?.calendarId;
    known = { entries, id };
  }
  return known.id;
}

/** Times that suit some people, by what is known of them. */
export function useGaps(
  people: readonly Person[],
  rooms: readonly Person[],
  times: ReadonlyMap<string, BusyTimes>,
  choices: FindChoices,
  exceptEntryIds: readonly string[],
) {
  const { homeZone, workingPattern, homeLabel } = useSettings();
  const { free, unlisted } = useCalendarKinds();
  const from = Math.ceil(useNow() / STEP) * STEP;
  const daysOff = useDaysOff(from, from + Number(choices.weeks) * WEEK);
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
  return { question, ...useEngineAnswer(['gaps', question]) };
}

import { inCalendarZone, lengthOfNew } from '@/core/change/calendarDefaults';
import { blankFields } from '@/core/change/eventFields';
import type { EntryLineContext, EntryLineDraft } from '@/core/entryline/parseEntryLine';
import type { Calendar } from '@/core/model/calendar';
import type { EventFields } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import type { Person } from '@/core/model/person';
import { guestOf } from '@/core/people/guests';
import type { Settings } from '@/core/model/settings';
import { DAY, MINUTE } from '@/core/time/civil';
import { atWall, wallOf } from '@/core/time/eventTime';

/** What a line is read against, but for the calendar that it goes to. */
export interface LineLook {
  readonly settings: Settings;
  /** Wall time in the zone of the view, in which times are meant. */
  readonly nowWall: number;
  readonly zone: string;
  readonly selectedDay: number;
  readonly dayFirst: boolean;
  /** The calendars that can take it, and the one that does if none is named. */
  readonly calendars: readonly Calendar[];
  readonly target: Calendar | undefined;
  readonly categories: readonly string[];
  /** Who can be invited by name. */
  readonly people: readonly Person[];
  /** Pieces of the line that stay in the title. */
  readonly kept: readonly string[];
}

/** A line as it was read. */
export interface ReadLine {
  readonly draft: EntryLineDraft;
  readonly calendar: Calendar | undefined;
  /** The fields of its entry; none without a calendar to go to. */
  readonly fields: EventFields | undefined;
  /** What it says beside its time. */
  readonly said: Partial<EventFields>;
  readonly context: EntryLineContext;
}

/** What a line that goes to a calendar is read against. */
export const contextFor = (look: LineLook, calendar: Calendar | undefined): EntryLineContext => {
  const { settings } = look;
  return {
    nowWall: look.nowWall,
    zone: look.zone,
    selectedDay: look.selectedDay,
    defaultLength: lengthOfNew(calendar, settings) * MINUTE,
    calendars: look.calendars,
    categories: look.categories,
    people: look.people,
    weekStart: settings.weekStart,
    dayFirst: look.dayFirst,
    kept: look.kept,
    habits: settings.lineHabits ?? {},
    zones: [
      ...settings.zoneRails.map(({ label, zone }) => ({ name: label, zone })),
      ...(settings.homeLabel ? [{ name: settings.homeLabel, zone: settings.homeZone }] : []),
    ],
  };
};

/** What a draft says beside its time, and its calendar. */
function saidFields(draft: EntryLineDraft, people: readonly Person[]): Partial<EventFields> {
  const attendees = draft.guests.flatMap(({ personId, isOptional }) => {
    const person = people.find(({ id }) => id === personId);
    return person ? [guestOf(person, !isOptional)] : [];
  });
  // The room that it is held in is invited along, where others are.
  const room = people.find(
    ({ kind, name }) => kind === 'room' && name.toLowerCase() === draft.location?.toLowerCase(),
  );
  if (room && attendees.length > 0) attendees.push(guestOf(room, true));
  return {
    title: draft.title,
    ...(draft.location ? { location: draft.location } : {}),
    ...(draft.recurrence ? { recurrence: draft.recurrence } : {}),
    ...(draft.categories.length > 0 ? { categories: [...draft.categories] } : {}),
    ...(draft.availability ? { availability: draft.availability } : {}),
    ...(draft.classification ? { classification: draft.classification } : {}),
    ...(draft.reminders ? { reminders: [...draft.reminders] } : {}),
    ...(draft.url === undefined ? {} : { url: draft.url }),
    ...(attendees.length > 0 ? { attendees } : {}),
  };
}

/** Reads a line as the fields of an entry. */
export function readLine(
  parse: (line: string, context: EntryLineContext) => EntryLineDraft,
  line: string,
  look: LineLook,
): ReadLine {
  const { target, calendars, zone } = look;
  const first = parse(line, contextFor(look, target));
  const calendar = calendars.find(({ id }) => id === first.calendarId) ?? target;
  const context = contextFor(look, calendar);
  // The calendar that the line names may have a length of its own.
  const hasOwnLength = calendar?.defaultLengthMinutes !== target?.defaultLengthMinutes;
  const draft = hasOwnLength ? parse(line, context) : first;
  const there = (time: EventTime) => inCalendarZone(time, calendar, zone);
  const said = saidFields(draft, look.people);
  const { recurrence } = said;
  const fields = calendar && {
    ...blankFields(calendar.id, there(draft.start), there(draft.end)),
    ...said,
    // Dates that are left out are told by the clock that the start is on.
    ...(recurrence
      ? { recurrence: { ...recurrence, exceptionDates: recurrence.exceptionDates.map(there) } }
      : {}),
  };
  return { draft, calendar, fields, said, context };
}

/** Whole days, of which day is set. */
const NO_DATE: EventTime = { kind: 'date', date: '' };

/**
 * The fields of a draft over a pressed time, with what the words of its title say: where they say no day it keeps its own,
 * where they say no time or length it keeps those.
 */
export function fieldsOver(
  pressed: EventFields,
  { draft, calendar, said: saidBeside }: ReadLine,
): EventFields {
  const { said } = draft;
  const [start, end] = [wallOf(pressed.start), wallOf(pressed.end)];
  const [saidStart, saidLength] = [wallOf(draft.start), wallOf(draft.end) - wallOf(draft.start)];
  const wasTimed = pressed.start.kind !== 'date';
  const saysTime = said.includes('time');
  const isTimed = saysTime ? draft.start.kind !== 'date' : wasTimed;
  const saysDay = said.includes('day') || draft.recurrence !== undefined;
  const day = Math.floor((saysDay ? saidStart : start) / DAY);
  const timeOfDay = !isTimed ? 0 : (saysTime ? saidStart : start) % DAY;
  const saysLength = said.includes('length') && isTimed === (draft.start.kind !== 'date');
  const length = saysLength || isTimed !== wasTimed ? saidLength : end - start;
  const onOwnClock = wasTimed && !said.includes('zone');
  const kind: EventTime = !isTimed ? NO_DATE : onOwnClock ? pressed.start : draft.start;
  const startWall = day * DAY + timeOfDay;
  return {
    ...pressed,
    ...saidBeside,
    ...(draft.calendarId !== undefined && calendar ? { calendarId: calendar.id } : {}),
    start: atWall(kind, startWall),
    end: atWall(kind, startWall + length),
  };
}

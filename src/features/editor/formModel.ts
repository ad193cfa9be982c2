import type { FormFieldName, TypedOf } from '@/core/fields/eventFields';
import { z } from 'zod';
import { sameValue } from '@/core/change/seriesLike';
import { settleTimes } from '@/core/change/settleTimes';
import { Attachment } from '@/core/model/attachment';
import { CalendarUser, Conference } from '@/core/model/calendarUser';
import { Colour } from '@/core/model/colour';
import {
  type EventFields,
  GUESTS_MAY,
  GUESTS_MAY_USUALLY,
  type GuestsMay,
  LONGEST_TITLE,
  LONGEST_TRAVEL,
  Recurrence,
} from '@/core/model/entry';
import { Reminder } from '@/core/model/reminder';
import { travelOf } from '@/core/fields/travel';
import { reminderNow } from '@/core/model/entryMigrations';
import type { EventTime } from '@/core/model/eventTime';
import {
  choiceOfRule,
  quickChoices,
  readRule,
  type RepeatChoice,
  ruleOfChoice,
} from '@/core/recurrence/choices';
import { formatRule } from '@/core/recurrence/rule';
import { problemsOfRule } from '@/core/recurrence/ruleProblems';
import { readRules } from '@/core/recurrence/series';
import { LAST_WALL } from '@/core/recurrence/expandRule';
import { DAY, dateString, isRealDate, MINUTE, parseDate, parseLocal } from '@/core/time/civil';
import { CLOCK_TIME, clockOfWall } from '@/core/time/clockTime';
import { instantOf, wallOf } from '@/core/time/eventTime';
import { instantToWall, isKnownZone } from '@/core/time/zones';
import { words } from '@/ui/words';
import { travelWords } from '@/ui/words/reminders';
import { formSchemas, problemsOfForm, saidValues, typedValues } from '@/core/fields/formFields';

/** The value of the zone field that means no zone. */
export const FLOATING = 'floating';

const problems = words.editor.problems;
const date = z.string().refine((text) => /^\d{4}-\d{2}-\d{2}$/.test(text) && isRealDate(text), problems.date);
const time = z.string().regex(CLOCK_TIME, problems.time);
const zone = z.string().refine((name) => name === FLOATING || isKnownZone(name), problems.zone);

const minutesOfText = (text: string): number => Number(text.trim()) || 0;
const travelText = (minutes: number | undefined): string => (minutes ? String(minutes) : '');
const travel = z
  .string()
  .refine(
    (text) => /^\d{0,5}$/.test(text.trim()) && minutesOfText(text) <= LONGEST_TRAVEL,
    travelWords.wrong(LONGEST_TRAVEL),
  );

type TypedFields = { [Name in FormFieldName]: TypedOf<Name> };

/** What may stand in the form for the fields of the table. */
const fieldSchemas = formSchemas('event') as {
  [Name in FormFieldName]: z.ZodType<TypedOf<Name>, TypedOf<Name>>;
};

/** The fields of the table as the form holds them, and as what is typed says them. */
const typedFields = (fields: EventFields): TypedFields => typedValues('event', { ...fields }) as TypedFields;
const saidFields = (typed: TypedFields, before: EventFields): Partial<EventFields> =>
  saidValues('event', typed, { ...before });

/** The editor's form: every field of an event as a person writes it. */
export const EventForm = z
  .object({
    title: z.string().max(LONGEST_TITLE, problems.title),
    calendarId: z.string().min(1, problems.calendar),
    allDay: z.boolean(),
    startDate: date,
    startTime: time,
    endDate: date,
    endTime: time,
    zone,
    endZone: zone,
    /** Null for an entry that follows the usual ones of its calendar. */
    reminders: z.array(Reminder).nullable(),
    /** Minutes, as texts; nothing for no way. */
    there: travel,
    back: travel,
    recurrence: Recurrence.optional(),
    colour: Colour.optional(),
    attachments: z.array(Attachment),
    attendees: z.array(CalendarUser),
    guestsMay: z.array(z.enum(GUESTS_MAY)),
    conferences: z.array(Conference),
  })
  .extend(fieldSchemas)
  .superRefine((form, check) => {
    for (const { name, problem } of problemsOfForm('event', form))
      check.addIssue({ code: 'custom', path: [name], message: problems[problem] });
    const times = timesOf(form);
    // What can't be read yet is said at its own field.
    if (!times) return;
    const start = instantOf(times.start, 'UTC');
    const end = instantOf(times.end, 'UTC');
    if (end < start || (form.allDay && end <= start))
      check.addIssue({
        code: 'custom',
        path: [form.endDate < form.startDate || form.allDay ? 'endDate' : 'endTime'],
        message: problems.endBeforeStart,
      });
    for (const rule of readRules(form.recurrence?.rules ?? []).rules)
      if (problemsOfRule(rule, wallOf(times.start)).includes('until-before-start'))
        check.addIssue({ code: 'custom', path: ['recurrence'], message: problems.until });
  });
export type EventForm = z.infer<typeof EventForm>;

/** A form as it may stand while it is typed: every field holds whatever a person got to. */
const TypedForm = z
  .object({
    title: z.string(),
    calendarId: z.string(),
    allDay: z.boolean(),
    startDate: z.string(),
    startTime: z.string(),
    endDate: z.string(),
    endTime: z.string(),
    zone: z.string(),
    endZone: z.string(),
    reminders: z.array(z.preprocess(reminderNow, Reminder)).nullable(),
    there: z.string().default(''),
    back: z.string().default(''),
    recurrence: Recurrence.optional(),
    colour: Colour.optional(),
    attachments: z.array(Attachment),
    attendees: z.array(CalendarUser).default([]),
    guestsMay: z.array(z.enum(GUESTS_MAY)).default([...GUESTS_MAY_USUALLY]),
    conferences: z.array(Conference).default([]),
  })
  .extend(fieldSchemas);

/** A form as it was left while it was typed; undefined if it is none. */
export const typedForm = (typed: unknown): EventForm | undefined => TypedForm.safeParse(typed).data;

/** Whether two forms hold the same. */
export const sameForm = (a: EventForm, b: EventForm): boolean =>
  (Object.keys(TypedForm.shape) as (keyof EventForm)[]).every((name) => sameValue(a[name], b[name]));

const isDate = (text: string): boolean => date.safeParse(text).success;
const isZone = (name: string): boolean => zone.safeParse(name).success;

/** Whether the times that a form holds can be read, all of them. */
const isTimed = (form: EventForm): boolean =>
  isDate(form.startDate) &&
  isDate(form.endDate) &&
  (form.allDay ||
    ([form.startTime, form.endTime].every((text) => time.safeParse(text).success) &&
      [form.zone, form.endZone].every(isZone)));

/**
 * The start and end that a form says, or undefined as long as one of its fields is half-typed or empty. The end of whole
 * days is written as their last day, and kept as the day after.
 */
export function timesOf(form: EventForm): { start: EventTime; end: EventTime } | undefined {
  if (!isTimed(form)) return undefined;
  if (form.allDay)
    return {
      start: { kind: 'date', date: form.startDate },
      end: { kind: 'date', date: dateString(parseDate(form.endDate) + 1) },
    };
  const at = (day: string, clock: string, zoneName: string): EventTime =>
    form.zone === FLOATING
      ? { kind: 'floating', local: `${day}T${clock}:00` }
      : { kind: 'zoned', local: `${day}T${clock}:00`, zone: zoneName };
  return {
    start: at(form.startDate, form.startTime, form.zone),
    end: at(form.endDate, form.endTime, form.endZone === FLOATING ? form.zone : form.endZone),
  };
}

/** The form of an event, for the zone that new times are in. */
export function formOfFields(fields: EventFields, homeZone: string): EventForm {
  const start = wallOf(fields.start);
  const end = wallOf(fields.end);
  const allDay = fields.start.kind === 'date';
  const startDay = Math.floor(start / DAY);
  const zoneOfTime = (time: EventTime) =>
    time.kind === 'zoned' ? time.zone : time.kind === 'floating' ? FLOATING : homeZone;
  return {
    title: fields.title,
    calendarId: fields.calendarId,
    allDay,
    startDate: dateString(startDay),
    startTime: allDay ? '09:00' : clockOfWall(start),
    endDate: dateString(Math.max(startDay, allDay ? end / DAY - 1 : Math.floor(end / DAY))),
    endTime: allDay ? '10:00' : clockOfWall(end),
    zone: zoneOfTime(fields.start),
    endZone: zoneOfTime(fields.end),
    ...typedFields(fields),
    reminders: fields.reminders ? [...fields.reminders] : null,
    there: travelText(fields.travel?.there),
    back: travelText(fields.travel?.back),
    recurrence: fields.recurrence,
    colour: fields.colour,
    attachments: [...(fields.attachments ?? [])],
    attendees: [...(fields.attendees ?? [])],
    guestsMay: [...(fields.guestsMay ?? GUESTS_MAY_USUALLY)],
    conferences: [...(fields.conferences ?? [])],
  };
}

/** Whether guests may what they usually may. */
const isUsual = (may: readonly GuestsMay[]): boolean =>
  may.length === GUESTS_MAY_USUALLY.length && GUESTS_MAY_USUALLY.every((each) => may.includes(each));

/**
 * The fields that a form says; undefined as long as its times can't be read. What the form does not show stays as it was
 * before.
 */
export function fieldsOfForm(form: EventForm, before: EventFields): EventFields | undefined {
  const times = timesOf(form);
  if (!times) return undefined;
  const becomesDays = form.allDay && before.start.kind !== 'date';
  const minutes = Math.round((wallOf(before.end) - wallOf(before.start)) / MINUTE);
  return {
    ...before,
    ...settleTimes(times, form.zone === FLOATING ? 'UTC' : form.zone),
    title: form.title.trim(),
    calendarId: form.calendarId,
    ...saidFields(form, before),
    reminders: form.reminders ?? undefined,
    travel: travelOf(minutesOfText(form.there), minutesOfText(form.back)),
    recurrence: form.recurrence,
    colour: form.colour,
    attachments: form.attachments.length > 0 ? form.attachments : undefined,
    attendees: form.attendees.length > 0 ? form.attendees : undefined,
    guestsMay: isUsual(form.guestsMay) ? undefined : form.guestsMay,
    conferences: form.conferences.length > 0 ? form.conferences : undefined,
    timedMinutes: becomesDays && minutes > 0 ? minutes : form.allDay ? before.timedMinutes : undefined,
  };
}

/** The end that keeps the length when the start of a form moves. */
export function endAfterStart(
  form: EventForm,
  start: { startDate: string; startTime: string },
): { endDate: string; endTime: string } {
  const wall = (day: string, clock: string) => parseLocal(`${day}T${form.allDay ? '00:00' : clock}`);
  const stays = { endDate: form.endDate, endTime: form.endTime };
  if (!isTimed(form) || !isTimed({ ...form, ...start })) return stays;
  const length = wall(form.endDate, form.endTime) - wall(form.startDate, form.startTime);
  const end = wall(start.startDate, start.startTime) + length;
  if (length < 0 || end >= LAST_WALL) return stays;
  return {
    endDate: dateString(Math.floor(end / DAY)),
    endTime: form.allDay ? form.endTime : clockOfWall(end),
  };
}

/** Lengths that are offered for an event of hours, in milliseconds. */
const OFFERED_LENGTHS = [15, 30, 45, 60, 90, 120, 180, 240, 480].map((minutes) => minutes * MINUTE);

/**
 * How long the event of a form lasts and what may be chosen instead, in milliseconds; undefined for whole days, and as
 * long as its times can't be read or its end is before its start.
 */
export function lengthsOf(
  form: EventForm,
  homeZone: string,
): { length: number; offered: number[] } | undefined {
  const times = form.allDay ? undefined : timesOf(form);
  if (!times) return undefined;
  const length = instantOf(times.end, homeZone) - instantOf(times.start, homeZone);
  if (length < 0) return undefined;
  return { length, offered: [...new Set([...OFFERED_LENGTHS, length])].sort((a, b) => a - b) };
}

/** The end that gives the event of a form a length in milliseconds, in the zone of its end. */
export function endAfterLength(form: EventForm, length: number): { endDate: string; endTime: string } {
  const stays = { endDate: form.endDate, endTime: form.endTime };
  const times = form.allDay ? undefined : timesOf(form);
  if (!times) return stays;
  const end =
    times.start.kind === 'zoned' && times.end.kind === 'zoned'
      ? instantToWall(times.end.zone, instantOf(times.start, 'UTC') + length)
      : wallOf(times.start) + length;
  if (end >= LAST_WALL) return stays;
  return { endDate: dateString(Math.floor(end / DAY)), endTime: clockOfWall(end) };
}

/**
 * The repeat of a new entry after its start moved: one that only says the weekday or the day of its start says it of the
 * new one; whatever else was chosen stays.
 */
export function recurrenceAfterStart(before: EventForm, after: EventForm): Recurrence | undefined {
  const { recurrence } = before;
  const [from, to] = [before, after].map((form) => {
    const times = timesOf(form);
    return times && wallOf(times.start);
  });
  if (!recurrence || from === undefined || to === undefined) return recurrence;
  const [text] = recurrence.rules;
  const rule = recurrence.rules.length === 1 ? readRule(text!) : undefined;
  const chosen = rule && choiceOfRule(rule, { wall: from, allDay: before.allDay });
  if (!chosen) return recurrence;
  const saying = (choice: RepeatChoice) =>
    formatRule(ruleOfChoice({ ...choice, ends: { kind: 'never' } }, from));
  const offered = quickChoices(from, chosen.weekStart).find((choice) => saying(choice) === saying(chosen));
  const moved = offered && quickChoices(to, chosen.weekStart).find((choice) => isSameKind(choice, offered));
  if (!moved) return recurrence;
  return { ...recurrence, rules: [formatRule(ruleOfChoice({ ...moved, ends: chosen.ends }, to))] };
}

const isSameKind = (a: RepeatChoice, b: RepeatChoice): boolean =>
  a.frequency === b.frequency &&
  a.interval === b.interval &&
  a.on.kind === b.on.kind &&
  a.weekdays.length === b.weekdays.length;

import { z } from 'zod';
import type { EventFields } from '@/core/change/entryChanges';
import { AVAILABILITIES, CLASSIFICATIONS, STATUSES } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { choiceOfRule, proposedEnd, type RepeatChoice, ruleOfChoice } from '@/core/recurrence/choices';
import { DAY, dateString, isRealDate, parseDate, parseLocal, weekdayOf } from '@/core/time/civil';
import { instantOf, wallOf } from '@/core/time/eventTime';
import { isKnownZone } from '@/core/time/zones';
import { words } from '@/ui/words';

/** The value of the zone field that means no zone. */
export const FLOATING = 'floating';

export const REPEATS = ['none', 'DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY', 'custom'] as const;

const problems = words.editor.problems;
const date = z.string().refine((text) => /^\d{4}-\d{2}-\d{2}$/.test(text) && isRealDate(text), problems.date);
const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, problems.time);
const zone = z.string().refine((name) => name === FLOATING || isKnownZone(name), problems.zone);
const small = (message: string) =>
  z.string().refine((text) => /^\d{1,3}$/.test(text) && Number(text) >= 1, message);

/** The editor's form: every field of an event as a person writes it. */
export const EventForm = z
  .object({
    title: z.string().max(1000, problems.title),
    calendarId: z.string().min(1, problems.calendar),
    allDay: z.boolean(),
    startDate: date,
    startTime: time,
    endDate: date,
    endTime: time,
    zone,
    endZone: zone,
    availability: z.enum(AVAILABILITIES),
    classification: z.enum(CLASSIFICATIONS),
    status: z.enum(STATUSES),
    location: z.string(),
    url: z.string().refine((text) => text === '' || /^https?:\/\/\S+$/.test(text), problems.link),
    categories: z.string(),
    notes: z.string(),
    /** Minutes before the start, or empty for none. */
    reminder: z.string(),
    repeat: z.enum(REPEATS),
    interval: small(problems.interval),
    weekdays: z.array(z.number()),
    ends: z.enum(['never', 'count', 'until']),
    count: small(problems.count),
    until: date,
  })
  .superRefine((form, check) => {
    const times = timesOf(form);
    const start = instantOf(times.start, 'UTC');
    const end = instantOf(times.end, 'UTC');
    if (Number.isFinite(start) && (end < start || (form.allDay && end <= start)))
      check.addIssue({
        code: 'custom',
        path: [form.endDate < form.startDate || form.allDay ? 'endDate' : 'endTime'],
        message: problems.endBeforeStart,
      });
    if (form.repeat === 'WEEKLY' && form.weekdays.length === 0)
      check.addIssue({ code: 'custom', path: ['weekdays'], message: problems.weekdays });
    if (
      form.repeat !== 'none' &&
      form.repeat !== 'custom' &&
      form.ends === 'until' &&
      form.until < form.startDate
    )
      check.addIssue({ code: 'custom', path: ['until'], message: problems.until });
  });
export type EventForm = z.infer<typeof EventForm>;

/** The start and end that a form says. The end of whole days is written as their last day, and kept as the day after. */
function timesOf(form: EventForm): { start: EventTime; end: EventTime } {
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

const clockOf = (wall: number): string => new Date(wall).toISOString().slice(11, 16);

/** The form of an event, for the zone that new times are in. */
export function formOfFields(fields: EventFields, homeZone: string): EventForm {
  const start = wallOf(fields.start);
  const end = wallOf(fields.end);
  const allDay = fields.start.kind === 'date';
  const startDay = Math.floor(start / DAY);
  const rules = fields.recurrence?.rules ?? [];
  const choice = rules.length === 1 ? choiceOfRule(rules[0]!, start) : undefined;
  const zoneOfTime = (time: EventTime) =>
    time.kind === 'zoned' ? time.zone : time.kind === 'floating' ? FLOATING : homeZone;
  return {
    title: fields.title,
    calendarId: fields.calendarId,
    allDay,
    startDate: dateString(startDay),
    startTime: allDay ? '09:00' : clockOf(start),
    endDate: dateString(Math.max(startDay, allDay ? end / DAY - 1 : Math.floor(end / DAY))),
    endTime: allDay ? '10:00' : clockOf(end),
    zone: zoneOfTime(fields.start),
    endZone: zoneOfTime(fields.end),
    availability: fields.availability,
    classification: fields.classification,
    status: fields.status,
    location: fields.location,
    url: fields.url,
    categories: fields.categories.join(', '),
    notes: fields.notes,
    reminder: fields.reminders[0] ? String(fields.reminders[0].minutesBefore) : '',
    repeat: fields.recurrence ? (choice?.frequency ?? 'custom') : 'none',
    interval: String(choice?.interval ?? 1),
    weekdays: choice && choice.weekdays.length > 0 ? [...choice.weekdays] : [weekdayOf(startDay)],
    ends: choice?.ends.kind ?? 'never',
    count: choice?.ends.kind === 'count' ? String(choice.ends.count) : '10',
    until: choice?.ends.kind === 'until' ? choice.ends.date : proposedEnd(start),
  };
}

/** The repeat that a form says, or undefined for none and for a rule of its own. */
export function choiceOfForm(form: EventForm): RepeatChoice | undefined {
  if (form.repeat === 'none' || form.repeat === 'custom') return undefined;
  return {
    frequency: form.repeat,
    interval: Number(form.interval) || 1,
    weekdays: form.repeat === 'WEEKLY' ? form.weekdays : [],
    ends:
      form.ends === 'count'
        ? { kind: 'count', count: Number(form.count) || 1 }
        : form.ends === 'until'
          ? { kind: 'until', date: form.until }
          : { kind: 'never' },
  };
}

/** The fields that a form says. What the form does not show stays as it was before. */
export function fieldsOfForm(form: EventForm, before: EventFields): EventFields {
  const choice = choiceOfForm(form);
  const rule = choice && ruleOfChoice(choice);
  const beforeStart = wallOf(before.start);
  const [oldRule] = before.recurrence?.rules ?? [];
  const oldChoice = oldRule === undefined ? undefined : choiceOfRule(oldRule, beforeStart);
  // A repeat that says the same keeps its text as it was written.
  const keepsRule = oldChoice && choice && JSON.stringify(oldChoice) === JSON.stringify(choice);
  const recurrence =
    form.repeat === 'custom' || keepsRule
      ? before.recurrence
      : rule === undefined
        ? undefined
        : { dates: [], exceptionDates: [], ...before.recurrence, rules: [rule] };
  return {
    ...before,
    ...timesOf(form),
    title: form.title.trim(),
    calendarId: form.calendarId,
    availability: form.availability,
    classification: form.classification,
    status: form.status,
    location: form.location.trim(),
    url: form.url.trim(),
    categories: [
      ...new Set(
        form.categories
          .split(',')
          .map((text) => text.trim())
          .filter(Boolean),
      ),
    ],
    notes: form.notes,
    reminders:
      form.reminder === '' ? [] : [{ minutesBefore: Number(form.reminder) }, ...before.reminders.slice(1)],
    recurrence,
  };
}

/** The end that keeps the length when the start of a form moves. */
export function endAfterStart(
  form: EventForm,
  start: { startDate: string; startTime: string },
): { endDate: string; endTime: string } {
  const wall = (day: string, clock: string) => parseLocal(`${day}T${form.allDay ? '00:00' : clock}`);
  const length = wall(form.endDate, form.endTime) - wall(form.startDate, form.startTime);
  const end = wall(start.startDate, start.startTime) + length;
  if (!Number.isFinite(end) || length < 0) return { endDate: form.endDate, endTime: form.endTime };
  return { endDate: dateString(Math.floor(end / DAY)), endTime: form.allDay ? form.endTime : clockOf(end) };
}

import { z } from 'zod';
import {
  LONGEST_ESTIMATE,
  MOST_PARTS,
  type Recurrence,
  REPEAT_UNITS,
  type TodoFields,
  type TodoPart,
} from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { MOST_REMINDERS, Reminder } from '@/core/model/reminder';
import { dateString, DAY, isRealDate, localString, MINUTE, parseDate } from '@/core/time/civil';
import { clockOfMinute, minuteOfClock } from '@/core/time/clockTime';
import { dueWall } from '@/core/todos/todoGroups';
import { beginningOf, dueOf, todoSpan } from '@/core/todos/todoSpan';
import { todoWords } from '@/ui/words/todos';
import { formSchemas, problemsOfForm, saidValues, typedValues } from '@/core/fields/formFields';
import type { TODO_FIELDS, TodoFieldName } from '@/core/fields/todoFields';
import type { TypedOfRow } from '@/core/fields/eventFields';

const { problems } = todoWords;

export const DUES = ['none', 'day', 'time'] as const;
export const REPEATS = ['none', 'kept', 'daily', 'working', 'weekly', 'monthly', 'yearly', 'after'] as const;
type Repeats = (typeof REPEATS)[number];

/** The rules that are offered; any other stays as it is. */
const RULES: Readonly<Partial<Record<Repeats, string>>> = {
  daily: 'FREQ=DAILY',
  working: 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR',
  weekly: 'FREQ=WEEKLY',
  monthly: 'FREQ=MONTHLY',
  yearly: 'FREQ=YEARLY',
};

const wholeNumber = (most: number, least: number, message: string) =>
  z
    .string()
    .trim()
    .refine(
      (text) => text === '' || (/^\d+$/.test(text) && Number(text) >= least && Number(text) <= most),
      message,
    );
const aDate = z.string().refine(isRealDate, problems.date);

type TodoFormFieldName = {
  [Name in TodoFieldName]: [TypedOfRow<(typeof TODO_FIELDS)[Name]>] extends [never] ? never : Name;
}[TodoFieldName];
/** What stands in the form for the fields of the table. */
type TypedFields = { [Name in TodoFormFieldName]: TypedOfRow<(typeof TODO_FIELDS)[Name]> };

/** What stands in the form of a to-do: the fields of the table, and what has controls of its own. */
export const TodoForm = z
  .object({
    title: z.string().trim().min(1, problems.title).max(1000),
    calendarId: z.string().min(1),
    due: z.enum(DUES),
    dueDate: aDate,
    dueTime: z.string().refine((text) => minuteOfClock(text) !== undefined, problems.time),
    hasStart: z.boolean(),
    start: aDate,
    estimate: wholeNumber(LONGEST_ESTIMATE, 1, problems.estimate),
    percent: wholeNumber(100, 0, problems.percent),
    repeats: z.enum(REPEATS),
    every: wholeNumber(999, 1, problems.every),
    unit: z.enum(REPEAT_UNITS),
    parts: z.string(),
    reminders: z.array(Reminder).max(MOST_REMINDERS),
  })
  .extend(
    formSchemas('todo') as { [Name in TodoFormFieldName]: z.ZodType<TypedFields[Name], TypedFields[Name]> },
  )
  .superRefine((form, { addIssue }) => {
    const { due, dueDate, hasStart, start, repeats } = form;
    for (const { name, problem } of problemsOfForm('todo', form))
      addIssue({ code: 'custom', path: [name], message: problems[problem] });
    if (due !== 'none' && hasStart && isRealDate(start) && isRealDate(dueDate) && start > dueDate)
      addIssue({ code: 'custom', path: ['start'], message: problems.startAfterDue });
    if (due === 'none' && !hasStart && !['none', 'after'].includes(repeats))
      addIssue({ code: 'custom', path: ['repeats'], message: problems.repeatWithoutDate });
  });
export type TodoForm = z.infer<typeof TodoForm>;

function repeatsOf({ recurrence, repeatAfter }: TodoFields): Repeats {
  if (repeatAfter) return 'after';
  if (!recurrence) return 'none';
  const { rules, dates, exceptionDates, periods, skipDaysOff } = recurrence;
  const isPlain = dates.length + exceptionDates.length + (periods?.length ?? 0) === 0 && !skipDaysOff;
  const found = isPlain && rules.length === 1 && REPEATS.find((each) => RULES[each] === rules[0]);
  return found || 'kept';
}

/** What stands in the form for fields at first. */
export function typedTodo(fields: TodoFields, today: number, zone: string): TodoForm {
  const due = dueOf(fields);
  const at = due && dueWall(due, zone);
  const beginning = beginningOf(fields);
  return {
    title: fields.title,
    calendarId: fields.calendarId,
    due: !at ? 'none' : at.wall === undefined ? 'day' : 'time',
    dueDate: dateString(at?.day ?? today),
    dueTime: clockOfMinute(at?.wall === undefined ? 17 * 60 : Math.floor((at.wall % DAY) / MINUTE)),
    hasStart: beginning !== undefined,
    start: dateString(beginning ? dueWall(beginning, zone).day : (at?.day ?? today)),
    estimate: fields.estimate === undefined ? '' : String(fields.estimate),
    percent: fields.percent === undefined ? '' : String(fields.percent),
    repeats: repeatsOf(fields),
    every: String(fields.repeatAfter?.every ?? 1),
    unit: fields.repeatAfter?.unit ?? 'weeks',
    parts: (fields.parts ?? []).map(({ text }) => text).join('\n'),
    reminders: [...(fields.reminders ?? [])],
    ...(typedValues('todo', { ...fields }) as TypedFields),
  };
}

/** What was left half-typed, by the names that the fields have now: an earlier release called the priority importance. */
export const typedNow = (typed: Readonly<Record<string, unknown>> | undefined) =>
  typed && 'importance' in typed ? { ...typed, priority: typed.importance } : typed;

/** What of a form was touched since it began. */
export const touchedOf = (typed: TodoForm, start: TodoForm): Partial<TodoForm> =>
  Object.fromEntries(
    Object.entries(typed).filter(
      ([name, value]) => JSON.stringify(value) !== JSON.stringify(start[name as keyof TodoForm]),
    ),
  );

/** The parts that lines name; those that were there keep whether they are done. */
function partsOf(text: string, before: readonly TodoPart[]): TodoPart[] {
  const left = [...before];
  return text
    .split('\n')
    .map((line) => line.trim().slice(0, 1000))
    .filter(Boolean)
    .slice(0, MOST_PARTS)
    .map((line) => {
      const known = left.findIndex((part) => part.text === line);
      const isDone = known >= 0 && left.splice(known, 1)[0]!.isDone;
      return { text: line, isDone };
    });
}

const ruleOf = (rule: string): Recurrence => ({ rules: [rule], dates: [], exceptionDates: [] });

/** The fields that a form says, upon those that it began with. */
export function todoFieldsOf(form: TodoForm, before: TodoFields, zone: string): TodoFields {
  const typed = typedTodo(before, parseDate(form.dueDate), zone);
  const isSame = (...names: (keyof TodoForm)[]) => names.every((name) => form[name] === typed[name]);
  const local = localString(parseDate(form.dueDate) * DAY + (minuteOfClock(form.dueTime) ?? 0) * MINUTE);
  const due: EventTime | undefined =
    form.due === 'none'
      ? undefined
      : form.due === 'day'
        ? { kind: 'date', date: form.dueDate }
        : { kind: 'zoned', local, zone };
  const beginning: EventTime | undefined = form.hasStart ? { kind: 'date', date: form.start } : undefined;
  const { start, end, hasStart, isNeverDue } = before;
  // What was not touched stays exactly as it was, on the clock that it is on.
  const span = isSame('due', 'dueDate', 'dueTime', 'hasStart', 'start')
    ? { start, end, hasStart, isNeverDue }
    : todoSpan(due, beginning);
  const rule = RULES[form.repeats];
  const recurrence = isSame('repeats') ? before.recurrence : rule === undefined ? undefined : ruleOf(rule);
  const parts = partsOf(form.parts, before.parts ?? []);
  const {
    start: _s,
    end: _e,
    hasStart: _h,
    isNeverDue: _n,
    recurrence: _r,
    repeatAfter: _a,
    estimate: _t,
    percent: _p,
    parts: _q,
    reminders: _m,
    ...rest
  } = before;
  return withoutUndefined({
    ...rest,
    ...saidValues('todo', form, { ...before }),
    title: form.title,
    calendarId: form.calendarId,
    ...withoutUndefined(span),
    ...(recurrence && span.start ? { recurrence } : {}),
    ...(form.repeats === 'after' ? { repeatAfter: { every: Number(form.every) || 1, unit: form.unit } } : {}),
    ...(form.estimate === '' ? {} : { estimate: Number(form.estimate) }),
    ...(form.percent === '' ? {} : { percent: Number(form.percent) }),
    ...(parts.length > 0 ? { parts } : {}),
    ...(form.reminders.length > 0 ? { reminders: form.reminders } : {}),
  });
}

const withoutUndefined = <Values extends object>(values: Values): Values =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as Values;

import { z } from 'zod';
import './withoutCodeMaking';
import { EntryBase, type SetOf } from './entryBase';
import { EventTime } from './eventTime';
import { recurrenceFields } from './recurrenceFields';

/** How far a to-do is (STATUS, RFC 5545 3.8.1.11). */
export const TODO_STATUSES = ['needs-action', 'in-process', 'completed', 'cancelled'] as const;
export const TodoStatus = z.enum(TODO_STATUSES);
export type TodoStatus = z.infer<typeof TodoStatus>;

/** The most minutes that a to-do is said to take: a year of working weeks of forty hours. */
export const LONGEST_ESTIMATE = 52 * 40 * 60;
/** The most parts of a to-do. */
export const MOST_PARTS = 200;

/** A part of a to-do, which is done by itself. */
export const TodoPart = z.object({ text: z.string().max(1000), isDone: z.boolean() });
export type TodoPart = z.infer<typeof TodoPart>;

export const REPEAT_UNITS = ['days', 'weeks', 'months'] as const;
/** How long after it was done a to-do is to be done again. */
export const RepeatAfter = z.object({ every: z.number().int().min(1).max(999), unit: z.enum(REPEAT_UNITS) });
export type RepeatAfter = z.infer<typeof RepeatAfter>;

/**
 * What is to be done (VTODO, RFC 5545 3.6.2): with a span or without one. A series has a span, and so has each of its
 * changed occurrences.
 */
export const Todo = EntryBase.extend({
  kind: z.literal('todo'),
  /** From when it can be done (DTSTART); where that is not said, the day or the moment that it is due. */
  start: EventTime.optional(),
  /** When it is due (DUE), exclusive and of the same kind as the start: what is due on a date has until its end. */
  end: EventTime.optional(),
  /** Whether it was said from when on it can be done. */
  hasStart: z.literal(true).optional(),
  /** Whether it is never due, though it has a start (RFC 5545 3.6.2): its end says nothing then. */
  isNeverDue: z.literal(true).optional(),
  ...recurrenceFields,
  /** To be done again so long after it was done, in place of a rule. */
  repeatAfter: RepeatAfter.optional(),
  status: TodoStatus,
  /** The instant at which it was done, in milliseconds. */
  completed: z.number().optional(),
  /** How much of it is done, in hundredths (PERCENT-COMPLETE, RFC 5545 3.8.1.8). */
  percent: z.number().int().min(0).max(100).optional(),
  /** How many minutes it takes. */
  estimate: z.number().int().min(1).max(LONGEST_ESTIMATE).optional(),
  parts: z.array(TodoPart).max(MOST_PARTS).optional(),
});
export type Todo = z.infer<typeof Todo>;

/** A to-do that has a span. */
export type DatedTodo = Todo & { readonly start: EventTime; readonly end: EventTime };

/** The fields of a to-do that a person sets. */
export type TodoFields = SetOf<Todo>;

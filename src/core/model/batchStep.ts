import { z } from 'zod';
import { Colour } from './colour';
import { Availability, Classification, LONGEST_ESTIMATE, LONGEST_TITLE, Status } from './entry';
import { DateString } from './eventTime';
import { MOST_REMINDERS, Reminder } from './reminder';
import { ALL_FIELDS, anyRowOf, type EntryFieldName, SEARCHED_FIELDS } from '../fields/fieldsOf';

/** A calendar by its id, its name or its mark: a recipe may come from elsewhere. */
const CalendarName = z.string().trim().min(1).max(120);
const Names = z.array(z.string().trim().min(1).max(120)).max(50);
/** A hundred years, in minutes: no entry is shifted farther at once. */
const FARTHEST = 1440 * 36_600;
const ShiftMinutes = z.number().int().min(-FARTHEST).max(FARTHEST);
/** The longest that an entry is made, in minutes: a year. */
const LengthMinutes = z
  .number()
  .int()
  .min(1)
  .max(1440 * 366);
const MinuteOfDay = z.number().int().min(0).max(1439);

/** The fields that the general step sets to a text. */
export const TEXT_STEP_FIELDS = ALL_FIELDS.filter((name) => anyRowOf(name).batch === 'text');
/** Where find and replace looks: in what search reads of a field that is one text. */
export const REPLACED_FIELDS = SEARCHED_FIELDS.filter(
  (name) => anyRowOf(name).batch === 'text' || anyRowOf(name).initial === '',
);
const oneOf = (fields: readonly EntryFieldName[]) =>
  z.custom<EntryFieldName>((name) => fields.some((known) => known === name));
/** How what is looked for is read: as it stands, as whole words, or as a regular expression. */
const FIND_MODES = ['plain', 'words', 'expression'] as const;
/** The grids that times can be rounded to, in minutes. */
export const ROUND_GRIDS = [5, 10, 15, 30, 60] as const;

/** One step of a batch change: what becomes of each of the chosen entries. */
export const BatchStep = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('calendar'), calendar: CalendarName }),
  z.object({ kind: z.literal('copy'), calendar: CalendarName }),
  z.object({ kind: z.literal('categories'), how: z.enum(['add', 'remove', 'set']), names: Names }),
  /** Null takes the colour of their own from them. */
  z.object({ kind: z.literal('colour'), to: Colour.nullable() }),
  z.object({ kind: z.literal('availability'), to: Availability }),
  z.object({ kind: z.literal('visibility'), to: Classification }),
  z.object({ kind: z.literal('status'), to: Status }),
  /** PRIORITY: 1 the highest; null for none. */
  z.object({ kind: z.literal('importance'), to: z.number().int().min(1).max(9).nullable() }),
  z.object({
    kind: z.literal('reminders'),
    how: z.enum(['add', 'set', 'none', 'usual']),
    reminders: z.array(Reminder).max(MOST_REMINDERS),
  }),
  z.object({ kind: z.literal('place'), to: z.string().max(LONGEST_TITLE) }),
  z.object({
    kind: z.literal('notes'),
    how: z.enum(['set', 'before', 'after']),
    text: z.string().max(100_000),
  }),
  z.object({
    kind: z.literal('people'),
    how: z.enum(['add', 'remove']),
    people: z
      .array(z.object({ name: z.string().trim().max(120), address: z.string().trim().min(1).max(254) }))
      .max(50),
  }),
  /** On the wall clock of each: days of the calendar, and minutes. */
  z.object({
    kind: z.literal('shift'),
    days: z.number().int().min(-36_600).max(36_600),
    minutes: ShiftMinutes,
  }),
  /** To the same weekday of the week of a day; weeks begin with Monday. */
  z.object({ kind: z.literal('week'), of: DateString }),
  z.object({ kind: z.literal('start-time'), minute: MinuteOfDay }),
  z.object({ kind: z.literal('length'), minutes: LengthMinutes }),
  z.object({
    kind: z.literal('round'),
    minutes: z.union(ROUND_GRIDS.map((grid) => z.literal(grid))),
    way: z.enum(['nearest', 'earlier', 'later']),
  }),
  /** Ends so many minutes earlier. */
  z.object({ kind: z.literal('trim'), minutes: LengthMinutes }),
  z.object({ kind: z.literal('zone'), zone: z.string().min(1), keeps: z.enum(['instant', 'wall']) }),
  z.object({ kind: z.literal('whole-days') }),
  z.object({ kind: z.literal('hours'), minute: MinuteOfDay, minutes: LengthMinutes }),
  z.object({
    kind: z.literal('replace'),
    find: z.string().min(1).max(1000),
    by: z.string().max(10_000),
    fields: z.array(oneOf(REPLACED_FIELDS)).min(1),
    mode: z.enum(FIND_MODES),
    matchCase: z.boolean(),
  }),
  /** Takes files off that are at least so large, in bytes. */
  z.object({ kind: z.literal('attachments'), atLeast: z.number().int().min(0) }),
  /** The last day on which a series may still occur. */
  z.object({ kind: z.literal('end-series'), last: DateString }),
  /** Single entries that are alike become a series, as far as a rule fits them. */
  z.object({ kind: z.literal('into-series') }),
  /** A series becomes single entries: of one without an end, those up to a day. */
  z.object({ kind: z.literal('into-singles'), until: DateString.optional() }),
  /** A changed occurrence becomes as its series has it. */
  z.object({ kind: z.literal('as-series') }),
  /** To-dos are done, or open again: what is to be done again after that has a new one beside it. */
  z.object({ kind: z.literal('done'), isDone: z.boolean() }),
  /** The day on which to-dos are due; null for never. */
  z.object({ kind: z.literal('due'), to: DateString.nullable() }),
  /** How many minutes to-dos take; null where that is not said. */
  z.object({
    kind: z.literal('estimate'),
    minutes: z.number().int().min(1).max(LONGEST_ESTIMATE).nullable(),
  }),
  /** One of the fields that are a text, set to another; an empty one takes it off. */
  z.object({ kind: z.literal('field'), field: oneOf(TEXT_STEP_FIELDS), to: z.string().max(LONGEST_TITLE) }),
  z.object({ kind: z.literal('delete') }),
]);
export type BatchStep = z.infer<typeof BatchStep>;
export type StepKind = BatchStep['kind'];
export type StepOf<Kind extends StepKind> = Extract<BatchStep, { kind: Kind }>;
export const STEP_KINDS = BatchStep.options.map(({ shape }) => shape.kind.value);

/** Steps after which there is nothing left for another step to be done to. */
export const LAST_STEPS: readonly StepKind[] = ['delete', 'into-series'];

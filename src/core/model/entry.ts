import { z } from 'zod';
import { CalendarEvent, type EventFields } from './calendarEvent';
import { type DatedTodo, Todo, type TodoFields } from './todo';

export * from './calendarEvent';
export * from './entryBase';
export * from './recurrenceFields';
export * from './todo';

/** Anything kept: a union that is told by `kind`. */
export const Entry = z.discriminatedUnion('kind', [CalendarEvent, Todo]);
export type Entry = z.infer<typeof Entry>;

/** The fields of a kind of entry that a person sets. */
export type FieldsOf<Kept extends Entry> = Kept extends CalendarEvent ? EventFields : TodoFields;
export type EntryFields = EventFields | TodoFields;

/** An entry that has a span: an event, or a to-do with a date. Series and their occurrences are such. */
export type Dated = CalendarEvent | DatedTodo;

export const isEvent = (entry: Entry): entry is CalendarEvent => entry.kind === 'event';
export const isTodo = (entry: Entry): entry is Todo => entry.kind === 'todo';

/** Whether an entry has a span. */
export const isDated = (entry: Entry): entry is Dated => entry.start !== undefined && entry.end !== undefined;

/** An entry that repeats: it has a span. */
export const seriesOf = (entry: Entry | undefined): Dated | undefined =>
  entry?.recurrence && isDated(entry) ? entry : undefined;

/** The events among entries. */
export const eventsOf = (entries: Iterable<Entry>): CalendarEvent[] => [...entries].filter(isEvent);

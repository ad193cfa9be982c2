import { initialFields } from '../fields/eventFields';
import type { CalendarEvent, Entry, EventFields, FieldsOf } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import type { ChangeContext, Patch } from './patch';
import type { Refusal } from './shift';
import { freshVersion } from './versions';

export type ChangeResult = Patch | { refused: Refusal };

export const isRefused = <Made extends object>(
  result: Made | { refused: Refusal },
): result is { refused: Refusal } => 'refused' in result;

/** An event with nothing but its time and calendar. */
export const blankFields = (calendarId: string, start: EventTime, end: EventTime): EventFields => ({
  ...initialFields(),
  calendarId,
  start,
  end,
});

/** A new event. */
export const createEvent = (fields: EventFields, context: ChangeContext): CalendarEvent => ({
  ...fields,
  kind: 'event',
  ...freshVersion(context),
});

/** An entry with other fields. What it is (its ids, its series, what a file held beyond the model) stays. */
export function withFields<Kept extends Entry>(entry: Kept, fields: Partial<FieldsOf<Kept>>): Kept {
  const { kind, id, uid, created, sequence, seriesId, recurrenceId, recurrenceRange, preserved, modified } =
    entry;
  const identity = { kind, id, uid, created, modified, sequence, seriesId, recurrenceId, recurrenceRange };
  return { ...entry, ...fields, ...identity, preserved };
}

import { attendeesProperty, conferencesProperty, organizerProperty } from '../fields/people';
import type { PropertyCodec } from '../fields/field';
import { geoProperty } from '../fields/geoProperty';
import { priorityProperty } from '../fields/importance';
import { relatedToProperty } from '../fields/relatedToProperty';
import { readAlarms } from '../fields/alarms';
import type { JCalComponent, JCalProperty } from './jcal';
import type { Migration } from './migration';
import { noticeBefore } from './reminder';

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

type NewFields = Readonly<Record<string, Pick<PropertyCodec<unknown>, 'names' | 'isRepeated' | 'read'>>>;

/** What was kept as a file gave it becomes fields. What says nothing that can be read stays as it was. */
const keptAs =
  (newFields: NewFields): Migration =>
  (record) => {
    const { preserved } = record;
    if (!isRecord(preserved) || !Array.isArray(preserved.properties)) return { ...record };
    let properties = preserved.properties as JCalProperty[];
    const fields: Record<string, unknown> = {};
    for (const [name, { names, isRepeated, read }] of Object.entries(newFields)) {
      const kept = properties.filter((property) => property[0] === names[0]);
      const value: unknown = read({
        text: () => String(kept[0]?.[3] ?? ''),
        all: () => kept,
      });
      if (value === undefined || record[name] !== undefined) continue;
      fields[name] = value;
      const taken = new Set(isRepeated ? kept : kept.slice(0, 1));
      properties = properties.filter((property) => !taken.has(property));
    }
    const { preserved: _, ...rest } = record;
    const isEmpty =
      properties.length === 0 &&
      preserved.parameters === undefined &&
      Array.isArray(preserved.components) &&
      preserved.components.length === 0;
    // As it is read today from such a file: nothing is left to be kept beside the fields.
    return { ...rest, ...fields, ...(isEmpty ? {} : { preserved: { ...preserved, properties } }) };
  };

/** Version 2: importance, people and conferences are fields. */
export const keptTextAsFields = keptAs({
  priority: priorityProperty,
  organizer: organizerProperty,
  attendees: attendeesProperty,
  conferences: conferencesProperty,
});

/** Version 4: what an entry is related to, and where on earth it is, are fields. */
export const relatedAsField = keptAs({ relatedTo: relatedToProperty, geo: geoProperty });

/** What a reminder was up to version 2, as it is now: minutes before the start, by notice. */
export function reminderNow(reminder: unknown): unknown {
  if (!isRecord(reminder) || typeof reminder.minutesBefore !== 'number') return reminder;
  const { minutesBefore, ...rest } = reminder;
  return { ...noticeBefore(minutesBefore), ...rest };
}

/**
 * Version 3: reminders say more than minutes before the start, and alarms that were kept as a file gave them are reminders. An
 * entry that had none follows the usual ones of its calendar, of which there were none.
 */
export const alarmsAsReminders: Migration = (record) => {
  const { reminders, preserved, ...rest } = record;
  const components =
    isRecord(preserved) && Array.isArray(preserved.components)
      ? (preserved.components as JCalComponent[])
      : undefined;
  const read = readAlarms(components ?? [], { title: typeof record.title === 'string' ? record.title : '' });
  const all = [...(Array.isArray(reminders) ? reminders.map(reminderNow) : []), ...(read.reminders ?? [])];
  const isEmpty =
    isRecord(preserved) &&
    read.kept.length === 0 &&
    preserved.parameters === undefined &&
    Array.isArray(preserved.properties) &&
    preserved.properties.length === 0;
  return {
    ...rest,
    ...(all.length > 0 ? { reminders: all } : {}),
    ...(preserved === undefined || isEmpty
      ? {}
      : { preserved: components ? { ...(preserved as object), components: read.kept } : preserved }),
  };
};

/** A migration of entries, for entries in the bin. */
export const inBin =
  (migration: Migration): Migration =>
  (record) => ({
    ...record,
    ...(isRecord(record.entry) ? { entry: migration(record.entry) } : {}),
  });

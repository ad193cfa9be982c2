import { attendeesProperty, conferencesProperty, organizerProperty } from '../fields/people';
import type { PropertyCodec } from '../fields/field';
import { priorityProperty } from '../fields/importance';
import type { JCalProperty } from './jcal';
import type { Migration } from './migration';

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What was kept as a file gave it, and is a field from version 2 on. */
const NEW_FIELDS: Readonly<Record<string, Pick<PropertyCodec<unknown>, 'names' | 'isRepeated' | 'read'>>> = {
  priority: priorityProperty,
  organizer: organizerProperty,
  attendees: attendeesProperty,
  conferences: conferencesProperty,
};

/** Version 2: importance, people and conferences are fields. What says nothing that can be read stays as it was. */
export const keptTextAsFields: Migration = (record) => {
  const { preserved } = record;
  if (!isRecord(preserved) || !Array.isArray(preserved.properties)) return { ...record };
  let properties = preserved.properties as JCalProperty[];
  const fields: Record<string, unknown> = {};
  for (const [name, { names, isRepeated, read }] of Object.entries(NEW_FIELDS)) {
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

/** The same of an entry in the bin. */
export const keptTextAsFieldsInBin: Migration = (record) => ({
  ...record,
  ...(isRecord(record.entry) ? { entry: keptTextAsFields(record.entry) } : {}),
});

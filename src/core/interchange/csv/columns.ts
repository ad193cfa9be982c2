/** What a column of a table can hold. */
export const CSV_FIELDS = [
  'title',
  'start',
  'startDate',
  'startTime',
  'end',
  'endDate',
  'endTime',
  'length',
  'allDay',
  'zone',
  'place',
  'notes',
  'categories',
  'availability',
  'visibility',
  'status',
  'link',
  'repeats',
  'leftOut',
  'further',
  'uid',
  'occurrence',
] as const;
export type CsvField = (typeof CSV_FIELDS)[number];

/** What stands in the zone's column of a time that belongs to no zone. */
export const FLOATING = 'floating';

/** The field of each column, by position; undefined for one that is passed over. */
export type ColumnMapping = readonly (CsvField | undefined)[];

/** Names that columns go by, without spaces and signs. The first pattern that fits wins. */
const NAMES: readonly (readonly [CsvField, RegExp])[] = [
  ['title', /^(title|name|summary|subject|event|entry|what|appointment)$/],
  ['startDate', /^(start|begin|from)s?(date|day)$|^(date|day|when)$/],
  ['startTime', /^(start|begin|from)s?(time|hour)$|^(time|at)$/],
  ['start', /^(start|starts|begin|begins|from|dtstart|start(s)?(at|on)?|startdatetime)$/],
  ['endDate', /^(end|finish|until|to)s?(date|day)$/],
  ['endTime', /^(end|finish|until|to)s?(time|hour)$/],
  ['end', /^(end|ends|finish|until|to|dtend|end(s)?(at|on)?|enddatetime)$/],
  ['length', /^(length|duration|minutes|hours|howlong)$/],
  ['allDay', /^(allday|wholeday|alldayevent|fullday)$/],
  ['zone', /^(zone|timezone|tz|tzid)$/],
  ['place', /^(place|location|where|room|venue)$/],
  ['notes', /^(notes?|description|details|comments?|text|body)$/],
  ['categories', /^(categor(y|ies)|labels?|tags?|kind|type)$/],
  ['availability', /^(availability|showas|busy|transp|free)$/],
  ['visibility', /^(visibility|class|classification|private|privacy)$/],
  ['status', /^(status|state)$/],
  ['link', /^(link|url|web|address|website)$/],
  ['repeats', /^(repeats?|rrule|rule|recurrence|recurs)$/],
  ['leftOut', /^(leftout|exdate|exceptions?)$/],
  ['further', /^(further|rdate|furtherdates)$/],
  ['uid', /^(uid|id|key)$/],
  ['occurrence', /^(occurrence|recurrenceid|occurrenceof)$/],
];

/** Guesses what the columns hold by their names; each field once. */
export function guessColumns(header: readonly string[]): ColumnMapping {
  const taken = new Set<CsvField>();
  return header.map((name) => {
    const plain = name.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');
    const field = NAMES.find(([candidate, pattern]) => !taken.has(candidate) && pattern.test(plain))?.[0];
    if (field) taken.add(field);
    return field;
  });
}

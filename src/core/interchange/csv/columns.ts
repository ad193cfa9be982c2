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

/** Names that columns go by, without spaces and signs, in English, German, French and Spanish. The first that fits wins. */
const NAMES: readonly (readonly [CsvField, RegExp])[] = [
  [
    'title',
    /^(title|name|summary|subject|event|entry|what|appointment|titel|betreff|bezeichnung|termin|titre|objet|sujet|intitulé|título|titulo|asunto|nombre)$/,
  ],
  [
    'startDate',
    /^(start|begin|from)s?(date|day)$|^(date|day|when)$|^(start|beginn?|anfangs?)(datum|tag)$|^(datum|tag|dat(e|um)vom|jour|fecha|día)$|^date(de)?début$|^jour(de)?début$|^fecha(de)?(inicio|comienzo)$/,
  ],
  [
    'startTime',
    /^(start|begin|from)s?(time|hour)$|^(time|at)$|^(start|beginn?|anfangs?)(zeit|uhrzeit)$|^(uhrzeit|zeit|heure|hora)$|^heure(de)?début$|^hora(de)?(inicio|comienzo)$/,
  ],
  [
    'start',
    /^(start|starts|begin|begins|from|dtstart|starts?(at|on)|(start|begin)s?date(and)?time|beginn|anfang|von|début|debut|inicio|comienzo|desde)$/,
  ],
  [
    'endDate',
    /^(end|finish|until|to)s?(date|day)$|^end(e)?(datum|tag)$|^(date|jour)(de)?fin$|^fecha(de)?(fin|final|finalización)$/,
  ],
  [
    'endTime',
    /^(end|finish|until|to)s?(time|hour)$|^end(e)?(zeit|uhrzeit)$|^heure(de)?fin$|^hora(de)?(fin|final|finalización)$/,
  ],
  [
    'end',
    /^(end|ends|finish|until|to|dtend|ends?(at|on)|(end|finish)(es)?date(and)?time|ende|bis|fin|final|hasta)$/,
  ],
  ['length', /^(length|duration|minutes|hours|howlong|dauer|länge|durée|duración)$/],
  [
    'allDay',
    /^((all|whole)day.*|ganztägig|ganztags|ganzertag|journéeentière|todalajornada|todoeldía|todoeldia)$/,
  ],
  ['zone', /^(zone|timezone|tz|tzid|zeitzone|fuseauhoraire|zonahoraria|husohorario)$/],
  ['place', /^(place|location|where|room|venue|ort|raum|lieu|salle|endroit|lugar|ubicación|sala)$/],
  [
    'notes',
    /^(notes?|description|details|comments?|text|body|notizen?|beschreibung|bemerkung(en)?|remarques?|commentaires?|notas?|descripción|comentarios?)$/,
  ],
  ['categories', /^(categor(y|ies)|labels?|tags?|kind|type|kategorien?|catégories?|categorías?)$/],
  ['availability', /^(availability|busy|free|transp|verfügbarkeit|disponibilité|disponibilidad)$/],
  ['visibility', /^(visibility|class|classification|private|privacy|privat|privé|privado)$/],
  ['status', /^(status|state|statut|état|estado)$/],
  ['link', /^(link|url|web|address|website|lien|enlace)$/],
  ['repeats', /^(repeats?|rrule|rule|recurrence|recurs|wiederholung|récurrence|repetición)$/],
  ['leftOut', /^(leftout|exdate|exceptions?)$/],
  ['further', /^(further|rdate|furtherdates)$/],
  ['uid', /^(uid|id|key)$/],
  ['occurrence', /^(occurrence|recurrenceid|occurrenceof)$/],
];

/** Guesses what the columns hold by their names; each field once. */
export function guessColumns(header: readonly string[]): ColumnMapping {
  const taken = new Set<CsvField>();
  return header.map((name) => {
    const plain = name
      .normalize('NFC')
      .toLowerCase()
      .replaceAll(/[^\p{L}\p{N}]/gu, '');
    const field = NAMES.find(([candidate, pattern]) => !taken.has(candidate) && pattern.test(plain))?.[0];
    if (field) taken.add(field);
    return field;
  });
}

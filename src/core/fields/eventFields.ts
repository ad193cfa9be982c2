import { z } from 'zod';
import {
  AVAILABILITIES,
  type Availability,
  type Classification,
  CLASSIFICATIONS,
  type Entry,
  type EventFields,
  LONGEST_TITLE,
  type Status,
  STATUSES,
} from '../model/entry';
import {
  choiceColumn,
  choiceForm,
  oneOf,
  optionalTextColumn,
  optionalTextForm,
  textColumn,
  textForm,
  textProperties,
  textProperty,
} from './codecs';
import { COLOUR_PROPERTY, colourProperties, readColour } from './colourProperty';
import { apart, type Field, field, type RowFor } from './field';
import { geoProperty } from './geoProperty';
import { importanceForm, importanceOf, IMPORTANCES, priorityProperty, readPriority } from './importance';
import {
  attendeesProperty,
  conferencesProperty,
  answersMailProperty,
  guestsMayProperty,
  organizerProperty,
  ownAnswerProperty,
} from './people';
import { relatedToProperty } from './relatedToProperty';
import { travelProperty } from './travel';
import { namesIn, namesText } from './nameList';
import { isPage } from '../model/link';
import { attachmentNamesOf, attendeesOf } from '../model/attendees';

/** Extends TRANSP by a property of our own, to the values that it can't say. */
const AVAILABILITY_PROPERTY = 'x-orderly-week-availability';

/** One's own number for an entry: an order, a case, a file. iCalendar has no property for it. */
const REFERENCE_PROPERTY = 'x-orderly-week-reference';

const asText = (value: string | undefined): string => value ?? '';
const peopleText = (attendees: EventFields['attendees']): string =>
  attendeesOf({ attendees })
    .map(({ name, address }) => `${name} ${address}`)
    .join('\n');

/** What is open first, then what is settled, then what is over. */
const STATUS_ORDER: readonly Entry['status'][] = [
  'needs-action',
  'in-process',
  'tentative',
  'confirmed',
  'completed',
  'cancelled',
];

/** The column of the status, of events and to-dos alike. */
export const STATUS_TABLE = {
  id: 'status',
  width: 110,
  order: (_: unknown, { status }: Entry) => STATUS_ORDER.indexOf(status),
} as const;

/**
 * The fields of an event, each with all that is to be said of it, in the order of the form. A field that is added to the
 * model has to be added here; everything else follows from its row.
 */
export const EVENT_FIELDS = {
  title: field({
    ...apart,
    initial: '',
    scope: 'shared',
    published: 'titles',
    batch: true,
    search: { text: asText, boost: 3, filter: true },
    table: { id: 'title', width: 260, isShown: true, order: asText, isWritten: true },
    property: {
      ...textProperty('summary'),
      read: ({ text }) => text('summary').slice(0, LONGEST_TITLE),
      unsayable: {
        is: (text) => text.length > LONGEST_TITLE,
        standsFor: (text, value) => text.startsWith(value),
      },
    },
    column: textColumn(
      'title',
      'Title',
      /^(title|name|summary|subject|event|entry|task|todo|what|appointment|titel|betreff|bezeichnung|termin|titre|objet|sujet|intitulé|título|titulo|asunto|nombre)$/,
    ),
  }),
  calendarId: field<string>({
    ...apart,
    initial: 'required',
    scope: 'shared',
    published: 'busy',
    batch: true,
  }),
  start: field<EventFields['start']>({
    ...apart,
    initial: 'required',
    scope: 'own',
    published: 'busy',
    batch: true,
  }),
  end: field<EventFields['end']>({
    ...apart,
    initial: 'required',
    scope: 'own',
    published: 'busy',
    batch: true,
  }),
  timedMinutes: field<number | undefined>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'everything',
    batch: false,
  }),
  recurrence: field<EventFields['recurrence']>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'busy',
    batch: true,
  }),
  reminders: field<EventFields['reminders'], never, never, 'reminders'>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'never',
    batch: true,
    table: { id: 'reminders', width: 170, order: (value) => value?.length ?? -1 },
  }),
  travel: field<EventFields['travel']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'never',
    batch: true,
    property: travelProperty,
  }),
  location: field({
    initial: '',
    scope: 'shared',
    published: 'everything',
    batch: true,
    search: { text: asText, filter: true },
    table: { id: 'place', width: 140, isShown: true, order: asText, isWritten: true },
    property: textProperty('location'),
    column: textColumn(
      'place',
      'Place',
      /^(place|location|where|room|venue|ort|raum|lieu|salle|endroit|lugar|ubicación|sala)$/,
    ),
    form: textForm('text'),
  }),
  geo: field<EventFields['geo']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    property: geoProperty,
  }),
  notes: field({
    initial: '',
    scope: 'shared',
    published: 'everything',
    batch: true,
    search: { text: asText, filter: true },
    property: textProperty('description'),
    column: textColumn(
      'notes',
      'Notes',
      /^(notes?|description|details|comments?|text|body|notizen?|beschreibung|bemerkung(en)?|remarques?|commentaires?|notas?|descripción|comentarios?)$/,
    ),
    form: textForm('notes'),
  }),
  categories: field({
    initial: [] as string[],
    scope: 'shared',
    published: 'everything',
    batch: true,
    search: { text: (value) => value.join('\n'), filter: false },
    facet: { key: 'categories', values: (value) => value },
    table: { id: 'category', width: 120, order: (value = []) => value.join(', '), isWritten: true },
    property: {
      names: ['categories'],
      isRepeated: true,
      read: ({ all }) =>
        all('categories').flatMap((property) => property.slice(3).map(String).filter(Boolean)),
      write: (value) => (value.length > 0 ? [['categories', {}, 'text', ...value]] : []),
    },
    column: {
      id: 'categories',
      header: 'Categories',
      names: /^(categor(y|ies)|labels?|tags?|kind|type|kategorien?|catégories?|categorías?)$/,
      read: (text) => namesIn(text),
      write: (value) => namesText(value, ';'),
    },
    form: {
      kind: 'names',
      schema: z.string(),
      typed: (value) => namesText(value),
      said: namesIn,
    },
  }),
  availability: field<Availability, Availability, 'availability', 'availability'>({
    initial: 'busy',
    scope: 'shared',
    published: 'busy',
    batch: true,
    facet: { key: 'availabilities', values: (value) => [value] },
    table: { id: 'availability', width: 100, order: asText, isWritten: true },
    property: {
      names: ['transp', AVAILABILITY_PROPERTY],
      read: ({ text }) =>
        oneOf(AVAILABILITIES, text(AVAILABILITY_PROPERTY)) ??
        (text('transp').toUpperCase() === 'TRANSPARENT'
          ? 'free'
          : text('status').toUpperCase() === 'TENTATIVE'
            ? 'tentative'
            : undefined),
      write: (value, { status }) => [
        ...textProperties('transp', value === 'free' ? 'TRANSPARENT' : 'OPAQUE'),
        ...(value === 'tentative' || value === 'away' || status === 'tentative'
          ? textProperties(AVAILABILITY_PROPERTY, value.toUpperCase())
          : []),
      ],
    },
    column: choiceColumn(
      'availability',
      'Availability',
      /^(availability|busy|free|transp|verfügbarkeit|disponibilité|disponibilidad)$/,
      AVAILABILITIES,
      { yes: 'busy', no: 'free', opaque: 'busy', transparent: 'free' },
    ),
    form: choiceForm(AVAILABILITIES),
  }),
  classification: field<Classification, Classification, 'visibility', 'visibility'>({
    initial: 'public',
    scope: 'shared',
    published: 'titles',
    batch: true,
    facet: { key: 'classifications', values: (value) => [value] },
    table: { id: 'visibility', width: 90, order: asText, isWritten: true },
    property: {
      names: ['class'],
      // What is not known is not meant for everybody (RFC 5545 3.8.1.3).
      read: ({ text }) => oneOf(CLASSIFICATIONS, text('class')) ?? (text('class') ? 'private' : undefined),
      write: (value) => (value === 'public' ? [] : textProperties('class', value.toUpperCase())),
      unsayable: {
        is: (text) => oneOf(CLASSIFICATIONS, text) === undefined,
        standsFor: (_, value) => value === 'private',
      },
    },
    column: choiceColumn(
      'visibility',
      'Visibility',
      /^(visibility|class|classification|private|privacy|privat|privé|privado)$/,
      CLASSIFICATIONS,
      { open: 'public', yes: 'private', true: 'private', no: 'public', false: 'public' },
      { public: 'open' },
    ),
    form: choiceForm(CLASSIFICATIONS),
  }),
  status: field<Status, Status, 'status', 'status'>({
    initial: 'confirmed',
    scope: 'shared',
    published: 'titles',
    batch: true,
    table: STATUS_TABLE,
    property: {
      names: ['status'],
      read: ({ text }) => oneOf(STATUSES, text('status')),
      write: (value) => textProperties('status', value.toUpperCase()),
      unsayable: {
        is: (text) => oneOf(STATUSES, text) === undefined,
        standsFor: (_, value) => value === 'confirmed',
      },
    },
    column: choiceColumn('status', 'Status', /^(status|state|statut|état|estado)$/, STATUSES, {
      canceled: 'cancelled',
    }),
    form: choiceForm(STATUSES),
  }),
  priority: field({
    initial: undefined as number | undefined,
    scope: 'shared',
    published: 'everything',
    batch: true,
    table: { id: 'importance', width: 100, order: (value) => IMPORTANCES.indexOf(importanceOf(value)) },
    property: priorityProperty,
    column: {
      id: 'importance',
      header: 'Importance',
      names: /^(importance|important|priority|prio|wichtigkeit|priorität|priorité|prioridad)$/,
      read: (text) => ({ high: 1, medium: 5, low: 9 })[text.toLowerCase()] ?? readPriority(text),
      write: (value) => (value === undefined ? '' : String(value)),
    },
    form: importanceForm,
  }),
  organizer: field<EventFields['organizer']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    property: organizerProperty,
  }),
  attendees: field<EventFields['attendees'], never, never, 'people'>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: true,
    search: { text: (attendees) => peopleText(attendees), boost: 2, filter: true },
    table: { id: 'people', width: 160, order: (value) => value?.length ?? 0 },
    property: attendeesProperty,
  }),
  ownAnswer: field<EventFields['ownAnswer']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'never',
    batch: false,
    property: ownAnswerProperty,
  }),
  relatedTo: field<EventFields['relatedTo']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'never',
    batch: false,
    property: relatedToProperty,
  }),
  answersMail: field<EventFields['answersMail']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'never',
    batch: false,
    property: answersMailProperty,
  }),
  guestsMay: field<EventFields['guestsMay']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    property: guestsMayProperty,
  }),
  conferences: field<EventFields['conferences']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    property: conferencesProperty,
  }),
  colour: field<EventFields['colour']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: true,
    property: {
      names: ['color', COLOUR_PROPERTY],
      read: ({ all }) => readColour([...all('color'), ...all(COLOUR_PROPERTY)]),
      write: colourProperties,
      unsayable: {
        is: (text) => readColour([['color', {}, 'text', text]]) === undefined,
        standsFor: (_, value) => value === undefined,
      },
    },
  }),
  attachments: field<EventFields['attachments']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'never',
    batch: false,
    // Files that are linked to are kept with what a calendar file held.
    search: { text: (_, entry) => attachmentNamesOf(entry).join('\n'), filter: false },
  }),
  url: field({
    initial: '',
    scope: 'shared',
    published: 'everything',
    batch: true,
    property: textProperty('url', 'uri'),
    column: textColumn('link', 'Link', /^(link|url|web|address|website|lien|enlace)$/),
    form: textForm('link', (typed) => (typed === '' || isPage(typed) ? undefined : 'link')),
  }),
  reference: field({
    initial: undefined as string | undefined,
    scope: 'shared',
    published: 'everything',
    batch: 'text',
    search: { text: asText, filter: true },
    table: { id: 'reference', width: 120, order: asText, isWritten: true },
    property: textProperty(REFERENCE_PROPERTY),
    column: optionalTextColumn(
      'reference',
      'Reference',
      /^(reference|ref|orderno|ordernumber|casenumber|caseno|aktenzeichen|referenz|référence|referencia)$/,
    ),
    form: optionalTextForm,
  }),
} as const satisfies { readonly [Name in keyof EventFields]-?: RowFor<EventFields[Name]> };

type Table = typeof EVENT_FIELDS;
/** What stands in the form for the field of a row; never for one that has a part of the form of its own. */
export type TypedOfRow<Row> = Row extends { form: infer Form } ? Typed<NonNullable<Form>> : never;
type Typed<Form> = Form extends { typed: (value: never) => infer What } ? What : never;
export type FieldName = keyof Table;
export const FIELD_NAMES = Object.keys(EVENT_FIELDS) as FieldName[];

/** The rows as what holds for all of them. */
const rows = EVENT_FIELDS as unknown as Readonly<Record<FieldName, Field<unknown, unknown>>>;
export const rowOf = (name: FieldName): Field<unknown, unknown> => rows[name];

/** The fields that stand in the form as they are, each by one control. */
export type FormFieldName = {
  [Name in FieldName]: [TypedOfRow<Table[Name]>] extends [never] ? never : Name;
}[FieldName];
export const FORM_FIELDS = FIELD_NAMES.filter((name): name is FormFieldName => rows[name].form !== undefined);
/** What stands in the form for a field. */
export type TypedOf<Name extends FormFieldName> = TypedOfRow<Table[Name]>;

/** The fields of the form that are chosen among a few values. */
export type ChoiceFieldName = {
  [Name in FormFieldName]: string extends TypedOf<Name> ? never : Name;
}[FormFieldName];
export const isChoice = (name: FormFieldName): name is ChoiceFieldName => rows[name].form?.kind === 'choice';

/** The column of Tidy's table that shows a field, by its id. */
export type TableColumnOf<Row> = Row extends { table?: infer Table }
  ? NonNullable<Table> extends { readonly id: infer Id extends string }
    ? string extends Id
      ? never
      : Id
    : never
  : never;
export type EventTableColumn = { [Name in FieldName]: TableColumnOf<Table[Name]> }[FieldName];

/** The fields that hold what a person wrote: an entry without any of it says nothing. */
export const CONTENT_FIELDS = FIELD_NAMES.filter((name) => {
  const { search, form } = rows[name];
  return search !== undefined || (form !== undefined && form.kind !== 'choice');
});

/** How much stands in such a field: letters of a text, members of a list. */
export const contentLength = (value: unknown): number =>
  typeof value === 'string' ? value.trim().length : Array.isArray(value) ? value.length : 0;

/** The column that holds a field in a table, by its id. */
export type FieldColumnId = {
  [Name in FieldName]: NonNullable<Table[Name]['column']>['id'];
}[FieldName];

/** The fields that an edit for more than one occurrence sets for all. */
export const SHARED_FIELDS = FIELD_NAMES.filter((name) => rows[name].scope === 'shared');

/** All fields as they begin, but for those that every event is made with. */
export const initialFields = (): Omit<EventFields, 'calendarId' | 'start' | 'end'> =>
  Object.fromEntries(
    FIELD_NAMES.filter((name) => rows[name].initial !== 'required' && rows[name].initial !== undefined).map(
      (name) => [name, rows[name].initial],
    ),
  ) as unknown as Omit<EventFields, 'calendarId' | 'start' | 'end'>;

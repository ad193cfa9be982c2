import { uidOf } from '../../change/versions';
import { type EntryFieldName, fieldsOf, initialValues } from '../../fields/fieldsOf';
import type { PropertySource } from '../../fields/field';
import { readAlarms, REMINDERS_PROPERTY } from '../../fields/alarms';
import type { CalendarEvent, Entry, EntryBase } from '../../model/entry';
import type { Preserved } from '../../model/preserved';
import type { EventTime } from '../../model/eventTime';
import { DAY, isRealDate } from '../../time/civil';
import { parseDuration } from '../../time/duration';
import { atInstant, atWall, instantOf, wallOf } from '../../time/eventTime';
import { LAST_WALL } from '../../recurrence/expandRule';
import type { ComponentLines } from './fileText';
import type { ReadContext, ReadLine } from './readContext';
import { asJCal, readProperties } from './readLines';
import { readRecurrence } from './readRecurrence';
import { SKIP_PROPERTY } from './skipDaysOffProperty';

/** Properties of every entry that are no fields of a table. */
const OF_ALL = [
  'uid',
  'dtstamp',
  'dtstart',
  'duration',
  'rrule',
  'rdate',
  'exdate',
  'recurrence-id',
  'sequence',
  'created',
  'last-modified',
  SKIP_PROPERTY,
  REMINDERS_PROPERTY,
];

/** How one kind of entry is read: what its fields say by properties of theirs. */
function readingOf(kind: Entry['kind'], end: string) {
  const { names: fields, rowOf } = fieldsOf(kind);
  const codecs = fields.flatMap((name) => {
    const { property, initial } = rowOf(name);
    return property ? [{ name, initial, ...property }] : [];
  });
  return {
    kind,
    codecs,
    /** Properties that may stand several times and are read whole. */
    repeated: new Set([
      'rrule',
      'rdate',
      'exdate',
      ...codecs.flatMap(({ isRepeated, names }) => (isRepeated ? [names[0]!] : [])),
    ]),
    /** Properties whose fields keep all parameters themselves. */
    withParameters: new Set(codecs.flatMap(({ holdsParameters, names }) => (holdsParameters ? names : []))),
    known: new Set([...OF_ALL, end, ...codecs.flatMap(({ names }) => names)]),
  };
}
type Reading = ReturnType<typeof readingOf>;

/** A VEVENT (RFC 5545 3.6.1) and a VTODO (3.6.2), by the property that says their end. */
const READINGS: Readonly<Record<Entry['kind'], Reading>> = {
  event: readingOf('event', 'dtend'),
  todo: readingOf('todo', 'due'),
};

const LOCAL = /^\d{4}-\d\d-\d\dT([01]\d|2[0-3]):[0-5]\d:[0-5]\dZ?$/;
const DATE = /^\d{4}-\d\d-\d\d$/;

/** The event times of a date property: DATE or DATE-TIME. */
export function readTimes({ property, line }: ReadLine, context: ReadContext): EventTime[] {
  const [, parameters, , ...values] = property;
  // A name of no letters names no zone: such times are no zone's.
  const name = typeof parameters.tzid === 'string' && parameters.tzid !== '' ? parameters.tzid : undefined;
  let zone = name === undefined ? undefined : context.findZone(name);
  if (name !== undefined && zone !== name) {
    context.report({
      line: line.line,
      code: zone === undefined ? 'unknown-zone' : 'mapped-zone',
      detail: zone === undefined ? name : `${name} → ${zone}`,
    });
    zone ??= name;
  }
  return values.flatMap((value): EventTime[] => {
    const text = String(value);
    if (!isRealDate(text) || !(LOCAL.test(text) || DATE.test(text))) {
      context.report({ line: line.line, code: 'unreadable-line', detail: line.text.slice(0, 120) });
      return [];
    }
    if (DATE.test(text)) return [{ kind: 'date', date: text }];
    if (text.endsWith('Z')) return [{ kind: 'zoned', local: text.slice(0, 19), zone: 'UTC' }];
    return zone === undefined ? [{ kind: 'floating', local: text }] : [{ kind: 'zoned', local: text, zone }];
  });
}

/** The end after a DURATION: days nominal, hours exact (RFC 5545 3.3.6). */
export function afterDuration(start: EventTime, text: string, zone: string): EventTime | undefined {
  const duration = parseDuration(text);
  if (!duration) return undefined;
  const days = () => atWall(start, wallOf(start) + duration.days * DAY);
  const reached = wallOf(start) + duration.days * DAY + duration.exact;
  // Nothing lasts beyond the calendar.
  if (!(reached < LAST_WALL && reached > -LAST_WALL)) return undefined;
  if (duration.exact === 0) return days();
  return start.kind === 'zoned'
    ? atInstant(days(), instantOf(days(), zone) + duration.exact, zone)
    : atWall(start, reached);
}

/** The reminders that an entry's alarms are; other alarms are kept as they are, and it is said. */
function alarmsOf(component: ComponentLines, title: string, hasNone: boolean, context: ReadContext) {
  const components = component.components.map((part) => asJCal(part, context.report));
  const read = readAlarms(components, { title }, hasNone);
  const detail = title.slice(0, 120);
  if (read.unsaid > 0) context.report({ line: component.line, code: 'kept-alarm', detail });
  if (read.tooMany > 0) context.report({ line: component.line, code: 'too-many-alarms', detail });
  return read;
}

/** The fields that properties say, and which properties say what the model can't. */
function readFields(
  source: PropertySource,
  { codecs }: Reading,
): { fields: Partial<Record<EntryFieldName, unknown>>; unsaid: ReadonlySet<string> } {
  const fields: Partial<Record<EntryFieldName, unknown>> = {};
  const unsaid = new Set<string>();
  for (const { name, initial, names, read, unsayable, foreign } of codecs) {
    const other = foreign && source.like?.(foreign.names);
    const value = read(source) ?? (other && foreign.read(other)) ?? initial;
    if (value !== undefined) fields[name] = value;
    const text = source.text(names[0]!);
    if (text !== '' && unsayable?.is(text) && unsayable.standsFor(text, value)) unsaid.add(names[0]!);
  }
  return { fields, unsaid };
}

/** Parameters that the model holds with the value. */
const READ_PARAMETERS = new Set(['tzid', 'value', 'range']);

/** The parameters of known properties that the model does not hold, such as LANGUAGE and ALTREP, by property. */
function parametersOf(
  lines: readonly ReadLine[],
  { known, repeated, withParameters }: Reading,
): Pick<Preserved, 'parameters'> {
  const parameters: NonNullable<Preserved['parameters']> = {};
  for (const { property } of lines) {
    const [name, given] = property;
    if (!known.has(name) || (repeated.has(name) && name !== 'categories')) continue;
    if (name === SKIP_PROPERTY || withParameters.has(name) || name in parameters) continue;
    const further = Object.entries(given).filter(([parameter]) => !READ_PARAMETERS.has(parameter));
    if (further.length > 0) parameters[name] = Object.fromEntries(further);
  }
  return Object.keys(parameters).length > 0 ? { parameters } : {};
}

/** What a component says, ready to be made an entry. */
export interface ReadParts {
  readonly named: (name: string) => readonly ReadLine[];
  readonly text: (name: string) => string;
  readonly times: (name: string) => EventTime[];
  /** What it says of one kind of entry, repeats counted from a start; without one it does not repeat. */
  readonly common: (start: EventTime | undefined) => ReadCommon;
}

/** What every entry has, whatever it is. */
interface ReadCommon {
  readonly fields: Readonly<Record<string, unknown>>;
  readonly identity: Pick<EntryBase, 'id' | 'uid' | 'calendarId' | 'sequence' | 'created' | 'modified'> &
    Pick<CalendarEvent, 'recurrence' | 'recurrenceId' | 'recurrenceRange' | 'reminders' | 'preserved'>;
}

/** Reads the parts of a component that is an entry of a kind. */
export function readParts(kind: Entry['kind'], component: ComponentLines, context: ReadContext): ReadParts {
  const reading = READINGS[kind];
  const lines = readProperties(component, context.report);
  const named = (name: string) => lines.filter(({ property }) => property[0] === name);
  const text = (name: string) => String(named(name)[0]?.property[3] ?? '');
  const times = (name: string) => named(name).flatMap((line) => readTimes(line, context));
  const instant = (name: string) => {
    const [time] = times(name);
    return time ? instantOf(time, 'UTC') : undefined;
  };
  const common = (start: EventTime | undefined): ReadCommon => {
    const recurrenceId = times('recurrence-id')[0];
    const range = String(named('recurrence-id')[0]?.property[1]['range'] ?? '').toUpperCase();
    const repeats =
      start &&
      readRecurrence(
        lines,
        start,
        context,
        (line) => readTimes(line, context),
        (from, length) => afterDuration(from, length, context.zone),
      );
    const further = (repeats?.recurrence.dates.length ?? 0) + (repeats?.recurrence.periods?.length ?? 0);
    const recurs = repeats && !recurrenceId && repeats.recurrence.rules.length + further > 0;
    const { fields, unsaid } = readFields(
      {
        text,
        all: (name) => named(name).map(({ property }) => property),
        like: (names) => lines.find(({ property }) => names.test(property[0]))?.property,
      },
      reading,
    );
    const { reminders, kept } = alarmsOf(
      component,
      String(fields.title ?? ''),
      text(REMINDERS_PROPERTY).toUpperCase() === 'NONE',
      context,
    );
    const { known, repeated } = reading;
    const preserved: Preserved = {
      properties: [
        ...lines
          .map(({ property }) => property)
          .filter(
            (property) =>
              !known.has(property[0]) ||
              unsaid.has(property[0]) ||
              // Of what may stand once, the first counts; a second one is not lost either.
              (!repeated.has(property[0]) && property !== named(property[0])[0]!.property),
          ),
        ...(repeats?.kept ?? []),
      ],
      components: kept,
      ...parametersOf(lines, reading),
    };
    const id = context.newId();
    return {
      fields: { ...initialValues(kind), ...fields },
      identity: {
        id,
        uid: text('uid') || uidOf(id),
        calendarId: '-',
        ...(recurs ? { recurrence: repeats.recurrence } : {}),
        ...(recurrenceId ? { recurrenceId } : {}),
        ...(recurrenceId && range === 'THISANDFUTURE' ? { recurrenceRange: 'this-and-future' as const } : {}),
        ...(reminders ? { reminders } : {}),
        sequence: Math.max(0, Math.trunc(Number(text('sequence')) || 0)),
        created: instant('created') ?? context.now,
        modified: instant('last-modified') ?? instant('dtstamp') ?? context.now,
        ...(preserved.properties.length + preserved.components.length > 0 || preserved.parameters
          ? { preserved }
          : {}),
      },
    };
  };
  return { named, text, times, common };
}

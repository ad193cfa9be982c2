import { uidOf } from '../../change/versions';
import { FIELD_NAMES, type FieldName, initialFields, rowOf } from '../../fields/eventFields';
import type { PropertySource } from '../../fields/field';
import { readAlarms, REMINDERS_PROPERTY } from '../../fields/alarms';
import type { CalendarEvent, EventFields } from '../../model/entry';
import type { Preserved } from '../../model/preserved';
import type { EventTime } from '../../model/eventTime';
import { DAY, isRealDate, parseLocal } from '../../time/civil';
import { parseDuration } from '../../time/duration';
import { atInstant, atWall, instantOf, wallOf } from '../../time/eventTime';
import { LAST_WALL } from '../../recurrence/expandRule';
import { wallToInstant } from '../../time/zones';
import type { ComponentLines } from './fileText';
import type { ReadContext, ReadLine } from './readContext';
import { asJCal, readProperties } from './readLines';
import { readRecurrence } from './readRecurrence';
import { SKIP_PROPERTY } from './skipDaysOffProperty';

/** What a VEVENT says of fields by properties of theirs. */
const CODECS = FIELD_NAMES.flatMap((name) => {
  const { property } = rowOf(name);
  return property ? [{ name, ...property }] : [];
});

/** Properties that may stand several times and are read whole. */
const REPEATED = new Set([
  'rrule',
  'rdate',
  'exdate',
  ...CODECS.flatMap(({ isRepeated, names }) => (isRepeated ? [names[0]!] : [])),
]);

/** Properties whose fields keep all parameters themselves. */
const WITH_PARAMETERS = new Set(
  CODECS.flatMap(({ holdsParameters, names }) => (holdsParameters ? names : [])),
);

const KNOWN = new Set([
  'uid',
  'dtstamp',
  'dtstart',
  'dtend',
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
  ...CODECS.flatMap(({ names }) => names),
]);

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
function afterDuration(start: EventTime, text: string, zone: string): EventTime | undefined {
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

function readEnd(
  start: EventTime,
  end: EventTime | undefined,
  duration: ReadLine | undefined,
  context: ReadContext,
) {
  const day = start.kind === 'date' ? DAY : 0;
  if (end) return end.kind === 'date' && start.kind !== 'date' ? atWall(start, wallOf(end)) : end;
  const after = duration && afterDuration(start, String(duration.property[3]), context.zone);
  if (duration && !after) {
    const { line, text } = duration.line;
    context.report({ line, code: 'unreadable-line', detail: text.slice(0, 120) });
  }
  return after ?? atWall(start, wallOf(start) + day);
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
function readFields(source: PropertySource): { fields: Partial<EventFields>; unsaid: ReadonlySet<string> } {
  const fields: Partial<Record<FieldName, unknown>> = {};
  const unsaid = new Set<string>();
  for (const { name, names, read, unsayable, foreign } of CODECS) {
    const other = foreign && source.like?.(foreign.names);
    const value = read(source) ?? (other && foreign.read(other)) ?? rowOf(name).initial;
    if (value !== undefined) fields[name] = value;
    const text = source.text(names[0]!);
    if (text !== '' && unsayable?.is(text) && unsayable.standsFor(text, value)) unsaid.add(names[0]!);
  }
  return { fields: fields as Partial<EventFields>, unsaid };
}

/** Parameters that the model holds with the value. */
const READ_PARAMETERS = new Set(['tzid', 'value', 'range']);

/** The parameters of known properties that the model does not hold, such as LANGUAGE and ALTREP, by property. */
function parametersOf(lines: readonly ReadLine[]): Pick<Preserved, 'parameters'> {
  const parameters: NonNullable<Preserved['parameters']> = {};
  for (const { property } of lines) {
    const [name, given] = property;
    if (!KNOWN.has(name) || (REPEATED.has(name) && name !== 'categories')) continue;
    if (name === SKIP_PROPERTY || WITH_PARAMETERS.has(name) || name in parameters) continue;
    const further = Object.entries(given).filter(([parameter]) => !READ_PARAMETERS.has(parameter));
    if (further.length > 0) parameters[name] = Object.fromEntries(further);
  }
  return Object.keys(parameters).length > 0 ? { parameters } : {};
}

/** Reads a VEVENT (RFC 5545 3.6.1), or undefined if it has no readable start. Which series it belongs to is set later. */
export function readEvent(component: ComponentLines, context: ReadContext): CalendarEvent | undefined {
  const lines = readProperties(component, context.report);
  const named = (name: string) => lines.filter(({ property }) => property[0] === name);
  const text = (name: string) => String(named(name)[0]?.property[3] ?? '');
  const times = (name: string) => named(name).flatMap((line) => readTimes(line, context));
  const instant = (name: string) => {
    const [time] = times(name);
    return time ? instantOf(time, 'UTC') : undefined;
  };

  const start = times('dtstart')[0];
  if (!start) {
    context.report({ line: component.line, code: 'no-start', detail: text('summary').slice(0, 120) });
    return undefined;
  }
  let end = readEnd(start, times('dtend')[0], named('duration')[0], context);
  if (end.kind !== start.kind) end = atWall(start, wallOf(end));
  if (
    instantOf(end, context.zone) < instantOf(start, context.zone) ||
    (start.kind === 'date' && wallOf(end) <= wallOf(start))
  ) {
    if (wallOf(end) < wallOf(start))
      context.report({
        line: component.line,
        code: 'end-before-start',
        detail: text('summary').slice(0, 120),
      });
    end = readEnd(start, undefined, undefined, context);
  }

  const recurrenceId = times('recurrence-id')[0];
  const range = String(named('recurrence-id')[0]?.property[1]['range'] ?? '').toUpperCase();
  const { recurrence, kept: keptOfRecurrence } = readRecurrence(
    lines,
    start,
    context,
    (line) => readTimes(line, context),
    (from, length) => afterDuration(from, length, context.zone),
  );
  const further = recurrence.dates.length + (recurrence.periods?.length ?? 0);
  const recurs = !recurrenceId && recurrence.rules.length + further > 0;
  const { fields, unsaid } = readFields({
    text,
    all: (name) => named(name).map(({ property }) => property),
    like: (names) => lines.find(({ property }) => names.test(property[0]))?.property,
  });
  const { reminders, kept } = alarmsOf(
    component,
    fields.title ?? '',
    text(REMINDERS_PROPERTY).toUpperCase() === 'NONE',
    context,
  );
  const preserved: Preserved = {
    properties: [
      ...lines
        .map(({ property }) => property)
        .filter(
          (property) =>
            !KNOWN.has(property[0]) ||
            unsaid.has(property[0]) ||
            // Of what may stand once, the first counts; a second one is not lost either.
            (!REPEATED.has(property[0]) && property !== named(property[0])[0]!.property),
        ),
      ...keptOfRecurrence,
    ],
    components: kept,
    ...parametersOf(lines),
  };
  const id = context.newId();
  return {
    ...initialFields(),
    ...fields,
    kind: 'event',
    id,
    uid: text('uid') || uidOf(id),
    calendarId: '-',
    start,
    end,
    ...(recurs ? { recurrence } : {}),
    ...(recurrenceId ? { recurrenceId } : {}),
    ...(recurrenceId && range === 'THISANDFUTURE' ? { recurrenceRange: 'this-and-future' } : {}),
    ...(reminders ? { reminders } : {}),
    sequence: Math.max(0, Math.trunc(Number(text('sequence')) || 0)),
    created: instant('created') ?? context.now,
    modified: instant('last-modified') ?? instant('dtstamp') ?? context.now,
    ...(preserved.properties.length + preserved.components.length > 0 || preserved.parameters
      ? { preserved }
      : {}),
  };
}

/** The instant of an UNTIL that allows the whole of a date in a zone: the day's last second. */
export const endOfDate = (date: string, zone: string): number =>
  wallToInstant(zone, parseLocal(`${date}T23:59:59`));

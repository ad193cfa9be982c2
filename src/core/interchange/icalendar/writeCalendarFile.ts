import ICAL from 'ical.js';
import type { Calendar } from '../../model/calendar';
import { fieldsOf, valueOf } from '../../fields/fieldsOf';
import { REMINDERS_PROPERTY, writeAlarm } from '../../fields/alarms';
import {
  type CalendarEvent,
  type Dated,
  type Entry,
  type EntryBase,
  isDated,
  isEvent,
  seriesOf,
  type Todo,
} from '../../model/entry';
import type { UsualReminders } from '../../model/reminder';
import { remindersOf } from '../../reminders/dueTimes';
import type { EventTime } from '../../model/eventTime';
import type { Preserved } from '../../model/preserved';
import { formatRule, parseRule } from '../../recurrence/rule';
import { readRules, Series } from '../../recurrence/series';
import { DAY, dayNumber, localString, parseLocal } from '../../time/civil';
import { atInstant, instantOf } from '../../time/eventTime';
import { isKnownZone } from '../../time/zones';
import { colourProperties } from '../../fields/colourProperty';
import { DESIGN } from './design';
import type { JCalComponent, JCalProperty } from '../../model/jcal';
import { endOfDate } from './readEvent';
import { zonesNamed } from './readLines';
import { type DaysOffSource, skipProperties } from './skipDaysOffProperty';
import { dueOf } from '../../todos/todoSpan';
import { writeTimezone, type ZoneSpan } from './writeTimezone';

const PRODUCT = '-//Orderly Week//Orderly Week//EN';
const utc = (instant: number): string => `${localString(Math.floor(instant / 1000) * 1000)}Z`;

function timeProperty(name: string, time: EventTime): JCalProperty {
  switch (time.kind) {
    case 'date':
      return [name, {}, 'date', time.date];
    case 'floating':
      return [name, {}, 'date-time', time.local];
    case 'zoned':
      return time.zone === 'UTC'
        ? [name, {}, 'date-time', `${time.local}Z`]
        : [name, { tzid: time.zone }, 'date-time', time.local];
  }
}

function recurrenceIdProperty(time: EventTime, range: CalendarEvent['recurrenceRange']): JCalProperty {
  const [name, parameters, type, ...values] = timeProperty('recurrence-id', time);
  return [name, range ? { ...parameters, range: 'THISANDFUTURE' } : parameters, type, ...values];
}

/** A further date with its own end (RFC 5545 3.3.9). */
function periodProperty({ start, end }: { start: EventTime; end: EventTime }): JCalProperty {
  const [name, parameters, , from] = timeProperty('rdate', start);
  // Both ends are written in the zone of the start, the only one that the property can name.
  const zone = start.kind === 'zoned' ? start.zone : 'UTC';
  const there = atInstant(start, instantOf(end, zone), zone);
  return [name, parameters, 'period', [from, timeProperty('rdate', there)[3]]];
}

/** What the model says of an event, with the parameters that were read with it. */
function withParameters(
  properties: readonly JCalProperty[],
  preserved: Preserved | undefined,
): JCalProperty[] {
  const kept = preserved?.parameters;
  if (!kept) return [...properties];
  const told = new Set<string>();
  return properties.map((property): JCalProperty => {
    const [name, parameters, ...rest] = property;
    const further = kept[name];
    if (!further || told.has(name)) return property;
    told.add(name);
    return [name, { ...(further as typeof parameters), ...parameters }, ...rest];
  });
}

/** The codec of the field that a kept property was read for, if the model can't say its value. */
function beyondModel(kind: Entry['kind'], [name, , , value]: JCalProperty) {
  const { names, rowOf } = fieldsOf(kind);
  const field = names.find((each) => rowOf(each).property?.names[0] === name);
  const unsayable = field && rowOf(field).property?.unsayable;
  return field && unsayable?.is(String(value)) ? { field, unsayable } : undefined;
}

/** Whether a kept property is written: one that the model can't say as long as it stands for what the entry says. */
function isStillSaid(property: JCalProperty, entry: Entry): boolean {
  const { names, rowOf } = fieldsOf(entry.kind);
  for (const name of names) {
    const foreign = rowOf(name).property?.foreign;
    if (foreign?.names.test(property[0])) return foreign.says(property, valueOf(entry, name));
  }
  const beyond = beyondModel(entry.kind, property);
  return !beyond || beyond.unsayable.standsFor(String(property[3]), valueOf(entry, beyond.field));
}

const line = (property: JCalProperty): string => ICAL.stringify.property(property, DESIGN, false);

/** A rule as a file must have it: with a zoned start, UNTIL is in UTC (RFC 5545 3.3.10). */
function ruleLine(text: string, start: EventTime): string {
  const { rules } = readRules([text]);
  const rule = rules[0];
  if (!rule?.until) return `RRULE:${text}`;
  // With whole days, UNTIL is a date.
  if (start.kind === 'date' && rule.until.kind !== 'date')
    return `RRULE:${formatRule({ ...rule, until: { kind: 'date', value: rule.until.value.slice(0, 10) } })}`;
  if (start.kind !== 'zoned' || rule.until.kind === 'utc') return `RRULE:${text}`;
  const instant =
    rule.until.kind === 'date'
      ? endOfDate(rule.until.value, start.zone)
      : instantOf({ ...start, local: localString(parseLocal(rule.until.value)) }, start.zone);
  return `RRULE:${formatRule({ ...parseRule(text), until: { kind: 'utc', value: localString(instant) } })}`;
}

/** The alarms of an entry: its own reminders, or those that are usual in its calendar and marked so. */
function alarmsOf(entry: Entry, usual: WriteContext['usual']): JCalComponent[] {
  if (entry.reminders) return entry.reminders.map((reminder) => writeAlarm(reminder, entry));
  return remindersOf(entry, usual?.get(entry.calendarId)).map((reminder) =>
    writeAlarm(reminder, entry, true),
  );
}

interface WriteContext {
  readonly overridesOf: (entry: Entry) => readonly Dated[];
  readonly daysOff: DaysOffSource | undefined;
  readonly withoutHistory: HiddenHistory | undefined;
  readonly usual: ReadonlyMap<string, UsualReminders> | undefined;
}

/** Events whose making and changing is nobody's business, and the instant that stands for it. */
interface HiddenHistory {
  readonly ids: ReadonlySet<string>;
  readonly now: number;
}

/** When an event was made and changed (RFC 5545 3.8.7). */
function historyProperties(event: EntryBase, hidden: HiddenHistory | undefined): JCalProperty[] {
  if (hidden?.ids.has(event.id)) return [['dtstamp', {}, 'date-time', utc(hidden.now)]];
  return [
    ['dtstamp', {}, 'date-time', utc(event.modified)],
    ['created', {}, 'date-time', utc(event.created)],
    ['last-modified', {}, 'date-time', utc(event.modified)],
  ];
}

/** When an event is, or a to-do is to be done. */
const spanProperties = (entry: Entry): JCalProperty[] =>
  isEvent(entry)
    ? [timeProperty('dtstart', entry.start), timeProperty('dtend', entry.end)]
    : todoSpanProperties(entry);

/** A series has to have a start (RFC 5545 3.8.5.3); else none is written that was not said. */
function todoSpanProperties(todo: Todo): JCalProperty[] {
  const due = dueOf(todo);
  const start = todo.hasStart || todo.recurrence ? todo.start : undefined;
  return [...(start ? [timeProperty('dtstart', start)] : []), ...(due ? [timeProperty('due', due)] : [])];
}

const NAMES = { event: 'VEVENT', todo: 'VTODO' } as const;

/** The lines of a VEVENT or VTODO (RFC 5545 3.6.1 and 3.6.2), with what a file held beyond the model. */
function entryLines(event: Entry, context: WriteContext): string[] {
  const { names, rowOf } = fieldsOf(event.kind);
  const series = seriesOf(event);
  const preserved = ((event.preserved?.properties ?? []) as JCalProperty[]).filter((property) =>
    isStillSaid(property, event),
  );
  const standing = new Set(
    preserved.filter((property) => beyondModel(event.kind, property)).map(([name]) => name),
  );
  const own: JCalProperty[] = [
    ['uid', {}, 'text', event.uid],
    ...historyProperties(event, context.withoutHistory),
    ...spanProperties(event),
    ...(event.recurrenceId ? [recurrenceIdProperty(event.recurrenceId, event.recurrenceRange)] : []),
    ...(event.recurrence?.dates ?? []).map((time) => timeProperty('rdate', time)),
    ...(event.recurrence?.periods ?? []).map(periodProperty),
    ...(event.recurrence?.exceptionDates ?? []).map((time) => timeProperty('exdate', time)),
    ...(series ? skipProperties(series, context.overridesOf(event), context.daysOff, timeProperty) : []),
    ...names.flatMap((name) => rowOf(name).property?.write(valueOf(event, name), event) ?? []),
    ...(event.reminders?.length === 0
      ? ([[REMINDERS_PROPERTY, {}, 'text', 'NONE']] satisfies JCalProperty[])
      : []),
    ['sequence', {}, 'integer', event.sequence],
  ];
  const properties = [
    ...withParameters(
      own.filter(([name]) => !standing.has(name)),
      event.preserved,
    ),
    ...preserved,
  ];
  return [
    `BEGIN:${NAMES[event.kind]}`,
    ...properties.map(line),
    ...(series?.recurrence?.rules ?? []).map((rule) => ruleLine(rule, series!.start)),
    ...[...alarmsOf(event, context.usual), ...(event.preserved?.components ?? [])].map((component) =>
      ICAL.stringify.component(component as JCalComponent, DESIGN),
    ),
    `END:${NAMES[event.kind]}`,
  ];
}

/** The zones that events use, with the span of instants that each is needed for; without an end for an endless series. */
function zoneSpans(events: readonly Entry[]): Map<string, ZoneSpan> {
  const spans = new Map<string, ZoneSpan>();
  for (const event of events) {
    const { recurrence } = event;
    const series = seriesOf(event);
    const lastWall = series ? new Series(series).lastWall('UTC') : -Infinity;
    const further = [
      ...(recurrence?.dates ?? []),
      ...(recurrence?.exceptionDates ?? []),
      ...(recurrence?.periods ?? []).flatMap(({ start, end }) => [start, end]),
    ];
    for (const time of [
      ...(event.start ? [event.start] : []),
      ...(event.end ? [event.end] : []),
      ...(event.recurrenceId ? [event.recurrenceId] : []),
      ...further,
    ]) {
      if (time.kind !== 'zoned' || time.zone === 'UTC' || !isKnownZone(time.zone)) continue;
      const at = instantOf(time, time.zone);
      const known = spans.get(time.zone);
      spans.set(time.zone, {
        first: Math.min(at, known?.first ?? Infinity),
        last: Math.max(at, lastWall + 2 * DAY, known?.last ?? -Infinity),
      });
    }
  }
  return spans;
}

/** What a file says of the calendar whose events it holds. */
export type WrittenCalendar = Pick<Calendar, 'name' | 'description'> &
  Partial<Pick<Calendar, 'colour' | 'preserved'>>;

/** What else is to be known to write a file. */
export interface WriteOptions {
  /** What series that skip days off need; without it, only that they do so is written. */
  readonly daysOff?: DaysOffSource | undefined;
  /** Events of which it is not said when they were made and changed. */
  readonly withoutHistory?: HiddenHistory | undefined;
  /** The usual reminders of calendars by their ids, written with the events that follow them. */
  readonly usual?: ReadonlyMap<string, UsualReminders> | undefined;
}

/** The zones that kept properties name, each from its first date on. */
function keptZoneSpans(
  properties: readonly (readonly unknown[])[],
  components: readonly (readonly unknown[])[],
): Map<string, ZoneSpan> {
  const known = [...zonesNamed(properties, components)].filter((zone) => zone !== 'UTC' && isKnownZone(zone));
  return new Map(known.map((zone) => [zone, { first: EARLIEST_KEPT, last: Infinity }]));
}

/** Kept components say their times only in their texts: their zones are written for the whole time of the web. */
const EARLIEST_KEPT = dayNumber(1990, 1, 1) * DAY;

/**
 * Writes entries as an iCalendar file (RFC 5545) with the time zones that they use and, for one calendar, its
 * name, description and colour (RFC 7986), and what its file held beyond events.
 */
export function writeCalendarFile(
  events: readonly Entry[],
  calendar?: WrittenCalendar,
  { daysOff, withoutHistory, usual }: WriteOptions = {},
): string {
  const overrides = new Map<string, Dated[]>();
  for (const event of events)
    if (event.seriesId !== undefined && isDated(event))
      overrides.set(event.seriesId, [...(overrides.get(event.seriesId) ?? []), event]);
  const context: WriteContext = {
    overridesOf: (event) => overrides.get(event.id) ?? [],
    daysOff,
    withoutHistory,
    usual,
  };
  const text = (name: string, value: string | undefined): JCalProperty[] =>
    value ? [[name, {}, 'text', value]] : [];
  const kept = (calendar?.preserved?.components ?? []) as JCalComponent[];
  const isZone = ([name]: JCalComponent) => name === 'vtimezone';
  const keptZones = new Set(
    kept.filter(isZone).map(([, properties]) => properties.find(([name]) => name === 'tzid')?.[3]),
  );
  const properties: JCalProperty[] = [
    ...text('name', calendar?.name),
    ...text('x-wr-calname', calendar?.name),
    ...text('description', calendar?.description),
    ...colourProperties(calendar?.colour),
    ...((calendar?.preserved?.properties ?? []) as JCalProperty[]),
  ];
  const spans = new Map([
    ...keptZoneSpans(
      [...properties, ...events.flatMap((event) => event.preserved?.properties ?? [])],
      [...kept, ...events.flatMap((event) => event.preserved?.components ?? [])],
    ),
    ...zoneSpans(events),
  ]);
  const componentLines = (component: JCalComponent) => ICAL.stringify.component(component, DESIGN);
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    `PRODID:${PRODUCT}`,
    'CALSCALE:GREGORIAN',
    ...properties.map(line),
    ...kept.filter(isZone).map(componentLines),
    ...[...spans]
      .filter(([zone]) => !keptZones.has(zone))
      .flatMap(([zone, span]) => writeTimezone(zone, span)),
    ...events.flatMap((event) => entryLines(event, context)),
    ...kept.filter((component) => !isZone(component)).map(componentLines),
    'END:VCALENDAR',
  ];
  return `${lines.join('\r\n')}\r\n`;
}

import type { CalendarEvent, Entry, Todo } from '../model/entry';
import type { JCalComponent, JCalProperty } from '../model/jcal';
import type { Preserved } from '../model/preserved';
import {
  MOST_REMINDERS,
  offsetTrigger,
  Reminder,
  type ReminderTrigger,
  type ReminderWay,
} from '../model/reminder';
import { DAY, MINUTE } from '../time/civil';
import { clockOfMinute } from '../time/clockTime';
import { formatDuration, parseDuration } from '../time/duration';
import { wallOf } from '../time/eventTime';

/** What a reminder of an entry without a title says in a file. */
const PLAIN_REMINDER = 'Reminder';
/** Extends ACTION by the ways that it can't say, or not without an address. */
const BY_PROPERTY = 'x-orderly-week-by';
/** Extends TRIGGER: what it stands for, as long as that is still the trigger named in its parameter FOR. */
const TRIGGER_PROPERTY = 'x-orderly-week-trigger';
const FOR = 'x-orderly-week-for';
/** Marks an alarm as one of the usual ones of the calendar, which the entry follows. */
const USUAL_PROPERTY = 'x-orderly-week-usual';
/** Says of an entry that it has no reminders, whatever is usual in its calendar. */
export const REMINDERS_PROPERTY = 'x-orderly-week-reminders';

const WAYS: Readonly<Record<string, ReminderWay>> = { DISPLAY: 'notice', AUDIO: 'sound', EMAIL: 'email' };
const ACTIONS: Readonly<Record<ReminderWay, string>> = {
  notice: 'DISPLAY',
  sound: 'AUDIO',
  email: 'EMAIL',
  text: 'DISPLAY',
};

type Timed = Pick<Entry, 'kind' | 'start' | 'end' | 'title'> &
  Pick<Partial<CalendarEvent>, 'travel'> &
  Pick<Partial<Todo>, 'hasStart' | 'isNeverDue'>;

const named = (properties: readonly JCalProperty[], name: string): readonly JCalProperty[] =>
  properties.filter((property) => property[0] === name);
const textOf = (properties: readonly JCalProperty[], name: string): string =>
  String(named(properties, name)[0]?.[3] ?? '');

/** The instant of a date and time in UTC, with or without signs between its parts; NaN for anything else. */
const utcInstant = (text: string): number =>
  Date.parse(
    text
      .replace(/^(\d{4})-?(\d\d)-?(\d\d)T(\d\d):?(\d\d):?(\d\d)Z$/, '$1-$2-$3T$4:$5:$6Z')
      .replace(/^.*[^Z]$/, ''),
  );

/** "leaving -PT10M", "day 1 16:00": what a standard trigger can't say. */
function ownTrigger(text: string): ReminderTrigger | undefined {
  const leaving = /^leaving (\S+)$/.exec(text);
  const duration = leaving ? parseDuration(leaving[1]!) : undefined;
  if (duration) return offsetTrigger(duration.exact / MINUTE, 'leaving', duration.days);
  const day = /^day (\d{1,4}) ([01]\d|2[0-3]):([0-5]\d)$/.exec(text);
  return day
    ? { kind: 'time-of-day', daysBefore: Number(day[1]), minute: Number(day[2]) * 60 + Number(day[3]) }
    : undefined;
}

function triggerOf(properties: readonly JCalProperty[]): ReminderTrigger | undefined {
  const [trigger, second] = named(properties, 'trigger');
  if (!trigger || second) return undefined;
  const [, parameters, type, value] = trigger;
  const [own] = named(properties, TRIGGER_PROPERTY);
  if (own?.[1][FOR] === String(value)) {
    const meant = ownTrigger(String(own[3]));
    if (meant) return meant;
  }
  if (type === 'date-time') {
    // It has to be in UTC (RFC 5545 3.8.6.3): without a zone, nobody can tell when it is meant.
    const at = utcInstant(String(value));
    return Number.isNaN(at) ? undefined : { kind: 'fixed', at };
  }
  const duration = type === 'duration' ? parseDuration(String(value)) : undefined;
  const related = String(parameters['related'] ?? 'START').toUpperCase();
  if (!duration || (related !== 'START' && related !== 'END')) return undefined;
  return offsetTrigger(duration.exact / MINUTE, related === 'END' ? 'end' : 'start', duration.days);
}

const READ = new Set(['action', 'trigger', BY_PROPERTY, TRIGGER_PROPERTY, USUAL_PROPERTY]);
const READ_PARAMETERS = new Set(['related', 'value']);

/** Parameters of what is read, beyond those that are held with it. */
function furtherParameters(properties: readonly JCalProperty[]): NonNullable<Preserved['parameters']> {
  const further: NonNullable<Preserved['parameters']> = {};
  for (const [name, parameters] of properties) {
    const rest = Object.entries(parameters).filter(([parameter]) => !READ_PARAMETERS.has(parameter));
    if (['action', 'trigger', 'description'].includes(name) && rest.length > 0)
      further[name] = Object.fromEntries(rest);
  }
  return further;
}

/** REPEAT and DURATION stand together, or say nothing (RFC 5545 3.6.6). */
function repeatOf(properties: readonly JCalProperty[]): Reminder['repeat'] {
  const duration = parseDuration(textOf(properties, 'duration'));
  const times = Number(textOf(properties, 'repeat'));
  const read = Reminder.shape.repeat.safeParse({
    times,
    everyMinutes: duration && duration.days * 1440 + duration.exact / MINUTE,
  });
  return read.success ? read.data : undefined;
}

/**
 * The reminder that an alarm is (VALARM, RFC 5545 3.6.6, RFC 9074), or undefined for one that the model can't say: of another
 * action, by nearness to a place, at no whole minute, or too far away.
 */
export function readAlarm(
  [name, properties, parts]: JCalComponent,
  { title }: Pick<Timed, 'title'>,
): Reminder | undefined {
  const way = WAYS[textOf(properties, 'action').toUpperCase()];
  const trigger = triggerOf(properties);
  if (name !== 'valarm' || !way || !trigger || named(properties, 'proximity').length > 0) return undefined;
  const repeat = repeatOf(properties);
  const [description] = named(properties, 'description');
  const text = String(description?.[3] ?? '');
  const acknowledged = utcInstant(textOf(properties, 'acknowledged'));
  const said = textOf(properties, BY_PROPERTY).toLowerCase();
  const read = new Set([
    ...READ,
    ...(repeat ? ['repeat', 'duration'] : []),
    ...(Number.isNaN(acknowledged) ? [] : ['acknowledged']),
  ]);
  const kept = properties.filter((property) => !read.has(property[0]) && property !== description);
  const parameters = furtherParameters(properties);
  const hasParameters = Object.keys(parameters).length > 0;
  const reminder = Reminder.safeParse({
    trigger,
    by: way === 'notice' && (said === 'text' || said === 'email') ? said : way,
    ...(text && text !== (title || PLAIN_REMINDER) ? { description: text } : {}),
    ...(repeat ? { repeat } : {}),
    ...(Number.isNaN(acknowledged) ? {} : { acknowledged }),
    ...(kept.length + parts.length > 0 || hasParameters
      ? { preserved: { properties: kept, components: parts, ...(hasParameters ? { parameters } : {}) } }
      : {}),
  });
  return reminder.success ? reminder.data : undefined;
}

/** Whether an alarm stands for one of the calendar's usual reminders, which its entry follows. */
const isUsualAlarm = ([, properties]: JCalComponent): boolean =>
  textOf(properties, USUAL_PROPERTY).toUpperCase() === 'TRUE';

const utc = (instant: number): string => new Date(instant).toISOString().replace(/\.\d+/, '');

/** The day whose time of day a reminder names, as a day number: that of the start, of a to-do that of its due time. */
function dayOf({ kind, start, end, isNeverDue }: Timed): number | undefined {
  const isDue = kind === 'todo' && !isNeverDue && end !== undefined;
  const time = isDue ? end : start;
  if (!time) return undefined;
  // What is due on a date has until its end.
  return Math.floor((wallOf(time) - (isDue && time.kind === 'date' ? 1 : 0)) / DAY);
}

/** A trigger as its properties: one of the standard, and beside it what that can't say. */
function triggerProperties(trigger: ReminderTrigger, entry: Timed): JCalProperty[] {
  const { kind, start, end, travel, hasStart, isNeverDue } = entry;
  // A to-do that is due, and was not said to start, has no DTSTART to count from.
  const isFromEnd = kind === 'todo' && !hasStart && !isNeverDue;
  const base = isFromEnd ? end : start;
  const pair = (minutes: number, meant: string): JCalProperty[] => {
    const value = formatDuration(0, minutes);
    return [
      ['trigger', isFromEnd ? { related: 'END' } : {}, 'duration', value],
      [TRIGGER_PROPERTY, { [FOR]: value }, 'text', meant],
    ];
  };
  if (trigger.kind === 'fixed') return [['trigger', {}, 'date-time', utc(trigger.at)]];
  if (trigger.kind === 'time-of-day') {
    const day = dayOf(entry);
    if (!base || day === undefined) return [];
    return pair(
      ((day - trigger.daysBefore) * DAY + trigger.minute * MINUTE - wallOf(base)) / MINUTE,
      `day ${trigger.daysBefore} ${clockOfMinute(trigger.minute)}`,
    );
  }
  const { from, days, minutes } = trigger;
  if (from === 'leaving')
    return pair(
      Math.round(days * 1440 + minutes - (travel?.there ?? 0)),
      `leaving ${formatDuration(days, minutes)}`,
    );
  // A duration has one sign: of two, only the length can be said.
  const isOneSign = Math.sign(days) * Math.sign(minutes) >= 0;
  const value = isOneSign ? formatDuration(days, minutes) : formatDuration(0, days * 1440 + minutes);
  return [['trigger', from === 'end' ? { related: 'END' } : {}, 'duration', value]];
}

/** The alarms among an entry's components as its reminders, and the components that stay as they are. */
export interface ReadAlarms {
  /** Undefined for an entry that follows its calendar. */
  readonly reminders: Reminder[] | undefined;
  readonly kept: JCalComponent[];
  /** How many alarms can't be said as reminders, and how many were more than an entry is read with. */
  readonly unsaid: number;
  readonly tooMany: number;
}

/**
 * Reads the alarms of an entry.
 * @param hasNone whether it says that it has none, whatever is usual
 */
export function readAlarms(
  components: readonly JCalComponent[],
  event: Pick<Timed, 'title'>,
  hasNone = false,
): ReadAlarms {
  const reminders: Reminder[] = [];
  const kept: JCalComponent[] = [];
  let [unsaid, tooMany, usual] = [0, 0, 0];
  for (const component of components) {
    if (component[0] === 'valarm' && isUsualAlarm(component)) {
      usual++;
      continue;
    }
    const reminder = readAlarm(component, event);
    if (reminder && reminders.length < MOST_REMINDERS) reminders.push(reminder);
    else {
      kept.push(component);
      if (reminder) tooMany++;
      else if (component[0] === 'valarm') unsaid++;
    }
  }
  const follows = reminders.length === 0 && (usual > 0 || !hasNone);
  return { reminders: follows ? undefined : reminders, kept, unsaid, tooMany };
}

/**
 * A reminder as an alarm (VALARM). An e-mail without an addressee is written as a notice that says so: by the standard, it
 * would be none.
 * @param isUsual whether it is one of the calendar's usual ones, which the entry follows
 */
export function writeAlarm(reminder: Reminder, event: Timed, isUsual = false): JCalComponent {
  const { trigger, by, description, repeat, acknowledged, preserved } = reminder;
  const kept = (preserved?.properties ?? []) as JCalProperty[];
  const isAddressed = kept.some(([name]) => name === 'attendee');
  const isNotice = by === 'text' || (by === 'email' && !isAddressed);
  const text = description ?? (event.title || PLAIN_REMINDER);
  const hasKept = (name: string) => kept.some(([kind]) => kind === name);
  const properties: JCalProperty[] = [
    ['action', {}, 'text', isNotice ? 'DISPLAY' : ACTIONS[by]],
    ...(by === 'sound' && description === undefined
      ? []
      : ([['description', {}, 'text', text]] satisfies JCalProperty[])),
    ...(by === 'email' && !isNotice && !hasKept('summary')
      ? ([['summary', {}, 'text', event.title || PLAIN_REMINDER]] satisfies JCalProperty[])
      : []),
    ...triggerProperties(trigger, event),
    ...(isNotice ? ([[BY_PROPERTY, {}, 'text', by.toUpperCase()]] satisfies JCalProperty[]) : []),
    ...(repeat
      ? ([
          ['repeat', {}, 'integer', repeat.times],
          ['duration', {}, 'duration', formatDuration(0, repeat.everyMinutes)],
        ] satisfies JCalProperty[])
      : []),
    ...(acknowledged === undefined
      ? []
      : ([['acknowledged', {}, 'date-time', utc(acknowledged)]] satisfies JCalProperty[])),
    ...(isUsual ? ([[USUAL_PROPERTY, {}, 'text', 'TRUE']] satisfies JCalProperty[]) : []),
  ];
  const parameters = (preserved?.parameters ?? {}) as Record<string, JCalProperty[1]>;
  return [
    'valarm',
    [
      ...properties.map(([name, own, ...rest]): JCalProperty => [
        name,
        { ...parameters[name], ...own },
        ...rest,
      ]),
      ...kept,
    ],
    (preserved?.components ?? []) as JCalComponent[],
  ];
}

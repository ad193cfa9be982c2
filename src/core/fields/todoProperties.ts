import { LONGEST_ESTIMATE, MOST_PARTS, type RepeatAfter, type TodoPart } from '../model/entry';
import type { JCalProperty } from '../model/jcal';
import { localString, parseLocal } from '../time/civil';
import { formatDuration, minutesOfDuration, parseDuration } from '../time/duration';
import type { PropertyCodec } from './field';

/** What a VTODO says that the standard has no property for. */
const ESTIMATE = 'x-orderly-week-estimate';
const PART = 'x-orderly-week-part';
const REPEAT_AFTER = 'x-orderly-week-repeat-after';
/** What marks a part that is done. */
const DONE = 'x-orderly-week-done';

/** An instant in UTC as a file says it, in whole seconds. */
const UTC = /^(\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d)Z$/;

/** COMPLETED (RFC 5545 3.8.2.1): an instant in milliseconds. */
export const completedProperty: PropertyCodec<number | undefined> = {
  names: ['completed'],
  read: ({ text }) => {
    const local = UTC.exec(text('completed'))?.[1];
    const instant = local === undefined ? NaN : parseLocal(local);
    return Number.isFinite(instant) ? instant : undefined;
  },
  write: (value) =>
    value === undefined
      ? []
      : [['completed', {}, 'date-time', `${localString(Math.floor(value / 1000) * 1000)}Z`]],
  unsayable: { is: (text) => !UTC.test(text), standsFor: (_, value) => value === undefined },
};

const readPercent = (text: string): number | undefined =>
  /^\d{1,3}$/.test(text.trim()) && Number(text) <= 100 ? Number(text) : undefined;

/** PERCENT-COMPLETE (RFC 5545 3.8.1.8). */
export const percentProperty: PropertyCodec<number | undefined> = {
  names: ['percent-complete'],
  read: ({ text }) => readPercent(text('percent-complete')),
  write: (value) => (value === undefined ? [] : [['percent-complete', {}, 'integer', value]]),
  unsayable: {
    is: (text) => readPercent(text) === undefined,
    standsFor: (_, value) => value === undefined,
  },
};

function readEstimate(text: string): number | undefined {
  const duration = parseDuration(text);
  const minutes = duration ? Math.round(minutesOfDuration(duration)) : 0;
  return minutes > 0 && minutes <= LONGEST_ESTIMATE ? minutes : undefined;
}

/** How long it takes, in minutes. */
export const estimateProperty: PropertyCodec<number | undefined> = {
  names: [ESTIMATE],
  read: ({ text }) => readEstimate(text(ESTIMATE)),
  write: (value) => (value === undefined ? [] : [[ESTIMATE, {}, 'text', formatDuration(0, value)]]),
  unsayable: {
    is: (text) => readEstimate(text) === undefined,
    standsFor: (_, value) => value === undefined,
  },
};

const readPart = ([, parameters, , value]: JCalProperty): TodoPart => ({
  text: String(value).slice(0, 1000),
  isDone: String(parameters[DONE] ?? '').toUpperCase() === 'TRUE',
});

/** The parts that it has, one a property. */
export const partsProperty: PropertyCodec<TodoPart[] | undefined> = {
  names: [PART],
  isRepeated: true,
  holdsParameters: true,
  read: ({ all }) => {
    const parts = all(PART).slice(0, MOST_PARTS).map(readPart);
    return parts.length > 0 ? parts : undefined;
  },
  write: (value) =>
    (value ?? []).map(({ text, isDone }): JCalProperty => {
      const parameters: Record<string, string> = isDone ? { [DONE]: 'TRUE' } : {};
      return [PART, parameters, 'text', text];
    }),
};

const LETTERS = { days: 'D', weeks: 'W', months: 'M' } as const;

function readRepeatAfter(text: string): RepeatAfter | undefined {
  const match = /^P([1-9]\d{0,2})([DWM])$/i.exec(text.trim());
  if (!match) return undefined;
  const unit = (['days', 'weeks', 'months'] as const).find(
    (each) => LETTERS[each] === match[2]!.toUpperCase(),
  );
  return unit && { every: Number(match[1]), unit };
}

/** After how long it is to be done again, as a period of ISO 8601. */
export const repeatAfterProperty: PropertyCodec<RepeatAfter | undefined> = {
  names: [REPEAT_AFTER],
  read: ({ text }) => readRepeatAfter(text(REPEAT_AFTER)),
  write: (value) =>
    value === undefined ? [] : [[REPEAT_AFTER, {}, 'text', `P${value.every}${LETTERS[value.unit]}`]],
  unsayable: {
    is: (text) => readRepeatAfter(text) === undefined,
    standsFor: (_, value) => value === undefined,
  },
};

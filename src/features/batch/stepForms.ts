import { z } from 'zod';
import {
  BatchStep,
  REPLACED_FIELDS,
  ROUND_GRIDS,
  type StepKind,
  TEXT_STEP_FIELDS,
} from '@/core/model/batchStep';
import { HUES } from '@/core/model/colour';
import { AVAILABILITIES, CLASSIFICATIONS, STATUSES } from '@/core/model/entry';
import type { Calendar } from '@/core/model/calendar';
import { isRealDate } from '@/core/time/civil';
import { minuteOfClock } from '@/core/time/clockTime';
import { QUICK } from '@/ui/reminders/quickReminders';
import { triggerText } from '@/ui/reminderText';
import type { Option } from '@/ui/primitives/PlatformField';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';
import { namesIn } from '@/core/fields/nameList';
import { typedPerson } from '@/core/model/emailAddress';

const said = batchWords.fields;
const hows = batchWords.hows;

/** What is typed and chosen for a step, each field as a text. */
export type TypedStep = Record<string, string>;

/** One field of the form of a step. */
export interface StepControl {
  readonly name: string;
  readonly label: string;
  readonly kind: 'text' | 'notes' | 'number' | 'date' | 'time' | 'zone' | 'choice';
  readonly options?: readonly Option[];
  /** Whether it may be left empty. */
  readonly mayBeEmpty?: boolean;
  readonly hint?: string;
  /** Whether it is asked for, as the others stand. */
  readonly isAsked?: (typed: TypedStep) => boolean;
}

/** The form of a kind of step: its fields, how they begin, and the step that they say. */
export interface StepForm {
  readonly controls: readonly StepControl[];
  readonly start: TypedStep;
  readonly read: (typed: TypedStep) => unknown;
}

/** What the forms have to know of the data. */
export interface StepSurroundings {
  readonly calendars: readonly Pick<Calendar, 'id' | 'name'>[];
  readonly homeZone: string;
  /** `YYYY-MM-DD` */
  readonly today: string;
}

const choice = (
  name: string,
  label: string,
  options: readonly Option[],
  isAsked?: StepControl['isAsked'],
): StepControl => ({ name, label, kind: 'choice', options, ...(isAsked ? { isAsked } : {}) });
const optionsOf = <Value extends string>(
  values: readonly Value[],
  labels: Readonly<Record<Value, string>>,
): Option[] => values.map((value) => ({ value, label: labels[value] }));
const number = (name: string, label: string, hint?: string): StepControl => ({
  name,
  label,
  kind: 'number',
  ...(hint ? { hint } : {}),
});
const minuteAt = (time = ''): number => minuteOfClock(time) ?? -1;
const HOUR_LONG = 60;

const toForm = (kind: StepKind, label: string, options: readonly Option[]): StepForm => ({
  controls: [choice('to', label, options)],
  start: { to: options[0]?.value ?? '' },
  read: ({ to }) => ({ kind, to }),
});

const calendarForm = (kind: StepKind, { calendars }: StepSurroundings): StepForm => ({
  controls: [
    choice(
      'calendar',
      said.calendar,
      calendars.map(({ id, name }) => ({ value: id, label: name })),
    ),
  ],
  start: { calendar: calendars[0]?.id ?? '' },
  read: ({ calendar }) => ({ kind, calendar }),
});

const reminderForm = (): StepForm => {
  const reminders = [...QUICK.timed, ...QUICK.wholeDays];
  const asksWhich = ({ how }: TypedStep) => how === 'add' || how === 'set';
  return {
    controls: [
      choice('how', said.how, optionsOf(['add', 'set', 'none', 'usual'], hows)),
      choice(
        'reminder',
        said.reminder,
        // None of these is a moment, so the zone says nothing.
        reminders.map((trigger, index) => ({ value: String(index), label: triggerText(trigger, 'UTC') })),
        asksWhich,
      ),
    ],
    start: { how: 'add', reminder: '2' },
    read: ({ how, reminder }) => ({
      kind: 'reminders',
      how,
      reminders:
        how === 'add' || how === 'set' ? [{ trigger: reminders[Number(reminder)], by: 'notice' }] : [],
    }),
  };
};

const replaceForm: StepForm = {
  controls: [
    { name: 'find', label: said.find, kind: 'text' },
    { name: 'by', label: said.by, kind: 'text', mayBeEmpty: true },
    choice('within', said.within, [
      { value: 'all', label: REPLACED_FIELDS.map((name) => words.fields[name]).join(', ') },
      ...optionsOf(REPLACED_FIELDS, words.fields),
    ]),
    choice('mode', said.mode, optionsOf(['plain', 'words', 'expression'], hows)),
    choice('matchCase', said.matchCase, [
      { value: 'no', label: hows.no },
      { value: 'yes', label: hows.yes },
    ]),
  ],
  start: { find: '', by: '', within: 'all', mode: 'plain', matchCase: 'no' },
  read: ({ find, by, within, mode, matchCase }) => ({
    kind: 'replace',
    find,
    by,
    fields: within === 'all' ? [...REPLACED_FIELDS] : [within],
    mode,
    matchCase: matchCase === 'yes',
  }),
};

const importance = words.entry.priority;
const IMPORTANCES = [
  { value: '1', label: importance.high },
  { value: '5', label: importance.medium },
  { value: '9', label: importance.low },
  { value: '', label: importance.none },
];

const plain = (kind: StepKind): StepForm => ({ controls: [], start: {}, read: () => ({ kind }) });

/** The form of each kind of step. A step that is added has to be said here. */
const FORMS: Readonly<Record<StepKind, (around: StepSurroundings) => StepForm>> = {
  calendar: (around) => calendarForm('calendar', around),
  copy: (around) => calendarForm('copy', around),
  categories: () => ({
    controls: [
      choice('how', said.how, optionsOf(['add', 'remove', 'set'], hows)),
      { name: 'names', label: said.names, kind: 'text', mayBeEmpty: true },
    ],
    start: { how: 'add', names: '' },
    read: ({ how, names }) => ({ kind: 'categories', how, names: namesIn(names ?? '') }),
  }),
  colour: () => ({
    ...toForm('colour', said.to, [
      ...HUES.map((hue) => ({ value: hue, label: words.hues[hue] })),
      { value: '', label: hows.own },
    ]),
    read: ({ to }) => ({ kind: 'colour', to: to === '' ? null : to }),
  }),
  availability: () => toForm('availability', said.to, optionsOf(AVAILABILITIES, words.entry.availability)),
  visibility: () => toForm('visibility', said.to, optionsOf(CLASSIFICATIONS, words.entry.classification)),
  status: () => toForm('status', said.to, optionsOf(STATUSES, words.entry.status)),
  importance: () => ({
    ...toForm('importance', said.to, IMPORTANCES),
    read: ({ to }) => ({ kind: 'importance', to: to === '' ? null : Number(to) }),
  }),
  reminders: reminderForm,
  place: () => ({
    controls: [{ name: 'to', label: said.place, kind: 'text', mayBeEmpty: true }],
    start: { to: '' },
    read: ({ to }) => ({ kind: 'place', to }),
  }),
  notes: () => ({
    controls: [
      choice('how', said.how, [
        { value: 'after', label: hows.after },
        { value: 'before', label: hows.before },
        { value: 'set', label: hows.replace },
      ]),
      { name: 'text', label: said.text, kind: 'notes', mayBeEmpty: true },
    ],
    start: { how: 'after', text: '' },
    read: ({ how, text }) => ({ kind: 'notes', how, text }),
  }),
  people: () => ({
    controls: [
      choice('how', said.how, optionsOf(['add', 'remove'], hows)),
      { name: 'people', label: said.people, kind: 'text' },
    ],
    start: { how: 'add', people: '' },
    read: ({ how, people }) => ({ kind: 'people', how, people: namesIn(people ?? '').map(typedPerson) }),
  }),
  shift: () => ({
    controls: [number('days', said.days, said.shiftHint), number('minutes', said.minutes)],
    start: { days: '7', minutes: '0' },
    read: ({ days, minutes }) => ({ kind: 'shift', days: Number(days), minutes: Number(minutes) }),
  }),
  week: ({ today }) => ({
    controls: [{ name: 'of', label: said.weekOf, kind: 'date' }],
    start: { of: today },
    read: ({ of }) => ({ kind: 'week', of }),
  }),
  'start-time': () => ({
    controls: [{ name: 'at', label: said.at, kind: 'time' }],
    start: { at: '09:00' },
    read: ({ at }) => ({ kind: 'start-time', minute: minuteAt(at) }),
  }),
  length: () => ({
    controls: [number('minutes', said.lengthMinutes)],
    start: { minutes: String(HOUR_LONG) },
    read: ({ minutes }) => ({ kind: 'length', minutes: Number(minutes) }),
  }),
  round: () => ({
    controls: [
      choice(
        'minutes',
        said.grid,
        ROUND_GRIDS.map((grid) => ({ value: String(grid), label: batchWords.everyMinutes(grid) })),
      ),
      choice('way', said.way, optionsOf(['nearest', 'earlier', 'later'], hows)),
    ],
    start: { minutes: '15', way: 'nearest' },
    read: ({ minutes, way }) => ({ kind: 'round', minutes: Number(minutes), way }),
  }),
  trim: () => ({
    controls: [number('minutes', said.trimMinutes)],
    start: { minutes: '5' },
    read: ({ minutes }) => ({ kind: 'trim', minutes: Number(minutes) }),
  }),
  zone: ({ homeZone }) => ({
    controls: [
      { name: 'zone', label: said.zone, kind: 'zone' },
      choice('keeps', said.keeps, optionsOf(['instant', 'wall'], hows)),
    ],
    start: { zone: homeZone, keeps: 'instant' },
    read: ({ zone, keeps }) => ({ kind: 'zone', zone, keeps }),
  }),
  'whole-days': () => plain('whole-days'),
  hours: () => ({
    controls: [{ name: 'at', label: said.at, kind: 'time' }, number('minutes', said.lengthMinutes)],
    start: { at: '09:00', minutes: String(HOUR_LONG) },
    read: ({ at, minutes }) => ({ kind: 'hours', minute: minuteAt(at), minutes: Number(minutes) }),
  }),
  replace: () => replaceForm,
  attachments: () => ({
    controls: [number('atLeast', said.atLeast)],
    start: { atLeast: '0' },
    read: ({ atLeast }) => ({ kind: 'attachments', atLeast: Number(atLeast) * 1000 }),
  }),
  'end-series': ({ today }) => ({
    controls: [{ name: 'last', label: said.last, kind: 'date' }],
    start: { last: today },
    read: ({ last }) => ({ kind: 'end-series', last }),
  }),
  'into-series': () => plain('into-series'),
  'into-singles': () => ({
    controls: [{ name: 'until', label: said.until, kind: 'date', mayBeEmpty: true }],
    start: { until: '' },
    read: ({ until }) => ({ kind: 'into-singles', ...(until === '' ? {} : { until }) }),
  }),
  'as-series': () => plain('as-series'),
  done: () => ({
    controls: [choice('to', said.to, optionsOf(['done', 'open'], hows))],
    start: { to: 'done' },
    read: ({ to }) => ({ kind: 'done', isDone: to === 'done' }),
  }),
  due: ({ today }) => ({
    controls: [{ name: 'to', label: said.due, kind: 'date', mayBeEmpty: true }],
    start: { to: today },
    read: ({ to }) => ({ kind: 'due', to: to === '' ? null : to }),
  }),
  estimate: () => ({
    controls: [{ ...number('minutes', said.estimate), mayBeEmpty: true }],
    start: { minutes: String(HOUR_LONG) },
    read: ({ minutes = '' }) => ({
      kind: 'estimate',
      minutes: minutes.trim() === '' ? null : Number(minutes),
    }),
  }),
  field: () => ({
    controls: [
      choice('field', said.field, optionsOf(TEXT_STEP_FIELDS, words.fields)),
      { name: 'to', label: said.to, kind: 'text', mayBeEmpty: true },
    ],
    start: { field: TEXT_STEP_FIELDS[0]!, to: '' },
    read: ({ field, to = '' }) => ({ kind: 'field', field, to: to.trim() }),
  }),
  delete: () => plain('delete'),
};

export const formOfStep = (kind: StepKind, around: StepSurroundings): StepForm => FORMS[kind](around);

/** What is wrong with a field by itself. */
function problemOf({ kind, mayBeEmpty, options }: StepControl, text: string): string | undefined {
  // What is chosen may be said by no letters: none, or as its calendar has it.
  if (options?.some(({ value }) => value === text)) return undefined;
  if (text.trim() === '') return mayBeEmpty ? undefined : batchWords.problems.missing;
  if (kind === 'number' && !/^-?\d{1,8}$/.test(text.trim())) return batchWords.problems.number;
  if (kind === 'date' && !(/^\d{4}-\d\d-\d\d$/.test(text) && isRealDate(text)))
    return batchWords.problems.date;
  if (kind === 'time' && minuteOfClock(text) === undefined) return batchWords.problems.missing;
  return undefined;
}

/** The form of a step as a schema: what is typed becomes a step, or it is said at a field why not. */
export const stepSchema = (form: StepForm) =>
  z.record(z.string(), z.string()).transform((typed, check): BatchStep => {
    const asked = form.controls.filter(({ isAsked }) => isAsked?.(typed) ?? true);
    let isWrong = false;
    for (const control of asked) {
      const message = problemOf(control, typed[control.name] ?? '');
      if (message === undefined) continue;
      isWrong = true;
      check.addIssue({ code: 'custom', path: [control.name], message });
    }
    if (isWrong) return z.NEVER;
    const step = BatchStep.safeParse(form.read(typed));
    if (step.success) return step.data;
    check.addIssue({ code: 'custom', path: [asked[0]?.name ?? ''], message: batchWords.problems.missing });
    return z.NEVER;
  });

/** The kinds of step as they are offered, those that belong together beside each other. */
export const STEP_GROUPS: readonly { readonly label: string; readonly kinds: readonly StepKind[] }[] = [
  {
    label: batchWords.groups.sort,
    kinds: ['calendar', 'categories', 'colour', 'availability', 'visibility', 'status', 'importance'],
  },
  { label: batchWords.groups.todos, kinds: ['done', 'due', 'estimate'] },
  { label: batchWords.groups.words, kinds: ['replace', 'place', 'notes', 'field'] },
  { label: batchWords.groups.people, kinds: ['reminders', 'people'] },
  {
    label: batchWords.groups.time,
    kinds: ['shift', 'week', 'start-time', 'length', 'trim', 'round', 'zone', 'whole-days', 'hours'],
  },
  {
    label: batchWords.groups.whole,
    kinds: ['copy', 'attachments', 'into-series', 'into-singles', 'as-series', 'end-series', 'delete'],
  },
];

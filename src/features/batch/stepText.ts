import type { BatchStep, StepKind, StepOf } from '@/core/model/batchStep';
import { colourName } from '@/ui/colourName';
import { MINUTE, parseDate } from '@/core/time/civil';
import { cityOf } from '@/core/time/zones';
import { fullDayText, lengthText, timeText } from '@/ui/dates';
import { remindersText } from '@/ui/reminderText';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';
import { exchangeWords } from '@/ui/words/exchange';

const said = batchWords.said;
const field = (kind: StepKind, value: string): string => said.to(batchWords.kinds[kind], value);

/** What a step says beside its kind. */
export interface StepNames {
  readonly calendarName: (calendar: string) => string;
  readonly zone: string;
}

type Texts = { readonly [Kind in StepKind]: (step: StepOf<Kind>, names: StepNames) => string };

const PRIORITIES: readonly [number, string][] = [
  [4, words.entry.priority.high],
  [5, words.entry.priority.medium],
  [9, words.entry.priority.low],
];
const importanceText = (priority: number | null): string =>
  priority === null ? words.entry.priority.none : PRIORITIES.find(([most]) => priority <= most)![1];

const TEXTS: Texts = {
  calendar: ({ calendar }, { calendarName }) => said.calendar(calendarName(calendar)),
  copy: ({ calendar }, { calendarName }) => said.copy(calendarName(calendar)),
  categories: ({ how, names }) => said.categories[how](names.join(', ')),
  colour: ({ to }) => (to === null ? said.noColour : said.colour(colourName(to))),
  availability: ({ kind, to }) => field(kind, words.entry.availability[to]),
  visibility: ({ kind, to }) => field(kind, words.entry.classification[to]),
  status: ({ kind, to }) => field(kind, words.entry.status[to]),
  importance: ({ kind, to }) => field(kind, importanceText(to)),
  reminders: ({ how, reminders }, { zone }) => {
    const text = said.reminders[how];
    return typeof text === 'string' ? text : text(remindersText(reminders, zone));
  },
  place: ({ kind, to }) => field(kind, to || words.fieldEmpty),
  notes: ({ how, text }) => said.to(said.notes[how], text),
  people: ({ how, people }) =>
    said.people[how](people.map(({ name, address }) => name || address).join(', ')),
  shift: ({ days, minutes }) => said.shift(days, minutes),
  week: ({ of }) => said.week(fullDayText(parseDate(of))),
  'start-time': ({ minute }) => said.startTime(timeText(minute * MINUTE)),
  length: ({ minutes }) => said.length(lengthText(minutes * MINUTE)),
  round: ({ minutes }) => said.round(minutes),
  trim: ({ minutes }) => said.trim(minutes),
  zone: ({ zone }) => said.zone(cityOf(zone)),
  'whole-days': () => said.wholeDays,
  hours: ({ minute }) => said.hours(timeText(minute * MINUTE)),
  replace: ({ find, by }) => said.replace(find, by),
  attachments: ({ atLeast }) => said.attachments(exchangeWords.attachments.size(atLeast)),
  'end-series': ({ last }) => said.endSeries(fullDayText(parseDate(last))),
  'into-series': ({ kind }) => batchWords.kinds[kind],
  'into-singles': ({ kind }) => batchWords.kinds[kind],
  'as-series': ({ kind }) => batchWords.kinds[kind],
  done: ({ isDone }) => (isDone ? said.done : said.open),
  due: ({ kind, to }) => field(kind, to === null ? said.never : fullDayText(parseDate(to))),
  estimate: ({ kind, minutes }) =>
    field(kind, minutes === null ? words.fieldEmpty : lengthText(minutes * MINUTE)),
  field: ({ field: name, to }) => said.to(words.fields[name], to || words.fieldEmpty),
  delete: ({ kind }) => batchWords.kinds[kind],
};

/** A step in words. */
export const stepText = (step: BatchStep, names: StepNames): string =>
  (TEXTS[step.kind] as (step: BatchStep, names: StepNames) => string)(step, names);

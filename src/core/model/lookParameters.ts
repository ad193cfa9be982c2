import { AVAILABILITIES, CLASSIFICATIONS } from './entry';
import {
  ANSWER_KINDS,
  DETAILS,
  type EntryFilter,
  GRID_STEPS,
  initialLook,
  LANE_MODES,
  type Look,
  MEETING_KINDS,
  MOST_COLLEAGUES,
  NO_FILTER,
  PEOPLE_KINDS,
  RECURRING_KINDS,
  ROW_HEIGHTS,
  VIEWS,
} from './look';

/** The parameters of an address, as far as they say how to look at the calendar. */
export type LookParameters = Readonly<Record<string, string | undefined>>;

/** How one field stands in an address: absent where it is as it would be without. */
interface Codec<Value> {
  readonly parameter: string;
  read(text: string): Value | undefined;
  write(value: Value): string | undefined;
}
type CodecsOf<Fields> = { readonly [Name in keyof Fields]-?: Codec<NonNullable<Fields[Name]>> };

const choice = <Value extends string | number>(
  parameter: string,
  values: readonly Value[],
  initial?: Value,
): Codec<Value> => ({
  parameter,
  read: (text) => values.find((value) => String(value) === text),
  write: (value) => (value === initial ? undefined : String(value)),
});
const flag = (parameter: string, initial: boolean): Codec<boolean> => ({
  parameter,
  read: (text) => (text === 'on' ? true : text === 'off' ? false : undefined),
  write: (value) => (value === initial ? undefined : value ? 'on' : 'off'),
});
/** Texts with commas between them; a comma within one is written so that it stays within. */
const list = <Value extends string>(parameter: string, values?: readonly Value[]): Codec<Value[]> => ({
  parameter,
  read: (text) =>
    text
      .split(',')
      .map((part) => decodePart(part) as Value)
      .filter((part) => part !== '' && (values?.includes(part) ?? true)),
  write: (value) =>
    value.length === 0
      ? undefined
      : value.map((part) => part.replaceAll('%', '%25').replaceAll(',', '%2C')).join(','),
});
const decodePart = (part: string): string => part.replaceAll('%2C', ',').replaceAll('%25', '%');
const words = (parameter: string): Codec<string> => ({
  parameter,
  read: (text) => text,
  write: (value) => (value === '' ? undefined : value),
});
const numbers = (from: number, to: number): number[] =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index);

const FILTER_CODECS: CodecsOf<EntryFilter> = {
  categories: list('category'),
  availabilities: list('availability', AVAILABILITIES),
  classifications: list('visibility', CLASSIFICATIONS),
  recurring: choice('kind', RECURRING_KINDS),
  people: choice('people', PEOPLE_KINDS),
  meeting: choice('where', MEETING_KINDS),
  answer: choice('answers', ANSWER_KINDS),
  text: words('text'),
};

const LOOK_CODECS: CodecsOf<Omit<Look, 'filter'>> = {
  view: choice('view', VIEWS),
  dayCount: choice('days', numbers(2, 14), initialLook.dayCount),
  weekCount: choice('weeks', [0, ...numbers(2, 8)], initialLook.weekCount),
  gridStep: choice('step', GRID_STEPS, initialLook.gridStep),
  rowHeight: choice('rows', ROW_HEIGHTS, initialLook.rowHeight),
  weekends: flag('weekends', initialLook.weekends),
  weekNumbers: flag('numbers', initialLook.weekNumbers),
  detail: choice('detail', DETAILS, initialLook.detail),
  laneMode: choice('lanes', LANE_MODES, initialLook.laneMode),
  calendarColumns: flag('columns', initialLook.calendarColumns),
  fadePast: flag('fade', initialLook.fadePast),
  showCancelled: flag('cancelled', initialLook.showCancelled),
  hidden: list('hide'),
  colleagues: {
    ...list('with'),
    read: (text) => list('with').read(text)?.slice(0, MOST_COLLEAGUES),
  },
  colleaguesOver: flag('over', initialLook.colleaguesOver),
  zone: words('zone'),
  periodSetId: words('periods'),
};

function read<Fields extends object>(codecs: CodecsOf<Fields>, parameters: LookParameters): Partial<Fields> {
  const fields: Record<string, unknown> = {};
  for (const [name, codec] of Object.entries(codecs as Record<string, Codec<unknown>>)) {
    const text = parameters[codec.parameter];
    const value = text === undefined ? undefined : codec.read(text);
    if (value !== undefined) fields[name] = value;
  }
  return fields as Partial<Fields>;
}

function write<Fields extends object>(codecs: CodecsOf<Fields>, fields: Partial<Fields>): LookParameters {
  const parameters: Record<string, string | undefined> = {};
  for (const [name, codec] of Object.entries(codecs as Record<string, Codec<unknown>>))
    if (name in fields) {
      const value = fields[name as keyof Fields];
      parameters[codec.parameter] = value === undefined ? undefined : codec.write(value);
    }
  return parameters;
}

/** The look that an address says; what it does not say, or says wrongly, is as at first. */
export function readLook(parameters: LookParameters, view: Look['view']): Look {
  return {
    ...initialLook,
    view,
    ...read(LOOK_CODECS, parameters),
    filter: { ...NO_FILTER, ...read(FILTER_CODECS, parameters) },
  };
}

/** The parameters that say some fields of a look; undefined for those that need no saying. */
export const writeLook = (look: Partial<Look>): LookParameters => ({
  ...write(LOOK_CODECS, look),
  ...(look.filter ? write(FILTER_CODECS, { ...NO_FILTER, ...EMPTY_CHOICES, ...look.filter }) : {}),
});

const EMPTY_CHOICES = { recurring: undefined, people: undefined, meeting: undefined, answer: undefined };

/** Whether two looks show the same in the same way. */
export function sameLook(a: Look, b: Look): boolean {
  const written = (look: Look): string => {
    const sorted = { ...look, hidden: [...look.hidden].sort() };
    return JSON.stringify(
      Object.entries(writeLook(sorted))
        .filter(([, value]) => value !== undefined)
        .sort(),
    );
  };
  return written(a) === written(b);
}

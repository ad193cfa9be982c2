import { writeCsvTable } from '@/core/interchange/csv/csvTable';
import { NO_FILTER } from '@/core/model/look';
import { OccurrenceIndex } from '@/core/schedule/occurrenceIndex';
import { hoursOf } from '@/core/tidy/hours/hours';
import { HOURS_BY, HOURS_STEPS } from '@/core/tidy/hours/hoursQuery';
import { dateString, isRealDate, parseDate } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { CommandError, readParameters, readZone } from './commandError';
import { readEvents } from './readEvents';
import type { Terminal } from './terminal';

function dayOf(text: string | boolean | undefined, name: string): number {
  if (typeof text !== 'string' || !/^\d{4}-\d\d-\d\d$/.test(text) || !isRealDate(text))
    throw new CommandError(`--${name} is a date: 2027-03-01`);
  return parseDate(text);
}

/** What an option names among some, or the first of them. */
function oneOf<Value extends string>(
  values: readonly Value[],
  text: string | boolean | undefined,
  name: string,
): Value {
  if (text === undefined) return values[0]!;
  const value = values.find((known) => known === text);
  if (!value) throw new CommandError(`--${name} is one of ${values.join(', ')}`);
  return value;
}

/** Prints the hours of a range of a calendar file, told apart: busy and away, overlaps counted once. */
export async function hours(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(
    args,
    {
      from: { type: 'string' },
      to: { type: 'string' },
      by: { type: 'string' },
      step: { type: 'string' },
      zone: { type: 'string' },
      csv: { type: 'boolean' },
    },
    ['the file to read'],
  );
  const [path] = given as [string];
  const zone = options.zone === undefined ? 'UTC' : readZone(options.zone, 'zone');
  const range = { first: dayOf(options.from, 'from'), end: dayOf(options.to, 'to') };
  if (range.end <= range.first)
    throw new CommandError('--to is a day after --from: it is not counted itself');
  const by = oneOf(HOURS_BY, options.by, 'by');
  const index = new OccurrenceIndex();
  index.load(await readEvents(path, zone, terminal));
  const { rows, columns, minutes } = hoursOf(index, {
    range,
    zone,
    weekStart: 1,
    by,
    step: options.step === undefined ? 'month' : oneOf(HOURS_STEPS, options.step, 'step'),
    counted: ['busy', 'away'],
    filter: NO_FILTER,
    hiddenCalendarIds: [],
    workingPattern: standardWorkingPattern,
  });
  const inHours = (value: number): string => (value / 60).toFixed(2);
  if (options.csv) {
    const header = [by, 'hours', 'each', ...columns.map(({ first }) => dateString(first))];
    const lines = rows.map((row) => [
      row.key,
      inHours(row.minutes),
      inHours(row.each),
      ...row.columns.map(inHours),
    ]);
    terminal.out(
      writeCsvTable(header, lines)
        .replace(/^\uFEFF/, '')
        .trimEnd(),
    );
    return;
  }
  for (const row of rows.filter((each) => each.minutes > 0))
    terminal.out(`${inHours(row.minutes)} h  ${row.key || '-'}`);
  terminal.out(`${inHours(minutes)} h  in all`);
}

import { readFile } from 'node:fs/promises';
import { type EntryLineContext, otherReadings, parseEntryLine } from '@/core/entryline';
import type { EntryLineDraft, LineProblem } from '@/core/entryline/parseEntryLine';
import type { Reminder } from '@/core/model/reminder';
import { readRule } from '@/core/recurrence/choices';
import { expandRule } from '@/core/recurrence/expandRule';
import { DAY, HOUR, parseLocal } from '@/core/time/civil';
import { instantOf, wallOf } from '@/core/time/eventTime';
import { writtenOrder } from '@/core/time/writtenOrder';
import { CommandError, readMoment, readParameters, readZone, whyUnreadable } from './commandError';
import type { Terminal } from './terminal';
import { namesIn } from '@/core/fields/nameList';

/** Up to when the dates of a repeat are counted, in years from its start. */
const COUNTED_YEARS = 200;

const problemText = (problem: LineProblem): string =>
  problem.code === 'weekday-differs'
    ? `"${problem.text}" is another weekday`
    : `"${problem.text}" is no ${problem.code === 'no-such-date' ? 'date' : 'time'}`;

/** A reminder: minutes before the start or another anchor, or a time of day so many days before. */
function printedReminder({ trigger, by }: Reminder) {
  const way = by === 'notice' ? {} : { by };
  if (trigger.kind !== 'offset') return { ...trigger, ...way };
  const from = trigger.from === 'start' ? {} : { from: trigger.from };
  return { minutes: -(trigger.days * 1440 + trigger.minutes) || 0, ...from, ...way };
}

/** How many dates a draft makes; null if they go on without end. */
function datesOf(draft: EntryLineDraft): number | null {
  const [text] = draft.recurrence?.rules ?? [];
  const rule = text === undefined ? undefined : readRule(text);
  if (!rule) return 1;
  if (rule.count === undefined && rule.until === undefined) return null;
  const start = wallOf(draft.start);
  const last = rule.until ? parseLocal(`${rule.until.value.slice(0, 10)}T23:59:59`) : Infinity;
  const window = { start, end: start + COUNTED_YEARS * 366 * DAY };
  const left = new Set(draft.recurrence?.exceptionDates.map(wallOf));
  return expandRule({ ...rule, until: undefined }, start, window, last).filter((wall) => !left.has(wall))
    .length;
}

function printed(text: string, draft: EntryLineDraft, context: EntryLineContext) {
  const { start, end } = draft;
  const at = (time: typeof start) => (time.kind === 'date' ? time.date : time.local.slice(0, 16));
  const zone = start.kind === 'zoned' && start.zone !== context.zone ? start.zone : null;
  return {
    text,
    title: draft.title,
    start: at(start),
    end: at(end),
    allDay: start.kind === 'date',
    zone,
    startInstant: new Date(instantOf(start, context.zone)).toISOString(),
    rule: draft.recurrence?.rules[0] ?? null,
    dates: datesOf(draft),
    place: draft.location || null,
    calendar: draft.calendarId ?? null,
    category: draft.categories[0] ?? null,
    availability: draft.availability ?? null,
    visibility: draft.classification ?? null,
    reminders: (draft.reminders ?? []).map(printedReminder),
    url: draft.url ?? null,
    problems: draft.problems.map(problemText),
  };
}

/** Reads lines of ordinary words, and prints what each means. */
export async function line(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(
    args,
    {
      now: { type: 'string' },
      zone: { type: 'string' },
      locale: { type: 'string' },
      calendars: { type: 'string' },
      categories: { type: 'string' },
      file: { type: 'string' },
      json: { type: 'boolean' },
    },
    [],
    ['the line of words'],
  );
  const { local } = readMoment(options.now, 'now');
  const nowWall = parseLocal(local);
  const listOf = (text: string | boolean | undefined): string[] =>
    typeof text === 'string' ? namesIn(text) : [];
  const order = writtenOrder(typeof options.locale === 'string' ? options.locale : 'en-GB');
  if (!order) throw new CommandError(`no such locale: ${String(options.locale)}`);
  const context: EntryLineContext = {
    nowWall,
    zone: readZone(options.zone, 'zone'),
    selectedDay: Math.floor(nowWall / DAY),
    defaultLength: HOUR,
    calendars: listOf(options.calendars).map((mark) => ({ id: mark, name: mark, mark })),
    categories: listOf(options.categories),
    dayFirst: order !== 'mdy',
  };
  let lines = given;
  if (typeof options.file === 'string')
    try {
      lines = (await readFile(options.file, 'utf8')).split(/\r?\n/).filter((each) => each.trim() !== '');
    } catch (error) {
      throw new CommandError(whyUnreadable(options.file, error));
    }
  if (lines.length === 0) throw new CommandError('nothing to read: the line of words, or --file');
  for (const text of lines) {
    const meant = parseEntryLine(text, context);
    const read = printed(text, meant, context);
    const others = otherReadings(text, meant, context).map(({ draft }) => printed(text, draft, context));
    if (options.json) terminal.out(JSON.stringify({ ...read, others }));
    else
      terminal.out(
        [`${read.start} to ${read.end}`, read.rule, read.title, read.place, ...read.problems]
          .filter(Boolean)
          .join('  '),
      );
  }
}

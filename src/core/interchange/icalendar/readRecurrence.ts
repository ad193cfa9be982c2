import type { Recurrence } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { problemsOfRule } from '../../recurrence/ruleProblems';
import { readRules } from '../../recurrence/series';
import { wallOf } from '../../time/eventTime';
import type { JCalProperty } from '../../model/jcal';
import type { ReadContext, ReadLine } from './readContext';
import { isOfDaysOff, readSkip, SKIP_PROPERTY } from './skipDaysOffProperty';

/** What the lines of a component say of how it repeats. */
export interface ReadRecurrence {
  readonly recurrence: Recurrence;
  /** Our property, where the calendar that it names is not here: kept as it was read. */
  readonly kept: readonly JCalProperty[];
}

/** Reads RRULE, RDATE and EXDATE (RFC 5545 3.8.5), and our own property for days off. */
export function readRecurrence(
  lines: readonly ReadLine[],
  start: EventTime,
  context: ReadContext,
  readTimes: (line: ReadLine) => EventTime[],
  endAfter: (start: EventTime, duration: string) => EventTime | undefined,
): ReadRecurrence {
  const named = (name: string) => lines.filter(({ property }) => property[0] === name);
  for (const { property, line } of named('rrule'))
    for (const rule of readRules([String(property[3])]).rules)
      for (const code of problemsOfRule(rule, wallOf(start)))
        context.report({ line: line.line, code, detail: line.text.slice(0, 120) });

  const property = named(SKIP_PROPERTY)[0]?.property;
  const skipDaysOff = readSkip(property, context.calendars ?? []);
  // Where days off are computed anew, the dates that followed from them are not kept beside.
  const own = (name: string) => named(name).filter((line) => !skipDaysOff || !isOfDaysOff(line.property));
  const further = own('rdate');
  const periods = further
    .filter((line) => line.property[2] === 'period')
    .flatMap((line) => readPeriods(line, readTimes, endAfter));
  return {
    recurrence: {
      rules: named('rrule').map((line) => String(line.property[3])),
      dates: further.filter((line) => line.property[2] !== 'period').flatMap(readTimes),
      exceptionDates: own('exdate').flatMap(readTimes),
      ...(periods.length > 0 ? { periods } : {}),
      ...(skipDaysOff ? { skipDaysOff } : {}),
    },
    kept: property && !skipDaysOff ? [property] : [],
  };
}

/** The PERIODs of an RDATE (RFC 5545 3.3.9): each a start with an end, or with a length. */
function readPeriods(
  line: ReadLine,
  readTimes: (line: ReadLine) => EventTime[],
  endAfter: (start: EventTime, duration: string) => EventTime | undefined,
): { start: EventTime; end: EventTime }[] {
  const [name, parameters, , ...values] = line.property;
  const timeOf = (text: string) => readTimes({ ...line, property: [name, parameters, 'date-time', text] })[0];
  return values.flatMap((value) => {
    const [from, to] = Array.isArray(value) ? value.map(String) : String(value).split('/');
    const start = from === undefined ? undefined : timeOf(from);
    if (!start || to === undefined) return start ? [{ start, end: start }] : [];
    const end = /^[+-]?P/.test(to) ? endAfter(start, to) : timeOf(to);
    return end && wallOf(end) >= wallOf(start) ? [{ start, end }] : [];
  });
}

import { parseRule, type RecurrenceRule, RecurrenceRuleError } from '@/core/recurrence/rule';
import { problemsOfRule } from '@/core/recurrence/ruleProblems';
import { ruleInEnglish, ruleProblemsInEnglish } from '@/core/recurrence/words/english';
import { parseLocal } from '@/core/time/civil';
import { CommandError, readMoment, readParameters, readZone } from './commandError';
import type { Terminal } from './terminal';

/** Prints a rule in words, and what is wrong with it beside. */
export async function words(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(args, { start: { type: 'string' }, zone: { type: 'string' } }, [
    'the rule, "RRULE:FREQ=..."',
  ]);
  const [text] = given as [string];
  const { local } = readMoment(options.start, 'start');
  const zone = options.zone === undefined ? undefined : readZone(options.zone, 'zone');
  let rule: RecurrenceRule;
  try {
    rule = parseRule(text);
  } catch (error) {
    if (error instanceof RecurrenceRuleError) throw new CommandError(`${error.message} in ${text}`);
    throw error;
  }
  const wall = parseLocal(local);
  for (const problem of problemsOfRule(rule, wall)) terminal.error(ruleProblemsInEnglish[problem]);
  const allDay = /^\d{4}-\d\d-\d\d$/.test(String(options.start));
  terminal.out(ruleInEnglish(rule, { wall, allDay, ...(zone === undefined ? {} : { zone }) }));
}

import { batch } from './batch';
import { CommandError } from './commandError';
import { convert } from './convert';
import { expand } from './expand';
import { hours } from './hours';
import { line } from './line';
import type { Terminal } from './terminal';
import { tidy } from './tidy';
import { words } from './words';

const COMMANDS: Record<string, (args: readonly string[], terminal: Terminal) => Promise<void>> = {
  batch,
  convert,
  expand,
  hours,
  line,
  tidy,
  words,
};

const USAGE = `ow batch IN RECIPE.json OUT [--zone ZONE] [--dates day-month|month-day] [--json]
    does the steps of a recipe to all entries of a file, series whole, and prints what became of them
ow convert IN OUT [--zone ZONE] [--dates day-month|month-day]
    a calendar file (.ics), a table (.csv) or a backup (.json) into another of these
ow expand FILE.ics --from ISO --to ISO --zone ZONE [--json]
    the occurrences of a calendar file within [from, to), sorted by start
ow hours FILE --from 2027-03-01 --to 2027-04-01 [--by calendar|category|place|person|weekday] [--step month|week|day] [--zone ZONE] [--csv]
    the busy hours of a range, told apart, overlaps counted once
ow line "TEXT" --now 2027-03-09T10:20 --zone ZONE [--locale en-GB] [--calendars DW,ME] [--categories A,B] [--file F] [--json]
    what a line of ordinary words means as an entry, or each line of a file
ow tidy FILE.ics [--zone ZONE] [--now ISO] [--json]
    what the checks find in a calendar file, one finding a line
ow words "RRULE:FREQ=..." --start ISO [--zone ZONE]
    a rule in words`;

/** Runs a command; gives the exit status: 0, or 2 for bad input. */
export async function runCommand(args: readonly string[], terminal: Terminal): Promise<number> {
  const [name, ...rest] = args;
  if (name === '--help' || name === 'help') {
    terminal.out(USAGE);
    return 0;
  }
  const command = name === undefined ? undefined : COMMANDS[name];
  try {
    if (!command)
      throw new CommandError(`${name === undefined ? 'no command' : `no such command: ${name}`}\n${USAGE}`);
    await command(rest, terminal);
    return 0;
  } catch (error) {
    if (!(error instanceof CommandError)) throw error;
    terminal.error(`ow: ${error.message}`);
    return 2;
  }
}

import { parseArgs } from 'node:util';
import { isRealDate } from '@/core/time/civil';
import { isKnownZone } from '@/core/time/zones';

/** What a person gave can't be used; the message says what and why. */
export class CommandError extends Error {}

const REASONS: Readonly<Record<string, string>> = {
  ENOENT: 'there is no such file or folder',
  EISDIR: 'it is a folder',
  ENOTDIR: 'a part of its path is no folder',
  EACCES: 'it may not be used',
  ENOSPC: 'there is no room left',
};

/** Why the system does not do something with a file, in words. */
export function whyOf(error: unknown): string {
  const code = (error as NodeJS.ErrnoException).code ?? '';
  return REASONS[code] ?? (code || String(error));
}

/** Why a file can't be read, as it is told. */
export const whyUnreadable = (path: string, error: unknown): string =>
  `${path} can't be read: ${whyOf(error)}`;

/** The options and the other parameters of a command, which all have to be there but for those that may be left out. */
export function readParameters(
  args: readonly string[],
  options: Record<string, { type: 'string' | 'boolean' }>,
  whats: readonly string[],
  mayBe: readonly string[] = [],
): { given: string[]; options: Record<string, string | boolean | undefined> } {
  let parsed: ReturnType<typeof parseArgs>;
  try {
    parsed = parseArgs({ args: [...args], options, allowPositionals: true, strict: true });
  } catch (error) {
    throw new CommandError((error as Error).message);
  }
  const given = parsed.positionals;
  const missing = whats[given.length];
  if (missing !== undefined) throw new CommandError(`${missing} is missing`);
  const most = whats.length + mayBe.length;
  if (given.length > most) throw new CommandError(`one parameter too many: ${given[most]}`);
  return { given, options: parsed.values as Record<string, string | boolean | undefined> };
}

/** The zone of an option. */
export function readZone(text: string | boolean | undefined, name: string): string {
  if (typeof text !== 'string')
    throw new CommandError(`--${name} is missing: a time zone such as Europe/Lisbon`);
  if (!isKnownZone(text)) throw new CommandError(`no such time zone: ${text}`);
  return text;
}

const MOMENT =
  /^(\d{4}-\d\d-\d\d)(?:[T ]((?:[01]\d|2[0-3]):[0-5]\d(?::[0-5]\d(?:\.\d+)?)?)(Z|[+-]\d\d:?\d\d)?)?$/i;

/** A date, a wall time, or an instant with its offset, as ISO 8601 writes them. */
export function readMoment(
  text: string | boolean | undefined,
  name: string,
): { local: string; offset: string | undefined } {
  if (typeof text !== 'string')
    throw new CommandError(`--${name} is missing: a date or time such as 2027-03-09 or 2027-03-09T14:00`);
  const match = MOMENT.exec(text);
  if (!match || !isRealDate(match[1]!))
    throw new CommandError(`--${name} is not an ISO date or time: ${text}`);
  const time = (match[2] ?? '00:00').replace(/\.\d+$/, '');
  return { local: `${match[1]}T${time.length === 5 ? `${time}:00` : time}`, offset: match[3] };
}

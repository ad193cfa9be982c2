import type { CalendarEvent } from '@/core/model/entry';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { targetOfKey } from '@/core/change/target';
import type { CheckQuery } from '@/core/tidy/checks/finding';
import { KeptChecks } from '@/core/tidy/checks/keptChecks';
import { checksInEnglish, reasonInEnglish, type ReasonFormats } from '@/core/tidy/checks/words/english';
import { dateString, localString, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { readParameters, readZone } from './commandError';
import { instantOfOption, readEvents } from './readEvents';
import type { Terminal } from './terminal';

const formatsFor = (zone: string): ReasonFormats => ({
  moment: (at) => localString(instantToWall(zone, at)).slice(0, 16).replace('T', ' '),
  day: (day) => dateString(day),
  length: (minutes) => `${Math.round(minutes)} min`,
  clock: (minute) => localString(minute * MINUTE).slice(11, 16),
  size: (bytes) => `${(bytes / 1_000_000).toFixed(1)} MB`,
  zone: (name) => name,
});

/** What a file holds that checks ask of: each of its calendars can be changed, and none reminds by itself. */
const queryOf = (events: readonly CalendarEvent[], zone: string, now: number): CheckQuery => ({
  zone,
  now,
  workingPattern: standardWorkingPattern,
  fine: [],
  calendars: [...new Set(events.map(({ calendarId }) => calendarId))].map((id) => ({
    id,
    name: id,
    mark: id,
    colour: 'slate',
    isClosed: false,
    isFeed: false,
    reminds: false,
  })),
});

/** Prints what the checks find in a file, one finding a line. */
export async function tidy(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(
    args,
    { zone: { type: 'string' }, now: { type: 'string' }, json: { type: 'boolean' } },
    ['the file to read'],
  );
  const [path] = given as [string];
  const zone = options.zone === undefined ? 'UTC' : readZone(options.zone, 'zone');
  const now = options.now === undefined ? Date.now() : instantOfOption(options.now, 'now', zone);
  const events = await readEvents(path, zone, terminal);
  const index = new EntryIndex();
  index.load(events);
  const formats = formatsFor(zone);
  const found = await new KeptChecks(index).run(queryOf(events, zone, now));
  for (const finding of found?.findings ?? []) {
    const reason = reasonInEnglish(finding, formats);
    const entries = [
      ...new Set(finding.keys.flatMap((key) => index.get(targetOfKey(key).entryId)?.uid ?? [])),
    ];
    terminal.out(
      options.json
        ? JSON.stringify({ check: finding.check, entries, reason })
        : `${checksInEnglish[finding.check].name}: ${reason}`,
    );
  }
}

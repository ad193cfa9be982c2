import type { EventTime } from '@/core/model/eventTime';
import { TooManyDatesError } from '@/core/recurrence/expandRule';
import type { Occurrence } from '@/core/schedule/occurrence';
import { OccurrenceIndex } from '@/core/schedule/occurrenceIndex';
import { isOff } from '@/core/schedule/standing';
import { dateString, DAY, localString } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall, offsetAt, offsetString } from '@/core/time/zones';
import { CommandError, readParameters, readZone } from './commandError';
import { instantOfOption, readEvents } from './readEvents';
import type { Terminal } from './terminal';

/** One occurrence as it is printed: times as RFC 3339 in the asked zone, dates for whole days, the end exclusive. */
interface PrintedOccurrence {
  readonly uid: string;
  /** The original start in its series, or null for what is in none. */
  readonly recurrenceId: string | null;
  readonly start: string;
  readonly end: string;
  readonly allDay: boolean;
  readonly title: string;
}

const stamp = (instant: number, zone: string): string =>
  `${localString(instantToWall(zone, instant))}${offsetString(offsetAt(zone, instant))}`;

function printed(occurrence: Occurrence, index: OccurrenceIndex, zone: string): PrintedOccurrence {
  const event = index.get(occurrence.entryId)!;
  const original = (time: EventTime) =>
    time.kind === 'date' ? time.date : stamp(instantOf(time, zone), zone);
  const recurrenceId = (): string | null => {
    if (event.recurrenceId) return original(event.recurrenceId);
    if (occurrence.recurrenceKey === undefined) return null;
    if (event.start.kind === 'date') return occurrence.recurrenceKey;
    return original({ ...event.start, local: occurrence.recurrenceKey });
  };
  const { allDay } = occurrence;
  const date = (wall: number) => dateString(Math.floor(wall / DAY));
  return {
    uid: event.uid,
    recurrenceId: recurrenceId(),
    start: allDay ? date(occurrence.startWall) : stamp(occurrence.start, zone),
    end: allDay ? date(occurrence.endWall) : stamp(occurrence.end, zone),
    allDay,
    title: occurrence.title,
  };
}

/** Prints the occurrences of a calendar file within a half-open window, sorted by start. Cancelled ones are left out. */
export async function expand(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(
    args,
    { from: { type: 'string' }, to: { type: 'string' }, zone: { type: 'string' }, json: { type: 'boolean' } },
    ['the calendar file'],
  );
  const zone = readZone(options.zone, 'zone');
  const window = {
    start: instantOfOption(options.from, 'from', zone),
    end: instantOfOption(options.to, 'to', zone),
  };
  if (window.end <= window.start) throw new CommandError('--to is not after --from');
  const index = new OccurrenceIndex();
  index.load(await readEvents(given[0]!, zone, terminal));
  let occurrences: Occurrence[];
  try {
    occurrences = index.between(window, zone, { withDense: true });
  } catch (error) {
    if (error instanceof TooManyDatesError)
      throw new CommandError(`${error.message} in this window: take a shorter one`);
    throw error;
  }
  for (const occurrence of occurrences) {
    if (isOff(occurrence)) continue;
    const line = printed(occurrence, index, zone);
    terminal.out(options.json ? JSON.stringify(line) : plainLine(line));
  }
}

const plainLine = ({ start, end, allDay, title }: PrintedOccurrence): string =>
  `${start}  ${end}  ${allDay ? 'all day  ' : ''}${title || 'No title'}`;

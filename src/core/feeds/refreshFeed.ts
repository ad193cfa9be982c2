import { type ChangeContext, makePatch, type Patch, put, remove, type Change } from '../change/patch';
import type { Calendar, FeedProblem, FeedSource } from '../model/calendar';
import type { Entry } from '../model/entry';
import type { State } from '../model/state';
import { MINUTE } from '../time/civil';

/** What came of reading a feed. */
export type FeedAnswer =
  | {
      kind: 'read';
      entries: readonly Entry[];
      etag: string | undefined;
      lastModified: string | undefined;
    }
  | { kind: 'unchanged' }
  | { kind: 'failed'; code: FeedProblem; detail: string };

/** Whether a feed is to be read again. One that failed is tried at its own pace, at the soonest after a quarter hour. */
export const isFeedDue = (calendar: Calendar, now: number): boolean =>
  calendar.feed !== undefined &&
  now - (calendar.feed.tried ?? -Infinity) >= calendar.feed.everyMinutes * MINUTE;

const identity = ({ kind, uid, recurrenceId }: Entry): string =>
  JSON.stringify([kind, uid, recurrenceId ?? null]);

/** What a feed's entry is kept as: without reminders or attachments where these are not wanted. */
function asWanted(entry: Entry, feed: FeedSource): Entry {
  const { attachments, preserved, reminders, ...rest } = entry;
  const kept = feed.withAttachments
    ? preserved
    : preserved && {
        ...preserved,
        properties: preserved.properties.filter(([name]) => name !== 'attach'),
      };
  const alarmless = feed.withReminders
    ? kept
    : kept && { ...kept, components: kept.components.filter(([name]) => name !== 'valarm') };
  return {
    ...rest,
    ...(feed.withReminders && reminders ? { reminders } : {}),
    ...(feed.withAttachments && attachments ? { attachments } : {}),
    ...(alarmless && alarmless.properties.length + alarmless.components.length > 0
      ? { preserved: alarmless }
      : {}),
  };
}

const sameBut = (a: Entry, b: Entry): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
const sorted = (entry: Entry): [string, unknown][] =>
  Object.entries(entry)
    .filter(([name, value]) => value !== undefined && name !== 'created' && name !== 'modified')
    .sort(([a], [b]) => a.localeCompare(b));

/**
 * Takes over what a feed holds now: entries that it still has keep their ids (by UID and RECURRENCE-ID), those that it
 * has no more go, and own notes stay. One that could not be read keeps its last entries, and the problem is kept with it.
 */
export function refreshFeed(
  state: State,
  calendarId: string,
  answer: FeedAnswer,
  context: ChangeContext,
): Patch {
  const calendar = state.calendars.get(calendarId);
  const feed = calendar?.feed;
  if (!calendar || !feed)
    return makePatch(context, { what: 'feed-refreshed', count: 0 }, [], 'closed-calendars');
  const { problem: _, ...last } = feed;
  const keep = (now: FeedSource): Change => put(state, 'calendars', { ...calendar, feed: now });
  if (answer.kind === 'failed') {
    const since = feed.problem?.code === answer.code ? feed.problem.since : context.now;
    const problem = { code: answer.code, detail: answer.detail, since };
    return makePatch(
      context,
      { what: 'feed-refreshed', count: 0, name: calendar.name },
      [keep({ ...last, tried: context.now, problem })],
      'closed-calendars',
    );
  }
  const times = { tried: context.now, refreshed: context.now };
  if (answer.kind === 'unchanged')
    return makePatch(
      context,
      { what: 'feed-refreshed', count: 0, name: calendar.name },
      [keep({ ...last, ...times })],
      'closed-calendars',
    );

  const known = new Map<string, Entry>();
  for (const entry of state.entries.values())
    if (entry.calendarId === calendarId) known.set(identity(entry), entry);
  const ids = new Map(answer.entries.map((entry) => [entry.id, known.get(identity(entry))?.id ?? entry.id]));
  const changes: Change[] = [];
  const still = new Set<string>();
  for (const entry of answer.entries) {
    const id = ids.get(entry.id)!;
    if (still.has(id)) continue;
    still.add(id);
    const before = known.get(identity(entry));
    const wanted = asWanted(entry, feed);
    const now: Entry = {
      ...wanted,
      id,
      calendarId,
      ...(entry.seriesId === undefined ? {} : { seriesId: ids.get(entry.seriesId) ?? entry.seriesId }),
      // The files of an attachment that is here already are not kept twice.
      ...(before?.attachments && wanted.attachments?.length === before.attachments.length
        ? { attachments: before.attachments }
        : {}),
    };
    if (!before || !sameBut(before, now)) changes.push(put(state, 'entries', now));
  }
  for (const entry of known.values()) if (!still.has(entry.id)) changes.push(remove('entries', entry));
  const { etag: __, lastModified: ___, ...source } = last;
  return makePatch(
    context,
    { what: 'feed-refreshed', count: changes.length, name: calendar.name },
    [
      ...changes,
      keep({
        ...source,
        ...times,
        ...(answer.etag === undefined ? {} : { etag: answer.etag }),
        ...(answer.lastModified === undefined ? {} : { lastModified: answer.lastModified }),
      }),
    ],
    'closed-calendars',
  );
}

import { type Entry, eventsOf } from '../../model/entry';
import type { HandedInEntry, HandedInTarget, HandIn } from '../../model/handIn';
import type { EventTime } from '../../model/eventTime';
import type { Person } from '../../model/person';
import type { State } from '../../model/state';
import { seenUid } from '../../interchange/published/publishedEvents';
import { accessOf, type SeenCalendars } from '../../people/sharing/access';
import type { Occurrence } from '../../schedule/occurrence';
import { OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { dateString, parseDate } from '../../time/civil';
import { atInstant, instantOf } from '../../time/eventTime';
import { binEntries } from '../binEntries';
import { changeEntry, fieldsSeenAt } from '../entryChanges';
import { blankFields, createEvent, isRefused } from '../eventFields';
import { type Change, type ChangeContext, makePatch, type Patch, put, type SummaryKind } from '../patch';
import { checked } from '../scopes';
import { isRefusal } from '../shift';
import type { Target } from '../target';

/** Why what was handed in is not done. */
export type HandInRefusal =
  /** They may not: not any more, or they never might. */
  | 'not-allowed'
  /** What they mean is not there any more, or not at that time. */
  | 'changed-meanwhile'
  /** It can't be: it would end before it starts. */
  | 'impossible';

/** The most that is remembered of what was taken. */
const REMEMBERED = 500;

/** When an entry is to be, on a zone's clock. */
function timesOf({ date, from, until }: HandedInEntry, zone: string): { start: EventTime; end: EventTime } {
  if (from === undefined || until === undefined)
    return {
      start: { kind: 'date', date },
      end: { kind: 'date', date: dateString(parseDate(date) + 1) },
    };
  const at = (clock: string, day: string): EventTime => ({
    kind: 'zoned',
    local: `${day}T${clock}:00`,
    zone,
  });
  // What ends before it starts on the clock ends on the next day.
  return { start: at(from, date), end: at(until, until < from ? dateString(parseDate(date) + 1) : date) };
}

/**
 * The occurrence that somebody means who sees it under a UID; undefined where none begins then that they may change. A date that was
 * changed counts as what it was changed to, wherever it went: it is no date of its series any more.
 */
function occurrenceMeant(
  { entries }: Pick<State, 'entries'>,
  { uid, start }: HandedInTarget,
  access: SeenCalendars,
  zone: string,
): Occurrence | undefined {
  const isMeant = (head: Entry): boolean => {
    const seen = access.calendars.get(head.calendarId);
    return seen !== undefined && seenUid(head, seen.depth) === uid;
  };
  const headOf = (event: Entry): Entry =>
    (event.seriesId !== undefined && entries.get(event.seriesId)) || event;
  const index = new OccurrenceIndex();
  index.load(eventsOf(entries.values()).filter((event) => isMeant(headOf(event))));
  const found = index
    .between({ start, end: start + 1 }, zone)
    .find((occurrence) => occurrence.start === start);
  const entry = found && entries.get(found.entryId);
  if (!found || !entry || !access.calendars.get(entry.calendarId)?.mayChange) return undefined;
  const isOpen = [entry, headOf(entry)].every(({ classification }) => classification === 'public');
  return isOpen || access.withPrivate ? found : undefined;
}

const remembered = (state: State, personId: string, handIn: HandIn): Change[] => {
  const share = state.shares.get(personId);
  return share
    ? [put(state, 'shares', { ...share, taken: [...(share.taken ?? []), handIn.id].slice(-REMEMBERED) })]
    : [];
};

/** What becomes of what was handed in. */
export type TakenHandIn =
  | { readonly patch: Patch }
  /** It was not done; the patch remembers that it came. */
  | { readonly refused: HandInRefusal; readonly patch: Patch };

/**
 * Does what somebody handed in, as far as they may at this moment: adds an entry, or changes or takes out one occurrence of one
 * that they see. Undefined for what was taken before.
 * @param context its zone is the clock that it was written for
 */
export function takeHandIn(
  state: State,
  person: Pick<Person, 'id' | 'groups' | 'name'>,
  handIn: HandIn,
  context: ChangeContext,
): TakenHandIn | undefined {
  if (state.shares.get(person.id)?.taken?.includes(handIn.id)) return undefined;
  const memory = remembered(state, person.id, handIn);
  const made = (what: SummaryKind, name: string, changes: readonly Change[]): TakenHandIn => ({
    patch: makePatch(context, { what, count: 1, name, by: person.name }, [...changes, ...memory]),
  });
  const refuse = (refused: HandInRefusal): TakenHandIn => ({
    refused,
    patch: makePatch(context, { what: 'handed-in-refused', count: 1, by: person.name }, memory),
  });
  const access = accessOf(state, person);
  const { zone } = context;

  if (handIn.kind === 'add') {
    if (!access.calendars.get(handIn.calendarId)?.mayChange) return refuse('not-allowed');
    const { start, end } = timesOf(handIn.entry, zone);
    const { title, place } = handIn.entry;
    const fields = { ...blankFields(handIn.calendarId, start, end), title, location: place };
    const event = checked(createEvent(fields, context));
    return isRefusal(event)
      ? refuse('impossible')
      : made('handed-in-added', title, [put(state, 'entries', event)]);
  }

  const occurrence = occurrenceMeant(state, handIn.target, access, zone);
  if (!occurrence) return refuse('changed-meanwhile');
  const target: Target = {
    entryId: occurrence.entryId,
    ...(occurrence.recurrenceKey === undefined ? {} : { recurrenceKey: occurrence.recurrenceKey }),
  };
  if (handIn.kind === 'remove') {
    const { changes } = binEntries(state, [target], 'this', context);
    return made('handed-in-removed', occurrence.title, changes);
  }
  const shown = fieldsSeenAt(state, target, context);
  if (!shown) return refuse('changed-meanwhile');
  const { start, end } = timesOf(handIn.entry, zone);
  const onItsClock = (time: EventTime, own: EventTime): EventTime =>
    time.kind === 'date' || own.kind !== 'zoned' ? time : atInstant(own, instantOf(time, zone), zone);
  const isElsewhere = instantOf(start, zone) !== occurrence.start || instantOf(end, zone) !== occurrence.end;
  const changed = changeEntry(
    state,
    target,
    {
      ...shown,
      title: handIn.entry.title,
      location: handIn.entry.place,
      ...(isElsewhere ? { start: onItsClock(start, shown.start), end: onItsClock(end, shown.end) } : {}),
    },
    'this',
    context,
  );
  if (isRefused(changed)) return refuse('impossible');
  return made('handed-in-changed', handIn.entry.title, changed.changes);
}

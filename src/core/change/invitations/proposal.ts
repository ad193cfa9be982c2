import { GUESTS_MAY_USUALLY } from '../../model/entry';
import type { State } from '../../model/state';
import { dateKey, type ItipMessage } from '../../people/invitations/itipMessage';
import { Series } from '../../recurrence/series';
import { zoneOf } from '../../time/eventTime';
import { changeEntry, fieldsSeenAt } from '../entryChanges';
import { isRefused } from '../eventFields';
import type { ChangeContext, Patch } from '../patch';
import type { Target } from '../target';
import { entriesOfUid } from './entriesOfUid';

/** What a guest proposes another time for: the date that it is about, or the entry; undefined where it is not here. */
export function proposalTarget(
  state: Pick<State, 'entries'>,
  { uid, parts }: Pick<ItipMessage, 'uid' | 'parts'>,
  zone: string,
): Target | undefined {
  const recurrenceId = parts[0]?.recurrenceId;
  const events = entriesOfUid(state, uid);
  const about = events.find((each) => dateKey(each.recurrenceId) === dateKey(recurrenceId)) ?? events[0];
  if (!about) return undefined;
  const series = recurrenceId && about.recurrence ? new Series(about) : undefined;
  return series
    ? {
        entryId: about.id,
        recurrenceKey: series.keyOf(series.wallOfRecurrenceId(recurrenceId!, zoneOf(about.start, zone))),
      }
    : { entryId: about.id };
}

/**
 * Takes over the time that a guest proposes who may change the entry (COUNTER, RFC 5546 3.2.7): it is theirs to say. That the others
 * do not know it yet is worked out as after any other change. Undefined where they may not, or nothing can be made of it.
 */
export function takeAllowedProposal(
  state: State,
  message: Pick<ItipMessage, 'uid' | 'parts'>,
  context: ChangeContext,
): Patch | undefined {
  const target = proposalTarget(state, message, context.zone);
  const times = message.parts[0]?.event;
  const entry = target && state.entries.get(target.entryId);
  if (!target || !times || !(entry?.guestsMay ?? GUESTS_MAY_USUALLY).includes('change')) return undefined;
  const seen = fieldsSeenAt(state, target, context);
  if (!seen) return undefined;
  const fields = { ...seen, start: times.start, end: times.end };
  const scope = target.recurrenceKey === undefined && entry?.recurrence ? 'every' : 'this';
  const changed = changeEntry(state, target, fields, scope, context);
  return isRefused(changed) || changed.changes.length === 0 ? undefined : changed;
}

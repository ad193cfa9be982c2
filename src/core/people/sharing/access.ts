import { type Calendar, isReadOnly, type PublishedLevel } from '../../model/calendar';
import type { Person } from '../../model/person';
import { groupShareId, type Share, SHARE_DEPTHS, type ShareDepth } from '../../model/share';
import type { State } from '../../model/state';

/** What somebody may see and do in a calendar. */
interface Access {
  readonly depth: PublishedLevel;
  readonly mayChange: boolean;
}

/** What somebody may see and do. */
export interface SeenCalendars {
  /** By the calendar's id, in the person's order; none of what they see nothing of. */
  readonly calendars: ReadonlyMap<string, Access>;
  /** Whether private entries are seen as open ones are. */
  readonly withPrivate: boolean;
}

type Shared = Pick<State, 'shares' | 'calendars'>;
/** What is asked of somebody: who they are, and which groups they are in. */
export type Sharer = Pick<Person, 'id' | 'groups'>;

/** Whether entries can be added and changed by who sees so much: what is only taken time can't be told apart. */
export const allowsChanges = (depth: ShareDepth): depth is 'titles' | 'everything' =>
  depth === 'titles' || depth === 'everything';

const inOrder = (calendars: Iterable<Calendar>): Calendar[] =>
  [...calendars].sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));

const deeper = (one: ShareDepth, other: ShareDepth): ShareDepth =>
  SHARE_DEPTHS.indexOf(one) >= SHARE_DEPTHS.indexOf(other) ? one : other;

/** What a colleague's groups let them see of a calendar, without what is said of them alone: the most that one of them does. */
export function accessByGroups(
  { shares }: Pick<State, 'shares'>,
  { groups }: Sharer,
  calendarId: string,
): { readonly depth: ShareDepth; readonly mayChange: boolean } {
  const own = groups.flatMap((name) => shares.get(groupShareId(name)) ?? []);
  const depth = own.map(({ depths }) => depths[calendarId] ?? 'nothing').reduce(deeper, 'nothing');
  const mayChange = own.some((share) => {
    return share.mayChange.includes(calendarId) && allowsChanges(share.depths[calendarId] ?? 'nothing');
  });
  return { depth, mayChange };
}

/**
 * What a colleague may see and do. What is said of them goes before what is said of their groups; of several groups the one
 * that lets them see most counts. Who acts for the person sees all.
 * @param own what is said of them, where it is not yet kept
 */
export function accessOf(
  state: Shared,
  person: Sharer,
  own: Pick<Share, 'depths' | 'mayChange' | 'acting'> | undefined = state.shares.get(person.id),
): SeenCalendars {
  const calendars = new Map<string, Access>();
  for (const calendar of inOrder(state.calendars.values())) {
    const { id } = calendar;
    if (own?.acting) {
      calendars.set(id, { depth: 'everything', mayChange: !isReadOnly(calendar) });
      continue;
    }
    const said = own?.depths[id];
    const { depth, mayChange } =
      said === undefined
        ? accessByGroups(state, person, id)
        : { depth: said, mayChange: own!.mayChange.includes(id) };
    if (depth !== 'nothing')
      calendars.set(id, { depth, mayChange: mayChange && allowsChanges(depth) && !isReadOnly(calendar) });
  }
  return { calendars, withPrivate: own?.acting === 'all' };
}

/** Whether somebody sees anything at all. */
export const seesAnything = (state: Shared, person: Sharer): boolean =>
  accessOf(state, person).calendars.size > 0;

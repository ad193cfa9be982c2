import { type SecretAddress, Share } from '../../model/share';
import type { State } from '../../model/state';
import { parseKept } from '../../model/unknownFields';
import { seesAnything } from '../../people/sharing/access';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from '../patch';
import { withdrawal } from '../withdrawals';

/** What is said of what a colleague or a group may see. */
export type ShareFields = Pick<Share, 'depths' | 'mayChange' | 'acting'>;

const freshAddress = (newSecret: () => string, { now }: ChangeContext): SecretAddress => ({
  token: newSecret(),
  key: newSecret(),
  since: now,
});

const saysNothing = ({ depths, acting, address, taken }: Share): boolean =>
  Object.keys(depths).length === 0 && !acting && !address && !taken;

/**
 * Keeps what a colleague or a group may see. One colleague at the most acts for the person: who did before does not any more.
 * @param id that of the colleague, or `groupShareId`
 * @param name how they are called
 */
export function saveShare(
  state: State,
  id: string,
  name: string,
  fields: ShareFields,
  context: ChangeContext,
): Patch {
  const before = state.shares.get(id);
  const { acting: _, ...kept } = before ?? { id };
  const share = parseKept(Share, { ...kept, ...fields, id });
  const others = [...state.shares.values()].flatMap((other): Change[] => {
    if (!fields.acting || other.id === id || !other.acting) return [];
    const { acting: __, ...rest } = other;
    return [put(state, 'shares', rest)];
  });
  const own = saysNothing(share) ? (before ? [remove('shares', before)] : []) : [put(state, 'shares', share)];
  return makePatch(context, { what: 'share-saved', count: 1, name }, [...own, ...others]);
}

/**
 * Gives an address to each colleague who may see something and has none, and takes it from who may see nothing any more, or is not
 * here any more; what they might see stays, for who is taken back. Undefined where all is so.
 * @param newSecret makes secrets of 128 bits or more
 */
export function settleAddresses(
  state: State,
  newSecret: () => string,
  context: ChangeContext,
): Patch | undefined {
  const changes: Change[] = [];
  const whoSees = new Set(
    [...state.people.values()]
      .filter((person) => person.kind === 'colleague' && seesAnything(state, person))
      .map(({ id }) => id),
  );
  for (const id of whoSees) {
    const share = state.shares.get(id) ?? { id, depths: {}, mayChange: [] };
    if (!share.address)
      changes.push(put(state, 'shares', { ...share, address: freshAddress(newSecret, context) }));
  }
  for (const share of state.shares.values()) {
    if (!share.address || whoSees.has(share.id)) continue;
    const { address, ...rest } = share;
    changes.push(saysNothing(rest) ? remove('shares', share) : put(state, 'shares', rest));
    changes.push(withdrawal(state, address, 'published'));
  }
  return changes.length === 0
    ? undefined
    : makePatch(context, { what: 'share-saved', count: changes.length, name: '' }, changes);
}

/** Gives a colleague another address: the one before is good for nothing any more. */
export function renewAddress(
  state: State,
  id: string,
  name: string,
  newSecret: () => string,
  context: ChangeContext,
): Patch | undefined {
  const share = state.shares.get(id);
  if (!share?.address) return undefined;
  return makePatch(context, { what: 'share-saved', count: 1, name }, [
    put(state, 'shares', { ...share, address: freshAddress(newSecret, context) }),
    withdrawal(state, share.address, 'published'),
  ]);
}

import type { SecretAddress } from '../model/share';
import type { State } from '../model/state';
import type { ServedKind } from '../model/withdrawal';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** Notes that an address is to be taken off the server: it is served as long as that has not come there. */
export const withdrawal = (
  state: State,
  { token, key }: Pick<SecretAddress, 'token' | 'key'>,
  kind: ServedKind,
): Change => put(state, 'withdrawals', { id: token, key, kind });

/** Notes addresses that went without that, as by an undo. Undefined where all are noted. */
export function noteWithdrawals(
  state: State,
  addresses: readonly Pick<SecretAddress, 'token' | 'key'>[],
  kind: ServedKind,
  context: ChangeContext,
): Patch | undefined {
  const gone = addresses.filter(({ token }) => !state.withdrawals.has(token));
  return gone.length === 0
    ? undefined
    : makePatch(
        context,
        { what: 'address-withdrawn', count: gone.length },
        gone.map((address) => withdrawal(state, address, kind)),
      );
}

/** The server serves an address no more. */
export function wasWithdrawn(state: State, token: string, context: ChangeContext): Patch | undefined {
  const noted = state.withdrawals.get(token);
  return noted && makePatch(context, { what: 'address-withdrawn', count: 1 }, [remove('withdrawals', noted)]);
}

import type { Calendar } from '@/core/model/calendar';
import type { SecretAddress } from '@/core/model/share';
import type { State } from '@/core/model/state';
import { allowedIn } from '@/core/people/sharing/sharedParts';
import { askServer } from '@/store';
import { type Copy, textOf } from './copies';

const pathOf = (token: string): string => `/api/published/${token}`;

/** What the server made of a push: its address may have been withdrawn for good. */
export type Pushed = 'done' | 'withdrawn' | 'failed';

/** Sends a copy to the server. */
export async function pushCopy(state: State, copy: Copy, now: number): Promise<Pushed> {
  const { token, key } = copy.address;
  if (withdrawnHere.has(token)) return 'withdrawn';
  const text = await textOf(state, copy, now);
  const zone = state.settings.get('settings')?.homeZone ?? 'UTC';
  const allows = allowedIn(state, copy.seen);
  const body = { key, name: copy.name, zone, text, ...(allows ? { allows } : {}) };
  const { status } = await askServer('PUT', pathOf(token), body);
  return status === 204 ? 'done' : status === 410 ? 'withdrawn' : 'failed';
}

/** Addresses that this page has withdrawn, or is about to. */
const withdrawnHere = new Set<string>();

/** Takes a copy off the server; whether it is gone. */
export async function withdraw({ token, key }: Pick<SecretAddress, 'token' | 'key'>): Promise<boolean> {
  withdrawnHere.add(token);
  const isGone = (await askServer('DELETE', pathOf(token), { key })).status === 204;
  if (!isGone) withdrawnHere.delete(token);
  return isGone;
}

/** Takes a calendar off the server if it is published; whether nothing of it is there any more. */
export const withdrawn = async ({ publication }: Pick<Calendar, 'publication'>): Promise<boolean> =>
  publication === undefined || (await withdraw(publication));

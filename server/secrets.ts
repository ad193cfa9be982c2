import { createHash, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';

/** The secret part of an address: letters, digits, `-` and `_` only, so that it names a file and nothing beyond. */
export const Token = z.string().regex(/^[A-Za-z0-9_-]{22,64}$/);

/** The token that a file's name says, if it is that of a record. */
export const tokenOfFile = (name: string): string | undefined =>
  /^([A-Za-z0-9_-]{22,64})\.json$/.exec(name)?.[1];

/** What is kept of a key: who has the key is known by it, and the key can't be found from it. */
export const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');

/** What is kept of a sender's address, to tell its room from that of others. */
export const senderOf = (address: string): string => hashOf(address).slice(0, 16);

/** Whether two hashes are the same, in a time that says nothing of where they differ. */
export const sameHash = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

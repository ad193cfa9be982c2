import { createHash, timingSafeEqual } from 'node:crypto';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';

/** The secret part of an address: letters, digits, `-` and `_` only, so that it names a file and nothing beyond. */
export const Token = z.string().regex(/^[A-Za-z0-9_-]{22,64}$/);

/** What the browser sends of a calendar that it publishes. */
export const PublishedCopy = z.object({
  name: z.string().min(1).max(200),
  /** The zone whose clock the page shows. */
  zone: z.string().min(1).max(100),
  /** The calendar file (RFC 5545), reduced to what others may see. */
  text: z.string().max(20 * 1024 * 1024),
});
export type PublishedCopy = z.infer<typeof PublishedCopy>;

const StoredCopy = PublishedCopy.extend({ keyHash: z.string(), updated: z.number() });
export type StoredCopy = z.infer<typeof StoredCopy>;

const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');
const sameHash = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

/** What became of a wish to change a copy. */
export type StoreAnswer = 'done' | 'not-yours' | 'missing';

/** Published copies as files in a folder, one each; whoever made one changes it with its key, of which a hash is kept. */
export class PublishedStore {
  constructor(private readonly folder: string) {}

  private fileOf(token: string): string {
    return path.join(this.folder, `${Token.parse(token)}.json`);
  }

  /** A copy, or undefined if there is none. */
  async get(token: string): Promise<StoredCopy | undefined> {
    let text: string;
    try {
      text = await readFile(this.fileOf(token), 'utf8');
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
      throw error;
    }
    return StoredCopy.parse(JSON.parse(text));
  }

  /** Keeps a copy. The first to come has its address; `now` is an instant in milliseconds. */
  async put(token: string, key: string, copy: PublishedCopy, now: number): Promise<StoreAnswer> {
    const before = await this.get(token);
    const keyHash = hashOf(key);
    if (before && !sameHash(before.keyHash, keyHash)) return 'not-yours';
    await mkdir(this.folder, { recursive: true });
    const stored: StoredCopy = { ...copy, keyHash, updated: now };
    // Written beside and put in place whole: a reader never sees half of it.
    const beside = `${this.fileOf(token)}.${process.pid}-${hashOf(`${now}${Math.random()}`).slice(0, 8)}`;
    await writeFile(beside, JSON.stringify(stored), { mode: 0o600 });
    await rename(beside, this.fileOf(token));
    return 'done';
  }

  /** Takes a copy away at once. */
  async remove(token: string, key: string): Promise<StoreAnswer> {
    const before = await this.get(token);
    if (!before) return 'missing';
    if (!sameHash(before.keyHash, hashOf(key))) return 'not-yours';
    await rm(this.fileOf(token), { force: true });
    return 'done';
  }
}

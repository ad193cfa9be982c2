import { open, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { NamedQueues } from '../queues';
import { hashOf, sameHash, senderOf, Token, tokenOfFile } from '../secrets';
import { isCutOff, ownFolder, writeWhole } from '../writeWhole';

/** What the readers of a copy may hand in: entries for calendars, and changes of entries by the UIDs that they see. */
export const Allowances = z.object({
  calendars: z.array(z.object({ id: z.string().min(1).max(200), name: z.string().max(200) })).max(500),
  changeable: z.array(z.string().max(500)).max(100_000),
});
export type Allowances = z.infer<typeof Allowances>;

/** What the browser sends of a calendar that it publishes. */
export const PublishedCopy = z.object({
  name: z.string().min(1).max(200),
  /** The zone whose clock the page shows. */
  zone: z.string().min(1).max(100),
  /** The calendar file (RFC 5545), reduced to what others may see. */
  text: z.string().max(20 * 1024 * 1024),
  allows: Allowances.optional(),
});
export type PublishedCopy = z.infer<typeof PublishedCopy>;

const StoredCopy = PublishedCopy.extend({
  /** Which sender's room it takes: the first of what is written, so that it is found without reading the whole. */
  sender: z.string().optional(),
  keyHash: z.string(),
  updated: z.number(),
});
export type StoredCopy = z.infer<typeof StoredCopy>;

/** What became of a wish to change a copy. */
export type StoreAnswer = 'done' | 'not-yours' | 'missing' | 'withdrawn' | 'too-much';

/** What may be kept at the most, in bytes: in all, and by one sender. */
export interface KeepLimits {
  readonly total: number;
  readonly bySender: number;
}
const KEEP_LIMITS: KeepLimits = { total: 1024 ** 3, bySender: 256 * 1024 ** 2 };

/** A copy is there and can't be read: it was cut off, or changed by something else. */
export class TornCopyError extends Error {}

/** Says that a calendar was withdrawn: its address is used no more. */
const GONE = '.gone';

/** How many addresses are remembered that were withdrawn before anything came to them. */
const MOST_AWAITED = 10_000;

const SENDER = /^\{"sender":"([0-9a-f]{16})"/;

/** Who sent a copy, by the beginning of its file; nobody where it does not say. */
async function senderOfFile(file: string): Promise<string> {
  const handle = await open(file);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(64), 0, 64, 0);
    return SENDER.exec(buffer.toString('utf8', 0, bytesRead))?.[1] ?? '';
  } finally {
    await handle.close();
  }
}

interface Kept {
  readonly bytes: number;
  readonly sender: string;
}

/**
 * Published copies as files in a folder that is its owner's alone, one each; whoever made one changes it with its key, of
 * which a hash is kept. What is wished of one copy is done in the order that it came in.
 */
export class PublishedStore {
  private readonly queues = new NamedQueues();
  private readonly kept = new Map<string, Kept>();
  /** Addresses that were withdrawn before anything came to them. */
  private readonly awaited = new Set<string>();
  private opened: Promise<void> | undefined;

  constructor(
    private readonly folder: string,
    private readonly limits: KeepLimits = KEEP_LIMITS,
  ) {}

  private fileOf(token: string, end = '.json'): string {
    return path.join(this.folder, `${Token.parse(token)}${end}`);
  }

  /** Clears what writes that were cut off have left, and counts what is kept. */
  private open(): Promise<void> {
    this.opened ??= (async () => {
      await ownFolder(this.folder);
      for (const name of await readdir(this.folder)) {
        const token = tokenOfFile(name);
        const file = path.join(this.folder, name);
        if (isCutOff(name)) await rm(file, { force: true });
        else if (token)
          this.kept.set(token, { bytes: (await stat(file)).size, sender: await senderOfFile(file) });
      }
    })();
    return this.opened;
  }

  private async read(token: string): Promise<StoredCopy | undefined> {
    let text: string;
    try {
      text = await readFile(this.fileOf(token), 'utf8');
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
      throw error;
    }
    try {
      return StoredCopy.parse(JSON.parse(text));
    } catch {
      throw new TornCopyError(token);
    }
  }

  /**
   * A copy, or undefined if there is none.
   * @throws TornCopyError if what is there can't be read
   */
  async get(token: string): Promise<StoredCopy | undefined> {
    await this.open();
    return this.read(token);
  }

  private async isWithdrawn(token: string): Promise<boolean> {
    return stat(this.fileOf(token, GONE)).then(
      () => true,
      () => false,
    );
  }

  private forget(token: string): void {
    if (this.awaited.size >= MOST_AWAITED) this.awaited.clear();
    this.awaited.add(token);
  }

  private wouldBeTooMuch(token: string, bytes: number, sender: string): boolean {
    let total = bytes;
    let bySender = bytes;
    for (const [other, kept] of this.kept) {
      if (other === token) continue;
      total += kept.bytes;
      if (kept.sender === sender) bySender += kept.bytes;
    }
    return total > this.limits.total || bySender > this.limits.bySender;
  }

  /**
   * Keeps a copy. The first to come has its address; one that was withdrawn is nobody's any more.
   * @param from the address of who sends it
   * @param now an instant in milliseconds
   */
  put(token: string, key: string, copy: PublishedCopy, now: number, from = ''): Promise<StoreAnswer> {
    return this.queues.run(token, async () => {
      await this.open();
      // A torn one is whoever's has the key, which can't be told any more: it is let be.
      const before = await this.read(token);
      const keyHash = hashOf(key);
      if (before && !sameHash(before.keyHash, keyHash)) return 'not-yours';
      if (this.awaited.has(token) || (await this.isWithdrawn(token))) return 'withdrawn';
      const sender = senderOf(from);
      const text = JSON.stringify({ sender, ...copy, keyHash, updated: now } satisfies StoredCopy);
      const bytes = Buffer.byteLength(text);
      if (this.wouldBeTooMuch(token, bytes, sender)) return 'too-much';
      await writeWhole(this.fileOf(token), text);
      this.kept.set(token, { bytes, sender });
      return 'done';
    });
  }

  /** Takes a copy away at once. Its address is used no more: a push that was on its way does not bring it back. */
  remove(token: string, key: string): Promise<StoreAnswer> {
    return this.queues.run(token, async () => {
      await this.open();
      const before = await this.read(token);
      if (before && !sameHash(before.keyHash, hashOf(key))) return 'not-yours';
      if (before) await writeFile(this.fileOf(token, GONE), '', { mode: 0o600 });
      // A first push may still be on its way.
      else this.forget(token);
      await rm(this.fileOf(token), { force: true });
      this.kept.delete(token);
      return before ? 'done' : 'missing';
    });
  }
}

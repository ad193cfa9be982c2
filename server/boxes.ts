import { readdir, readFile, rm } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { NamedQueues } from './queues';
import { hashOf, sameHash, senderOf, Token, tokenOfFile } from './secrets';
import { ownFolder, writeWhole } from './writeWhole';

/** What every box of a browser says, whatever is in it. */
export const Box = z.object({
  keyHash: z.string(),
  /** Whose room it takes: who made it, as a hash. */
  sender: z.string(),
  /** When it was last changed, an instant. */
  changed: z.number(),
});
export type Box = z.infer<typeof Box>;

/** The most boxes that are kept, of all and of one sender, and the most bytes of all together. */
export interface BoxLimits {
  readonly boxes: number;
  readonly bySender: number;
  readonly bytes: number;
}
export const BOX_LIMITS: BoxLimits = { boxes: 2000, bySender: 50, bytes: 512 * 1024 ** 2 };

export type BoxRefusal = 'not-yours' | 'too-much';

/** What is to be known to have boxes in a folder. */
interface BoxOptions<Kept extends Box> {
  readonly folder: string;
  readonly schema: z.ZodType<Kept>;
  readonly limits: BoxLimits;
  /** Whether one that was not changed for long may be thrown away. */
  readonly isForgotten: (box: Kept) => boolean;
  /** Told of each that is there when they are opened. */
  readonly onOpened?: (token: string, box: Kept) => void;
}

/**
 * Boxes of browsers as files in a folder that is its owner's alone, one each. What becomes of a box is one write: wherever the
 * server is stopped, it is there as it was before, or as it is after.
 */
export class Boxes<Kept extends Box> {
  private readonly queues = new NamedQueues();
  private opened: Promise<void> | undefined;
  private readonly room = new Map<string, { readonly sender: string; readonly bytes: number }>();

  constructor(private readonly options: BoxOptions<Kept>) {}

  private fileOf(token: string): string {
    return path.join(this.options.folder, `${Token.parse(token)}.json`);
  }

  /** Reads what is there, without what writes that were cut off have left, and what is forgotten: once, before anything is asked. */
  open(): Promise<void> {
    return (this.opened ??= this.readAll());
  }

  private async readAll(): Promise<void> {
    const { folder, isForgotten, onOpened } = this.options;
    await ownFolder(folder);
    for (const name of await readdir(folder)) {
      const token = tokenOfFile(name);
      if (!token) await rm(path.join(folder, name), { force: true });
      else {
        const box = await this.read(token);
        if (box && isForgotten(box)) await rm(this.fileOf(token), { force: true });
        else if (box) {
          this.room.set(token, { sender: box.sender, bytes: JSON.stringify(box).length });
          onOpened?.(token, box);
        }
      }
    }
  }

  private async read(token: string): Promise<Kept | undefined> {
    try {
      return this.options.schema.parse(JSON.parse(await readFile(this.fileOf(token), 'utf8')));
    } catch {
      // None, or one that something else has changed: it begins anew with what is put in next.
      return undefined;
    }
  }

  private wouldBeTooMuch(token: string, sender: string, bytes: number): boolean {
    let [boxes, ofSender, all] = [1, 1, bytes];
    for (const [other, kept] of this.room) {
      if (other === token) continue;
      boxes++;
      all += kept.bytes;
      if (kept.sender === sender) ofSender++;
    }
    const { limits } = this.options;
    return boxes > limits.boxes || ofSender > limits.bySender || all > limits.bytes;
  }

  /** A box, or undefined if there is none. */
  async get(token: string): Promise<Kept | undefined> {
    await this.open();
    return this.queues.run(token, () => this.read(token));
  }

  /** Changes a box that is there, in one write. */
  update(token: string, next: (box: Kept) => Kept): Promise<Kept | undefined>;
  /** The same for whoever has its key. */
  update(token: string, next: (box: Kept) => Kept, key: string): Promise<Kept | 'not-yours' | undefined>;
  async update(
    token: string,
    next: (box: Kept) => Kept,
    key?: string,
  ): Promise<Kept | 'not-yours' | undefined> {
    await this.open();
    return this.queues.run(token, async () => {
      const box = await this.read(token);
      if (!box) return undefined;
      if (key !== undefined && !sameHash(box.keyHash, hashOf(key))) return 'not-yours';
      const after = next(box);
      if (after !== box) await this.write(token, after);
      return after;
    });
  }

  /**
   * Changes the box of who has its key, in one write; the first to come has it.
   * @param from the address of who asks, as it takes their room
   */
  async put(
    token: string,
    key: string,
    from: string,
    next: (
      box: Kept | undefined,
      own: { readonly keyHash: string; readonly sender: string },
    ) => Promise<Kept> | Kept,
  ): Promise<Kept | BoxRefusal> {
    await this.open();
    return this.queues.run(token, async () => {
      const before = await this.read(token);
      const keyHash = hashOf(key);
      if (before && !sameHash(before.keyHash, keyHash)) return 'not-yours';
      const sender = before?.sender ?? senderOf(from);
      const after = await next(before, { keyHash, sender });
      if (this.wouldBeTooMuch(token, sender, JSON.stringify(after).length)) return 'too-much';
      if (after !== before) await this.write(token, after);
      return after;
    });
  }

  private async write(token: string, box: Kept): Promise<void> {
    const text = JSON.stringify(box);
    await writeWhole(this.fileOf(token), text);
    this.room.set(token, { sender: box.sender, bytes: text.length });
  }
}

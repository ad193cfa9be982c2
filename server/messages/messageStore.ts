import { readdir, readFile, rm } from 'node:fs/promises';
import path from 'node:path';
import { NamedQueues } from '../queues';
import { hashOf, sameHash, senderOf, Token, tokenOfFile } from '../secrets';
import { ownFolder, writeWhole } from '../writeWhole';
import { MessageBox, type MessagePlan } from './message';
import { afterSending, withPlan } from './messageBox';

/** The most boxes that are kept, of all and of one sender, and the most bytes of all together. */
export interface BoxLimits {
  readonly boxes: number;
  readonly bySender: number;
  readonly bytes: number;
}
export const BOX_LIMITS: BoxLimits = { boxes: 2000, bySender: 50, bytes: 512 * 1024 ** 2 };
/** A box that nothing was planned in for so long is thrown away, in milliseconds. */
const FORGOTTEN = 120 * 24 * 3_600_000;
/** The longest that a timer runs, in milliseconds. */
const LONGEST_TIMER = 3_600_000;

interface Known {
  readonly next: number;
  readonly sender: string;
  readonly bytes: number;
}

export type PlanAnswer = 'done' | 'not-yours' | 'too-much';

/**
 * What browsers want to have sent, as files in a folder that is its owner's alone, one each. A message goes out by being noted
 * as gone: that and its leaving the plan are one write, so that none goes out twice and none is lost, wherever the server is
 * stopped. Nothing leaves this machine.
 */
export class MessageStore {
  private readonly queues = new NamedQueues();
  /** What is known of each box: when its next message is due, whose it is, and how large. */
  private readonly known = new Map<string, Known>();
  private opened: Promise<void> | undefined;
  private timer: NodeJS.Timeout | undefined;
  private isEnded = false;

  constructor(
    private readonly folder: string,
    private readonly now: () => number,
    private readonly limits: BoxLimits = BOX_LIMITS,
  ) {}

  private fileOf(token: string): string {
    return path.join(this.folder, `${Token.parse(token)}.json`);
  }

  /** Reads what is there, and sends what fell due while the server was off. */
  open(): Promise<void> {
    this.opened ??= (async () => {
      await ownFolder(this.folder);
      for (const name of await readdir(this.folder)) {
        const token = tokenOfFile(name);
        // What writes that were cut off have left.
        if (!token) await rm(path.join(this.folder, name), { force: true });
        else {
          const box = await this.read(token);
          if (box && box.planned.length === 0 && box.changed < this.now() - FORGOTTEN)
            await rm(this.fileOf(token), { force: true });
          else if (box) this.know(token, box, JSON.stringify(box).length);
        }
      }
      await this.send();
    })();
    return this.opened;
  }

  /** Sends no more. */
  end(): void {
    this.isEnded = true;
    clearTimeout(this.timer);
  }

  private async read(token: string): Promise<MessageBox | undefined> {
    try {
      return MessageBox.parse(JSON.parse(await readFile(this.fileOf(token), 'utf8')));
    } catch {
      // None, or one that something else has changed: it begins anew with what is planned next.
      return undefined;
    }
  }

  private async write(token: string, box: MessageBox): Promise<void> {
    const text = JSON.stringify(box);
    await writeWhole(this.fileOf(token), text);
    this.know(token, box, text.length);
  }

  private know(token: string, { planned, sender }: MessageBox, bytes: number): void {
    this.known.set(token, { next: planned[0]?.at ?? Infinity, sender, bytes });
  }

  private wouldBeTooMuch(token: string, sender: string, bytes: number): boolean {
    let [boxes, ofSender, all] = [1, 1, bytes];
    for (const [other, kept] of this.known) {
      if (other === token) continue;
      boxes++;
      all += kept.bytes;
      if (kept.sender === sender) ofSender++;
    }
    const { limits } = this;
    return boxes > limits.boxes || ofSender > limits.bySender || all > limits.bytes;
  }

  /** A browser's box, or undefined if there is none. */
  async get(token: string): Promise<MessageBox | undefined> {
    await this.open();
    return this.queues.run(token, () => this.read(token));
  }

  /**
   * Plans what a browser wants to have sent, in place of what it wanted before. The first to come has the box.
   * @param from the address of who sends it
   */
  plan(token: string, plan: MessagePlan, from = ''): Promise<PlanAnswer> {
    return this.queues.run(token, async () => {
      await this.open();
      const now = this.now();
      const before = await this.read(token);
      const keyHash = hashOf(plan.key);
      if (before && !sameHash(before.keyHash, keyHash)) return 'not-yours';
      const sender = before?.sender ?? senderOf(from);
      const empty: MessageBox = {
        keyHash,
        sender,
        ahead: 0,
        zone: plan.zone,
        planned: [],
        done: [],
        doneIds: {},
        changed: now,
      };
      // What is due by now went out as it was planned before.
      const planned = withPlan(afterSending(before ?? empty, now), plan, now);
      if (this.wouldBeTooMuch(token, sender, JSON.stringify(planned).length)) return 'too-much';
      await this.write(token, planned);
      this.sendLater();
      return 'done';
    });
  }

  /** Sends all that is due. */
  async send(): Promise<void> {
    const now = this.now();
    for (const [token, { next }] of this.known)
      if (next <= now)
        await this.queues.run(token, async () => {
          const box = await this.read(token);
          if (box) await this.write(token, afterSending(box, this.now()));
          else this.known.delete(token);
        });
    this.sendLater();
  }

  private sendLater(): void {
    clearTimeout(this.timer);
    if (this.isEnded) return;
    let next = Infinity;
    for (const kept of this.known.values()) next = Math.min(next, kept.next);
    if (next === Infinity) return;
    this.timer = setTimeout(
      () => {
        this.send().catch((error: unknown) => {
          console.error(error);
          this.sendLater();
        });
      },
      Math.min(Math.max(next - this.now(), 50), LONGEST_TIMER),
    );
    this.timer.unref();
  }
}

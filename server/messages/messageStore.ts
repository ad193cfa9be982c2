import { type BoxLimits, BOX_LIMITS, Boxes, type BoxRefusal } from '../boxes';
import { MessageBox, type MessagePlan } from './message';
import { afterSending, withPlan } from './messageBox';
import { DAY, HOUR } from '@/core/time/civil';

/** A box that nothing was planned in for so long is thrown away, in milliseconds. */
const FORGOTTEN = 120 * DAY;
/** The longest that a timer runs, in milliseconds. */
const LONGEST_TIMER = HOUR;

export type PlanAnswer = 'done' | BoxRefusal;

/**
 * What browsers want to have sent. A message goes out by being noted as gone: that and its leaving the plan are one write, so that
 * none goes out twice and none is lost, wherever the server is stopped. Nothing leaves this machine.
 */
export class MessageStore {
  private readonly boxes: Boxes<MessageBox>;
  /** When the next message of each box is due. */
  private readonly due = new Map<string, number>();
  private opened: Promise<void> | undefined;
  private timer: NodeJS.Timeout | undefined;
  private isEnded = false;

  constructor(
    folder: string,
    private readonly now: () => number,
    limits: BoxLimits = BOX_LIMITS,
  ) {
    this.boxes = new Boxes({
      folder,
      schema: MessageBox,
      limits,
      isForgotten: ({ planned, changed }) => planned.length === 0 && changed < this.now() - FORGOTTEN,
      onOpened: (token, box) => this.know(token, box),
    });
  }

  /** Reads what is there, and sends what fell due while the server was off. */
  open(): Promise<void> {
    this.opened ??= (async () => {
      await this.boxes.open();
      await this.send();
    })();
    return this.opened;
  }

  /** Sends no more. */
  end(): void {
    this.isEnded = true;
    clearTimeout(this.timer);
  }

  private know(token: string, { planned }: MessageBox): void {
    this.due.set(token, planned[0]?.at ?? Infinity);
  }

  /** A browser's box, or undefined if there is none. */
  async get(token: string): Promise<MessageBox | undefined> {
    await this.open();
    return this.boxes.get(token);
  }

  /**
   * Plans what a browser wants to have sent, in place of what it wanted before. The first to come has the box.
   * @param from the address of who sends it
   */
  async plan(token: string, plan: MessagePlan, from = ''): Promise<PlanAnswer> {
    await this.open();
    const now = this.now();
    const box = await this.boxes.put(token, plan.key, from, (before, own) => {
      const empty = { ...own, ahead: 0, zone: plan.zone, planned: [], done: [], doneIds: {}, changed: now };
      // What is due by now went out as it was planned before.
      return withPlan(afterSending(before ?? empty, now), plan, now);
    });
    if (typeof box === 'string') return box;
    this.know(token, box);
    this.sendLater();
    return 'done';
  }

  /** Sends all that is due. */
  async send(): Promise<void> {
    const now = this.now();
    for (const [token, next] of this.due)
      if (next <= now) {
        const box = await this.boxes.update(token, (kept) => afterSending(kept, this.now()));
        if (box) this.know(token, box);
        else this.due.delete(token);
      }
    this.sendLater();
  }

  private sendLater(): void {
    clearTimeout(this.timer);
    if (this.isEnded) return;
    const next = Math.min(Infinity, ...this.due.values());
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

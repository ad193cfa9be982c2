import type { CDPSession, Page } from '@playwright/test';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** How many movements a stroke is made of. */
const STEPS = 6;

/** A finger on the page, which Playwright has for taps only. */
export class Finger {
  private constructor(private readonly client: CDPSession) {}

  static async on(page: Page): Promise<Finger> {
    return new Finger(await page.context().newCDPSession(page));
  }

  /** Touches a point and stays there for as long as is said, in milliseconds: what makes a hold is the page's clock. */
  async hold(at: Point, milliseconds: number): Promise<void> {
    await this.send('touchStart', [at]);
    await new Promise((resolve) => setTimeout(resolve, milliseconds));
  }

  /** Goes from one point to another in a few movements. */
  async move(from: Point, to: Point): Promise<void> {
    for (const point of stroke(from, to)) await this.send('touchMove', [point]);
  }

  /** Draws from one point to another without a halt at the beginning, however busy the page is, and rests there. */
  async draw(from: Point, to: Point): Promise<void> {
    await Promise.all([
      this.send('touchStart', [from]),
      ...stroke(from, to).map((point) => this.send('touchMove', [point])),
    ]);
  }

  async lift(): Promise<void> {
    await this.send('touchEnd', []);
  }

  /** A quick stroke. A finger does not wait for the page: one that is held up finds all of it when it looks again. */
  async swipe(from: Point, to: Point): Promise<void> {
    await Promise.all([
      this.send('touchStart', [from]),
      ...stroke(from, to).map((point) => this.send('touchMove', [point])),
      this.lift(),
    ]);
  }

  private async send(type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: Point[]): Promise<void> {
    await this.client.send('Input.dispatchTouchEvent', { type, touchPoints });
  }
}

const stroke = (from: Point, to: Point): Point[] =>
  Array.from({ length: STEPS }, (_, index) => {
    const share = (index + 1) / STEPS;
    return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
  });

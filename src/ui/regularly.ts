/**
 * Does something at once, every so often, when the page comes into sight, and when it is asked for: one at a time, and once more
 * where it was asked for meanwhile.
 */
export class Regularly {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private isBusy = false;
  private isAgain = false;
  private isEnded = false;
  private readonly onSeen = () => {
    if (document.visibilityState === 'visible') this.wake();
  };

  constructor(
    private readonly task: () => Promise<void>,
    /** In milliseconds. */
    private readonly every: number,
  ) {
    document.addEventListener('visibilitychange', this.onSeen);
    this.wake();
  }

  /** Does it soon: several who ask in a row ask for one. */
  wake(after = 0): void {
    if (this.isBusy) this.isAgain = true;
    else this.later(after);
  }

  end(): void {
    this.isEnded = true;
    document.removeEventListener('visibilitychange', this.onSeen);
    clearTimeout(this.timer);
  }

  private later(after: number): void {
    clearTimeout(this.timer);
    if (!this.isEnded) this.timer = setTimeout(() => void this.run(), after);
  }

  private async run(): Promise<void> {
    this.isBusy = true;
    this.isAgain = false;
    try {
      await this.task();
    } finally {
      this.isBusy = false;
      this.later(this.isAgain ? 0 : this.every);
    }
  }
}

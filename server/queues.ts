/** Runs tasks of one name one after the other, in the order that they came in. */
export class NamedQueues {
  private readonly last = new Map<string, Promise<unknown>>();

  run<Result>(name: string, task: () => Promise<Result>): Promise<Result> {
    const result = (this.last.get(name) ?? Promise.resolve()).then(task, task);
    const done = result.catch(() => undefined);
    this.last.set(name, done);
    void done.then(() => {
      if (this.last.get(name) === done) this.last.delete(name);
    });
    return result;
  }
}

/** No more than so many tasks run at once, and no more wait for their turn. */
export class Slots {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(
    private readonly most: number,
    private readonly mostWaiting: number,
  ) {}

  /** Runs a task when its turn comes; undefined if too many wait already. */
  async run<Result>(task: () => Promise<Result>): Promise<{ result: Result } | undefined> {
    if (this.running >= this.most) {
      if (this.waiting.length >= this.mostWaiting) return undefined;
      await new Promise<void>((turn) => this.waiting.push(turn));
    } else this.running++;
    try {
      return { result: await task() };
    } finally {
      // The place goes to whoever waits longest.
      const next = this.waiting.shift();
      if (next) next();
      else this.running--;
    }
  }
}

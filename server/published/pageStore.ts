import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { NamedQueues, Slots } from '../queues';
import type { PageSections } from './pageSections';
import { Token } from '../secrets';
import type { StoredCopy } from './publishedStore';
import type { SectionsJob } from './sectionsInWorker';
import { DAY } from '@/core/time/civil';

/** So many days are kept in one file: a page of four weeks reads two. */
const DAYS_A_FILE = 28;

const Made = z.object({
  /** The copy that they were made from, and when: an old page does not reach as far. */
  updated: z.number(),
  made: z.number(),
  sections: z.object({ first: z.number(), end: z.number() }).nullable(),
});
type Made = z.infer<typeof Made>;
const Days = z.array(z.tuple([z.number(), z.string()]));

/** Pages are made anew after so long, in milliseconds: they reach a few years ahead from then. */
const STALE = 180 * DAY;

/** The pages of published calendars: made once for each copy, apart from the thread that serves them. */
export class PageStore {
  private readonly queues = new NamedQueues();
  private readonly slots = new Slots(1, 50);

  constructor(
    private readonly folder: string,
    private readonly make: (job: SectionsJob) => Promise<PageSections | undefined>,
  ) {}

  private folderOf(token: string): string {
    return path.join(this.folder, Token.parse(token));
  }

  /** The parts of a page on half-open days; undefined for a calendar that is too large for one. */
  async sections(
    token: string,
    copy: StoredCopy,
    first: number,
    end: number,
    now: number,
  ): Promise<PageSections | undefined> {
    const made = await this.prepare(token, copy, now);
    if (!made?.sections) return undefined;
    const days: [number, string][] = [];
    for (let file = Math.floor(first / DAYS_A_FILE); file * DAYS_A_FILE < end; file++) {
      const text = await this.read(token, `${file}.json`);
      if (text !== undefined) days.push(...Days.parse(JSON.parse(text)));
    }
    return { ...made.sections, days };
  }

  /** Makes the page of a copy if it is not there yet. */
  prepare(token: string, copy: StoredCopy, now: number): Promise<Made | undefined> {
    return this.queues.run(token, async () => {
      const text = await this.read(token, 'made.json');
      const known = text === undefined ? undefined : Made.safeParse(parse(text)).data;
      if (known?.updated === copy.updated && now - known.made < STALE) return known;
      const done = await this.slots.run(() => this.make({ copy, now }));
      if (!done) return undefined;
      const { result } = done;
      const made: Made = {
        updated: copy.updated,
        made: now,
        sections: result ? { first: result.first, end: result.end } : null,
      };
      await this.write(token, made, result?.days ?? []);
      return made;
    });
  }

  /** Takes a page away. */
  remove(token: string): Promise<void> {
    return this.queues.run(token, () => rm(this.folderOf(token), { recursive: true, force: true }));
  }

  private async write(token: string, made: Made, days: PageSections['days']): Promise<void> {
    const files = new Map<number, (readonly [number, string])[]>();
    for (const day of days) {
      const file = Math.floor(day[0] / DAYS_A_FILE);
      files.set(file, [...(files.get(file) ?? []), day]);
    }
    const beside = `${this.folderOf(token)}.new`;
    await rm(beside, { recursive: true, force: true });
    await mkdir(beside, { recursive: true, mode: 0o700 });
    const put = (name: string, value: unknown) =>
      writeFile(path.join(beside, name), JSON.stringify(value), { mode: 0o600 });
    for (const [file, list] of files) await put(`${file}.json`, list);
    await put('made.json', made);
    await rm(this.folderOf(token), { recursive: true, force: true });
    await rename(beside, this.folderOf(token));
  }

  private async read(token: string, name: string): Promise<string | undefined> {
    return readFile(path.join(this.folderOf(token), name), 'utf8').catch(() => undefined);
  }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

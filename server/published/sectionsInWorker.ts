import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { PageSections } from './pageSections';
import type { StoredCopy } from './publishedStore';

/** What a page may take to be made. */
export interface SectionLimits {
  readonly milliseconds: number;
  readonly megabytes: number;
}
const SECTION_LIMITS: SectionLimits = { milliseconds: 60_000, megabytes: 1024 };

export interface SectionsJob {
  readonly copy: Pick<StoredCopy, 'text' | 'zone' | 'allows'>;
  readonly now: number;
}

/** A thread takes no TypeScript by itself. */
const BEGIN = `require('tsx/cjs/api').register(); require(${JSON.stringify(path.join(__dirname, 'sections.worker.ts'))});`;

/** Makes the parts of a page in a thread of its own; undefined if that takes more time or memory than it may. */
export function sectionsInWorker(
  { copy: { text, zone, allows }, now }: SectionsJob,
  { milliseconds, megabytes }: SectionLimits = SECTION_LIMITS,
): Promise<PageSections | undefined> {
  return new Promise((resolve) => {
    const worker = new Worker(BEGIN, {
      eval: true,
      workerData: { copy: { text, zone, allows }, now } satisfies SectionsJob,
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: megabytes },
    });
    const timer = setTimeout(() => void worker.terminate(), milliseconds);
    const end = (sections?: PageSections) => {
      clearTimeout(timer);
      resolve(sections);
      void worker.terminate();
    };
    worker.once('message', (sections: PageSections) => end(sections));
    worker.once('error', (error) => {
      console.error('a page could not be made:', error.message);
      end();
    });
    worker.once('exit', () => end());
  });
}

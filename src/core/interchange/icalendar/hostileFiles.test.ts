import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { FENNICK, stateWith } from '../../../../testing/samples';
import { HOSTILE_FILES } from '../../../../testing/hostileFiles';
import { parseDate } from '../../time/civil';
import { dayWindow, OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { readBackup, writeBackup } from '../backup/backupFile';
import { writeCsv } from '../csv/writeCsv';
import { FileError } from './problems';
import { readCalendarFile } from './readCalendarFile';
import { writeCalendarFile } from './writeCalendarFile';

/** How long a file may take to be read, in milliseconds of the processor. */
const LONGEST = 10_000;
const week = dayWindow(parseDate('2027-03-08'), parseDate('2027-03-15'), FENNICK);

const busy = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
};

test.each(Object.entries(HOSTILE_FILES))(
  '%s: read in time or refused in words, and what is good is there',
  async (_, make) => {
    const text = make();
    const begun = busy();
    let ids = 0;
    let read: Awaited<ReturnType<typeof readCalendarFile>>;
    try {
      read = await readCalendarFile(text, { zone: FENNICK, now: 0, newId: () => String(++ids) });
    } catch (error) {
      expect(error).toBeInstanceOf(FileError);
      expect(busy() - begun).toBeLessThan(LONGEST);
      return;
    }
    expect(busy() - begun).toBeLessThan(LONGEST);
    expect(read.events.map(({ title }) => title)).toContain('Lamp test');

    // What was read can be asked about, written and kept, in time as well.
    const index = new OccurrenceIndex();
    const asked = busy();
    index.load(read.events);
    expect(index.between(week, FENNICK).map(({ title }) => title)).toContain('Lamp test');
    writeCsv(read.events, () => undefined);
    expect(writeCalendarFile(read.events)).toContain('SUMMARY:Lamp test');
    const backup = readBackup(writeBackup(stateWith(...read.events), new Map(), 0));
    expect(backup.problems).toEqual([]);
    expect(busy() - asked).toBeLessThan(LONGEST);
  },
);

/** A thread takes no TypeScript by itself. */
const READER = `require('temporal-polyfill/global'); require('tsx/cjs/api').register(); require(${JSON.stringify(
  path.join(process.cwd(), 'testing/hostileFiles.worker.ts'),
)});`;

// Takes as long as all of the above: with `LONG=1`.
(process.env.LONG ? test : test.skip)(
  'each is read within 1 GB of memory',
  async () => {
    const read: unknown[] = [];
    await new Promise<void>((resolve, reject) => {
      const worker = new Worker(READER, {
        eval: true,
        execArgv: [],
        resourceLimits: { maxOldGenerationSizeMb: 1024 },
      });
      worker.on('message', (name) => read.push(name));
      worker.once('error', (error) => reject(new Error(`after ${String(read.at(-1))}`, { cause: error })));
      worker.once('exit', () => resolve());
    });
    expect(read).toEqual(Object.keys(HOSTILE_FILES));
  },
  300_000,
);

import { parentPort } from 'node:worker_threads';
import { FileError } from '@/core/interchange/icalendar/problems';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { HOSTILE_FILES } from './hostileFiles';

/** Reads one hostile file after the other and says which it has read or refused: in a thread that has only so much memory. */
async function readAll(): Promise<void> {
  for (const [name, make] of Object.entries(HOSTILE_FILES)) {
    let ids = 0;
    const options = { zone: 'Europe/Lisbon', now: 0, newId: () => String(++ids) };
    await readCalendarFile(make(), options).catch((error: unknown) => {
      if (!(error instanceof FileError)) throw error;
    });
    parentPort?.postMessage(name);
  }
}

void readAll();

import { isQuotaError } from './attachmentFiles';
import type { CommitLog } from './commitLog';
import type { Database } from './database';

/** Tells the other pages, and hears from them, which commits are kept. */
export interface LogChannel {
  announce(keys: readonly string[]): void;
  listen(heard: (keys: readonly string[]) => void): void;
}

/** A log in a database of its own, in which nothing waits behind the records. */
export const databaseLog = (database: Database, channel: LogChannel): CommitLog => ({
  keys: () => database.getAllKeys(),
  async read(keys) {
    const texts = await database.getMany([...keys]);
    return new Map(Object.entries(texts).filter((entry): entry is [string, string] => entry[1] !== null));
  },
  async append(texts) {
    try {
      await database.setMany(texts);
    } catch (error) {
      return isQuotaError(error) ? 'storage-full' : 'storage-failed';
    }
    channel.announce(Object.keys(texts));
    return undefined;
  },
  remove: (keys) => database.removeMany([...keys]),
  listen: (heard) => channel.listen(heard),
});

/** Pages that live in one process, for tests. */
export function localChannel(): LogChannel {
  const listeners: ((keys: readonly string[]) => void)[] = [];
  return {
    announce: (keys) => listeners.forEach((heard) => heard(keys)),
    listen: (heard) => void listeners.push(heard),
  };
}

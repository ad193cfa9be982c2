import * as Comlink from 'comlink';
import { z } from 'zod';
import type { CommitLog } from './commitLog';
import { openDatabase } from './database';
import { databaseLog, type LogChannel } from './databaseLog';

export const LOG_NAME = 'orderly-week-log';

/** A write that takes longer than this is made by the page itself: the worker is gone. Twice the same is once. */
const PATIENCE = 5_000;

const Keys = z.array(z.string());

/** How pages of the browser hear of each other's commits. */
export function browserChannel(): LogChannel {
  const channel = new BroadcastChannel(LOG_NAME);
  return {
    announce: (keys) => channel.postMessage(keys),
    listen: (heard) =>
      channel.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
        const keys = Keys.safeParse(data).data;
        if (keys) heard(keys);
      }),
  };
}

/**
 * The browser's log. A worker of its own writes it, so that a commit is kept while the page is still busy showing it, and
 * however many keys are pressed meanwhile.
 */
export function browserLog(): CommitLog {
  const own = databaseLog(openDatabase(LOG_NAME), browserChannel());
  // Metro finds a worker by exactly this form of its address.
  const worker = new Worker(new URL('./log.worker', import.meta.url));
  const remote = Comlink.wrap<Pick<CommitLog, 'append'>>(worker);
  let isGone = false;
  worker.addEventListener('error', () => (isGone = true));
  return {
    ...own,
    async append(texts) {
      if (isGone) return own.append(texts);
      let patience: ReturnType<typeof setTimeout> | undefined;
      const gone = new Promise<'gone'>((resolve) => {
        patience = setTimeout(resolve, PATIENCE, 'gone');
      });
      const answer = await Promise.race([remote.append(texts), gone]).catch(() => 'gone' as const);
      clearTimeout(patience);
      if (answer !== 'gone') return answer;
      isGone = true;
      return own.append(texts);
    },
  };
}

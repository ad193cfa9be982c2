import { useMemo } from 'react';
import { filesNamed } from '@/core/change/attachmentChanges';
import { isFeedDue, refreshFeed } from '@/core/feeds/refreshFeed';
import { useCommands, workspace } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';
import { readFeed } from './readFeed';

/** Feeds that are being read: never two times at once. */
const running = new Set<string>();

/** Reads feeds again: one on demand, or all that are due. */
export function useFeeds() {
  const { store, clock } = useOpenStore();
  const { context } = useCommands();
  return useMemo(() => {
    /** How many entries changed; undefined if it could not be read. */
    const refresh = async (calendarId: string): Promise<number | undefined> => {
      const feed = store.getSnapshot().state.calendars.get(calendarId)?.feed;
      if (!feed || running.has(calendarId)) return undefined;
      running.add(calendarId);
      try {
        const { answer, files } = await readFeed(feed, { zone: context().zone, now: clock() });
        const patch = refreshFeed(store.getSnapshot().state, calendarId, answer, context());
        const kept = filesNamed(patch);
        const wanted = new Map([...files].filter(([id]) => kept.has(id)));
        if ((await store.files.write(wanted)) === undefined) await store.commit(patch, 'quiet');
        return answer.kind === 'failed' ? undefined : patch.summary.count;
      } finally {
        running.delete(calendarId);
      }
    };
    return {
      refresh,
      /** Reads one now, and says what came of it. */
      async refreshAloud(calendarId: string): Promise<void> {
        const changed = await refresh(calendarId);
        const feed = store.getSnapshot().state.calendars.get(calendarId)?.feed;
        const said = exchangeWords.feeds;
        workspace.say(
          changed === undefined
            ? {
                text: feed?.problem
                  ? `${said.problems[feed.problem.code]}. ${said.keptEntries}`
                  : said.reading,
                tone: feed?.problem ? 'problem' : 'done',
                undo: false,
              }
            : { text: changed > 0 ? said.changed(changed) : said.upToDate, tone: 'done', undo: false },
        );
      },
      async refreshDue(): Promise<void> {
        const now = clock();
        const due = [...store.getSnapshot().state.calendars.values()].filter((each) => isFeedDue(each, now));
        for (const { id } of due) await refresh(id);
      },
    };
  }, [store, clock, context]);
}

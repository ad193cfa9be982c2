import { z } from 'zod';
import type { FeedAnswer } from '@/core/feeds/refreshFeed';
import { FEED_PROBLEMS, type FeedSource } from '@/core/model/calendar';
import { calendarFiles } from '@/store';

/** What the server says of a feed. */
const Fetched = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('read'),
    text: z.string(),
    etag: z.string().optional(),
    lastModified: z.string().optional(),
  }),
  z.object({ kind: z.literal('unchanged') }),
  z.object({ kind: z.literal('failed'), code: z.enum(FEED_PROBLEMS), detail: z.string() }),
]);

/** A feed as it was read, with the bytes of its attachments. */
export interface ReadFeed {
  readonly answer: FeedAnswer;
  readonly name: string | undefined;
  readonly files: ReadonlyMap<string, string>;
}

const NO_FILES: ReadonlyMap<string, string> = new Map();
const without = (answer: FeedAnswer): ReadFeed => ({ answer, name: undefined, files: NO_FILES });

/** Asks the server for a feed, which this page can't read itself, and reads what it holds in a worker. */
export async function readFeed(
  feed: Pick<FeedSource, 'address' | 'etag' | 'lastModified'>,
  options: { readonly zone: string; readonly now: number },
): Promise<ReadFeed> {
  const { address, etag, lastModified } = feed;
  let fetched: z.infer<typeof Fetched>;
  try {
    const response = await fetch('/api/feed', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ address, etag, lastModified }),
    });
    if (!response.ok) throw new Error(String(response.status));
    fetched = Fetched.parse(await response.json());
  } catch (error) {
    const detail = error instanceof Error ? error.message.slice(0, 120) : '';
    return without({ kind: 'failed', code: 'server-away', detail });
  }
  if (fetched.kind !== 'read') return without(fetched);
  const bytes = new TextEncoder().encode(fetched.text);
  const read = await calendarFiles().read(bytes, { ...options, calendars: [] }, async () => true);
  if (!('file' in read)) {
    const detail = 'refused' in read ? read.refused : '';
    return without({ kind: 'failed', code: 'unreadable', detail });
  }
  return {
    answer: {
      kind: 'read',
      entries: [...read.file.events, ...read.file.todos],
      etag: fetched.etag,
      lastModified: fetched.lastModified,
    },
    name: read.file.name,
    files: read.files,
  };
}

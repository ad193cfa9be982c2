import { z } from 'zod';
import type { State } from '@/core/model/state';
import type { Patch } from '@/core/change/patch';
import type { Database } from './database';
import { DAY } from '@/core/time/civil';

/** Keys of attachments' bytes. */
export const ATTACHMENT_PREFIX = 'attachment/';

/** A chunk's length in characters: a multiple of four, so that each is base 64 by itself. */
const CHUNK = 256 * 1024;
/** Files that no entry names are kept this long: a change that is being made may name them yet. */
const KEPT_UNNAMED_MS = DAY;
/** What the browser must have left over beside the files themselves, in bytes. */
const SPARE = 2 * 1024 * 1024;

const FileMeta = z.object({ chunks: z.number().int().min(0), written: z.number() });

const metaKey = (id: string): string => `${ATTACHMENT_PREFIX}${id}`;
const chunkKey = (id: string, index: number): string => `${metaKey(id)}/${index}`;

/** Why files were not kept. Nothing of them is there then. */
export type FilesFailure = 'no-room' | 'storage-failed';

/** How much room the browser gives and has given, in bytes; undefined where it does not say. */
export type StorageEstimate = () => Promise<{ quota: number; usage: number } | undefined>;

/** The room that the browser says there is. */
const browserEstimate: StorageEstimate = async () => {
  const { quota, usage } = (await navigator.storage?.estimate?.()) ?? {};
  return quota === undefined || usage === undefined ? undefined : { quota, usage };
};

/** The bytes of attachments, in chunks of base 64, apart from the entries that name them. */
export class AttachmentFiles {
  constructor(
    private readonly database: Database,
    private readonly estimate: StorageEstimate = browserEstimate,
    private readonly now: () => number = Date.now,
  ) {}

  /** Keeps files, all of them or none; undefined if it went well. */
  async write(files: ReadonlyMap<string, string>): Promise<FilesFailure | undefined> {
    if (files.size === 0) return undefined;
    const length = [...files.values()].reduce((sum, text) => sum + text.length, 0);
    const room = await this.estimate();
    if (room && room.usage + length + SPARE > room.quota) return 'no-room';
    try {
      for (const [id, text] of files) {
        const chunks = Math.ceil(text.length / CHUNK);
        for (let index = 0; index < chunks; index++)
          await this.database.setItem(chunkKey(id, index), text.slice(index * CHUNK, (index + 1) * CHUNK));
        // Written last: a file is there when all of it is.
        await this.database.setItem(metaKey(id), JSON.stringify({ chunks, written: this.now() }));
      }
      return undefined;
    } catch (error) {
      await this.remove(files.keys()).catch(() => undefined);
      return isQuotaError(error) ? 'no-room' : 'storage-failed';
    }
  }

  /** A file in base 64; undefined if it is not here. */
  async read(id: string): Promise<string | undefined> {
    const text = await this.database.getItem(metaKey(id));
    const meta = text === null ? undefined : FileMeta.safeParse(JSON.parse(text)).data;
    if (!meta) return undefined;
    const keys = Array.from({ length: meta.chunks }, (_, index) => chunkKey(id, index));
    const chunks = keys.length > 0 ? await this.database.getMany(keys) : {};
    const parts = keys.map((key) => chunks[key]);
    return parts.every((part) => typeof part === 'string') ? parts.join('') : undefined;
  }

  /** Several files; those that are not here are left out. */
  async readAll(ids: Iterable<string>): Promise<Map<string, string>> {
    const files = new Map<string, string>();
    for (const id of new Set(ids)) {
      const text = await this.read(id);
      if (text !== undefined) files.set(id, text);
    }
    return files;
  }

  /** Takes files away. */
  async remove(ids: Iterable<string>): Promise<void> {
    const prefixes = [...ids].map(metaKey);
    if (prefixes.length === 0) return;
    const keys = (await this.database.getAllKeys()).filter((key) =>
      prefixes.some((prefix) => key === prefix || key.startsWith(`${prefix}/`)),
    );
    if (keys.length > 0) await this.database.removeMany(keys);
  }

  /** Takes files away that nothing names any more: no entry, nothing in the bin, nothing that can be undone. */
  async sweep(state: State, patches: readonly Patch[]): Promise<void> {
    const keys = (await this.database.getAllKeys()).filter((key) => key.startsWith(ATTACHMENT_PREFIX));
    if (keys.length === 0) return;
    const named = namedFiles(state, patches);
    const idOf = (key: string) => key.slice(ATTACHMENT_PREFIX.length).split('/')[0]!;
    const unnamed = [...new Set(keys.map(idOf))].filter((id) => !named.has(id));
    const old: string[] = [];
    for (const id of unnamed) {
      const text = await this.database.getItem(metaKey(id));
      const written = text === null ? undefined : FileMeta.safeParse(JSON.parse(text)).data?.written;
      if (this.now() - (written ?? 0) > KEPT_UNNAMED_MS) old.push(id);
    }
    await this.remove(old);
  }
}

/**
 * Whether the browser refused to keep something for want of room. AsyncStorage keeps only the message of what failed, and
 * Chromium's QuotaExceededError has none.
 */
export const isQuotaError = (error: unknown): boolean =>
  error instanceof Error
    ? /quota/i.test(`${error.name} ${error.message}`) ||
      ((error as { type?: unknown }).type === 'WebStorageError' && error.message === '')
    : /quota/i.test(String(error));

function namedFiles(state: State, patches: readonly Patch[]): Set<string> {
  const named = new Set<string>();
  const name = (entry: { attachments?: readonly { id: string }[] | undefined } | null): void =>
    entry?.attachments?.forEach(({ id }) => named.add(id));
  for (const entry of state.entries.values()) name(entry);
  for (const { entry } of state.bin.values()) name(entry);
  for (const { changes } of patches)
    for (const change of changes) {
      if (change.collection === 'entries') [change.before, change.after].forEach(name);
      if (change.collection === 'bin')
        [change.before, change.after].forEach((item) => name(item?.entry ?? null));
    }
  return named;
}

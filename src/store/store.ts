import { type CommitRole, type History, recordCommit, redoPatch, undoPatch } from '@/core/change/history';
import { applyPatch, inversePatch, type Patch } from '@/core/change/patch';
import type { State } from '@/core/model/state';
import type { EngineClient } from '@/engine/client';
import { AttachmentFiles, type FilesFailure, isQuotaError } from './attachmentFiles';
import type { Database } from './database';
import type { Handover } from './handover';
import {
  type Commit,
  JOURNAL_KEY,
  type Kept,
  LOG_PREFIX,
  type LogEntry,
  logKey,
  Meta,
  META_KEY,
  outdated,
  parseLogEntry,
} from './journal';
import { commitTexts, type Loaded, loadDatabase, type SetAside } from './load';
import type { Tabs } from './tabs';

/** What the interface sees: the data, what can be undone, and a number that changes with every change. */
export interface Snapshot {
  readonly state: State;
  readonly history: History;
  /** Grows with each change that this tab has seen; for query keys. */
  readonly version: number;
}

/** A commit of more changes is written in several tasks, so that the page answers in between. */
const LARGE = 1000;
const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

const isSame = (one: Commit, other: Commit): boolean =>
  one.role === other.role && one.patch.id === other.patch.id;

/** Why a commit could not be kept. It has been taken back. */
export type CommitFailure = 'storage-full' | 'storage-failed';

export interface StoreParts {
  readonly database: Database;
  readonly engine: EngineClient;
  readonly tabs: Tabs;
  readonly files?: AttachmentFiles;
  readonly handover?: Handover;
}

/**
 * The data of the person. A commit shows at once in the snapshot and the engine; it is then written with a journal,
 * one after the other over all tabs. One that can't be written is taken back and reported. What is not written when the
 * page is left is handed over to the next.
 */
export class Store {
  private snapshot: Snapshot;
  /** The bytes of attachments. They are written before the change that names them. */
  readonly files: AttachmentFiles;
  private readonly listeners = new Set<() => void>();
  private readonly failureListeners = new Set<(failure: CommitFailure) => void>();
  private readonly pending: Commit[] = [];
  private writing: Promise<void> = Promise.resolve();

  /** Records that could not be read at the start. */
  readonly setAside: readonly SetAside[];
  /** Whether there was no data when it opened. */
  readonly isNew: boolean;
  private revision: number;
  /** The commits that are kept, as this tab knows, oldest first. */
  private log: Kept[];

  private constructor(
    private readonly parts: StoreParts,
    { state, history, revision, log, setAside, isNew }: Loaded,
  ) {
    this.snapshot = { state, history, version: 1 };
    this.revision = revision;
    this.log = [...log];
    this.setAside = setAside;
    this.isNew = isNew;
    this.files = parts.files ?? new AttachmentFiles(parts.database);
    parts.tabs.listen((revision) => {
      if (revision > this.revision) void this.enqueue(() => this.catchUp());
    });
    parts.handover?.onLeaving(() => this.leave());
    parts.handover?.onLeft(() => void this.takeOver());
  }

  /** Opens the database, completing an unfinished commit, and hands the entries to the engine. */
  static async open(parts: StoreParts): Promise<Store> {
    let early: readonly string[] | undefined;
    let loading: Promise<void> = Promise.resolve();
    const loaded = await parts.tabs.exclusively(() =>
      loadDatabase(parts.database, (chunks) => {
        early = chunks;
        // What can't be read there is replaced below.
        loading = parts.engine.load(chunks).catch(() => undefined);
      }),
    );
    await loading;
    if (loaded.entryChunks !== early) await parts.engine.load(loaded.entryChunks);
    const store = new Store(parts, loaded);
    // Without data, what a page left belonged to data that is gone.
    if (loaded.isNew) parts.handover?.clear(parts.handover.find().keys());
    else await store.takeOver();
    return store;
  }

  getSnapshot = (): Snapshot => this.snapshot;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Hears of commits that could not be kept. */
  onFailure(listener: (failure: CommitFailure) => void): () => void {
    this.failureListeners.add(listener);
    return () => this.failureListeners.delete(listener);
  }

  get engine(): EngineClient {
    return this.parts.engine;
  }

  /** Makes a change. It shows at once; the promise settles when it is kept (true) or taken back (false). */
  commit(patch: Patch, role: CommitRole = 'do'): Promise<boolean> {
    if (patch.changes.length === 0) return Promise.resolve(true);
    const entry = { role, patch };
    this.pending.push(entry);
    this.show(patch, recordCommit(this.snapshot.history, role, patch));
    return this.enqueue(() => this.write(entry));
  }

  /** Makes a change that names new files: both are kept, or neither. */
  async commitWithFiles(
    patch: Patch,
    files: ReadonlyMap<string, string>,
  ): Promise<FilesFailure | 'taken-back' | undefined> {
    const failure = await this.files.write(files);
    if (failure) return failure;
    if (await this.commit(patch)) return undefined;
    await this.files.remove(files.keys());
    return 'taken-back';
  }

  /** Takes back the latest change; its patch, or undefined if there is none. */
  undo(): Patch | undefined {
    const patch = undoPatch(this.snapshot.history);
    if (patch) void this.commit(patch, 'undo');
    return patch && this.snapshot.history.undone.at(-1);
  }

  /** Does again what was undone last. */
  redo(): Patch | undefined {
    const patch = redoPatch(this.snapshot.history);
    if (patch) void this.commit(patch, 'redo');
    return patch;
  }

  /** Settles when everything committed so far is written. */
  settled(): Promise<void> {
    return this.writing;
  }

  private leave(): void {
    if (this.pending.length > 0) this.parts.handover?.leave({ since: this.revision, commits: this.pending });
  }

  /** Makes the changes that a page left before it had written them. Those that it wrote all the same are known. */
  private async takeOver(): Promise<void> {
    const { database, handover } = this.parts;
    const left = handover?.find();
    if (!handover || !left || left.size === 0) return;
    const written = await this.enqueue(async () => {
      await this.catchUp();
      const keys = (await database.getAllKeys()).filter((key) => key.startsWith(LOG_PREFIX));
      return Object.values(await database.getMany(keys)).flatMap((text) => parseLogEntry(text) ?? []);
    });
    const kept = [...left.values()].flatMap(({ since, commits }) =>
      commits
        .filter((commit) => !written.some((entry) => entry.revision > since && isSame(entry, commit)))
        .map(({ patch, role }) => this.commit(patch, role)),
    );
    await Promise.all(kept);
    handover.clear(left.keys());
  }

  private enqueue<Result>(task: () => Promise<Result>): Promise<Result> {
    const result = this.writing.then(() => this.parts.tabs.exclusively(task));
    this.writing = result.then(
      () => undefined,
      () => undefined,
    );
    return result;
  }

  private show(patch: Patch, history: History): void {
    this.snapshot = {
      state: applyPatch(this.snapshot.state, patch),
      history,
      version: this.snapshot.version + 1,
    };
    void this.parts.engine.apply(patch);
    for (const listener of this.listeners) listener();
  }

  private async write(entry: Commit): Promise<boolean> {
    const { database } = this.parts;
    try {
      await this.catchUp();
      // The page was left and came back, and another has written it meanwhile.
      if (!this.pending.includes(entry)) return true;
      const logEntry: LogEntry = { revision: this.revision + 1, ...entry };
      if (entry.patch.changes.length > LARGE) await nextTask();
      const text = JSON.stringify(logEntry);
      await database.setItem(JOURNAL_KEY, text);
      if (entry.patch.changes.length > LARGE) await nextTask();
      // Written as of the state that shows now: later commits only add to it, and follow with their own journal.
      await database.setMany(commitTexts(this.snapshot.state, logEntry, text));
      this.revision = logEntry.revision;
      this.pending.splice(this.pending.indexOf(entry), 1);
      if (this.pending.length === 0) this.parts.handover?.clearOwn();
      this.log.push({ revision: logEntry.revision, role: entry.role });
      const old = outdated(this.log);
      await database.removeMany([JOURNAL_KEY, ...old.map(({ revision }) => logKey(revision))]);
      this.log = this.log.filter((kept) => !old.includes(kept));
      this.parts.tabs.announce(logEntry.revision);
      return true;
    } catch (error) {
      await this.takeBack(entry, error);
      return false;
    }
  }

  private async takeBack(entry: Commit, error: unknown): Promise<void> {
    this.pending.splice(this.pending.indexOf(entry), 1);
    const history = this.snapshot.history;
    const without = {
      done: history.done.filter((patch) => patch !== entry.patch),
      undone: history.undone.filter((patch) => patch !== entry.patch),
    };
    this.show(inversePatch(entry.patch), without);
    await this.parts.database.removeItem(JOURNAL_KEY).catch(() => undefined);
    const failure = isQuotaError(error) ? 'storage-full' : 'storage-failed';
    for (const listener of this.failureListeners) listener(failure);
  }

  /** Follows what other tabs have written since; own changes that are not written yet stay on top. */
  private async catchUp(): Promise<void> {
    const { database, engine } = this.parts;
    const text = await database.getItem(META_KEY);
    const latest = text ? Meta.parse(JSON.parse(text)).revision : 0;
    if (latest <= this.revision) return;
    const missing = Array.from({ length: latest - this.revision }, (_, index) =>
      logKey(this.revision + 1 + index),
    );
    const texts = await database.getMany(missing);
    const entries = missing.map((key) => parseLogEntry(texts[key]));
    if (entries.every((entry) => entry !== undefined)) {
      for (const entry of entries) {
        this.log.push({ revision: entry.revision, role: entry.role });
        const own = this.pending.findIndex((commit) => isSame(entry, commit));
        if (own !== -1) this.pending.splice(own, 1);
        else this.show(entry.patch, recordCommit(this.snapshot.history, entry.role, entry.patch));
      }
    } else {
      // Too far behind: everything is read anew.
      const loaded = await loadDatabase(database);
      await engine.load(loaded.entryChunks);
      this.log = [...loaded.log];
      this.snapshot = { state: loaded.state, history: loaded.history, version: this.snapshot.version + 1 };
    }
    this.revision = latest;
    for (const { patch } of this.pending) this.show(patch, this.snapshot.history);
  }
}

import { type CommitRole, type History, recordCommit, redoPatch, undoPatch } from '@/core/change/history';
import { applyPatch, inversePatch, type Patch } from '@/core/change/patch';
import { rebasePatch } from '@/core/change/rebase';
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

/** A commit that waits to be written. What it stands on may go, and another tab may write it meanwhile. */
interface Pending {
  readonly role: CommitRole;
  patch: Patch;
  isWritten?: true;
}

/** Hears of a patch with the states before and after it. */
export type PatchListener = (patch: Patch, before: State, after: State) => void;

const follow = (
  { state, history }: Pick<Snapshot, 'state' | 'history'>,
  { role, patch }: Commit,
): Pick<Snapshot, 'state' | 'history'> => ({
  state: applyPatch(state, patch),
  history: recordCommit(history, role, patch),
});

/** Whether undoing or doing again is about what comes next in a history. */
const isNext = ({ done, undone }: History, { role, patch }: Commit): boolean =>
  role === 'undo'
    ? patch.id === `${done.at(-1)?.id}-`
    : role === 'redo'
      ? patch.id === undone.at(-1)?.id
      : true;

/** Why a commit could not be kept. It has been taken back. */
export type CommitFailure = 'storage-full' | 'storage-failed';

/** Hears why a commit was taken back, and how many went with it. */
type FailureListener = (failure: CommitFailure, count: number) => void;

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
  /** What is written, as far as this tab knows: what shows is this with the pending commits. */
  private written: Pick<Snapshot, 'state' | 'history'>;
  /** The bytes of attachments. They are written before the change that names them. */
  readonly files: AttachmentFiles;
  private readonly listeners = new Set<() => void>();
  private readonly patchListeners = new Set<PatchListener>();
  private readonly failureListeners = new Set<FailureListener>();
  private readonly pending: Pending[] = [];
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
    this.written = { state, history };
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
    void parts.engine.loadNotes([...loaded.state.ownNotes.values()]);
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

  /** Hears of each change that shows: own ones, those of other tabs, and those that are taken back. */
  onPatch(listener: PatchListener): () => void {
    this.patchListeners.add(listener);
    return () => this.patchListeners.delete(listener);
  }

  /** Hears of commits that could not be kept. */
  onFailure(listener: FailureListener): () => void {
    this.failureListeners.add(listener);
    return () => this.failureListeners.delete(listener);
  }

  get engine(): EngineClient {
    return this.parts.engine;
  }

  /** Makes a change. It shows at once; the promise settles when it is kept (true) or taken back (false). */
  commit(patch: Patch, role: CommitRole = 'do'): Promise<boolean> {
    if (patch.changes.length === 0) return Promise.resolve(true);
    const entry: Pending = { role, patch };
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
    if (this.pending.length > 0)
      this.parts.handover?.leave({
        since: this.revision,
        commits: this.pending.map(({ role, patch }) => ({ role, patch })),
      });
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
    const { state: before } = this.snapshot;
    this.snapshot = {
      state: applyPatch(this.snapshot.state, patch),
      history,
      version: this.snapshot.version + 1,
    };
    void this.parts.engine.apply(patch);
    for (const listener of this.patchListeners) listener(patch, before, this.snapshot.state);
    for (const listener of this.listeners) listener();
  }

  /** Notes a commit as written, own or another tab's. */
  private keep(commit: Commit): void {
    this.written = follow(this.written, commit);
  }

  private async write(entry: Pending): Promise<boolean> {
    const { database } = this.parts;
    try {
      await this.catchUp();
      // The page was left and came back, and another has written it meanwhile.
      if (!this.pending.includes(entry)) return entry.isWritten === true;
      const logEntry: LogEntry = { revision: this.revision + 1, role: entry.role, patch: entry.patch };
      if (entry.patch.changes.length > LARGE) await nextTask();
      const text = JSON.stringify(logEntry);
      await database.setItem(JOURNAL_KEY, text);
      if (entry.patch.changes.length > LARGE) await nextTask();
      // Written as of its own state: what others that wait change has no journal yet.
      await database.setMany(commitTexts(applyPatch(this.written.state, entry.patch), logEntry, text));
      this.keep(entry);
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

  /**
   * Takes a commit back that could not be written. Those that wait behind it stay, but for those that can't be without it:
   * they are taken back along, and say so themselves.
   */
  private async takeBack(entry: Pending, error: unknown): Promise<void> {
    const count = this.withdraw(entry);
    await this.parts.database.removeItem(JOURNAL_KEY).catch(() => undefined);
    const failure = isQuotaError(error) ? 'storage-full' : 'storage-failed';
    for (const listener of this.failureListeners) listener(failure, count);
  }

  /** Takes a pending commit away, and those that need it; answers how many. */
  private withdraw(entry: Pending): number {
    const from = this.pending.indexOf(entry);
    if (from === -1) return 0;
    let count = 1;
    const behind = this.pending.splice(from);
    const before = this.pending.reduce(follow, this.written);
    for (const { patch } of [...behind].reverse()) this.show(inversePatch(patch), this.snapshot.history);
    let { state, history } = before;
    for (const commit of behind.slice(1)) {
      const patch = isNext(history, commit) ? rebasePatch(state, commit.patch) : undefined;
      if (!patch) {
        count++;
        continue;
      }
      commit.patch = patch;
      this.pending.push(commit);
      history = recordCommit(history, commit.role, patch);
      this.show(patch, history);
      state = this.snapshot.state;
    }
    this.snapshot = { ...this.snapshot, history };
    for (const listener of this.listeners) listener();
    return count;
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
        this.keep(entry);
        const own = this.pending.findIndex((commit) => isSame(entry, commit));
        const [known] = own === -1 ? [] : this.pending.splice(own, 1);
        if (known) known.isWritten = true;
        else this.show(entry.patch, recordCommit(this.snapshot.history, entry.role, entry.patch));
      }
    } else {
      // Too far behind: everything is read anew.
      const loaded = await loadDatabase(database);
      await engine.load(loaded.entryChunks);
      void engine.loadNotes([...loaded.state.ownNotes.values()]);
      this.log = [...loaded.log];
      this.written = { state: loaded.state, history: loaded.history };
      this.snapshot = { ...this.written, version: this.snapshot.version + 1 };
    }
    this.revision = latest;
    let { history } = this.written;
    for (const { patch, role } of this.pending) {
      history = recordCommit(history, role, patch);
      this.show(patch, history);
    }
  }
}

import { type CommitRole, type History, recordCommit, redoPatch, undoPatch } from '@/core/change/history';
import { applyPatch, type Change, type Patch } from '@/core/change/patch';
import { rebasePatch } from '@/core/change/rebase';
import { COLLECTION_NAMES, type State } from '@/core/model/state';
import type { EngineClient } from '@/engine/asked';
import { besideIn } from '@/engine/beside';
import { ASIDE_PREFIX, readAside, type SetAside } from './aside';
import { AttachmentFiles, type FilesFailure } from './attachmentFiles';
import {
  type CommitFailure,
  type CommitLog,
  commitText,
  countOf,
  type LogEntry,
  orderOf,
  readCommits,
} from './commitLog';
import type { Database } from './database';
import { fold } from './fold';
import type { Handover } from './handover';
import { type Loaded, loadDatabase } from './load';
import { META_KEY, parseMeta } from './meta';
import { outdated } from './outdated';
import type { Tabs } from './tabs';
import { recordIn, recordKey, type Timeline, withCommit, withoutCommits } from './timeline';

/** What the interface sees: the data, and what can be undone. */
export interface Snapshot {
  readonly state: State;
  readonly history: History;
  /** Grows when the engine was given other entries, or leaves out others, than changes of the state tell. */
  readonly engineAge: number;
}

/** A commit of more changes is written in a task of its own, so that the page shows it before. */
const LARGE = 1000;
const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** How long after a commit the records follow, in milliseconds: those of a burst together. */
const FOLD_OWN = 400;
/** Other pages do it where the one that made the commit is gone. */
const FOLD_OTHERS = 3_000;
/** When it is tried again after it failed. */
const FOLD_AGAIN = 20_000;

/** A commit that is not kept yet. What it stands on may go, and another page may keep it meanwhile. */
interface Pending extends LogEntry {
  patch: Patch;
  readonly settle: (isKept: boolean) => void;
}

/** An engine that does not answer is started anew with the present entries when it is asked next. */
const givenUp = (): void => undefined;

/** Hears of a patch with the states before and after it. */
export type PatchListener = (patch: Patch, before: State, after: State) => void;

/** Whether undoing or doing again is about what comes next in a history. */
const isNext = (history: History, { role, patch }: LogEntry): boolean =>
  role === 'undo'
    ? patch.id === undoPatch(history)?.id
    : role === 'redo'
      ? patch.id === redoPatch(history)?.id
      : true;

const withPending = (history: History, pending: readonly LogEntry[]): History =>
  pending.reduce((before, { role, patch }) => recordCommit(before, role, patch), history);

/** Hears why a commit was taken back, and how many went with it. */
type FailureListener = (failure: CommitFailure, count: number) => void;

/** What undoing or doing again did, and whether it came to be kept. */
export interface Turn {
  /** The change that was taken back or done again. */
  readonly patch: Patch;
  readonly kept: Promise<boolean>;
}

export interface StoreParts {
  readonly database: Database;
  readonly log: CommitLog;
  readonly engine: EngineClient;
  readonly tabs: Tabs;
  readonly files?: AttachmentFiles;
  readonly handover?: Handover | undefined;
  /** Runs a task after some milliseconds. */
  readonly later?: (task: () => void, delay: number) => void;
  /** A name that no other page has. */
  readonly page?: string;
  /** What to begin with where there is no data. */
  readonly begin?: (files: AttachmentFiles) => Promise<Patch | undefined>;
}

/**
 * The data of the person. A commit shows at once in the snapshot and the engine, and is kept in the log by one small write
 * of its own; the records follow in bulk, under a lock that lets one page do so at a time. Commits of several pages are
 * ordered by their places in the log (docs/decisions). One that can't be kept is taken back and reported.
 */
export class Store {
  private snapshot: Snapshot;
  /** What is kept, as far as this page knows: what shows is this with the pending commits. */
  private timeline: Timeline;
  /** The bytes of attachments. They are written before the change that names them. */
  readonly files: AttachmentFiles;
  private readonly listeners = new Set<() => void>();
  private readonly patchListeners = new Set<PatchListener>();
  private readonly failureListeners = new Set<FailureListener>();
  private pending: Pending[] = [];
  private writing: Promise<void> | undefined;
  /** The highest count of a place that this page knows. */
  private count: number;
  private readonly page: string;
  /** Commits that the records held when they were last read, and those of the log that they hold since. */
  private readCount: number;
  private readFolded: ReadonlySet<string>;
  private isFoldDue = false;
  /** Grows when commits are forgotten: what was being read before may be among them. */
  private era = 0;

  /** How many records could not be read at the start, and were put aside. */
  readonly setAside: number;
  /** Whether there was no data when it opened. */
  readonly isNew: boolean;
  /** The id of what had been done last when it opened: what comes after it was done in the sight of this page. */
  readonly lastBefore: string | undefined;

  private constructor(
    private readonly parts: StoreParts,
    { timeline, count, folded, setAside, isNew }: Loaded,
  ) {
    this.timeline = timeline;
    this.snapshot = { state: timeline.state, history: timeline.history, engineAge: 1 };
    this.readCount = count;
    this.readFolded = folded;
    this.count = Math.max(0, ...timeline.commits.map(({ order }) => countOf(order)), count);
    this.page = parts.page ?? crypto.randomUUID().slice(0, 8);
    this.setAside = setAside;
    this.isNew = isNew;
    this.lastBefore = timeline.history.done.at(-1)?.id;
    this.files = parts.files ?? new AttachmentFiles(parts.database);
    parts.log.listen((keys) => void this.hear(keys));
    parts.handover?.onLeaving(() => this.leave());
    parts.handover?.asksToStay(() => this.pending.some(({ patch }) => patch.changes.length > LARGE));
    parts.handover?.onLeft(() => void this.takeOverLater());
  }

  /** Opens the data, begins it where there is none, and hands the entries to the engine. */
  static async open(parts: StoreParts): Promise<Store> {
    const { database, log, engine, tabs, begin } = parts;
    const store = await tabs.exclusively(async () => {
      let early: readonly string[] | undefined;
      let loading: Promise<void> = Promise.resolve();
      const loaded = await loadDatabase(database, log, (chunks) => {
        early = chunks;
        // What can't be read there is replaced below.
        loading = engine.load(chunks).catch(() => undefined);
      });
      await loading;
      if (loaded.entryChunks !== early) await engine.load(loaded.entryChunks);
      void engine.loadBeside(besideIn(loaded.timeline.state)).catch(givenUp);
      const opened = new Store(parts, loaded);
      // Without data, what a page left belonged to data that is gone.
      if (loaded.isNew) parts.handover?.clear(parts.handover.find().keys());
      else await opened.takeOver();
      const first = loaded.isNew ? await begin?.(opened.files) : undefined;
      if (first) await opened.commit(first, 'quiet');
      return opened;
    });
    // What others kept meanwhile, and what a page that is gone has left to do.
    store.foldLater(FOLD_OWN);
    return store;
  }

  getSnapshot = (): Snapshot => this.snapshot;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Hears of each change that shows: own ones, those of other pages, and those that are taken back. */
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
    return new Promise((settle) => {
      this.pending.push({ order: orderOf(++this.count, this.page), role, patch, settle });
      // First of all it is sent to be kept: showing it takes longer.
      void this.settled();
      this.show(patch, recordCommit(this.snapshot.history, role, patch));
    });
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

  /** Takes back the latest change, if there is any. */
  undo(): Turn | undefined {
    const patch = undoPatch(this.snapshot.history);
    const kept = patch && this.commit(patch, 'undo');
    return kept && { patch: this.snapshot.history.undone.at(-1)!, kept };
  }

  /** Does again what was undone last. */
  redo(): Turn | undefined {
    const patch = redoPatch(this.snapshot.history);
    return patch && { patch, kept: this.commit(patch, 'redo') };
  }

  /** What could not be read, at this start or before. */
  readAside(): Promise<SetAside[]> {
    return readAside(this.parts.database);
  }

  /** Puts texts aside that could not be read elsewhere, but for those that are here. */
  async keepAside(texts: ReadonlyMap<string, string>): Promise<void> {
    const here = new Set((await this.readAside()).map(({ text }) => text));
    const fresh = [...texts].filter(([key, text]) => key.startsWith(ASIDE_PREFIX) && !here.has(text));
    if (fresh.length > 0) await this.parts.database.setMany(Object.fromEntries(fresh));
  }

  /** Throws something away for good that was set aside; or forgets it, when it was mended. */
  forgetAside(key: string): Promise<void> {
    return this.parts.database.removeItem(key);
  }

  /** Has everything asked anew that was asked of the engine: it leaves out others than before. */
  askAnew(): void {
    this.snapshot = { ...this.snapshot, engineAge: this.snapshot.engineAge + 1 };
    for (const listener of this.listeners) listener();
  }

  /** Settles when everything committed so far is kept or taken back. */
  settled(): Promise<void> {
    if (this.pending.length === 0) return this.writing ?? Promise.resolve();
    this.writing ??= this.keepPending();
    return this.writing;
  }

  /** Brings the records up to date with the log, after hearing what other pages have kept. */
  async foldNow(): Promise<void> {
    try {
      await this.parts.tabs.exclusively(() => this.foldLog());
    } catch {
      // The log has everything: it is tried again.
      this.foldLater(FOLD_AGAIN);
    }
  }

  private foldLater(delay: number): void {
    if (this.isFoldDue) return;
    this.isFoldDue = true;
    const { later = (task, after) => void setTimeout(task, after) } = this.parts;
    later(() => {
      this.isFoldDue = false;
      void this.foldNow();
    }, delay);
  }

  private leave(): void {
    if (this.pending.length > 0)
      this.parts.handover?.leave({
        commits: this.pending.map(({ order, role, patch }) => ({ order, role, patch })),
      });
  }

  /** Keeps what another page has left, when it is this page's turn; what fails is tried again at the next start. */
  private takeOverLater(): Promise<void> {
    return this.parts.tabs.exclusively(() => this.takeOver()).catch(() => undefined);
  }

  /** Keeps the commits that a page left before it had kept them. Those that it kept all the same have their places. */
  private async takeOver(): Promise<void> {
    const { log, handover } = this.parts;
    const left = handover?.find();
    if (!handover || !left || left.size === 0) return;
    await this.receive(await log.keys());
    const isKnown = (one: LogEntry | { order?: string | undefined; role: CommitRole; patch: Patch }) =>
      this.timeline.commits.some(({ order, role, patch }) =>
        one.order === undefined ? role === one.role && patch.id === one.patch.id : order === one.order,
      );
    const texts: Record<string, string> = {};
    for (const { commits } of left.values())
      for (const commit of commits)
        if (!isKnown(commit)) texts[commit.order ?? orderOf(++this.count, this.page)] = commitText(commit);
    if (Object.keys(texts).length > 0) {
      const failure = await log.append(texts);
      if (failure) return;
      await this.receive(Object.keys(texts));
    }
    handover.clear(left.keys());
  }

  /** Keeps what is pending, in order; what comes up meanwhile goes together. */
  private async keepPending(): Promise<void> {
    let singly = 0;
    while (this.pending.length > 0) {
      if (this.pending.some(({ patch }) => patch.changes.length > LARGE)) await nextTask();
      const batch = this.pending.slice(0, singly > 0 ? 1 : undefined);
      const failure = await this.parts.log.append(
        Object.fromEntries(batch.map((commit) => [commit.order, commitText(commit)])),
      );
      singly = Math.max(0, singly - 1);
      if (!failure) this.keep(batch);
      // One of them does not fit: which one is seen one by one.
      else if (batch.length > 1) singly = batch.length;
      else if (batch[0]) this.takeBack(batch[0], failure);
    }
    // At once: what is committed next begins anew.
    this.writing = undefined;
  }

  /** Notes own commits as kept. */
  private keep(batch: readonly Pending[]): void {
    this.place(batch);
    if (this.pending.length === 0) this.parts.handover?.clearOwn();
    this.foldLater(FOLD_OWN);
  }

  /** Follows the commits that a message is about. */
  private async hear(keys: readonly string[]): Promise<void> {
    try {
      if (await this.receive(keys)) this.foldLater(FOLD_OTHERS);
    } catch {
      // The next fold hears of them.
      this.foldLater(FOLD_OTHERS);
    }
  }

  /** Follows those commits of the log that are not known yet; whether there were any. */
  private async receive(keys: readonly string[]): Promise<boolean> {
    const known = new Set([...this.timeline.commits, ...this.pending].map(({ order }) => order));
    const unknown = keys.filter((key) => !known.has(key));
    const { era } = this;
    const commits = await readCommits(this.parts.log, unknown);
    // What was forgotten meanwhile is in the records. What was not is still in the log, and is heard of there.
    if (era === this.era) this.place(commits);
    return commits.length > 0;
  }

  /** Gives commits their places among those that are kept, own or other pages', and shows what that changes. */
  private place(commits: readonly LogEntry[]): void {
    for (const commit of commits) {
      const own = this.pending.find(({ order }) => order === commit.order);
      const isFirst = own !== undefined && own === this.pending[0];
      if (own) this.pending = this.pending.filter((other) => other !== own);
      this.count = Math.max(this.count, countOf(commit.order));
      const placed = withCommit(this.timeline, commit);
      if (placed) {
        this.timeline = placed.timeline;
        // What is pending stood upon the same: nothing else shows.
        if (!isFirst || placed.isLate) this.reshow(commit.patch);
      }
      own?.settle(true);
    }
  }

  /** Shows records again that a patch is about: as what is kept and what is pending have them now. */
  private reshow(patch: Patch): void {
    const pending = new Map<string, Change['after']>();
    for (const waiting of this.pending)
      for (const change of waiting.patch.changes) pending.set(recordKey(change), change.after);
    const seen = new Set<string>();
    const changes = patch.changes.flatMap((change): Change[] => {
      const key = recordKey(change);
      if (seen.has(key)) return [];
      seen.add(key);
      const { collection, id } = change;
      const before = recordIn(this.snapshot.state, collection, id);
      const after = pending.has(key) ? pending.get(key)! : recordIn(this.timeline.state, collection, id);
      return before === after ? [] : [{ collection, id, before, after } as Change];
    });
    this.show({ ...patch, changes }, withPending(this.timeline.history, this.pending));
  }

  private show(patch: Patch, history: History): void {
    const { state: before, engineAge } = this.snapshot;
    const isChanged = patch.changes.length > 0;
    this.snapshot = { state: isChanged ? applyPatch(before, patch) : before, history, engineAge };
    if (isChanged) {
      void this.parts.engine.apply(patch).catch(givenUp);
      for (const listener of this.patchListeners) listener(patch, before, this.snapshot.state);
    }
    for (const listener of this.listeners) listener();
  }

  /**
   * Takes a commit back that could not be kept. Those that wait behind it stay, but for those that can't be without it:
   * they are taken back along.
   */
  private takeBack(failed: Pending, failure: CommitFailure): void {
    // Another page has kept it meanwhile.
    if (!this.pending.includes(failed)) return;
    const behind = this.pending;
    this.pending = [];
    const gone: Pending[] = [];
    let { state, history } = this.timeline;
    for (const commit of behind) {
      const isPossible = commit !== failed && isNext(history, commit);
      const patch = isPossible ? rebasePatch(state, commit.patch) : undefined;
      if (!patch) {
        gone.push(commit);
        continue;
      }
      commit.patch = patch;
      this.pending.push(commit);
      history = recordCommit(history, commit.role, patch);
      state = applyPatch(state, patch);
    }
    this.reshow({ ...failed.patch, changes: behind.flatMap(({ patch }) => patch.changes) });
    for (const commit of gone) commit.settle(false);
    for (const listener of this.failureListeners) listener(failure, gone.length);
  }

  /** Hears what others have kept, and writes into the records what they lack. Runs while no other page does. */
  private async foldLog(): Promise<void> {
    const { database, log } = this.parts;
    const mine = this.timeline.commits.map(({ order }) => order);
    const [text, keys] = await Promise.all([database.getItem(META_KEY), log.keys()]);
    const meta = parseMeta(text);
    const there = new Set(keys);
    const folded = new Set(meta?.folded);
    await this.receive(keys);
    if (meta && this.hasMissed(meta.count, mine, there, folded)) {
      await this.readAnew();
      return;
    }
    const { commits, state } = this.timeline;
    const fresh = commits.filter(({ order }) => there.has(order) && !folded.has(order));
    const kept = [...folded].filter((order) => there.has(order));
    // Where there is nothing yet, nothing is said of it: it is still to be begun.
    const isGone = !meta && COLLECTION_NAMES.some((name) => state[name].size > 0);
    if (fresh.length > 0 || isGone) await fold(database, state, fresh, meta, kept);
    this.readCount = (meta?.count ?? 0) + fresh.length;
    this.readFolded = new Set([...kept, ...fresh.map(({ order }) => order)]);
    const old = outdated(commits.filter(({ order }) => there.has(order))).map(({ order }) => order);
    if (old.length > 0) await log.remove(old);
    const forgotten = new Set([...old, ...mine.filter((order) => !there.has(order))]);
    this.timeline = withoutCommits(this.timeline, forgotten);
    if (forgotten.size > 0) this.era++;
  }

  /**
   * Whether the records hold commits that this page has never seen: it was away while more were made than the log keeps.
   * @param count how many commits the records hold
   * @param mine the places that it knew before the log was looked at
   * @param there those that the log has
   * @param folded those of them that the records hold
   */
  private hasMissed(
    count: number,
    mine: readonly string[],
    there: ReadonlySet<string>,
    folded: ReadonlySet<string>,
  ): boolean {
    const isNew = (order: string): boolean => !this.readFolded.has(order);
    const cleared = mine.filter((order) => isNew(order) && !there.has(order)).length;
    const held = this.timeline.commits.filter(
      ({ order }) => isNew(order) && there.has(order) && folded.has(order),
    ).length;
    return count - this.readCount > cleared + held;
  }

  /** Reads everything anew; what is pending stays on top. */
  private async readAnew(): Promise<void> {
    const { database, log, engine } = this.parts;
    const { timeline, count, folded, entryChunks } = await loadDatabase(database, log);
    await engine.load(entryChunks);
    void engine.loadBeside(besideIn(timeline.state)).catch(givenUp);
    this.timeline = timeline;
    this.era++;
    this.readCount = count;
    this.readFolded = folded;
    this.snapshot = {
      state: timeline.state,
      history: timeline.history,
      engineAge: this.snapshot.engineAge + 1,
    };
    for (const { patch } of this.pending) this.show(patch, withPending(timeline.history, this.pending));
    for (const listener of this.listeners) listener();
  }
}

import { binEntries } from '@/core/change/binEntries';
import { changeEntry, createEntry } from '@/core/change/entryChanges';
import { isRefused } from '@/core/change/eventFields';
import { emptyHistory, type History, recordCommit } from '@/core/change/history';
import { applyPatch, type Patch } from '@/core/change/patch';
import { COLLECTION_NAMES, emptyState, type State } from '@/core/model/state';
import { Chance } from '../../demo/random';
import { begin } from '../../testing/storePages';
import { context, event } from '../../testing/samples';
import { SimulatedBrowser } from '../../testing/simulatedBrowser';
import { chunkKey } from './chunks';
import { byOrder, parseLogEntry } from './commitLog';
import { KEPT_COMMITS } from './outdated';
import type { Store, Turn } from './store';

/**
 * The protocol of docs/decisions under chance: pages that open, commit, undo, fold and die at every await, in every order,
 * on a disk that fills up now and then. Whatever happens, what was said to be kept is kept, and all pages agree.
 */
const SCHEDULES = Number(process.env.SCHEDULES ?? 1_000);
const MOST_PAGES = 3;

/** What a page was told of a commit: it was kept, or taken back. */
interface Told {
  readonly id: string;
  readonly isKept: boolean;
}

/** Something that a person does at a page. */
function act(store: Store, chance: Chance, name: string, told: Told[]): void {
  const { state } = store.getSnapshot();
  const own = { ...context(), newId: () => `${name}-${++ids}` };
  const note = (id: string, kept: Promise<boolean>) => void kept.then((isKept) => told.push({ id, isKept }));
  const commit = (patch: Patch | { refused: string }) => {
    if (!isRefused(patch as Patch)) note((patch as Patch).id, store.commit(patch as Patch));
  };
  const turn = (made: Turn | undefined, end: string) => made && note(made.patch.id + end, made.kept);
  const entries = [...state.entries.values()];
  const what = chance.between(1, 10);
  if (what <= 3 || entries.length === 0) commit(createEntry(state, event({ title: name }), own));
  else if (what <= 5) {
    const entry = chance.one(entries);
    commit(changeEntry(state, { entryId: entry.id }, { ...entry, title: own.newId() }, 'this', own));
  } else if (what === 6) commit(binEntries(state, [{ entryId: chance.one(entries).id }], 'this', own));
  else if (what === 7) {
    const changes = Array.from({ length: chance.between(2, 12) }, () => {
      const id = own.newId();
      return { collection: 'entries' as const, id, before: null, after: event({ id, title: 'imported' }) };
    });
    commit({ id: own.newId(), at: 0, summary: { what: 'imported', count: changes.length }, changes });
  } else if (what === 8) turn(store.redo(), '');
  else for (let times = chance.between(1, 2); times > 0; times--) turn(store.undo(), '-');
}

let ids = 0;
const plain = (state: State) =>
  COLLECTION_NAMES.map((name) =>
    [...(state[name] as ReadonlyMap<string, unknown>)].sort(([one], [other]) => (one < other ? -1 : 1)),
  );
/** What has to be there of a history, however far a page remembers. */
const latestOf = ({ done, undone }: History) =>
  [done, undone].map((list) => list.slice(-KEPT_COMMITS).map(({ id }) => id));

/** What all that was ever kept makes, one after the other. */
function made(browser: SimulatedBrowser): { state: State; history: History; ids: Set<string> } {
  const commits = [...browser.everLogged].map(([order, text]) => parseLogEntry(order, text)!).sort(byOrder);
  let state = emptyState();
  let history = emptyHistory;
  for (const { role, patch } of commits) {
    state = applyPatch(state, patch);
    history = recordCommit(history, role, patch);
  }
  return { state, history, ids: new Set(commits.map(({ patch }) => patch.id)) };
}

/** The records of entries, as they are on the disk. */
const entriesOnDisk = (browser: SimulatedBrowser): unknown[] =>
  [...browser.records]
    .filter(([key]) => key.startsWith(chunkKey('entries', '').split('/')[0]!))
    .flatMap(([, text]) => JSON.parse(text) as unknown[]);

async function run(seed: number): Promise<{ kills: number; commits: number; refused: number }> {
  const chance = new Chance(seed);
  const pick = (below: number) => chance.between(0, below - 1);
  const browser = new SimulatedBrowser();
  const told: Told[] = [];
  let kills = 0;
  let acts = 0;
  // One in ten makes more commits than the log keeps.
  const most = seed % 10 === 0 ? KEPT_COMMITS + 30 : 24;
  browser.open(begin);
  browser.open(begin);
  while (acts < most) {
    const what = chance.between(1, 100);
    const { alive } = browser;
    const open = alive.filter(({ store }) => store);
    if (alive.length === 0 || (what <= 3 && alive.length < MOST_PAGES)) browser.open(begin);
    else if (what <= 5) {
      browser.kill(chance.one(alive).name);
      kills++;
    } else if (what <= 6) browser.isFull = !browser.isFull;
    else if (what <= 22 && open.length > 0) {
      const { store, name } = chance.one(open);
      act(store!, chance, name, told);
      acts++;
    } else await browser.step(pick);
  }
  browser.isFull = false;
  const drain = async () => {
    while (await browser.step(pick));
  };
  await drain();
  const last = browser.open(begin);
  await drain();
  for (const { store } of browser.alive) void store!.foldNow();
  await drain();

  const { state, history, ids: kept } = made(browser);
  for (const { id, isKept } of told) if (isKept) expect(kept).toContain(id);
  for (const { store, engine } of browser.alive) {
    const snapshot = store!.getSnapshot();
    expect(plain(snapshot.state)).toEqual(plain(state));
    expect([...engine.keys()].sort()).toEqual([...state.entries.keys()].sort());
    for (const [id, entry] of engine) expect(entry).toEqual(state.entries.get(id));
    expect(latestOf(snapshot.history)).toEqual(latestOf(history));
  }
  expect(last.store).toBeDefined();
  expect(entriesOnDisk(browser)).toHaveLength(state.entries.size);
  expect(browser.logged.size).toBeLessThanOrEqual(5 * KEPT_COMMITS);
  return { kills, commits: kept.size, refused: told.filter(({ isKept }) => !isKept).length };
}

test(`pages agree and nothing that was said is lost, in ${SCHEDULES} random schedules`, async () => {
  const sum = { kills: 0, commits: 0, refused: 0 };
  const from = Number(process.env.FIRST ?? 1);
  for (let seed = from; seed < from + SCHEDULES; seed++) {
    try {
      const { kills, commits, refused } = await run(seed);
      sum.kills += kills;
      sum.commits += commits;
      sum.refused += refused;
    } catch (error) {
      throw new Error(`schedule ${seed}`, { cause: error });
    }
  }
  // The schedules do what they are for: pages die, and commits are refused.
  expect(sum.kills).toBeGreaterThan(SCHEDULES / 2);
  expect(sum.refused).toBeGreaterThan(SCHEDULES / 10);
  if (process.env.SCHEDULES) console.log(sum);
}, 300_000);

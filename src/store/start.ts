import { z } from 'zod';
import '@/engine/randomUuid';
import { clearOldBin } from '@/core/change/binChanges';
import { type Mended, mendState } from '@/core/change/mendState';
import type { Change, ChangeContext, Patch } from '@/core/change/patch';
import { Calendar } from '@/core/model/calendar';
import { Category } from '@/core/model/category';
import { Entry, Todo } from '@/core/model/entry';
import { initialSettings } from '@/core/model/initialSettings';
import { Invitation } from '@/core/model/invitation';
import { Person } from '@/core/model/person';
import { PeriodSet } from '@/core/model/periodSet';
import { Settings } from '@/core/model/settings';
import { ViewPreset } from '@/core/model/viewPreset';
import { isKnownZone } from '@/core/time/zones';
import { askedBy, type EngineClient } from '@/engine/asked';
import { workerEngine } from '@/engine/client';
import type { Engine } from '@/engine/engine';
import type { AttachmentFiles } from './attachmentFiles';
import { browserLog } from './browserLog';
import { openDatabase } from './database';
import { browserHandover } from './handover';
import { followSilenced, silencedEntries } from './silencedEntries';
import { Store } from './store';
import { browserTabs } from './tabs';

/** What the server gives to a browser that has no data yet: the demo's, or nothing. */
const StartData = z.object({
  demo: z
    .object({
      calendars: z.array(Calendar),
      entries: z.array(Entry),
      todos: z.array(Todo).default([]),
      settings: Settings,
      presets: z.array(ViewPreset),
      periodSets: z.array(PeriodSet),
      people: z.array(Person),
      invitations: z.array(Invitation),
      categories: z.array(Category),
      /** The bytes of attachments in base 64, by their ids. */
      files: z.record(z.string(), z.string()),
    })
    .nullable(),
});
type StartData = z.infer<typeof StartData>;

/** Other pages wait for the one that begins: a server that does not answer is none, after so many milliseconds. */
const START_PATIENCE = 20_000;

async function fetchStart(): Promise<StartData> {
  try {
    const response = await fetch('/api/start', { signal: AbortSignal.timeout(START_PATIENCE) });
    return response.ok ? StartData.parse(await response.json()) : { demo: null };
  } catch {
    // Without the server one begins with nothing.
    return { demo: null };
  }
}

function deviceZone(): string {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return isKnownZone(zone) ? zone : 'UTC';
}

/** The day that weeks begin with where the device is set to, an ISO weekday; Monday where the browser does not say. */
function deviceWeekStart(): number {
  const device: Intl.Locale & { getWeekInfo?: () => { firstDay: number } } = new Intl.Locale(
    navigator.language,
  );
  return device.getWeekInfo?.().firstDay ?? 1;
}

/** The records that someone begins with who has none: one calendar, so that an entry has a place to go. */
function firstRecords(now: number): Change[] {
  const calendar: Calendar = {
    id: crypto.randomUUID(),
    name: 'Work',
    description: '',
    colour: 'pine',
    mark: 'WO',
    order: 1,
    created: now,
    modified: now,
  };
  return [
    { collection: 'calendars', id: calendar.id, before: null, after: calendar },
    {
      collection: 'settings',
      id: 'settings',
      before: null,
      after: initialSettings(deviceZone(), deviceWeekStart()),
    },
  ];
}

const DEMO_LISTS = [
  'calendars',
  'entries',
  'categories',
  'presets',
  'periodSets',
  'people',
  'invitations',
] as const;

function demoRecords(demo: NonNullable<StartData['demo']>): Change[] {
  const lists = { ...demo, entries: [...demo.entries, ...demo.todos] };
  const records = DEMO_LISTS.flatMap((collection) =>
    lists[collection].map((after) => ({ collection, id: after.id, before: null, after }) as Change),
  );
  return [...records, { collection: 'settings', id: 'settings', before: null, after: demo.settings }];
}

/** What someone begins with who has no data: what the server gives, or a calendar of their own. */
async function begin(files: AttachmentFiles): Promise<Patch> {
  const { demo } = await fetchStart();
  const now = Date.now();
  if (demo) await files.write(new Map(Object.entries(demo.files)));
  const changes = demo ? demoRecords(demo) : firstRecords(now);
  return { id: 'start', at: now, summary: { what: 'imported', count: changes.length }, changes };
}

const context = (): ChangeContext => ({
  now: Date.now(),
  newId: () => crypto.randomUUID(),
  zone: deviceZone(),
});

/** What calendars are called whose names are lost. */
const FOUND_AGAIN = 'Found again';

/** Opens the browser's data; begins it where there is none, and makes whole what it lacks. */
export async function openStore(): Promise<{ store: Store; mended: Mended | undefined }> {
  if (!('Temporal' in globalThis)) await import('temporal-polyfill/global');
  const engine = workerEngine(silencedEntries());
  const store = await Store.open({
    database: openDatabase(),
    log: browserLog(),
    engine,
    tabs: browserTabs(),
    handover: browserHandover(),
    begin,
  });
  followSilenced(store, engine);
  if (!store.getSnapshot().state.settings.has('settings')) {
    const settings = initialSettings(deviceZone(), deviceWeekStart());
    await store.commit(
      {
        id: 'settings',
        at: Date.now(),
        summary: { what: 'settings-changed', count: 1 },
        changes: [{ collection: 'settings', id: 'settings', before: null, after: settings }],
      },
      'quiet',
    );
  }
  const mending = mendState(store.getSnapshot().state, context(), FOUND_AGAIN);
  if (mending) await store.commit(mending.patch, 'quiet');
  const old = clearOldBin(store.getSnapshot().state, { ...context(), zone: 'UTC' });
  if (old) await store.commit(old, 'quiet');
  // A page that was out of sight may have been asleep while others went on.
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') void store.foldNow();
  });
  requestIdleCallback(() => {
    const { state, history } = store.getSnapshot();
    void store.files.sweep(state, [...history.done, ...history.undone]).catch(() => undefined);
    // Asked once: browsers that keep what is persistent may clear other data where room is short.
    void navigator.storage?.persist?.().catch(() => false);
  });
  return { store, mended: mending?.mended };
}

/** An engine that holds nothing and answers nothing. */
const noEngine: EngineClient = askedBy<Engine>(() => Promise.resolve(undefined));

/** Opens what can be read and does nothing else with it: for a page that did not open otherwise. */
export const openPlainly = (): Promise<Store> =>
  Store.open({
    database: openDatabase(),
    log: browserLog(),
    engine: noEngine,
    tabs: browserTabs(),
    handover: browserHandover(),
  });

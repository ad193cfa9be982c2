import { z } from 'zod';
import { CalendarEvent } from '@/core/model/entry';
import { type Editing, useWorkspace, workspace } from './workspace';

/** The fields of an event that a person sets, as they are kept with a draft. */
const Fields = CalendarEvent.omit({
  kind: true,
  id: true,
  uid: true,
  created: true,
  modified: true,
  sequence: true,
  seriesId: true,
  recurrenceId: true,
  recurrenceRange: true,
  preserved: true,
});
const KeptEditing = z.object({
  id: z.string(),
  target: z.object({ entryId: z.string(), recurrenceKey: z.string().optional() }).optional(),
  fields: Fields,
  before: Fields,
  panel: z.enum(['quick', 'full']),
  typed: z.record(z.string(), z.unknown()).optional(),
  words: z.string().optional(),
  changed: z.literal(true),
});

const KeptTodo = z.object({
  key: z.string(),
  as: z.enum(['form', 'time']),
  typed: z.record(z.string(), z.unknown()),
});

/** What is being written in one page: at once, put aside, in the form of a to-do, and in the entry line. */
const Kept = z.object({
  editing: KeptEditing.nullable(),
  aside: z.array(KeptEditing),
  todo: KeptTodo.nullable().default(null),
  line: z.string(),
});
type Kept = z.infer<typeof Kept>;

const PREFIX = 'orderly-week/draft/';
const PAGE = 'orderly-week/page';
/** How long a page waits for its earlier self to let go of its drafts, in milliseconds. */
const WAIT = 1500;

const read = (key: string): Kept | undefined => {
  try {
    return Kept.parse(JSON.parse(localStorage.getItem(key) ?? ''));
  } catch {
    return undefined;
  }
};

/** Holds a name for as long as the page is open; answers whether it was to be had. */
function hold(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    const waiting = new AbortController();
    const timer = setTimeout(() => waiting.abort(), WAIT);
    navigator.locks
      .request(name, { signal: waiting.signal }, () => {
        clearTimeout(timer);
        resolve(true);
        return new Promise<void>(() => undefined);
      })
      .catch(() => resolve(false));
  });
}

/** The name under which this page keeps its drafts: its own again after a reload, another one in a copied tab. */
async function ownName(): Promise<string> {
  const before = sessionStorage.getItem(PAGE);
  if (before !== null && (await hold(PREFIX + before))) return before;
  const name = crypto.randomUUID();
  sessionStorage.setItem(PAGE, name);
  await hold(PREFIX + name);
  return name;
}

/** Drafts of pages that are open no more. */
async function orphans(): Promise<string[]> {
  const { held = [] } = await navigator.locks.query();
  const open = new Set(held.map(({ name }) => name));
  return Array.from({ length: localStorage.length }, (_, index) => localStorage.key(index) ?? '').filter(
    (key) => key.startsWith(PREFIX) && !open.has(key),
  );
}

function restore(kept: Kept, isOwn: boolean): boolean {
  const drafts = [...kept.aside, ...(kept.editing && !isOwn ? [kept.editing] : [])] as Editing[];
  if (drafts.length > 0) workspace.addAside(drafts);
  if (isOwn && kept.editing && !useWorkspace.getState().editing)
    workspace.takeUp(kept.editing as unknown as Editing);
  if (kept.todo && !useWorkspace.getState().todo) workspace.takeUpTodo(kept.todo);
  if (kept.line && useWorkspace.getState().line === '') workspace.writeLine(kept.line);
  return drafts.length > 0 || kept.editing !== null || kept.todo !== null;
}

/** What would be lost if the page went now. */
function present(): Kept | undefined {
  const { editing, aside, todo, line } = useWorkspace.getState();
  const written = editing?.changed ? editing : null;
  const typed = todo?.typed && Object.keys(todo.typed).length > 0 ? todo : null;
  if (!written && !typed && aside.length === 0 && line === '') return undefined;
  return {
    editing: written as Kept['editing'],
    aside: aside as unknown as Kept['aside'],
    todo: typed as Kept['todo'],
    line,
  };
}

/**
 * Keeps what is being written over a reload, a crash and the end of the page, until it is saved or thrown away; what pages
 * that are gone have left is put aside here.
 * @param onRestored hears that something is here again
 */
export async function keepDrafts(onRestored: () => void): Promise<void> {
  if (typeof navigator.locks === 'undefined') return;
  const key = PREFIX + (await ownName());
  let last: string | null = localStorage.getItem(key);
  const own = read(key);
  let restored = own ? restore(own, true) : false;
  for (const orphan of await orphans()) {
    if (orphan === key) continue;
    const left = read(orphan);
    const isLineFree = useWorkspace.getState().line === '';
    if (left) restored = restore(left, false) || restored;
    // A second line has no place here: it waits for a page that has.
    if (left?.line && !isLineFree)
      localStorage.setItem(orphan, JSON.stringify({ ...left, editing: null, aside: [], todo: null }));
    else localStorage.removeItem(orphan);
  }
  const write = () => {
    const kept = present();
    const text = kept ? JSON.stringify(kept) : null;
    if (text === last) return;
    last = text;
    try {
      if (text === null) localStorage.removeItem(key);
      else localStorage.setItem(key, text);
    } catch {
      // No room, or storage is off: it is still on the page.
    }
  };
  write();
  useWorkspace.subscribe(write);
  if (restored) onRestored();
}

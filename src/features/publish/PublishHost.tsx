import { useEffect } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/entry';
import { makePatch, put } from '@/core/change/patch';
import type { State } from '@/core/model/state';
import { workspace } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';
import { newSecret, pushCalendar, withdraw } from './publishClient';

/** Changes gather for so long before they are sent. */
const GATHER_MS = 1500;
/** After a failure it is tried again. */
const AGAIN_MS = 60_000;

const published = (state: State): Calendar[] =>
  [...state.calendars.values()].filter(({ publication }) => publication);

/** Sends published calendars to the server when they change, and takes those off it that are published no more. */
export function PublishHost() {
  const { store, clock } = useOpenStore();
  useEffect(() => {
    let before = store.getSnapshot().state;
    const waiting = new Set(published(before).map(({ id }) => id));
    /** Addresses that were withdrawn. */
    const gone = new Set<string>();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const wake = (after: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void send(), after);
    };
    const renew = async (id: string, token: string) => {
      const { state } = store.getSnapshot();
      const calendar = state.calendars.get(id);
      if (calendar?.publication?.token !== token) return;
      const publication = { ...calendar.publication, token: newSecret(), key: newSecret() };
      const change = put(state, 'calendars', { ...calendar, publication });
      const own = { now: clock(), newId: () => crypto.randomUUID(), zone: 'UTC' };
      await store.commit(
        makePatch(own, { what: 'calendar-published', count: 1, name: calendar.name }, [change]),
        'quiet',
      );
      workspace.say({ text: exchangeWords.publish.renewed(calendar.name), tone: 'done', undo: false });
    };
    const send = async () => {
      for (const id of [...waiting]) {
        waiting.delete(id);
        const { state } = store.getSnapshot();
        const calendar = state.calendars.get(id);
        if (!calendar?.publication) continue;
        const { publication } = calendar;
        const pushed = await pushCalendar(state, calendar, publication, clock());
        if (pushed === 'withdrawn') {
          // Whoever withdraws says so here a moment later. Where it is published all the same, that was undone.
          if (gone.has(publication.token)) await renew(id, publication.token);
          else {
            gone.add(publication.token);
            waiting.add(id);
            wake(GATHER_MS);
          }
        }
        if (pushed === 'failed') {
          waiting.add(id);
          wake(AGAIN_MS);
          return;
        }
      }
    };
    const follow = () => {
      const { state } = store.getSnapshot();
      if (state === before) return;
      const earlier = before;
      before = state;
      for (const calendar of published(earlier)) {
        const now = state.calendars.get(calendar.id)?.publication;
        if (calendar.publication && now?.token !== calendar.publication.token) {
          gone.add(calendar.publication.token);
          void withdraw(calendar.publication);
        }
      }
      const touched = published(state).filter(
        (calendar) =>
          earlier.calendars.get(calendar.id) !== calendar || entriesDiffer(earlier, state, calendar.id),
      );
      if (touched.length === 0) return;
      for (const { id } of touched) waiting.add(id);
      wake(GATHER_MS);
    };
    if (waiting.size > 0) wake(GATHER_MS);
    const stop = store.subscribe(follow);
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [store, clock]);
  return null;
}

function entriesDiffer(before: State, after: State, calendarId: string): boolean {
  if (before.entries === after.entries) return false;
  const isOurs = (entry: CalendarEvent | undefined) => entry?.calendarId === calendarId;
  for (const [id, entry] of after.entries) {
    const earlier = before.entries.get(id);
    if (earlier !== entry && (isOurs(entry) || isOurs(earlier))) return true;
  }
  for (const [id, entry] of before.entries) if (!after.entries.has(id) && isOurs(entry)) return true;
  return false;
}

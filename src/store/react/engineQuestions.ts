import {
  type Query,
  type QueryClient,
  type QueryFunctionContext,
  type QueryKey,
  useQuery,
  useQueryClient,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useEffect } from 'react';
import type { CollectionName } from '@/core/model/state';
import type { EngineClient } from '@/engine/asked';
import type { Snapshot, Store } from '../store';
import { useOpenStore } from './StoreContext';
import { MINUTE } from '@/core/time/civil';

/**
 * What can be asked of the engine, and which collections an answer hangs on: it is asked anew when one of them changes.
 * What is given along (calendars, the working pattern) belongs to the question itself.
 */
export const ABOUT = {
  days: ['entries'],
  loads: ['entries'],
  leftOut: ['entries'],
  troubled: ['entries'],
  categories: ['entries'],
  find: ['entries', 'ownNotes'],
  foundTodos: ['entries', 'ownNotes'],
  tableRows: ['entries', 'ownNotes'],
  selectionSums: ['entries', 'ownNotes'],
  findings: ['entries'],
  hours: ['entries'],
  gaps: ['entries'],
  entriesWith: ['entries'],
} as const satisfies Partial<Record<keyof EngineClient, readonly CollectionName[]>>;

export type QuestionName = keyof typeof ABOUT;
type Given<Name extends QuestionName> = Parameters<EngineClient[Name]>;
type Answer<Name extends QuestionName> = Awaited<ReturnType<EngineClient[Name]>>;

/** What is not in sight is forgotten after so long, in milliseconds. */
const KEPT = MINUTE;

/** These are asked anew when the others have been answered: what is in sight first. */
const AFTERWARDS: ReadonlySet<QuestionName> = new Set<QuestionName>(['loads', 'categories', 'troubled']);

/** What a query hangs on, noted with it. */
interface About {
  readonly about: readonly CollectionName[];
  readonly isAfterwards: boolean;
}

const isAboutData = (meta: Record<string, unknown> | undefined): meta is About & Record<string, unknown> =>
  meta !== undefined && 'about' in meta;

/**
 * The parts of a query that is asked anew whenever a collection changes that its answer hangs on.
 * @param ask one that looks at the context's signal is given up when nobody waits any more
 */
export function followingData<Result>(
  store: Store,
  about: readonly CollectionName[],
  ask: (context: QueryFunctionContext) => Promise<Result>,
  isAfterwards = false,
) {
  const collections = () => about.map((name) => store.getSnapshot().state[name]);
  return {
    queryFn: async (context: QueryFunctionContext): Promise<Result> => {
      const { client, queryKey } = context;
      const before = collections();
      const answer = await ask(context);
      // Changed while it was answered: once this answer is noted, it is asked anew.
      if (collections().some((collection, index) => collection !== before[index]))
        setTimeout(() => void client.invalidateQueries({ queryKey, exact: true }, { cancelRefetch: false }));
      return answer;
    },
    staleTime: Infinity,
    gcTime: KEPT,
    meta: { about, isAfterwards } satisfies About as About & Record<string, unknown>,
  };
}

/** A question to the engine as a query: known by its name and what is given, whatever version of the data it is about. */
export function engineQuestion<Name extends QuestionName>(store: Store, name: Name, ...given: Given<Name>) {
  const ask = store.engine[name] as (...given: Given<Name>) => Promise<Answer<Name>>;
  return {
    queryKey: ['engine', name, ...given] as QueryKey,
    ...followingData(store, ABOUT[name], () => ask(...given), AFTERWARDS.has(name)),
  };
}

/** The answer to a question; while another is asked, that to the one before. */
export function useEngineAnswer<Name extends QuestionName>(
  [name, ...given]: [Name, ...Given<Name>],
  { enabled = true }: { enabled?: boolean } = {},
): UseQueryResult<Answer<Name>> {
  const { store } = useOpenStore();
  return useQuery<Answer<Name>>({
    ...engineQuestion(store, name, ...given),
    placeholderData: (before) => before,
    enabled,
  });
}

/**
 * Asks ahead in a quiet moment, and again when a change has made the answers old, so that whoever asks next finds them.
 * @param questions without any it waits
 * @param quiet how long nothing has changed before, in milliseconds
 */
export function useAskedAhead<Name extends QuestionName>(
  name: Name,
  questions: readonly Given<Name>[],
  quiet: number,
): void {
  const { store } = useOpenStore();
  const client = useQueryClient();
  const key = JSON.stringify(questions);
  useEffect(() => {
    const asked = JSON.parse(key) as Given<Name>[];
    if (asked.length === 0) return;
    let timer: ReturnType<typeof setTimeout>;
    const wait = () => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        for (const given of asked) void client.prefetchQuery(engineQuestion(store, name, ...given));
      }, quiet);
    };
    wait();
    const leave = store.subscribe(wait);
    return () => {
      clearTimeout(timer);
      leave();
    };
  }, [client, store, name, key, quiet]);
}

/** Has the questions asked anew whose answers a change may have changed. */
function followChange(client: QueryClient, before: Snapshot, after: Snapshot): void {
  const isAbout = ({ meta }: Query): boolean =>
    isAboutData(meta) &&
    (before.engineAge !== after.engineAge ||
      meta.about.some((name) => before.state[name] !== after.state[name]));
  // An answer that nobody looks at would be seen for a moment, when it is asked for again.
  client.removeQueries({ type: 'inactive', predicate: isAbout });
  const again = (isAfterwards: boolean) =>
    client.invalidateQueries(
      {
        type: 'active',
        predicate: (query) => isAbout(query) && query.meta?.isAfterwards === isAfterwards,
      },
      { cancelRefetch: false },
    );
  void again(false).then(() => again(true));
}

/** Keeps all answers in step with the data, for as long as its component is there. */
export function useFollowedEngine(store: Store): void {
  const client = useQueryClient();
  useEffect(() => {
    let seen = store.getSnapshot();
    return store.subscribe(() => {
      const before = seen;
      seen = store.getSnapshot();
      followChange(client, before, seen);
    });
  }, [client, store]);
}

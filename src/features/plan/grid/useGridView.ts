import { type RefObject, useMemo, useRef } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { type DaysAnswer, useNow, useNowWall } from '@/store';
import { useFontsLoaded } from '@/ui/useFontsLoaded';
import type { Ghost } from './ghost';
import { useFrameSize } from './useFrameSize';
import { type ShownEntries, useShownEntries } from './useShownEntries';
import { type WithDraft, withDraft } from './withDraft';

/** What a view of cards is given. */
export interface GridInput {
  readonly answer: DaysAnswer | undefined;
  readonly calendars: readonly Calendar[];
  /** What is being written, where the view shows it. */
  readonly draft: Ghost | null;
  readonly selectedKeys: readonly string[];
  readonly zone: string;
  readonly fadePast: boolean;
}

/** What every view of cards has, however it lays them out. */
export interface GridView extends ShownEntries, WithDraft, Pick<ReturnType<typeof useFrameSize>, 'onLayout'> {
  readonly frame: RefObject<HTMLElement | null>;
  readonly scroller: RefObject<HTMLDivElement | null>;
  /** The size of the view in pixels; zero as long as it is not known. */
  readonly width: number;
  readonly height: number;
  readonly now: number;
  /** The present wall time and day in the view's zone. */
  readonly nowWall: number;
  readonly today: number;
  /** What keeps its place where there is not room for all: the selected, and what is being written. */
  readonly pinned: ReadonlySet<string>;
  /** Whether an entry is over, and shown so. */
  readonly fadeBefore: number | undefined;
  readonly fontsLoaded: boolean;
  readonly answer: DaysAnswer | undefined;
  readonly selectedKeys: readonly string[];
}

const NONE: readonly Occurrence[] = [];

/** The elements and the size of a view of cards, what it shows with a draft among it, and the present moment in it. */
export function useGridView({ answer, calendars, draft, selectedKeys, zone, fadePast }: GridInput): GridView {
  const frame = useRef<HTMLElement>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const size = useFrameSize('view');
  const now = useNow();
  const nowWall = useNowWall(zone);
  const fontsLoaded = useFontsLoaded();
  const entries = useShownEntries(answer, calendars, selectedKeys);
  const { selected } = entries;
  const drafted = useMemo(() => withDraft(answer?.occurrences ?? NONE, draft, zone), [answer, draft, zone]);
  const { draftKey } = drafted;
  const pinned = useMemo(
    () => (draftKey === undefined ? selected : new Set([...selected, draftKey])),
    [selected, draftKey],
  );
  return {
    frame,
    scroller,
    ...size,
    ...entries,
    ...drafted,
    now,
    nowWall,
    today: Math.floor(nowWall / DAY),
    pinned,
    fadeBefore: fadePast ? now : undefined,
    fontsLoaded,
    answer,
    selectedKeys,
  };
}

import { useMemo } from 'react';
import { create } from 'zustand';

/** What a drag shows while it lasts: where the entry would lie, or the time that a draft would take. */
export interface Ghost {
  /** The key of the dragged occurrence, or undefined for a draft. */
  readonly key: string | undefined;
  /** Of a draft: the key of the occurrence that is edited, if one is. */
  readonly edits?: string | undefined;
  readonly title: string;
  readonly colour: string;
  readonly mark: string;
  readonly calendarId: string | undefined;
  /** Wall times; whole days for a ribbon. */
  readonly startWall: number;
  readonly endWall: number;
  readonly allDay: boolean;
  readonly copy: boolean;
  /** Dropped, and shown until the view has caught up. */
  readonly settling: boolean;
  /** The others of several selected, that move with it. */
  readonly along?: readonly Ghost[];
}

export const useGhost = create<{ ghost: Ghost | null }>()(() => ({ ghost: null }));
export const setGhost = (ghost: Ghost | null): void => useGhost.setState({ ghost });

const NONE: readonly Ghost[] = [];

/** All that is drawn of a drag: what is held, and what moves along. */
export const drawnGhosts = (ghost: Ghost | null): readonly Ghost[] =>
  ghost ? [ghost, ...(ghost.along ?? NONE)] : NONE;

/** Keys hold no line ends. */
const BETWEEN = '\n';

/** The keys of the cards that a drag has taken from their places; a copy leaves them there. */
export function useLiftedKeys(): ReadonlySet<string> {
  // As a text they are the same from move to move, so that no card is drawn anew.
  const keys = useGhost(({ ghost }) =>
    ghost?.copy
      ? ''
      : drawnGhosts(ghost)
          .map(({ key }) => key)
          .join(BETWEEN),
  );
  return useMemo(() => new Set(keys.split(BETWEEN)), [keys]);
}

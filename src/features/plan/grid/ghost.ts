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
}

export const useGhost = create<{ ghost: Ghost | null }>()(() => ({ ghost: null }));
export const setGhost = (ghost: Ghost | null): void => useGhost.setState({ ghost });

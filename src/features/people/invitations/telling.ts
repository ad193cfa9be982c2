import { create } from 'zustand';

/** The entries whose guests one is asked to tell, by their UIDs, one after the other. */
export const useTelling = create<{ readonly uids: readonly string[] }>()(() => ({ uids: [] }));

/** Asks whether to tell the guests of some entries. */
export const askToTell = (...uids: readonly string[]): void => useTelling.setState({ uids });

/** Goes on to the next of them. */
export const askNext = (): void => useTelling.setState(({ uids }) => ({ uids: uids.slice(1) }));

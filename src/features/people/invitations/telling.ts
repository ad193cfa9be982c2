import { create } from 'zustand';

/** Which entry's guests one is asked to tell, by its UID, and whether its title was only proposed. */
export const useTelling = create<{ readonly uid: string | null }>()(() => ({ uid: null }));

/** Asks whether to tell the guests of an entry. */
export const askToTell = (uid: string | null): void => useTelling.setState({ uid });

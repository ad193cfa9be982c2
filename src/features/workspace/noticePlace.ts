import { create } from 'zustand';

/**
 * The element at the desk in which what is due stands, while a desk beside the view has one: there it moves nothing that one
 * is looking at.
 */
export const useNoticePlace = create<{ readonly element: HTMLElement | null }>(() => ({ element: null }));

/** Notes the element, as a ref of it. */
export const noteNoticePlace = (element: HTMLElement | null): void => useNoticePlace.setState({ element });

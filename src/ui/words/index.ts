import { en } from './en';

/** The interface's words. One place, so that another language is one more folder. */
export const words = en;

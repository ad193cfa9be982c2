import { lazy } from 'react';

/** The readers of ordinary words, and the picker of zones beside them. */
export const importWords = () => import('./wordsAndZones');

/** The picker comes with the list of all zones, which nothing else needs. */
export const ZonePicker = lazy(() => importWords().then((module) => ({ default: module.ZonePicker })));

/** Fetches the picker in a quiet moment, so that it works without the server later. */
export const preloadZonePicker = (): Promise<unknown> => importWords();

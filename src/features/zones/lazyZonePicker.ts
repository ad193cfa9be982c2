import { lazy } from 'react';

const load = () => import('./ZonePicker');

/** The picker comes with the list of all zones, which nothing else needs. */
export const ZonePicker = lazy(() => load().then((module) => ({ default: module.ZonePicker })));

/** Fetches the picker in a quiet moment, so that it works without the server later. */
export const preloadZonePicker = (): Promise<unknown> => load();

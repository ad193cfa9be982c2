import { later } from '@/ui/later';

const settings = later(() => import('./ZoneSettings').then((module) => module.ZoneSettings));

/** The zones in Setup: a script of its own, as the rest of Setup is. */
export const ZoneSettings = settings.Later;
export const preloadZoneSettings = settings.fetchAhead;

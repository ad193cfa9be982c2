import type { Settings } from '../model/settings';
import { COLLECTION_NAMES, COLLECTIONS, type State } from '../model/state';
import { saveCalendar } from './calendarChanges';
import { type Change, type ChangeContext, makePatch, type Patch, put } from './patch';

/** Whether an address is one of a story: nobody can have it (RFC 2606 2). */
const isMadeUp = (address: string): boolean => /\.example$/i.test(address);

/** Removes all calendars, entries, presets and period sets and leaves the demo: one empty calendar, and the system's clock. */
export function startEmpty(state: State, context: ChangeContext): Patch {
  const removed = COLLECTION_NAMES.filter((name) => COLLECTIONS[name].isContent).flatMap((collection) =>
    [...state[collection].values()].map(
      (before) => ({ collection, id: before.id, before, after: null }) as Change,
    ),
  );
  const {
    demoNow: _,
    targetCalendarId: __,
    startPresetId: ___,
    addresses,
    ...settings
  } = state.settings.get('settings') as Settings;
  const first = saveCalendar(
    state,
    undefined,
    { name: 'Work', description: '', colour: 'pine', mark: 'WO' },
    context,
  );
  return makePatch(
    context,
    { what: 'settings-changed', count: removed.length },
    [
      ...removed,
      ...first.changes,
      put(state, 'settings', addresses && !isMadeUp(addresses.email) ? { ...settings, addresses } : settings),
    ],
    'closed-calendars',
  );
}

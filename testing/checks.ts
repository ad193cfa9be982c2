import { isReadOnly } from '@/core/model/calendar';
import { initialSettings } from '@/core/model/initialSettings';
import type { State } from '@/core/model/state';
import type { CheckQuery } from '@/core/tidy/checks/finding';
import { makeDemo } from '../demo/makeDemo';
import { FENNICK, stateWith } from './samples';

export const NOW = Date.UTC(2027, 2, 9, 10, 20);
export const OWN = 'juna.marsh@fennick.example';

/** What checks are asked with about two calendars and one of days off that can't be changed. */
export const checkQuery = (more: Partial<CheckQuery> = {}): CheckQuery => ({
  zone: FENNICK,
  now: NOW,
  workingPattern: initialSettings(FENNICK).workingPattern,
  own: OWN,
  fine: [],
  calendars: [
    { id: 'meetings', name: 'Meetings', mark: 'ME', colour: 'harbour' },
    { id: 'desk', name: 'Desk work', mark: 'DW', colour: 'pine' },
    { id: 'daysoff', name: 'Days off', mark: 'DO', colour: 'rose' },
  ].map((each) => ({ ...each, isClosed: each.id === 'daysoff', isFeed: false, reminds: false })),
  ...more,
});

/** The demo as a state, and what is asked with it. */
export function checkedDemo(): { state: State; query: CheckQuery } {
  const { entries, calendars, settings } = makeDemo();
  const state: State = {
    ...stateWith(),
    calendars: new Map(calendars.map((each) => [each.id, each])),
    entries: new Map(entries.map((each) => [each.id, each])),
    settings: new Map([['settings', settings]]),
  };
  return {
    state,
    query: checkQuery({
      workingPattern: settings.workingPattern,
      calendars: calendars.map((each) => ({
        id: each.id,
        name: each.name,
        mark: each.mark,
        colour: each.colour,
        isClosed: isReadOnly(each),
        isFeed: each.feed !== undefined,
        reminds: (each.usualReminders?.timed.length ?? 0) > 0,
      })),
    }),
  };
}

import { calendar, event, stateWith } from '../../../testing/samples';
import { initialSettings } from '../model/initialSettings';
import type { Session, State } from '../model/state';
import { isBackupDue } from './backupOffer';
import { DAY } from '../time/civil';

const NOW = 400 * DAY;
const kept = (session: Partial<Session> = {}, entries = 30): State => ({
  ...stateWith(...Array.from({ length: entries }, () => event())),
  calendars: new Map([['meetings', calendar({ created: NOW - 31 * DAY })]]),
  sessions: new Map([['session', { id: 'session', ...session } as Session]]),
});

test('a backup is offered a month after the first calendar, the last backup, or the last no', () => {
  expect(isBackupDue(kept(), NOW)).toBe(true);
  expect(isBackupDue(kept(), NOW - 2 * DAY)).toBe(false);
  expect(isBackupDue(kept({ backedUp: NOW - 10 * DAY }), NOW)).toBe(false);
  expect(isBackupDue(kept({ backedUp: NOW - 40 * DAY, backupPutOff: NOW - DAY }), NOW)).toBe(false);
  expect(isBackupDue(kept({ backedUp: NOW - 40 * DAY, backupPutOff: NOW - 30 * DAY }), NOW)).toBe(true);
});

test('not to someone with a handful of entries, nor over the demo', () => {
  expect(isBackupDue(kept({}, 5), NOW)).toBe(false);
  const settings = { ...initialSettings('UTC'), demoNow: '2027-03-09T10:20' };
  expect(isBackupDue({ ...kept(), settings: new Map([['settings', settings]]) }, NOW)).toBe(false);
});

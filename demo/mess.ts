import type { EntryMaker } from './entryMaker';

/** What has gone wrong over the months: each kind of it once, in the autumn before the demo's today. */
export function addMess(make: EntryMaker): void {
  // Imported twice.
  const hire = make.timed('visits', '2026-11-03T09:00', 180, 'Pilot boat hire', { location: 'Fennick quay' });
  make.timed('visits', '2026-11-03T09:00', 180, 'Pilot boat hire', { uid: hire.uid });
  make.timed('desk', '2026-11-05T14:00', 45, 'Lamp oil order');
  make.timed('desk', '2026-11-05T14:10', 45, 'Lamp oil ordr');
  // Times that were meant otherwise.
  make.timed('desk', '2026-11-14T00:00', 1440, 'Stocktaking, boat shed');
  make.timed('desk', '2026-11-16T12:00', 0, 'Lamp oil delivery');
  make.days('visits', '2026-11-18', 1, '14:30 boat survey');
  make.timed('meetings', '2026-11-19T09:00', 450, 'All-day lamp course');
  for (const day of ['02', '09', '16', '23'])
    make.timed('meetings', `2026-11-${day}T15:00`, 30, 'Marek: lens prices');
  make.timed('meetings', '2026-11-30T15:00', 30, 'Marek: lens prices', {}, 'Europe/Warsaw');
  // One thing written in two ways.
  make.timed('visits', '2026-11-20T10:00', 60, 'Winch check', {
    location: 'Boat Shed',
    categories: ['Travel'],
  });
  // An occurrence that was changed and changed back.
  const series = make.series('desk', '2026-10-02T08:30', 30, 'FREQ=WEEKLY;COUNT=8;BYDAY=FR', 'Tide tables');
  make.changed(series, '2026-10-16', '2026-10-16T08:30');
}

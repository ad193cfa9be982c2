import { calendar, context, event, FENNICK, series, stateWith } from '../../../../testing/samples';
import { applyPatch, inversePatch } from '../../change/patch';
import { convertFile } from '../convert';
import { FileError } from '../icalendar/problems';
import { readBackup, writeBackup } from './backupFile';
import { effectsOf, restoreBackup } from './restoreBackup';

const NOW = Date.UTC(2027, 2, 9);
const attachment = { id: 'file', name: 'lens.png', mediaType: 'image/png', size: 4 };
const full = stateWith(
  event({ id: 'a', attachments: [attachment], colour: 'rust' }),
  series('FREQ=DAILY', { id: 'b' }),
);
const files = new Map([['file', 'TGVucw==']]);

test('a backup holds everything, attachments too, and gives it back', () => {
  const backup = readBackup(writeBackup(full, files, NOW));
  expect(backup.problems).toEqual([]);
  expect([backup.saved, backup.files]).toEqual([NOW, files]);
  const empty = { ...stateWith(), calendars: new Map(), settings: new Map() };
  const restored = applyPatch(empty, restoreBackup(empty, backup, 'replace', context()));
  expect(restored).toEqual(full);
});

test('replacing makes it as it was and can be taken back; adding leaves what is here', () => {
  const backup = readBackup(writeBackup(full, files, NOW));
  const now = stateWith(event({ id: 'a', title: 'changed since' }), event({ id: 'c' }));
  const replaced = restoreBackup(now, backup, 'replace', context());
  expect(effectsOf(replaced)).toEqual([{ collection: 'entries', added: 1, changed: 1, removed: 1 }]);
  expect([...applyPatch(now, replaced).entries.keys()].sort()).toEqual(['a', 'b']);
  expect(applyPatch(applyPatch(now, replaced), inversePatch(replaced))).toEqual(now);
  const added = restoreBackup(now, backup, 'add', context());
  expect(effectsOf(added)).toEqual([{ collection: 'entries', added: 1, changed: 0, removed: 0 }]);
  expect(applyPatch(now, added).entries.get('a')!.title).toBe('changed since');
});

test('a bad record is named and the rest is read; what is no backup is refused', () => {
  const text = writeBackup(full, files, NOW);
  const broken = readBackup(text.replace('"kind":"event","id":"a"', '"kind":"ghost","id":"a"'));
  expect(broken.problems).toMatchObject([{ collection: 'entries', id: 'a' }]);
  expect(broken.records.entries.map(({ id }) => id)).toEqual(['b']);
  expect(() => readBackup('{"format":"something"}')).toThrow(new FileError('not-a-backup'));
  expect(() => readBackup('no')).toThrow(new FileError('not-a-backup'));
  // One that is cut off is no other file, but a damaged one.
  expect(() => readBackup(text.slice(0, -40))).toThrow(new FileError('damaged-backup'));
  expect(() => readBackup(text.replace('"version":1', '"version":2'))).toThrow(new FileError('newer-backup'));
});

test('calendar file, table and backup turn into each other', async () => {
  let id = 0;
  const options = { zone: FENNICK, now: NOW, newId: () => `made-${++id}` };
  const two = { ...full, calendars: new Map([['meetings', calendar()]]) };
  const backup = writeBackup(two, files, NOW);
  const asCalendar = await convertFile(backup, 'json', 'ics', options);
  expect(asCalendar.problems).toEqual([]);
  expect(asCalendar.text).toContain('NAME:Meetings');
  expect(asCalendar.text.replaceAll('\r\n ', '')).toContain('FILENAME=lens.png');
  const back = readBackup((await convertFile(asCalendar.text, 'ics', 'json', options)).text);
  expect(back.records.entries.map(({ title, colour }) => [title, colour])).toEqual([
    ['Keeper rota call', 'rust'],
    ['Keeper rota call', undefined],
  ]);
  expect([...back.files.values()]).toEqual(['TGVucw==']);
  const table = await convertFile(backup, 'json', 'csv', options);
  expect(table.text.split('\r\n')[1]).toMatch(/^Keeper rota call,2027-03-09,14:00/);
  const fromTable = await convertFile(table.text, 'csv', 'ics', options);
  expect(fromTable.text).toContain('RRULE:FREQ=DAILY');
  expect(readBackup((await convertFile(backup, 'json', 'json', options)).text).records).toEqual(
    readBackup(backup).records,
  );
});

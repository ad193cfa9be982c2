import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { freshBrowser } from '../../testing/storePages';
import { event, stateWith } from '../../testing/samples';
import { ATTACHMENT_PREFIX, AttachmentFiles, isQuotaError } from './attachmentFiles';
import type { Database } from './database';
import { loadDatabase } from './load';
import { DAY } from '@/core/time/civil';

let names = 0;
const fresh = (): Database => createAsyncStorage(`files-${++names}`);
const noEstimate = async () => undefined;
const LARGE = 'abcd'.repeat(200_000);

test('files are kept in chunks, read whole, and taken away without a rest', async () => {
  const database = fresh();
  const files = new AttachmentFiles(database, noEstimate);
  expect(
    await files.write(
      new Map([
        ['a', LARGE],
        ['b', ''],
        ['ab', 'eHg='],
      ]),
    ),
  ).toBeUndefined();
  expect(await files.readAll(['a', 'b', 'ab', 'gone'])).toEqual(
    new Map([
      ['a', LARGE],
      ['b', ''],
      ['ab', 'eHg='],
    ]),
  );
  expect(
    (await database.getAllKeys()).filter((key) => key.startsWith(`${ATTACHMENT_PREFIX}a/`)),
  ).toHaveLength(4);
  await files.remove(['a']);
  expect(await files.read('a')).toBeUndefined();
  expect(await files.read('ab')).toBe('eHg=');
  // They are not among the records.
  const { log } = freshBrowser();
  expect((await loadDatabase(database, log)).setAside).toBe(0);
});

test('what would not fit is refused before anything is written, or taken away if it fails half-way', async () => {
  const database = fresh();
  const full = new AttachmentFiles(database, async () => ({ quota: 3_000_000, usage: 900_000 }));
  expect(await full.write(new Map([['a', LARGE]]))).toBe('no-room');
  expect(await database.getAllKeys()).toEqual([]);
  let writes = 0;
  const failing: Database = {
    ...database,
    getAllKeys: () => database.getAllKeys(),
    removeMany: (keys) => database.removeMany(keys),
    setItem: (key, value) => {
      if (++writes > 2) throw new DOMException('', 'QuotaExceededError');
      return database.setItem(key, value);
    },
  };
  expect(await new AttachmentFiles(failing, noEstimate).write(new Map([['a', LARGE]]))).toBe('no-room');
  expect(await database.getAllKeys()).toEqual([]);
});

test('files of what is in the bin stay for as long as it does', async () => {
  const database = fresh();
  let now = 0;
  const files = new AttachmentFiles(database, noEstimate, () => now);
  await files.write(new Map([['binned', 'eHg=']]));
  const entry = event({ attachments: [{ id: 'binned', name: 'plan', mediaType: '', size: 2 }] });
  const state = { ...stateWith(), bin: new Map([[entry.id, { id: entry.id, entry, deleted: 0 }]]) };
  now = 40 * DAY;
  await files.sweep(state, []);
  expect(await files.read('binned')).toBe('eHg=');
  await files.sweep(stateWith(), []);
  expect(await files.read('binned')).toBeUndefined();
});

test('files that nothing names any more go after a day', async () => {
  const database = fresh();
  let now = 0;
  const files = new AttachmentFiles(database, noEstimate, () => now);
  await files.write(
    new Map([
      ['named', 'eHg='],
      ['undone', 'eHg='],
      ['lost', 'eHg='],
    ]),
  );
  const bears = (id: string) => event({ attachments: [{ id, name: id, mediaType: '', size: 2 }] });
  const state = stateWith(bears('named'));
  const gone = bears('undone');
  const patch = {
    id: 'p',
    at: 0,
    summary: { what: 'entries-binned' as const, count: 1 },
    changes: [{ collection: 'entries' as const, id: gone.id, before: gone, after: null }],
  };
  now = DAY - 1;
  await files.sweep(state, [patch]);
  expect(await files.read('lost')).toBe('eHg=');
  now = DAY + 1;
  await files.sweep(state, [patch]);
  expect([...(await files.readAll(['named', 'undone', 'lost'])).keys()]).toEqual(['named', 'undone']);
});

test('a full storage is told from other failures', () => {
  expect(isQuotaError(new DOMException('', 'QuotaExceededError'))).toBe(true);
  expect(isQuotaError(Object.assign(new Error(''), { type: 'WebStorageError' }))).toBe(true);
  expect(isQuotaError(new Error('connection lost'))).toBe(false);
});

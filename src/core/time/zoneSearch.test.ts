import { abbreviationsOf, offsetOfText, searchZones, zoneEntries } from './zoneSearch';
import { isKnownZone, offsetName, offsetOnce } from './zones';
import { HOUR } from './civil';

const WINTER = Date.UTC(2027, 0, 15, 12);
const SUMMER = Date.UTC(2027, 6, 15, 12);
const first = (text: string, now = WINTER) => searchZones(text, now)[0]?.zone;
const found = (text: string, now = WINTER) => searchZones(text, now).map(({ zone }) => zone);

test('every zone of the runtime can be found, under its present name or an older one', () => {
  const names = new Set(zoneEntries().map(({ zone }) => zone));
  expect(names.size).toBe(zoneEntries().length);
  for (const zone of Intl.supportedValuesOf('timeZone')) {
    const city = zone.split('/').pop()!.replaceAll('_', ' ');
    const same = found(city).some(
      (other) =>
        other === zone ||
        (isKnownZone(other) &&
          [WINTER, SUMMER].every((at) => offsetOnce(other, at) === offsetOnce(zone, at))),
    );
    expect({ zone, same }).toEqual({ zone, same: true });
  }
});

test.each([
  ['halifax', 'America/Halifax'],
  ['azores', 'Atlantic/Azores'],
  ['kolkata', 'Asia/Kolkata'],
  ['calcutta', 'Asia/Kolkata'],
  ['kiev', 'Europe/Kyiv'],
  ['europe/warsaw', 'Europe/Warsaw'],
  ['sao paulo', 'America/Sao_Paulo'],
  ['new york', 'America/New_York'],
  ['oslo', 'Europe/Oslo'],
  ['norway', 'Europe/Oslo'],
  ['germany', 'Europe/Berlin'],
  ['usa', 'America/New_York'],
  ['United States', 'America/New_York'],
  ['uk', 'Europe/London'],
  ['est', 'America/New_York'],
  ['IST', 'Asia/Kolkata'],
  ['beijing', 'Asia/Shanghai'],
  ['munich', 'Europe/Berlin'],
  ['bombay', 'Asia/Kolkata'],
  ['nyc', 'America/New_York'],
  ['pacific time', 'America/Los_Angeles'],
])('%s finds %s first', (text, zone) => expect(first(text)).toBe(zone));

test('a country finds its zones, also those that share another city', () => {
  expect(found('norway')).toContain('Europe/Oslo');
  expect(first('Portugal')).toBe('Europe/Lisbon');
  expect(found('Portugal').slice(1).sort()).toEqual(['Atlantic/Azores', 'Atlantic/Madeira']);
});

test('abbreviations find the zones that use them', () => {
  expect(abbreviationsOf('America/New_York', WINTER)).toEqual(['EST', 'EDT']);
  expect(found('AST')).toContain('America/Halifax');
  expect(found('wet')).toContain('Europe/Lisbon');
  expect(found('cest')).toContain('Europe/Warsaw');
  for (const text of ['cet', 'central european time'])
    expect(abbreviationsOf(first(text)!, WINTER)).toContain('CET');
});

test('an offset finds the zones that have it at that time of the year', () => {
  expect(found('+1', SUMMER)).toContain('Europe/Lisbon');
  expect(found('+1', WINTER)).not.toContain('Europe/Lisbon');
  expect(first('utc+5:45')).toBe('Asia/Kathmandu');
  expect(found('-3:30')).toEqual(['America/St_Johns']);
  expect(offsetOfText('gmt-0330')).toBe(-3.5 * HOUR);
  expect(offsetOfText('+25')).toBeUndefined();
  expect(offsetName('Europe/Lisbon', SUMMER)).toBe('UTC+01:00');
  expect(offsetName('Europe/Lisbon', WINTER)).toBe('UTC');
});

test('a name of one’s own finds its zone, and a large city says by what it was found', () => {
  const own = [{ name: 'Fennick', zone: 'Europe/Lisbon' }];
  expect(searchZones('fennick', WINTER, own)[0]).toMatchObject({ zone: 'Europe/Lisbon', foundBy: 'Fennick' });
  expect(searchZones('munich', WINTER)[0]?.foundBy).toBe('Munich');
});

test('stations in the ice and bare offsets do not push in', () => {
  for (const text of ['new zealand', 'united states', 'norway'])
    expect(found(text)[0]).not.toMatch(/^(Antarctica|Etc)/);
  expect(found('+5', SUMMER)[0]).not.toMatch(/^(Antarctica|Etc)/);
});

test('nonsense finds nothing, and nothing said is all', () => {
  for (const text of ['xyzzy', '1', '%']) expect(found(text)).toEqual([]);
  expect(searchZones('  ', WINTER)).toBe(zoneEntries());
});

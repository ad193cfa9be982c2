import fc from 'fast-check';
import type { Person } from '@/core/model/person';
import { LARGEST_CARDS, readCards } from './readCards';
import { CARD_VERSIONS, writeCards } from './writeCards';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const lines = (...all: string[]): Uint8Array => bytes(`${all.join('\r\n')}\r\n`);
const person = (more: Partial<Person> = {}): Person => ({
  id: 'tobias',
  kind: 'colleague',
  name: 'Tobias Rask',
  addresses: ['tobias.rask@fennick.example'],
  role: 'Surveyor',
  place: 'Oslo',
  zone: 'Europe/Oslo',
  equipment: [],
  notes: '',
  groups: ['Works'],
  created: 0,
  modified: Date.UTC(2027, 2, 9),
  ...more,
});
const withoutRecord = ({ id: _, created: __, modified: ___, ...rest }: Person) => rest;

test('a card of the newer version is read with all that a person has', () => {
  const { people, problems } = readCards(
    lines(
      'BEGIN:VCARD',
      'VERSION:4.0',
      'KIND:location',
      'FN:Chart room',
      'EMAIL;PREF=2:chart@fennick.example',
      'EMAIL;PREF=1:mailto:rooms@fennick.example',
      'ADR;TYPE=work:;;Harbour street 4;Fennick;;;',
      'TZ:Europe/Lisbon',
      'X-SEATS:8',
      'X-EQUIPMENT:screen',
      'X-EQUIPMENT:tide tables',
      'CATEGORIES:Rooms,Ground floor',
      'NOTE:Key at the\\, stores\\nask Ines',
      'TEL;VALUE=uri:tel:+351-555-0100',
      'END:VCARD',
    ),
  );
  expect(problems).toEqual([]);
  expect(people).toEqual([
    {
      kind: 'room',
      name: 'Chart room',
      addresses: ['rooms@fennick.example', 'chart@fennick.example'],
      role: '',
      place: 'Fennick',
      zone: 'Europe/Lisbon',
      seats: 8,
      equipment: ['screen', 'tide tables'],
      notes: 'Key at the, stores\nask Ines',
      groups: ['Rooms', 'Ground floor'],
      preserved: { properties: [['tel', {}, 'uri', 'tel:+351-555-0100']], components: [] },
    },
  ]);
});

test('a card of the older version is read, its grouped and preferred addresses and its zone by name, too', () => {
  const { people } = readCards(
    lines(
      'BEGIN:VCARD',
      'VERSION:3.0',
      'N:Wray;Salma;;;',
      'FN:Salma Wray',
      'EMAIL;TYPE=INTERNET:grants@fennick.example',
      'item1.EMAIL;TYPE=INTERNET,PREF:salma.wray@fennick.example',
      'TITLE:Grants',
      'TZ;VALUE=text:America/Halifax',
      'END:VCARD',
    ),
  );
  expect(people[0]).toMatchObject({
    name: 'Salma Wray',
    addresses: ['salma.wray@fennick.example', 'grants@fennick.example'],
    role: 'Grants',
    zone: 'America/Halifax',
  });
});

test('what can’t be read is named, and the rest is there', () => {
  const { people, problems } = readCards(
    lines(
      'BEGIN:VCARD',
      'VERSION:4.0',
      'no property at all',
      'FN:Marek Dunne',
      'X-SEATS:many',
      'TZ:Nowhere/Land',
      'END:VCARD',
      'BEGIN:VCARD',
      'VERSION:4.0',
      'NOTE:nobody',
      'END:VCARD',
    ),
  );
  expect(people).toHaveLength(1);
  expect(people[0]).not.toHaveProperty('zone');
  expect(people[0]).not.toHaveProperty('seats');
  expect(problems.map(({ code, line }) => [code, line])).toEqual([
    ['unreadable-line', 3],
    ['unreadable-entry', 8],
  ]);
});

test('a file that is none of cards, is cut off or far too large is refused, and said why', () => {
  const reason = (read: () => unknown): unknown => {
    try {
      return read();
    } catch (error) {
      return (error as { reason?: string }).reason;
    }
  };
  expect(reason(() => readCards(bytes('BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n')))).toBe('not-a-card');
  expect(reason(() => readCards(bytes('BEGIN:VCARD\r\nFN:Half')))).toBe('cut-off');
  expect(reason(() => readCards(new Uint8Array(0)))).toBe('empty');
  expect(reason(() => readCards(new Uint8Array(LARGEST_CARDS + 1)))).toBe('too-large');
  expect(reason(() => readCards(bytes('BEGIN:VCARD\r\nFN:A\r\nEND:VCARD\r\n'.repeat(20_001))))).toBe(
    'too-large',
  );
});

test('people written as cards are read back the same, in both versions, whatever they are called', () => {
  const words = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 30 })
    .map((text) => text.replace(/[\p{C}\p{Z}]+/gu, ' ').trim())
    .filter((text) => text !== '');
  const notes = fc.array(words, { maxLength: 3 }).map((all) => all.join('\n'));
  fc.assert(
    fc.property(
      fc.record({
        kind: fc.constantFrom('colleague' as const, 'room' as const),
        name: words,
        addresses: fc.uniqueArray(fc.emailAddress(), { maxLength: 3 }),
        role: words,
        place: words.map((text) => text.replace(/[,;\\]/g, '')).map((text) => text.trim()),
        zone: fc.constantFrom('Europe/Lisbon', 'America/Halifax'),
        equipment: fc.array(words, { maxLength: 3 }),
        notes,
        groups: fc.uniqueArray(words, { maxLength: 3 }),
      }),
      fc.constantFrom(...CARD_VERSIONS),
      (fields, version) => {
        const written = person(fields);
        const { people, problems } = readCards(bytes(writeCards([written, person()], version)));
        expect(problems).toEqual([]);
        expect(people.map(({ preserved: _, ...rest }) => rest)).toEqual(
          [written, person()].map(withoutRecord),
        );
      },
    ),
    { numRuns: 150 },
  );
});

test('what a card says beyond a person is written back', () => {
  const card = lines(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:Ines Falk',
    'TEL;VALUE=uri:tel:+351-555-0103',
    'X-BOAT;TYPE=own:Tern',
    'END:VCARD',
  );
  const [read] = readCards(card).people;
  const text = writeCards([{ ...read!, id: 'ines', created: 0, modified: 0 }]);
  expect(text).toContain('TEL:tel:+351-555-0103');
  expect(text).toContain('X-BOAT;TYPE=own:Tern');
});

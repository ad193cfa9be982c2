import ICAL from 'ical.js';
import type { JCalProperty } from '../../model/jcal';
import type { Person } from '../../model/person';
import { localString } from '../../time/civil';

/** The versions of cards that are written: RFC 6350, and RFC 2426 for what reads no other. */
export const CARD_VERSIONS = ['4.0', '3.0'] as const;
export type CardVersion = (typeof CARD_VERSIONS)[number];

/** People and rooms as a file of cards. */
export function writeCards(people: readonly Person[], version: CardVersion = '4.0'): string {
  const design = version === '4.0' ? ICAL.design.vcard : ICAL.design.vcard3;
  return people
    .map((person) => `${ICAL.stringify.component(['vcard', propertiesOf(person, version), []], design)}\r\n`)
    .join('');
}

function propertiesOf(person: Person, version: CardVersion): JCalProperty[] {
  const { name, kind, addresses, role, place, zone, seats, equipment, notes, groups, busyAddress } = person;
  const isNew = version === '4.0';
  const kept = (person.preserved?.properties ?? []) as JCalProperty[];
  const has = (wanted: string): boolean => kept.some((property) => property[0] === wanted);
  const said = (property: string, value: string, type = 'text'): JCalProperty[] =>
    value === '' ? [] : [[property, {}, type, value]];
  return [
    ['version', {}, 'text', version],
    ...(isNew
      ? said('kind', kind === 'room' ? 'location' : 'individual')
      : said('x-kind', kind === 'room' ? 'location' : '')),
    ['fn', {}, 'text', name],
    // The older version asks for it (RFC 2426 3.1.2).
    ...(isNew || has('n') ? [] : ([['n', {}, 'text', ['', name, '', '', '']]] satisfies JCalProperty[])),
    ...addresses.map((address, at): JCalProperty => {
      const isFirst = at === 0 && addresses.length > 1;
      const parameters: JCalProperty[1] = !isFirst
        ? {}
        : isNew
          ? { pref: '1' }
          : { type: ['INTERNET', 'pref'] };
      return ['email', parameters, 'text', address];
    }),
    ...said('role', role),
    ...(place === ''
      ? []
      : ([['adr', {}, 'text', ['', '', '', place, '', '', '']]] satisfies JCalProperty[])),
    ...said('tz', zone ?? ''),
    ...said('x-seats', seats === undefined ? '' : String(seats)),
    ...equipment.flatMap((each) => said('x-equipment', each)),
    ...said('note', notes),
    ...(groups.length > 0 ? ([['categories', {}, 'text', ...groups]] satisfies JCalProperty[]) : []),
    ...said('fburl', busyAddress ?? '', 'uri'),
    ...said(
      'rev',
      `${localString(Math.floor(person.modified / 1000) * 1000)}Z`,
      isNew ? 'timestamp' : 'date-time',
    ),
    ...kept,
  ];
}

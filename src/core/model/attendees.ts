import type { CalendarEvent, EntryBase } from './entry';
import { withoutMailto } from './emailAddress';

/** Somebody invited (ATTENDEE, RFC 5545 3.8.4.1), in words. */
export interface Attendee {
  /** The common name, or the address without one. */
  readonly name: string;
  readonly address: string;
  readonly hasAnswered: boolean;
}

type KeptProperties = Pick<EntryBase, 'preserved'>;

const propertiesNamed = (event: KeptProperties, name: string): unknown[][] =>
  event.preserved?.properties.filter((property) => property[0] === name) ?? [];

const parameter = (property: readonly unknown[], name: string): string => {
  const parameters = property[1];
  const value =
    typeof parameters === 'object' && parameters !== null
      ? (parameters as Record<string, unknown>)[name]
      : undefined;
  return typeof value === 'string' ? value : '';
};
const valueOf = (property: readonly unknown[]): string =>
  typeof property[3] === 'string' ? property[3] : '';

/** Who is invited. Without a word of theirs nobody has answered (PARTSTAT, RFC 5545 3.2.12). */
export const attendeesOf = ({ attendees = [] }: Pick<EntryBase, 'attendees'>): Attendee[] =>
  attendees.map(({ address: uri, parameters }) => {
    const said = (name: string): string => [parameters[name] ?? ''].flat().join(',');
    const address = withoutMailto(uri);
    const status = said('partstat').toUpperCase();
    return {
      name: said('cn') || address,
      address,
      hasAnswered: status !== '' && status !== 'NEEDS-ACTION',
    };
  });

/** The names of what is attached (ATTACH, RFC 5545 3.8.1.1): given with it, or the end of its address. */
export function attachmentNamesOf(event: KeptProperties & Pick<EntryBase, 'attachments'>): string[] {
  const linked = propertiesNamed(event, 'attach').map(
    (property) =>
      parameter(property, 'filename') ||
      parameter(property, 'x-filename') ||
      (property[2] === 'uri' ? (valueOf(property).split(/[?#]/)[0]!.split('/').pop() ?? '') : ''),
  );
  return [...(event.attachments ?? []).map(({ name }) => name), ...linked];
}

/** Whether it is held online: with a conference (RFC 7986 5.11), or a link or the word itself as its place. */
export const isOnline = ({
  conferences,
  location,
}: Pick<CalendarEvent, 'conferences' | 'location'>): boolean =>
  (conferences?.length ?? 0) > 0 || /\bonline\b|^https?:\/\//i.test(location);

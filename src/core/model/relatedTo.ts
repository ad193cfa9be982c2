import { z } from 'zod';
import './withoutCodeMaking';
import { Parameters } from './calendarUser';

/** Another entry that one is related to (RELATED-TO, RFC 5545 3.8.4.5), by its UID, with all that is said of how. */
export const RelatedTo = z.object({ uid: z.string(), parameters: Parameters });
export type RelatedTo = z.infer<typeof RelatedTo>;

/** Our parameter of the date of a series that is meant, as a `recurrenceKey`: the standard's names whole series alone. */
const OCCURRENCE = 'x-orderly-week-occurrence';

/** What says that an entry is a part of another: of a series, of the date whose key is given. */
export const partOf = (uid: string, recurrenceKey: string | undefined): RelatedTo => ({
  uid,
  parameters: recurrenceKey === undefined ? {} : { [OCCURRENCE]: recurrenceKey },
});

/** Whether it is the one that the entry is a part of, which is meant where nothing else is said (RFC 5545 3.2.15). */
export const isParent = ({ parameters }: RelatedTo): boolean =>
  String(parameters['reltype'] ?? 'PARENT').toUpperCase() === 'PARENT';

/** The key of the date of a series that is meant; undefined for all of it, or what is no series. */
export function occurrenceOfParent({ parameters }: RelatedTo): string | undefined {
  const key = parameters[OCCURRENCE];
  return typeof key === 'string' && key !== '' ? key : undefined;
}

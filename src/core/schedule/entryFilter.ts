import { attendeesOf, isOnline } from '../model/attendees';
import { type Entry, isEvent } from '../model/entry';
import type { EntryFilter } from '../model/look';
import { ALL_FIELDS, anyRowOf, rowFor, valueOf } from '../fields/fieldsOf';

/** Text as it is compared: without accents, in small letters. */
export const foldText = (text: string): string =>
  text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase();

/** Whether a filter lets everything through. */
export const isFilterEmpty = (filter: EntryFilter): boolean =>
  FACETS.every(({ key }) => filter[key].length === 0) &&
  !filter.recurring &&
  !filter.people &&
  !filter.meeting &&
  !filter.answer &&
  filter.text.trim() === '';

/** The fields among whose values the filter chooses, and those that its words are looked for in. */
const FACETS = ALL_FIELDS.flatMap((name) => {
  const { facet } = anyRowOf(name);
  return facet ? [{ name, ...facet }] : [];
});
const READ = ALL_FIELDS.filter((name) => anyRowOf(name).search?.filter);

/** What the words of a filter are looked for in. */
const filteredText = (entry: Entry): string =>
  READ.map((name) => rowFor(entry.kind, name)?.search?.text(valueOf(entry, name), entry) ?? '').join('\n');

/** Whether an entry has one of the values that are chosen of a field; one without that field has none. */
const hasOne = (
  entry: Entry,
  { name, values }: (typeof FACETS)[number],
  chosen: readonly string[],
): boolean => {
  const value = rowFor(entry.kind, name) && valueOf(entry, name);
  return value !== undefined && value !== null && values(value).some((each) => chosen.includes(each));
};

/** A test of entries by a filter. All that it names must hold; of several values of one kind, one. */
export function filterTest(filter: EntryFilter | undefined): (entry: Entry) => boolean {
  if (!filter || isFilterEmpty(filter)) return () => true;
  const words = foldText(filter.text)
    .split(/\s+/)
    .filter((word) => word !== '');
  const facets = FACETS.filter(({ key }) => filter[key].length > 0);
  return (entry) => {
    if (!facets.every((facet) => hasOne(entry, facet, filter[facet.key]))) return false;
    const isRecurring = !!entry.recurrence || entry.seriesId !== undefined;
    if (filter.recurring && (filter.recurring === 'series') !== isRecurring) return false;
    if (filter.meeting && !(isEvent(entry) && (filter.meeting === 'online') === isOnline(entry)))
      return false;
    if (filter.people || filter.answer) {
      const attendees = attendeesOf(entry);
      if (filter.people && (filter.people === 'with') !== attendees.length > 0) return false;
      const isAnswered = attendees.every(({ hasAnswered }) => hasAnswered);
      if (filter.answer && (attendees.length === 0 || (filter.answer === 'answered') !== isAnswered))
        return false;
    }
    if (words.length === 0) return true;
    const text = foldText(filteredText(entry));
    return words.every((word) => text.includes(word));
  };
}

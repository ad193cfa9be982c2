import { attendeesOf, isOnline } from '../model/attendees';
import { type Entry, isEvent } from '../model/entry';
import type { EntryFilter } from '../model/look';

/** Text as it is compared: without accents, in small letters. */
export const foldText = (text: string): string =>
  text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase();

/** Whether a filter lets everything through. */
export const isFilterEmpty = (filter: EntryFilter): boolean =>
  filter.categories.length + filter.availabilities.length + filter.classifications.length === 0 &&
  !filter.recurring &&
  !filter.people &&
  !filter.meeting &&
  !filter.answer &&
  filter.text.trim() === '';

/** A test of events by a filter. All that it names must hold; of several values of one kind, one. */
export function filterTest(filter: EntryFilter | undefined): (entry: Entry) => boolean {
  if (!filter || isFilterEmpty(filter)) return () => true;
  const words = foldText(filter.text)
    .split(/\s+/)
    .filter((word) => word !== '');
  return (event) => {
    if (
      filter.categories.length > 0 &&
      !event.categories.some((category) => filter.categories.includes(category))
    )
      return false;
    if (
      filter.availabilities.length > 0 &&
      !(isEvent(event) && filter.availabilities.includes(event.availability))
    )
      return false;
    if (filter.classifications.length > 0 && !filter.classifications.includes(event.classification))
      return false;
    const isRecurring = !!event.recurrence || event.seriesId !== undefined;
    if (filter.recurring && (filter.recurring === 'series') !== isRecurring) return false;
    if (filter.meeting && !(isEvent(event) && (filter.meeting === 'online') === isOnline(event)))
      return false;
    if (filter.people || filter.answer || words.length > 0) {
      const attendees = attendeesOf(event);
      if (filter.people && (filter.people === 'with') !== attendees.length > 0) return false;
      if (filter.answer) {
        const answered = attendees.every(({ hasAnswered }) => hasAnswered);
        if (attendees.length === 0 || (filter.answer === 'answered') !== answered) return false;
      }
      if (words.length > 0) {
        const people = attendees.map(({ name, address }) => `${name} ${address}`);
        const text = foldText([event.title, event.location, event.notes, ...people].join('\n'));
        if (!words.every((word) => text.includes(word))) return false;
      }
    }
    return true;
  };
}

import type { EntryFilter } from '@/core/model/look';
import { words } from './words';

/** What a filter lets through, in words: a part for each thing that it asks for. */
export function filterText(filter: EntryFilter): string[] {
  const { values } = words.filter;
  return [
    ...(filter.categories.length > 0 ? [words.filter.categoriesAre(filter.categories.join(', '))] : []),
    ...(filter.availabilities.length > 0
      ? [filter.availabilities.map((value) => words.entry.availability[value]).join(', ')]
      : []),
    ...(filter.classifications.length > 0
      ? [filter.classifications.map((value) => words.entry.classification[value]).join(', ')]
      : []),
    ...[filter.recurring, filter.people, filter.meeting, filter.answer].flatMap((value) =>
      value ? [values[value]] : [],
    ),
    ...(filter.text.trim() ? [words.filter.withText(filter.text.trim())] : []),
  ];
}

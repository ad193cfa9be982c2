import type { ChoiceFieldName, TypedOf } from '@/core/fields/eventFields';
import { words } from './words';

const choiceWords: { readonly [Name in ChoiceFieldName]: Readonly<Record<TypedOf<Name>, string>> } =
  words.entry;

/** What a value of a field that is chosen is called. */
export const choiceWord = (name: ChoiceFieldName, value: string): string =>
  (choiceWords[name] as Readonly<Record<string, string>>)[value] ?? value;

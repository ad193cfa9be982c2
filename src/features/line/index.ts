export { EntryLine, type EntryLineHandle, preloadLine } from './EntryLine';
export { WordsOfDraft } from './WordsOfDraft';
export { useGrammar } from './useLineReader';

export { EntryLine, type EntryLineHandle, preloadLine } from './EntryLine';
export { todoLineText } from './todoLineText';
export { WordsOfDraft } from './WordsOfDraft';
export { useGrammar, useTodoReader } from './useLineReader';

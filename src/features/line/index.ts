export { EntryLine, type EntryLineHandle, preloadLine } from './EntryLine';
export { todoLineText } from './todoLineText';
export { WordsOfDraft } from './WordsOfDraft';
export { type Grammar, type ReadTodo, useGrammar, useTodoReader } from './useLineReader';

/** The readers of ordinary words. They share the grammar of dates, so they come together, when one of them is first asked. */
export { guestCompletions } from './parts/guests';
export { dayInWords } from './dayInWords';
export { type EntryLineContext, otherReadings, parseEntryLine } from './parseEntryLine';
export { rewriteLine } from './rewriteLine';
export { isTodoLine, readTodoLine, type TodoLine } from './todoLine';

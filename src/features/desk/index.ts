export { Desk } from './Desk';
export { choiceText, weekdaysText } from './repeatText';

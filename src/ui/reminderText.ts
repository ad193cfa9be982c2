import { words } from './words';

/** When a reminder comes, by its minutes before the start: "10 minutes before". */
export const reminderText = (minutesBefore: number): string =>
  minutesBefore === 0 ? words.reminder.atStart : words.reminder.before(words.reminder.minutes(minutesBefore));

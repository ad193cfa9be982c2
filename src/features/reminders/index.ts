export { ReminderHost } from './ReminderHost';
export { ReminderSettings } from './ReminderSettings';

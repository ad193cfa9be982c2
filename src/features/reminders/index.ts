export { NotificationSetting } from './NotificationSetting';
export { ReminderHost } from './ReminderHost';

import { MessageSettings } from '@/features/messages';
import { ReminderSettings } from '@/features/reminders';

/** How reminders are heard, and where messages go. */
export function ReminderSection() {
  return (
    <>
      <ReminderSettings />
      <MessageSettings />
    </>
  );
}

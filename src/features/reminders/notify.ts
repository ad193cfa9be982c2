import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';
import { dueText } from './dueText';
import type { Heard } from './useHeardReminders';

const titleOf = ({ entry }: Heard): string => entry.title || words.entry.noTitle;

/** Shows a reminder as a notification of the browser, where that is allowed: once, whichever page does it. */
export async function notify(heard: Heard, now: number, zone: string): Promise<void> {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
  const options = { body: dueText(heard, now, zone), tag: heard.came.id, data: { id: heard.came.id } };
  const registration = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  if (registration?.active)
    await registration.showNotification(titleOf(heard), {
      ...options,
      // Not every browser has actions yet: they are left out there.
      ...({
        actions: [
          { action: 'snooze', title: reminderWords.due.snoozes['10'] },
          { action: 'dismiss', title: words.actions.dismiss },
        ],
      } as object),
    });
  else new Notification(titleOf(heard), options);
}

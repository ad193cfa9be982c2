/**
 * What happens when a reminder's notification is pressed. It runs in the service worker, beside what keeps the application for
 * use without the network, and is no part of the page: it imports nothing.
 */

interface NoticeEvent extends Event {
  readonly action: string;
  readonly notification: { readonly data: unknown; close(): void };
  waitUntil(work: Promise<unknown>): void;
}

interface PageClient {
  readonly focused: boolean;
  focus(): Promise<unknown>;
  postMessage(message: unknown): void;
}

interface Worker {
  readonly clients: {
    matchAll(options: { type: 'window'; includeUncontrolled: boolean }): Promise<PageClient[]>;
    openWindow(address: string): Promise<unknown>;
  };
  addEventListener(type: 'notificationclick', listener: (event: NoticeEvent) => void): void;
}

const worker = self as unknown as Worker;

async function answer(id: string, action: 'snooze' | 'dismiss' | 'open'): Promise<void> {
  const pages = await worker.clients.matchAll({ type: 'window', includeUncontrolled: true });
  const page = pages.find(({ focused }) => focused) ?? pages[0];
  if (!page) {
    // A page that is opened for it does it as it starts.
    await worker.clients.openWindow(`/?reminder=${encodeURIComponent(id)}&answer=${action}`);
    return;
  }
  page.postMessage({ kind: 'reminder-answer', id, action });
  if (action === 'open') await page.focus();
}

worker.addEventListener('notificationclick', (event) => {
  const { action, notification } = event;
  const data = notification.data as { readonly id?: unknown } | null;
  notification.close();
  if (typeof data?.id !== 'string') return;
  event.waitUntil(answer(data.id, action === 'snooze' || action === 'dismiss' ? action : 'open'));
});

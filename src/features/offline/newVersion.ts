import { Workbox } from 'workbox-window';
import { HOUR } from '@/core/time/civil';

/** The event by which a browser says that the application can be installed; not in every browser. */
interface InstallEvent extends Event {
  prompt(): Promise<unknown>;
}

/** What is known of the kept application. */
export interface Kept {
  /** Whether it opens without the network. */
  readonly isKept: boolean;
  /** Takes the new version that waits, if one does. */
  readonly take: (() => void) | undefined;
  /** Asks the person whether to install it, where the browser can. */
  readonly install: (() => void) | undefined;
}

let kept: Kept = { isKept: false, take: undefined, install: undefined };
const listeners = new Set<() => void>();
const note = (change: Partial<Kept>): void => {
  kept = { ...kept, ...change };
  for (const listener of listeners) listener();
};

export const keptApplication = {
  get: (): Kept => kept,
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** How often it is looked for a new version, in milliseconds. */
const LOOK_EVERY = HOUR;
let isStarted = false;

/** Has the browser keep the application, and hears of new versions of it: a page that is open is never replaced by itself. */
export function keepApplication(): void {
  if (isStarted || !('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
  isStarted = true;
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    const asked = event as InstallEvent;
    note({
      install: () => {
        void asked.prompt();
        note({ install: undefined });
      },
    });
  });
  const workbox = new Workbox('/service-worker.js');
  workbox.addEventListener('waiting', () =>
    note({
      take: () => {
        workbox.addEventListener('controlling', () => window.location.reload());
        workbox.messageSkipWaiting();
      },
    }),
  );
  workbox.addEventListener('activated', () => note({ isKept: true }));
  workbox
    .register()
    .then((registration) => {
      if (!registration) return;
      if (registration.active) note({ isKept: true });
      setInterval(() => void registration.update().catch(() => undefined), LOOK_EVERY);
    })
    // Without the server it is as it was kept before.
    .catch(() => undefined);
}

import type { DoneMessage, MessageBox, MessagePlan } from './message';
import { DAY, HOUR, MINUTE } from '@/core/time/civil';

/** So late a message still goes out, in milliseconds: an older one would only confuse. */
const LATEST = HOUR;
/** By so much a message is on time. */
const ON_TIME = MINUTE;
/** How many that are done are shown. */
const SHOWN = 200;
/** For how long it is known that a message was done, in milliseconds. */
const KNOWN = 40 * DAY;

/** A box with another plan: what was done is not planned again. */
export const withPlan = (
  box: MessageBox,
  { ahead, zone, messages }: MessagePlan,
  now: number,
): MessageBox => ({
  ...box,
  ahead,
  zone,
  changed: now,
  planned: messages
    .filter(({ id }) => !(id in box.doneIds))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1)),
});

/**
 * A box after all went out that was due: what is an hour late at the most went out late, what is older was missed. The same
 * box where nothing was due.
 */
export function afterSending(box: MessageBox, now: number): MessageBox {
  const due = box.planned.filter(({ at }) => at <= now);
  if (due.length === 0) return box;
  const done = due.map((message): DoneMessage => {
    const late = now - message.at;
    return { message, outcome: late <= ON_TIME ? 'sent' : late <= LATEST ? 'late' : 'missed', done: now };
  });
  const known = Object.entries(box.doneIds).filter(([, at]) => at > now - KNOWN);
  return {
    ...box,
    planned: box.planned.filter(({ at }) => at > now),
    done: [...box.done, ...done].slice(-SHOWN),
    doneIds: Object.fromEntries([...known, ...due.map(({ id }) => [id, now] as const)]),
  };
}

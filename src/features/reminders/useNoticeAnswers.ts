import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { z } from 'zod';
import { MINUTE } from '@/core/time/civil';
import type { ReminderTrigger } from '@/core/model/reminder';
import { useOpenStore } from '@/store';
import type { Heard } from './useHeardReminders';

/** What the service worker says of a notification that was pressed. */
const NoticeAnswer = z.object({
  kind: z.literal('reminder-answer'),
  id: z.string(),
  action: z.enum(['snooze', 'dismiss', 'open']),
});

/** For how long a press on a notification puts off, in minutes. */
const SNOOZE_MINUTES = 10;

interface Answers {
  readonly dismiss: (ids: readonly string[]) => void;
  readonly snooze: (ids: readonly string[], trigger: ReminderTrigger) => void;
  readonly open: (one: Heard) => void;
}

/** Does what is asked by a press on a notification of the browser; one that opened this page said it in the address. */
export function useNoticeAnswers(heard: readonly Heard[], answers: Answers): void {
  const { clock } = useOpenStore();
  const { reminder, answer: asked } = useGlobalSearchParams();
  const router = useRouter();
  /** Whether it was done: what is asked about may not have come yet. */
  const take = (data: unknown): boolean => {
    const answer = NoticeAnswer.safeParse(data).data;
    const one = answer && heard.find(({ came }) => came.id === answer.id);
    if (!answer || !one) return false;
    if (answer.action === 'open') answers.open(one);
    else if (answer.action === 'dismiss') answers.dismiss([one.came.id]);
    else answers.snooze([one.came.id], { kind: 'fixed', at: clock() + SNOOZE_MINUTES * MINUTE });
    return true;
  };
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
    if (reminder === undefined) return;
    // Done once: it is not done again at a reload.
    if (take({ kind: 'reminder-answer', id: reminder, action: asked }))
      router.setParams({ reminder: undefined, answer: undefined });
  });
  useEffect(() => {
    const hear = ({ data }: MessageEvent) => void latest.current(data);
    navigator.serviceWorker?.addEventListener('message', hear);
    return () => navigator.serviceWorker?.removeEventListener('message', hear);
  }, []);
}

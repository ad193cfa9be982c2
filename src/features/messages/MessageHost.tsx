import { useEffect } from 'react';
import { holdLock, useOpenStore } from '@/store';
import { MessageHandover } from './messageHandover';

/** The lock that the page holds that hands messages over. */
const LOCK = 'orderly-week-messages';

/** Hands messages to the server, if no other page does. */
export function MessageHost() {
  const { store, clock } = useOpenStore();
  useEffect(() => {
    let handover: MessageHandover | undefined;
    return holdLock(
      LOCK,
      () => (handover = new MessageHandover(store, clock)),
      () => handover?.end(),
    );
  }, [store, clock]);
  return null;
}

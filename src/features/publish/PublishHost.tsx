import { useEffect } from 'react';
import { useOpenStore } from '@/store';
import { PublishedCalendars } from './publishedCalendars';

/** Sends published calendars to the server when they change, and takes those off it that are published no more. */
export function PublishHost() {
  const { store, clock } = useOpenStore();
  useEffect(() => {
    const calendars = new PublishedCalendars(store, clock);
    return () => calendars.end();
  }, [store, clock]);
  return null;
}

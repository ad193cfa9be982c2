import { useEffect } from 'react';
import { useFeeds } from './useFeeds';
import { MINUTE } from '@/core/time/civil';

/** The page has come to rest before feeds are read for the first time. */
const FIRST_MS = 8000;
const EVERY_MS = MINUTE;

/** Reads the feeds that are due, while the page is open and in sight. */
export function FeedHost() {
  const { refreshDue } = useFeeds();
  useEffect(() => {
    const look = () => {
      if (document.visibilityState === 'visible') void refreshDue();
    };
    const first = setTimeout(look, FIRST_MS);
    const every = setInterval(look, EVERY_MS);
    return () => {
      clearTimeout(first);
      clearInterval(every);
    };
  }, [refreshDue]);
  return null;
}

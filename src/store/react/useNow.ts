import { useEffect, useState } from 'react';
import { instantToWall } from '@/core/time/zones';
import { useOpenStore, useSettings } from './StoreContext';
import { MINUTE } from '@/core/time/civil';

/** The present instant, renewed with each minute of the application's clock. */
export function useNow(): number {
  const { clock } = useOpenStore();
  const [now, setNow] = useState(clock);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const wait = () => {
      timer = setTimeout(
        () => {
          setNow(clock());
          wait();
        },
        MINUTE - (clock() % MINUTE) + 50,
      );
    };
    wait();
    return () => clearTimeout(timer);
  }, [clock]);
  return now;
}

/** The present wall time in a zone, the home zone if none is given, by the minute. */
export function useNowWall(zone?: string): number {
  const { homeZone } = useSettings();
  return instantToWall(zone ?? homeZone, useNow());
}

import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';

/** Leads to the entry line where the address asks for it, as the installed application's way to a new entry does. */
export function useWriteAtStart(focusLine: () => void): void {
  const { write } = useGlobalSearchParams();
  const router = useRouter();
  const isDone = useRef(false);
  useEffect(() => {
    if (write === undefined || isDone.current) return;
    isDone.current = true;
    focusLine();
    router.setParams({ write: undefined });
  }, [write, focusLine, router]);
}

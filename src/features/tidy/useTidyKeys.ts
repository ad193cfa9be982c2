import { useEffect } from 'react';
import { letGoOfUppermost, workspace } from '@/features/workspace';
import { isTyping } from '@/ui/web';

/** The keys that Tidy has everywhere on its page: the search, the keys, and Escape. */
export function useTidyKeys(): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
      if (document.querySelector('[aria-modal="true"]')) return;
      if (event.key === 'Escape') return letGoOfUppermost();
      if (isTyping(event.target)) return;
      if (event.key === '/') {
        event.preventDefault();
        document.querySelector<HTMLElement>('[data-testid="tidy-find"]')?.focus();
      } else if (event.key === '?') workspace.showKeys(true);
    };
    document.addEventListener('keydown', onKeyDown);
    return () => document.removeEventListener('keydown', onKeyDown);
  }, []);
}

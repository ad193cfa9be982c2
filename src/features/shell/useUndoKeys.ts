import { useEffect } from 'react';
import { useCommands } from '@/features/workspace';
import { isTyping } from '@/ui/web';

/** Ctrl+Z and Ctrl+Shift+Z, in every place of the application; a field that is typed in has its own. */
export function useUndoKeys(): void {
  const commands = useCommands();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || isTyping(event.target)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (event.shiftKey || key === 'y') void commands.redo();
      else void commands.undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [commands]);
}

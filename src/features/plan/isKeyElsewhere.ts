import { useWorkspace } from '@/features/workspace';
import { isTyping } from '@/ui/web';

/** Whether a key is meant for something else: a field, a sheet, whatever is open. */
export function isKeyElsewhere(event: KeyboardEvent): boolean {
  const { question, keysShown, sheet } = useWorkspace.getState();
  return (
    isTyping(event.target) ||
    !!question ||
    keysShown ||
    !!sheet ||
    event.ctrlKey ||
    event.metaKey ||
    // Over whatever is open, its own keys count.
    document.querySelector('[aria-modal="true"]') !== null
  );
}

import { useEffect, useRef } from 'react';
import { VIEWS } from '@/core/model/look';
import {
  type Commands,
  letGoOfUppermost,
  usePlanAddress,
  useWorkspace,
  workspace,
} from '@/features/workspace';
import { usePresets } from '@/store';
import { isTyping } from '@/ui/web';
import { QUICK_VIEWS } from './viewChoices';
import { useApplyPreset } from './presets/useApplyPreset';

interface KeyActions {
  readonly step: (direction: 1 | -1) => void;
  readonly today: () => void;
  readonly todayNumber: () => number;
  readonly focusLine: () => void;
  readonly open: (key: string) => void;
  /** Moves or stretches an entry as an arrow key says. */
  readonly moveByKey: (key: string, event: KeyboardEvent) => Promise<void>;
}

const isControl = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  !!target.closest('button, a, [role="button"], [role="radio"], [role="switch"], [role="menuitem"]');

/** The keys of Plan. They act while no field is being typed in and no sheet is open. */
export function usePlanKeys(commands: Commands, actions: KeyActions): void {
  const { to } = usePlanAddress();
  const presets = usePresets();
  const applyPreset = useApplyPreset();
  /** `G` was pressed: a digit that follows names a preset. */
  const awaitsPreset = useRef(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { selected, question, keysShown, sheet } = useWorkspace.getState();
      const modifier = event.ctrlKey || event.metaKey;
      if (
        isTyping(event.target) ||
        question ||
        keysShown ||
        sheet ||
        modifier ||
        // Over whatever is open, its own keys count.
        document.querySelector('[aria-modal="true"]')
      )
        return;
      const card =
        event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('[data-key]') : null;
      const onCard = card?.dataset.key;
      const current = onCard ?? selected.at(-1);
      const act = (action: () => void) => {
        event.preventDefault();
        action();
      };
      if (event.altKey) {
        if (current !== undefined && event.key.startsWith('Arrow'))
          act(() => void actions.moveByKey(current, event));
        return;
      }
      if (event.key === 'Escape') {
        letGoOfUppermost();
        return;
      }
      const forPreset = awaitsPreset.current;
      awaitsPreset.current = false;
      if (forPreset && /^[1-9]$/.test(event.key)) {
        const preset = presets[Number(event.key) - 1];
        return act(() => preset && applyPreset(preset));
      }
      const view = VIEWS[Number(event.key) - 1];
      if (view) return act(() => to({ view }));
      const quick = QUICK_VIEWS.find(({ key }) => key === event.key.toLowerCase());
      if (quick) return act(() => to({ ...quick.look, day: actions.todayNumber() }));
      switch (event.key) {
        case '[':
          return act(() => actions.step(-1));
        case ']':
          return act(() => actions.step(1));
        case '.':
          return act(actions.today);
        case 'g':
        case 'G':
          awaitsPreset.current = true;
          return event.preventDefault();
        case '/':
          return act(() => workspace.search(true));
        case 't':
        case 'T':
          return act(() => workspace.openSheet('goto'));
        case 'f':
        case 'F':
          return act(() => workspace.openSheet('filter'));
        case '?':
          return act(() => workspace.showKeys(true));
        case ' ':
          return isControl(event.target) && !onCard ? undefined : act(actions.focusLine);
        case 'Enter':
          return current !== undefined && (onCard !== undefined || !isControl(event.target))
            ? act(() => actions.open(current))
            : undefined;
        case 'x':
        case 'X':
          return current === undefined ? undefined : act(() => workspace.collect(current));
        case 'Delete':
        case 'Backspace': {
          const keys = selected.length > 0 ? selected : onCard ? [onCard] : [];
          return keys.length > 0 ? act(() => void commands.bin(keys)) : undefined;
        }
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [commands, actions, to, presets, applyPreset]);
}

import { useEffect } from 'react';
import { type Look, VIEWS } from '@/core/model/look';
import {
  type Commands,
  letGoOfUppermost,
  usePlanAddress,
  useWorkspace,
  workspace,
} from '@/features/workspace';
import { isKeyElsewhere } from './isKeyElsewhere';
import { QUICK_VIEWS } from './viewChoices';

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

/** Where a key was pressed, and what it can act on. */
interface Pressed {
  readonly actions: KeyActions;
  readonly commands: Commands;
  /** The card that has the focus, and the entry that is meant: that, or the latest selected. */
  readonly onCard: string | undefined;
  readonly current: string | undefined;
  readonly isOnControl: boolean;
}

/** What each key does; undefined where it does nothing there. Letters stand here small. */
const KEYS: Readonly<Record<string, (pressed: Pressed) => (() => void) | undefined>> = {
  '[':
    ({ actions }) =>
    () =>
      actions.step(-1),
  ']':
    ({ actions }) =>
    () =>
      actions.step(1),
  '.': ({ actions }) => actions.today,
  '/': () => () => workspace.search(true),
  '?': () => () => workspace.showKeys(true),
  t: () => () => workspace.openSheet('goto'),
  f: () => () => workspace.openSheet('filter'),
  ' ': ({ actions, isOnControl, onCard }) =>
    isOnControl && onCard === undefined ? undefined : actions.focusLine,
  enter: ({ actions, current, onCard, isOnControl }) =>
    current !== undefined && (onCard !== undefined || !isOnControl) ? () => actions.open(current) : undefined,
  x: ({ current }) => (current === undefined ? undefined : () => workspace.collect(current)),
  delete: binKey,
  backspace: binKey,
};

function binKey({ commands, onCard }: Pressed): (() => void) | undefined {
  const { selected } = useWorkspace.getState();
  const keys = selected.length > 0 ? selected : onCard === undefined ? [] : [onCard];
  return keys.length > 0 ? () => void commands.bin(keys) : undefined;
}

function pressedOn(event: KeyboardEvent, actions: KeyActions, commands: Commands): Pressed {
  const onCard =
    event.target instanceof HTMLElement
      ? event.target.closest<HTMLElement>('[data-key]')?.dataset.key
      : undefined;
  const current = onCard ?? useWorkspace.getState().selected.at(-1);
  return { actions, commands, onCard, current, isOnControl: isControl(event.target) };
}

/** What a digit or a letter shows: a view, or a look that has a key. */
function lookOfKey(key: string, today: () => number): (Partial<Look> & { day?: number }) | undefined {
  const view = VIEWS[Number(key) - 1];
  if (view) return { view };
  const quick = QUICK_VIEWS.find((each) => each.key === key.toLowerCase());
  return quick && { ...quick.look, day: today() };
}

/** The keys of Plan. They act while no field is being typed in and no sheet is open. */
export function usePlanKeys(commands: Commands, actions: KeyActions): void {
  const { to } = usePlanAddress();
  useEffect(() => {
    const meantBy = (event: KeyboardEvent): (() => void) | undefined => {
      const { key } = event;
      const pressed = pressedOn(event, actions, commands);
      const { current } = pressed;
      if (event.altKey)
        return current !== undefined && key.startsWith('Arrow')
          ? () => void actions.moveByKey(current, event)
          : undefined;
      const look = lookOfKey(key, actions.todayNumber);
      return look ? () => to(look) : KEYS[key.toLowerCase()]?.(pressed);
    };
    const onKey = (event: KeyboardEvent) => {
      if (isKeyElsewhere(event)) return;
      if (event.key === 'Escape' && !event.altKey) return void letGoOfUppermost();
      const act = meantBy(event);
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [commands, actions, to]);
}

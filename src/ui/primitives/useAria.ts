import { type RefObject, useLayoutEffect } from 'react';
import type { View } from 'react-native';

/** States of a control as ARIA names them (WAI-ARIA 1.2, 6.6); what is undefined is not said. */
export interface AriaStates {
  readonly 'aria-pressed'?: boolean | undefined;
  readonly 'aria-checked'?: boolean | undefined;
  readonly 'aria-selected'?: boolean | undefined;
  /** What a pointer over it is told, where only an icon shows. */
  readonly title?: string | undefined;
}

/**
 * Says a control's states on its element: Paper's controls tell them in React Native's way, which does not reach the
 * page. `find` leads from the referred element to the one that is pressed.
 */
export function useAria(
  ref: RefObject<View | null>,
  states: AriaStates,
  find: (element: HTMLElement) => Element | null = (element) => element,
): void {
  const said = JSON.stringify(states);
  useLayoutEffect(() => {
    const element = ref.current && find(ref.current as unknown as HTMLElement);
    if (!element) return;
    const present = JSON.parse(said) as AriaStates;
    for (const name of ['aria-pressed', 'aria-checked', 'aria-selected', 'title'] as const) {
      if (present[name] === undefined) element.removeAttribute(name);
      else element.setAttribute(name, String(present[name]));
    }
  });
}

/** What is pressed of Paper's buttons and chips: the element inside their surface. */
export const pressedPart = (surface: HTMLElement): HTMLElement | null =>
  surface.firstElementChild as HTMLElement | null;

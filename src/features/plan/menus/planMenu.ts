import { create } from 'zustand';
import type { Anchor } from '@/ui/primitives/Popover';

/** What a menu of Plan is about. Days and weeks as day numbers, times as wall times. */
export type MenuSubject =
  | { readonly kind: 'entry'; readonly key: string }
  | { readonly kind: 'slot'; readonly startWall: number; readonly calendarId?: string | undefined }
  | { readonly kind: 'day'; readonly day: number }
  | { readonly kind: 'week'; readonly week: number };

interface PlanMenu {
  readonly open: { readonly subject: MenuSubject; readonly anchor: Anchor } | null;
  /** Whether one was ever opened: its script comes then. */
  readonly isUsed: boolean;
  /** The key of the entry that was copied, to be pasted elsewhere. */
  readonly copied: string | null;
}

export const usePlanMenu = create<PlanMenu>()(() => ({ open: null, isUsed: false, copied: null }));
export const openPlanMenu = (subject: MenuSubject, anchor: Anchor): void =>
  usePlanMenu.setState({ open: { subject, anchor }, isUsed: true });
export const closePlanMenu = (): void => usePlanMenu.setState({ open: null });
export const keepCopied = (copied: string): void => usePlanMenu.setState({ copied });

/** Whether a menu was asked for by a finger that is held: there the desk stands for it. */
export const isTouch = (event: MouseEvent): boolean =>
  'pointerType' in event && event.pointerType === 'touch';

/** What lies under an element, as the view says it there; undefined where there is nothing to be done. */
export function subjectAt(target: EventTarget | null): MenuSubject | undefined {
  if (!(target instanceof Element)) return undefined;
  const place = target.closest<HTMLElement>('[data-key], [data-slot], [data-menu-day], [data-day]');
  const { key, slot, menuDay, day } = place?.dataset ?? {};
  if (key !== undefined) return { kind: 'entry', key };
  const [, what, number] = /^(gap|empty) (-?\d+)$/.exec(slot ?? '') ?? [];
  if (what === 'gap') return { kind: 'slot', startWall: Number(number) };
  const named = what === 'empty' ? number : (menuDay ?? day);
  return named === undefined ? undefined : { kind: 'day', day: Number(named) };
}

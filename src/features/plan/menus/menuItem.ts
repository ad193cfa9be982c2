import type { IconName } from '@/ui/icons/paths';

/** One thing that can be done, or a further list of them. */
export interface PlanMenuItem {
  readonly label: string;
  readonly icon?: IconName;
  readonly kind?: 'plain' | 'danger';
  readonly act?: () => void;
  readonly items?: readonly PlanMenuItem[];
}

/** What a menu is called, and what it holds. */
export interface Menu {
  readonly title: string;
  readonly items: readonly PlanMenuItem[];
}

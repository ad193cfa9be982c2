import type { Look } from '@/core/model/look';
import { words } from '@/ui/words';

/** A view that is one press away: from today on. */
export const QUICK_VIEWS: readonly {
  readonly label: string;
  readonly key: string;
  readonly look: Partial<Look>;
}[] = [
  {
    label: words.plan.nextDays,
    key: 'n',
    look: { view: 'days', dayCount: 7, weekends: true, periodSetId: undefined },
  },
  { label: words.plan.nextWeeks, key: 'm', look: { view: 'weeks', weekCount: 4, periodSetId: undefined } },
];

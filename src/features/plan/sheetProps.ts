import type { PlanAddress } from '@/features/workspace';

/** What every sheet of Plan is given. */
export interface PlanSheetProps {
  address: PlanAddress;
  today: number;
}

import type { PlanAddress } from '@/features/workspace';
import type { TableParameters } from './presets/usePresetLook';

/** What every sheet of Plan is given. */
export interface PlanSheetProps {
  address: PlanAddress;
  today: number;
  /** What the address says of Tidy's table, where that is what stands under the sheet. */
  table?: TableParameters;
}

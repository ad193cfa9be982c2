import { Suspense } from 'react';
import { PlanSheets, PlanSide, PresetsButton } from '@/features/plan';
import { tidyScreen } from '@/features/shell';

export default function Tidy() {
  return (
    <Suspense fallback={null}>
      <tidyScreen.Later SidePanel={PlanSide} Sheets={PlanSheets} Presets={PresetsButton} />
    </Suspense>
  );
}

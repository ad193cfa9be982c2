import { lazy, Suspense } from 'react';
import { PlanSheets, PlanSide, PresetsButton } from '@/features/plan';

const TidyScreen = lazy(() => import('@/features/later').then((module) => ({ default: module.TidyScreen })));

export default function Tidy() {
  return (
    <Suspense fallback={null}>
      <TidyScreen SidePanel={PlanSide} Sheets={PlanSheets} Presets={PresetsButton} />
    </Suspense>
  );
}

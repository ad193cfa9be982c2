import { lazy, Suspense } from 'react';
import { useWorkspace } from '@/features/workspace';
import type { PlanSheetProps } from './sheetProps';

const LookSheet = lazy(() => import('./tools/LookSheet').then((module) => ({ default: module.LookSheet })));
const FilterSheet = lazy(() =>
  import('./filter/FilterSheet').then((module) => ({ default: module.FilterSheet })),
);
const PresetsSheet = lazy(() =>
  import('./presets/PresetsSheet').then((module) => ({ default: module.PresetsSheet })),
);
const GoToSheet = lazy(() => import('./goto/GoToSheet').then((module) => ({ default: module.GoToSheet })));

/** The sheet of Plan that is open, if one is. */
export function PlanSheets(props: PlanSheetProps) {
  const sheet = useWorkspace((state) => state.sheet);
  return (
    <Suspense fallback={null}>
      {sheet === 'look' ? <LookSheet {...props} /> : null}
      {sheet === 'filter' ? <FilterSheet {...props} /> : null}
      {sheet === 'presets' ? <PresetsSheet {...props} /> : null}
      {sheet === 'goto' ? <GoToSheet {...props} /> : null}
    </Suspense>
  );
}

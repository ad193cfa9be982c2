import { lazy, Suspense } from 'react';
import { useWorkspace } from '@/features/workspace';
import type { PlanSheetProps } from './sheetProps';

const loadLook = () => import('./tools/LookSheet').then((module) => ({ default: module.LookSheet }));
const loadFilter = () => import('./filter/FilterSheet').then((module) => ({ default: module.FilterSheet }));
const loadPresets = () =>
  import('./presets/PresetsSheet').then((module) => ({ default: module.PresetsSheet }));
const loadGoTo = () => import('./goto/GoToSheet').then((module) => ({ default: module.GoToSheet }));
const LookSheet = lazy(loadLook);
const FilterSheet = lazy(loadFilter);
const PresetsSheet = lazy(loadPresets);
const GoToSheet = lazy(loadGoTo);
export const preloadSheets = (): Promise<unknown> =>
  Promise.all([loadLook(), loadFilter(), loadPresets(), loadGoTo(), import('@/core/entryline/dayInWords')]);

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

import { memo, Suspense } from 'react';
import { useWorkspace, workspace } from '@/features/workspace';
import { importWords } from '@/features/zones';
import { later } from '@/ui/later';
import { filterText } from '@/ui/filterText';
import { words } from '@/ui/words';
import { usePresetKeys } from './presets/usePresetKeys';
import type { PlanSheetProps } from './sheetProps';

const look = later(() => import('./tools/LookSheet').then((module) => module.LookSheet));
const filter = later(() => import('./filter/FilterSheet').then((module) => module.FilterSheet));
const presets = later(() => import('@/features/later').then((module) => module.PresetsSheet));
const exportSheet = later(() => import('@/features/later').then((module) => module.ExportSheet));
const colleagues = later(() => import('@/features/later').then((module) => module.ColleaguesSheet));
const goTo = later(() => import('./goto/GoToSheet').then((module) => module.GoToSheet));
export const preloadSheets = (): Promise<unknown> =>
  Promise.all([
    ...[look, filter, presets, goTo, exportSheet].map(({ fetchAhead }) => fetchAhead()),
    importWords(),
  ]);

/** The sheet of Plan that is open, if one is. */
export const PlanSheets = memo(function PlanSheets(props: PlanSheetProps) {
  const sheet = useWorkspace((state) => state.sheet);
  usePresetKeys();
  return (
    <Suspense fallback={null}>
      {sheet === 'look' ? <look.Later {...props} /> : null}
      {sheet === 'filter' ? <filter.Later {...props} /> : null}
      {sheet === 'presets' ? <presets.Later {...props} /> : null}
      {sheet === 'colleagues' ? (
        <colleagues.Later address={props.address} onClose={() => workspace.openSheet(null)} />
      ) : null}
      {sheet === 'export' ? (
        <exportSheet.Later
          look={{
            filter: props.address.filter,
            filterText: filterText(props.address.filter).join(', ') || words.filter.hiddenCalendars,
            hidden: props.address.hidden,
            firstDay: props.address.day,
          }}
          onClose={() => workspace.openSheet(null)}
        />
      ) : null}
      {sheet === 'goto' ? <goTo.Later {...props} /> : null}
    </Suspense>
  );
});

import { Suspense } from 'react';
import { Desk } from '@/features/desk';
import { type Side, useWorkspace, workspace } from '@/features/workspace';
import { later } from '@/ui/later';
import { PartBoundary } from '@/ui/PartBoundary';
import { DESK_BESIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

const editor = later(() => import('@/features/later').then((module) => module.Editor));
const seriesPage = later(() => import('@/features/series').then((module) => module.SeriesPage));
const search = later(() => import('@/features/search').then((module) => module.SearchPanel));
const batchPanel = later(() => import('@/features/later').then((module) => module.BatchPanel));
export const preloadSides = (): Promise<unknown> =>
  Promise.all([editor, search, seriesPage, batchPanel].map(({ fetchAhead }) => fetchAhead()));

/** What stands beside the view, or over it where there is no room beside. */
export function PlanSide({
  side,
  width,
  wide,
  onOpen,
}: {
  side: Side;
  width: number;
  wide: boolean;
  onOpen: (key: string) => void;
}) {
  const selected = useWorkspace((state) => state.selected);
  const beside = width >= DESK_BESIDE;
  switch (side.kind) {
    case 'editor':
      return (
        <PartBoundary
          key={side.editing.id}
          name={words.editor.editTitle}
          leave={{ label: words.editor.discardKeep, onPress: () => workspace.putAside() }}
        >
          <Suspense fallback={null}>
            <editor.Later key={side.editing.id} />
          </Suspense>
        </PartBoundary>
      );
    case 'series':
      return (
        <PartBoundary
          key={side.seriesId}
          name={words.series.title}
          leave={{ label: words.actions.close, onPress: () => workspace.showSeries(null) }}
        >
          <Suspense fallback={null}>
            <seriesPage.Later key={side.seriesId} seriesId={side.seriesId} />
          </Suspense>
        </PartBoundary>
      );
    case 'batch':
      return <BatchSide key="batch" />;
    case 'search':
      return <SearchSide key="search" beside={beside} wide={wide} />;
    case 'desk':
      return (
        <PartBoundary
          key="desk"
          name={words.desk.label}
          showing={selected.join()}
          leave={{ label: words.desk.clear, onPress: workspace.clearSelection }}
        >
          <Desk beside={beside} wide={wide} onOpen={onOpen} />
        </PartBoundary>
      );
    case 'none':
      return null;
  }
}

/** A batch change that is being put together. */
function BatchSide() {
  return (
    <PartBoundary
      name={words.desk.change}
      leave={{ label: words.actions.close, onPress: () => workspace.leaveBatch() }}
    >
      <Suspense fallback={null}>
        <batchPanel.Later />
      </Suspense>
    </PartBoundary>
  );
}

/** The search. */
function SearchSide({ beside, wide }: { beside: boolean; wide: boolean }) {
  return (
    <PartBoundary
      name={words.search.label}
      leave={{ label: words.actions.close, onPress: () => workspace.search(false) }}
    >
      <Suspense fallback={null}>
        <search.Later beside={beside} wide={wide} />
      </Suspense>
    </PartBoundary>
  );
}

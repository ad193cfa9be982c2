import { type Editing, useWorkspace, workspace } from './workspace';

/** What stands at the side of Plan. */
export type Side =
  | { readonly kind: 'editor'; readonly editing: Editing }
  | { readonly kind: 'series'; readonly seriesId: string }
  | { readonly kind: 'batch' }
  | { readonly kind: 'search' }
  | { readonly kind: 'desk' }
  | { readonly kind: 'none' };

type Open = Pick<
  ReturnType<typeof useWorkspace.getState>,
  'editing' | 'seriesShown' | 'batch' | 'searching' | 'deskOpen'
>;

const BATCH: Side = { kind: 'batch' };
const SEARCH: Side = { kind: 'search' };
const DESK: Side = { kind: 'desk' };
const NONE: Side = { kind: 'none' };

/** One thing stands at the side: what is written lies over a series' page, this over a batch change, that over a search, and the desk under all. */
export function sideOf({ editing, seriesShown, batch, searching, deskOpen }: Open): Side {
  if (editing?.panel === 'full') return { kind: 'editor', editing };
  if (seriesShown !== null) return { kind: 'series', seriesId: seriesShown };
  if (batch) return BATCH;
  if (searching) return SEARCH;
  return deskOpen ? DESK : NONE;
}

/** What Escape lets go of: what lies uppermost at the side, then a draft, then the selection. */
export function letGoOfUppermost(): void {
  const state = useWorkspace.getState();
  switch (sideOf(state).kind) {
    case 'editor':
      workspace.putAside();
      return;
    case 'series':
      return workspace.showSeries(null);
    case 'batch':
      return workspace.leaveBatch();
    case 'search':
      return workspace.search(false);
    case 'desk':
    case 'none':
      if (state.editing) workspace.putAside();
      else workspace.clearSelection();
  }
}

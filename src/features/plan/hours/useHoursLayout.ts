import { useMemo, useState } from 'react';
import { hairline } from '@/ui/theme/tokens';
import type { HoursScale } from '@/core/layout/hours';
import {
  type EntryPlaces,
  type HoursColumn,
  type HoursGridLayout,
  layoutHoursGrid,
  placesOf,
  withoutKey,
} from '@/core/layout/hoursGrid';
import type { RowHeight } from '@/core/model/look';
import type { ZoneRail } from '@/core/model/settings';
import { type ClockChange, clockChangeOn } from '@/core/time/clockChange';
import { useSettings } from '@/store';
import { useKeptParts } from '@/ui/useKeptParts';
import { type CardOrder } from '../grid/cardOrder';
import { useFrameSize } from '../grid/useFrameSize';
import type { Ghost } from '../grid/ghost';
import type { GridView } from '../grid/useGridView';
import { DRAFT_KEY } from '../grid/withDraft';
import { roomOf } from './columnSizes';
import { railSizes } from './railSizes';
import { type OpenFolds, useHoursScale } from './useHoursScale';
import { useRevealed } from './useRevealed';
import { shownRails } from './ZoneRails';

/** Days with their hours as they are laid out: where everything lies, in pixels and minutes. */
export interface HoursLayout {
  readonly columns: readonly HoursColumn[];
  readonly days: readonly number[];
  /** The clock change of each column's day, where there is one. */
  readonly changes: readonly (ClockChange | undefined)[];
  /** The further columns of hours, and how wide they are with the first. */
  readonly rails: readonly ZoneRail[];
  readonly railsWidth: number;
  readonly columnWidth: number;
  readonly scale: HoursScale;
  /** Cards and ribbons, but for what is new: that has its place in `draftPlaces`. */
  readonly layout: HoursGridLayout;
  readonly draftPlaces: EntryPlaces;
  readonly order: CardOrder;
  readonly open: OpenFolds;
  readonly setOpen: (open: OpenFolds) => void;
  readonly viewportHeight: number;
  readonly onViewport: ReturnType<typeof useFrameSize>['onLayout'];
}

/** Which days are shown, and how their hours are to be. */
interface HoursShown {
  readonly columns: readonly HoursColumn[];
  readonly zone: string;
  readonly rowHeight: RowHeight;
  readonly gridStep: number;
  readonly draft: Ghost | null;
}

/** Ribbons and cards of each column in the order in which the keys walk them. */
const orderOf = ({ columns, ribbons }: HoursGridLayout): CardOrder => ({
  lists: columns.map(({ cards }, index) => [
    ...ribbons
      .filter(({ from, occurrence }) => from === index && !occurrence.personId)
      .map(({ occurrence }) => occurrence.key),
    ...[...cards]
      .filter(({ occurrence }) => !occurrence.personId)
      .sort((a, b) => a.top - b.top || a.across.left - b.across.left)
      .map(({ occurrence }) => occurrence.key),
  ]),
  along: 'down',
});

/** Lays out days with their hours: the scale with its folds, the rails, the cards beside each other. */
export function useHoursLayout(
  view: GridView,
  { columns, zone, rowHeight, gridStep, draft }: HoursShown,
): HoursLayout {
  const { width, occurrences, draftKey, pinned, byKey, frame } = view;
  const settings = useSettings();
  const [open, setOpen] = useState<OpenFolds>({ before: false, after: false });
  const { height: viewportHeight, onLayout: onViewport } = useFrameSize('hours');
  const days = useMemo(() => columns.map(({ day }) => day), [columns]);
  const changes = useMemo(() => days.map((day) => clockChangeOn(zone, day)), [days, zone]);
  const rails = shownRails(settings, zone, width, days.length);
  const railWidths = railSizes();
  const railsWidth = railWidths.hour + rails.length * railWidths.zone;
  const columnWidth = Math.max(0, (width - railsWidth - 2 * hairline) / days.length);
  const scale = useHoursScale({
    zone,
    firstDay: days[0]!,
    changes,
    open,
    viewportHeight,
    rowHeight,
    gridStep,
    draft,
  });
  // Before colleagues' times, one's own keep their place.
  const stays = useMemo(
    () =>
      occurrences.some(({ isOutlined }) => isOutlined)
        ? new Set([...pinned, ...occurrences.flatMap(({ key, personId }) => (personId ? [] : key))])
        : pinned,
    [occurrences, pinned],
  );
  const laidOut = useKeptParts(
    useMemo(
      () => layoutHoursGrid(occurrences, columns, scale, changes, roomOf(columnWidth, stays)),
      [occurrences, columns, scale, changes, columnWidth, stays],
    ),
  );
  // A new entry has its place among the others, and no card but the dashed one.
  const layout = useMemo(() => withoutKey(laidOut, DRAFT_KEY), [laidOut]);
  const draftPlaces = useMemo(() => placesOf(laidOut, draftKey), [laidOut, draftKey]);
  const order = useMemo(() => orderOf(layout), [layout]);
  useRevealed(byKey, scale, setOpen, frame);
  return {
    columns,
    days,
    changes,
    rails,
    railsWidth,
    columnWidth,
    scale,
    layout,
    draftPlaces,
    order,
    open,
    setOpen,
    viewportHeight,
    onViewport,
  };
}

import { dayMinutes, drawnMinutes, minuteToY, wallMinute } from '@/core/layout/hours';
import { MINUTE } from '@/core/time/civil';
import { timeText } from '@/ui/dates';
import { sizes } from '@/ui/theme/tokens';
import { FoldBand } from './FoldBand';
import { railSizes } from './railSizes';
import { RefoldButton } from './RefoldButton';
import type { HoursLayout } from './useHoursLayout';

/** The hours before and after the working pattern: a band each that opens, or what folds it again. */
export function HourFolds({ hours }: { hours: HoursLayout }) {
  const { scale, open, setOpen } = hours;
  return (
    <>
      {scale.from === 0 ? null : (
        <HourFold
          edge="before"
          hours={hours}
          minute={scale.from}
          bandTop={0}
          refoldTop={minuteToY(scale, scale.from) - sizes.target}
          onOpen={(before) => setOpen({ ...open, before })}
        />
      )}
      {scale.to >= dayMinutes(scale) ? null : (
        <HourFold
          edge="after"
          hours={hours}
          minute={scale.to}
          bandTop={minuteToY(scale, drawnMinutes(scale).to)}
          refoldTop={minuteToY(scale, scale.to)}
          onOpen={(after) => setOpen({ ...open, after })}
        />
      )}
    </>
  );
}

function HourFold({
  edge,
  hours,
  minute,
  bandTop,
  refoldTop,
  onOpen,
}: {
  edge: 'before' | 'after';
  hours: HoursLayout;
  minute: number;
  bandTop: number;
  refoldTop: number;
  onOpen: (isOpen: boolean) => void;
}) {
  const { scale, layout, rails, railsWidth, columnWidth } = hours;
  const wall = wallMinute(scale, minute);
  if (!(edge === 'before' ? scale.foldedBefore : scale.foldedAfter))
    return (
      <RefoldButton
        time={timeText(wall * MINUTE)}
        before={edge === 'before'}
        left={rails.length * railSizes().zone}
        top={refoldTop}
        onPress={() => onOpen(false)}
      />
    );
  return (
    <FoldBand
      edge={edge}
      minute={wall}
      hidden={layout.columns.map((column) => (edge === 'before' ? column.hiddenBefore : column.hiddenAfter))}
      railsWidth={railsWidth}
      columnWidth={columnWidth}
      top={bandTop}
      onPress={() => onOpen(true)}
    />
  );
}

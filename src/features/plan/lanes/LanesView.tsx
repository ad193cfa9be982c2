import { useMemo, useRef } from 'react';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { agendaDayText, timeRangeText } from '@/ui/dates';
import { useTheme } from '@/ui/theme/theme';
import { words } from '@/ui/words';
import { drawnGhosts, type Ghost, useGhost } from '../grid/ghost';
import { GridFrame } from '../grid/GridFrame';
import { useGridInput } from '../grid/useGridInput';
import { type GridView, useGridView } from '../grid/useGridView';
import type { ViewProps } from '../viewProps';
import { FreeTimes } from './FreeTimes';
import { HourHeads } from './HourHeads';
import { MissingTime, NowMarks } from './LaneMarks';
import { LaneRow } from './LaneRow';
import { useHoursInSight } from './useHoursInSight';
import { type LanesLayout, useLanesLayout } from './useLanesLayout';
import type { GridActions } from '../grid/useGridDrag';

const isOn = (day: number, ghost: Ghost | null): ghost is Ghost =>
  ghost !== null && ghost.startWall < (day + 1) * DAY && ghost.endWall > day * DAY;

/** The same each time, so that a lane without any is not drawn anew. */
const NONE: readonly Ghost[] = [];

/** A day with its hours across and a lane for each calendar. */
export function LanesView(props: ViewProps) {
  const { address, calendars, draftCalendar, actions } = props;
  const { colours } = useTheme();
  const { zone, day } = address;
  const draft = useMemo(() => (isOn(day, props.draft) ? props.draft : null), [day, props.draft]);
  const view = useGridView({ ...props, draft, zone, fadePast: address.fadePast });
  const layout = useLanesLayout(view, address, calendars);
  const { frame, scroller, width, onLayout } = view;
  const { subjects, lanes, headWidth, hourWidth } = layout;
  const lanesBox = useRef<HTMLDivElement>(null);
  const { tabbableKey, onCardKey } = useGridInput(view, {
    order: layout.order,
    actions,
    draftCalendar,
    gridStep: address.gridStep,
    timeAxis: 'across',
    pointAt: (x, y) => {
      const box = lanesBox.current!.getBoundingClientRect();
      const lane = lanes.find(({ top, height }) => y - box.top < top + height) ?? lanes.at(-1);
      const accepts = subjects.find(({ id }) => id === lane?.id)?.accepts;
      return { day, minute: layout.minuteAt(x - box.left - headWidth), overRibbons: false, ...accepts };
    },
  });
  useHoursInSight(scroller, view, layout, { day, zone });

  return (
    <GridFrame
      frame={frame}
      testID="lanes"
      label={words.lanes.label(agendaDayText(day))}
      onLayout={onLayout}
      onKeyDown={onCardKey}
    >
      <div ref={scroller} style={{ position: 'absolute', inset: 0, overflow: 'auto' }}>
        {width === 0 ? null : (
          <div style={{ width: headWidth + layout.total, minWidth: '100%', backgroundColor: colours.card }}>
            <HourHeads day={day} hours={layout.hours} hourWidth={hourWidth} headWidth={headWidth} />
            <div ref={lanesBox} style={{ position: 'relative' }}>
              <Lanes view={view} layout={layout} day={day} draft={draft} tabbableKey={tabbableKey} />
            </div>
            <FreeTimesOf layout={layout} zone={zone} headWidth={headWidth} actions={actions} />
          </div>
        )}
      </div>
    </GridFrame>
  );
}

/** Times at which none of the lanes is taken. */
function FreeTimesOf({
  layout,
  zone,
  headWidth,
  actions,
}: {
  layout: LanesLayout;
  zone: string;
  headWidth: number;
  actions: GridActions;
}) {
  return (
    <FreeTimes
      gaps={layout.gaps.map(({ start, end }) => ({
        start,
        end,
        left: layout.xOfInstant(start),
        width: layout.xOfInstant(end) - layout.xOfInstant(start),
        label: words.lanes.freeFrom(timeRangeText(instantToWall(zone, start), instantToWall(zone, end))),
      }))}
      headWidth={headWidth}
      onPress={(start, end) => actions.draft(instantToWall(zone, start), instantToWall(zone, end), false)}
    />
  );
}

/** The lanes under each other, with the time that the day has not and the present one over them. */
function Lanes({
  view,
  layout,
  day,
  draft,
  tabbableKey,
}: {
  view: GridView;
  layout: LanesLayout;
  day: number;
  draft: Ghost | null;
  tabbableKey: string | undefined;
}) {
  const { subjects, lanes, headWidth, missing, toX } = layout;
  const dragged = useGhost((state) => state.ghost);
  const ghosts = drawnGhosts(dragged).filter((ghost) => isOn(day, ghost));
  const ghostsOf = (calendarId: string | undefined) => {
    const own = ghosts.filter((ghost) => ghost.calendarId === calendarId);
    return own.length > 0 ? own : NONE;
  };
  const missingWidth = missing ? toX(missing.to) - toX(missing.from) : 0;
  return (
    <>
      {missing && missingWidth > 0 ? (
        <MissingTime left={headWidth + toX(missing.from)} width={missingWidth} />
      ) : null}
      {lanes.map((lane, index) => {
        const subject = subjects[index]!;
        return (
          <LaneRow
            key={lane.id}
            lane={lane}
            subject={subject}
            calendars={view.calendarsById}
            minutes={view.answer?.calendarMinutes[lane.id] ?? 0}
            headWidth={headWidth}
            hourWidth={layout.hourWidth}
            selected={view.selected}
            tabbableKey={tabbableKey}
            fadeBefore={view.fadeBefore}
            fontsLoaded={view.fontsLoaded}
            ghosts={ghostsOf(subject.accepts.calendarId)}
            draft={draft}
            draftKey={view.draftKey}
            x={layout.xOfWall}
          />
        );
      })}
      {view.today === day ? <NowMarks left={headWidth} now={layout.xOfInstant(view.now)} /> : null}
    </>
  );
}

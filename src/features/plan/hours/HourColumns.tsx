import { type RefObject, useCallback } from 'react';
import { StyleSheet, View } from 'react-native';
import { minuteToY, missingMinutes, wallMinute } from '@/core/layout/hours';
import { MINUTE } from '@/core/time/civil';
import { workingDay } from '@/core/time/workingPattern';
import { useSettings } from '@/store';
import { dayText, timeText } from '@/ui/dates';
import { viewRef } from '@/ui/web';
import { zoneLabel } from '@/ui/zoneLabel';
import type { Ghost } from '../grid/ghost';
import type { GridView } from '../grid/useGridView';
import { DayColumn } from './DayColumn';
import { GhostLayer } from './GhostLayer';
import { SlotCursor } from './SlotCursor';
import type { HoursLayout } from './useHoursLayout';
import type { Slot } from './useHoursWalk';

/** The least time that the cursor of the keys takes, in minutes. */
const LEAST_SLOT = 30;

interface HourColumnsProps {
  view: GridView;
  hours: HoursLayout;
  box: RefObject<HTMLElement | null>;
  gridStep: number;
  /** The present minute on the scale of today. */
  nowMinute: number;
  draft: Ghost | null;
  tabbableKey: string | undefined;
  cursor: Slot | undefined;
  onDraft: (slot: Slot) => void;
}

/** The days with their cards, the slot that the keys have reached, and what is dragged or written over them. */
export function HourColumns({
  view,
  hours,
  box,
  gridStep,
  nowMinute,
  draft,
  tabbableKey,
  cursor,
  onDraft,
}: HourColumnsProps) {
  const settings = useSettings();
  const { columns, columnWidth, scale, layout, changes } = hours;
  const { calendarsById } = view;
  const zoneName = useCallback((of: string) => zoneLabel(settings, of), [settings]);
  return (
    <View ref={viewRef(box)} style={styles.columns}>
      {columnWidth > 0 &&
        layout.columns.map(({ day, cards, crowds, washing }, index) => (
          <DayColumn
            key={index}
            cards={cards}
            crowds={crowds}
            day={day}
            width={columnWidth}
            scale={scale}
            calendars={calendarsById}
            wash={washing && calendarsById.get(washing.calendarId)?.colour}
            dayOff={workingDay(settings.workingPattern, day).spans.length === 0}
            missing={missingMinutes(scale, changes[index])}
            gridStep={gridStep}
            fadeBefore={view.fadeBefore}
            nowMinute={day === view.today ? nowMinute : undefined}
            selected={view.selected}
            tabbableKey={tabbableKey}
            zoneName={zoneName}
            fontsLoaded={view.fontsLoaded}
          />
        ))}
      {cursor ? (
        <CursorAt
          cursor={cursor}
          hours={hours}
          gridStep={gridStep}
          tabbable={tabbableKey === undefined}
          onDraft={onDraft}
        />
      ) : null}
      <GhostLayer
        part="hours"
        columns={columns}
        columnWidth={columnWidth}
        scale={scale}
        draft={draft}
        places={hours.draftPlaces}
      />
    </View>
  );
}

function CursorAt({
  cursor,
  hours: { columns, columnWidth, scale },
  gridStep,
  tabbable,
  onDraft,
}: {
  cursor: Slot;
  hours: HoursLayout;
  gridStep: number;
  tabbable: boolean;
  onDraft: (slot: Slot) => void;
}) {
  const day = columns[cursor.column]?.day;
  if (day === undefined || columnWidth === 0) return null;
  const time = timeText(wallMinute(scale, cursor.minute) * MINUTE);
  const top = minuteToY(scale, cursor.minute);
  return (
    <SlotCursor
      label={`${dayText(day)}, ${time}`}
      time={time}
      box={{
        top: top + 1,
        left: cursor.column * columnWidth + 1,
        width: columnWidth - 2,
        height: minuteToY(scale, cursor.minute + Math.max(LEAST_SLOT, gridStep)) - top - 1,
      }}
      tabbable={tabbable}
      onPress={() => onDraft(cursor)}
    />
  );
}

const styles = StyleSheet.create({ columns: { flex: 1, flexDirection: 'row' } });

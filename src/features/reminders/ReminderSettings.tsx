import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import type { QuietTimes, Settings } from '@/core/model/settings';
import { clockOfMinute, minuteOfClock } from '@/core/time/clockTime';
import { useCommands } from '@/features/workspace';
import { useListedCalendars, useOpenStore, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { TimeField } from '@/ui/primitives/dates/TimeField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { reminderSettingWords as said } from '@/ui/words/reminders';
import { NotificationSetting } from './NotificationSetting';
import { playTones } from './tones';

const NOT_QUIET: QuietTimes = { onlyWorkingHours: false, exceptCalendarIds: [] };
/** What quiet hours begin as: from ten in the evening to seven. */
const NIGHT = { from: 22 * 60, to: 7 * 60 };

/** By what reminders are heard, and when none is. */
export function ReminderSettings() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { quiet = NOT_QUIET, reminderSound } = useSettings();
  const calendars = useListedCalendars();
  const change = (fields: Partial<Settings>) =>
    commit(changeSettings(store.getSnapshot().state, fields, context()));
  const setQuiet = (fields: Partial<QuietTimes>) => {
    const { hours, ...next } = { ...quiet, ...fields };
    change({ quiet: hours ? { ...next, hours } : next });
  };
  const isHeld = quiet.hours !== undefined || quiet.onlyWorkingHours;
  return (
    <>
      <NotificationSetting />
      <ToggleRow
        label={said.heard}
        choices={[
          { value: 'sound' as const, label: said.sound },
          { value: 'hours' as const, label: said.quiet },
          { value: 'work' as const, label: said.onlyWork },
        ]}
        values={[
          ...(reminderSound ? (['sound'] as const) : []),
          ...(quiet.hours ? (['hours'] as const) : []),
          ...(quiet.onlyWorkingHours ? (['work'] as const) : []),
        ]}
        onChange={(values) => {
          if (values.includes('sound') !== !!reminderSound) {
            // Heard at once, so that one knows it.
            if (!reminderSound) playTones();
            change({ reminderSound: reminderSound ? undefined : true });
          } else
            setQuiet({
              hours: values.includes('hours') ? (quiet.hours ?? NIGHT) : undefined,
              onlyWorkingHours: values.includes('work'),
            });
        }}
      />
      {quiet.hours ? <QuietHours hours={quiet.hours} onChange={(hours) => setQuiet({ hours })} /> : null}
      {isHeld ? (
        <ToggleRow
          label={said.except}
          choices={calendars.map(({ id, name }) => ({ value: id, label: name }))}
          values={quiet.exceptCalendarIds}
          onChange={(exceptCalendarIds) => setQuiet({ exceptCalendarIds })}
        />
      ) : null}
      {isHeld ? <AppText tone="quiet">{said.heldBack}</AppText> : null}
    </>
  );
}

/** From when until when it is quiet; kept as soon as both can be read. */
function QuietHours({
  hours,
  onChange,
}: {
  hours: NonNullable<QuietTimes['hours']>;
  onChange: (hours: NonNullable<QuietTimes['hours']>) => void;
}) {
  const [typed, setTyped] = useState({ from: clockOfMinute(hours.from), to: clockOfMinute(hours.to) });
  const type = (fields: Partial<typeof typed>) => {
    const next = { ...typed, ...fields };
    setTyped(next);
    const [from, to] = [minuteOfClock(next.from), minuteOfClock(next.to)];
    if (from !== undefined && to !== undefined && from !== to) onChange({ from, to });
  };
  const isSame = typed.from === typed.to;
  return (
    <View style={styles.row}>
      <TimeField
        label={said.from}
        value={typed.from}
        onChange={(from) => type({ from })}
        error={minuteOfClock(typed.from) === undefined ? said.noTime : undefined}
      />
      <TimeField
        label={said.to}
        value={typed.to}
        onChange={(to) => type({ to })}
        error={minuteOfClock(typed.to) === undefined ? said.noTime : isSame ? said.same : undefined}
      />
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) } });

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import type { WorkingDay, WorkingPattern } from '@/core/model/settings';
import { DAY, dateString, isRealDate, parseDate, weekdaysFrom } from '@/core/time/civil';
import { sameHours, workingDay } from '@/core/time/workingPattern';
import { useCommands } from '@/features/workspace';
import { useNowWall, useOpenStore, useSettings } from '@/store';
import { fullDayText, weekdayName } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { DateField } from '@/ui/primitives/dates/DateField';
import { space } from '@/ui/theme/tokens';
import { setupWords } from '@/ui/words/setup';
import { WorkingDayFields } from './WorkingDayFields';

const said = setupWords.working;

/** Hours and place of each weekday, and the days that differ. */
export function WorkingPatternSection() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { workingPattern, weekStart } = useSettings();
  const change = (pattern: WorkingPattern) =>
    commit(changeSettings(store.getSnapshot().state, { workingPattern: pattern }, context()));
  const weekdays = weekdaysFrom(weekStart);
  const firstWorked = weekdays.find((weekday) => workingPattern.weekdays[weekday - 1]!.spans.length > 0);
  const setWeekday = (weekday: number, day: WorkingDay) =>
    change({ ...workingPattern, weekdays: workingPattern.weekdays.with(weekday - 1, day) });
  return (
    <View style={styles.section}>
      <AppText tone="quiet">{said.hint}</AppText>
      <View>
        {weekdays.map((weekday) => {
          const day = workingPattern.weekdays[weekday - 1]!;
          return (
            <WorkingDayFields
              key={weekday}
              name={weekdayName(weekday, 'long')}
              day={day}
              onChange={(changed) => setWeekday(weekday, changed)}
            />
          );
        })}
      </View>
      {firstWorked ? (
        <Button
          label={said.same(weekdayName(firstWorked, 'long'))}
          onPress={() => change(sameHours(workingPattern, firstWorked))}
          style={styles.action}
        />
      ) : null}
      <Exceptions pattern={workingPattern} onChange={change} />
    </View>
  );
}

function Exceptions({
  pattern,
  onChange,
}: {
  pattern: WorkingPattern;
  onChange: (pattern: WorkingPattern) => void;
}) {
  const today = Math.floor(useNowWall() / DAY);
  const [date, setDate] = useState(() => dateString(today + 1));
  const dates = Object.keys(pattern.exceptions).sort();
  const isFree = isRealDate(date) && !(date in pattern.exceptions);
  const set = (of: string, day: WorkingDay) =>
    onChange({ ...pattern, exceptions: { ...pattern.exceptions, [of]: day } });
  const remove = (of: string) => {
    const { [of]: _, ...others } = pattern.exceptions;
    onChange({ ...pattern, exceptions: others });
  };
  const add = () => {
    set(date, { ...workingDay(pattern, parseDate(date)), spans: [] });
    setDate(dateString(parseDate(date) + 1));
  };
  return (
    <View role="group" aria-label={said.exceptions} style={styles.section}>
      <TitleText level={3} size="large">
        {said.exceptions}
      </TitleText>
      {dates.length === 0 ? <AppText tone="quiet">{said.exceptionsNone}</AppText> : null}
      {dates.map((of) => {
        const name = fullDayText(parseDate(of));
        return (
          <WorkingDayFields
            key={of}
            name={name}
            day={pattern.exceptions[of]!}
            onChange={(day) => set(of, day)}
          >
            <Button
              kind="quiet"
              icon="delete-outline"
              iconOnly
              label={said.removeDay(name)}
              onPress={() => remove(of)}
            />
          </WorkingDayFields>
        );
      })}
      <View style={styles.add}>
        <View style={styles.date}>
          <DateField label={said.date} value={date} onChange={setDate} />
        </View>
        <Button icon="plus" label={said.addDay} disabled={!isFree} onPress={add} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  section: { gap: space(3) },
  action: { alignSelf: 'flex-start' },
  add: { flexDirection: 'row', alignItems: 'flex-end', gap: space(2) },
  date: { width: 180 },
});

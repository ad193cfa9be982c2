import { StyleSheet, View } from 'react-native';
import { hasLateDays, plainChoice, REPEAT_FREQUENCIES } from '@/core/recurrence/choices';
import { SKIPS } from '@/core/recurrence/rule';
import type { RuleStart } from '@/core/recurrence/until';
import { DAY } from '@/core/time/civil';
import { useSettings } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { repeatWords } from '@/ui/words/repeat';
import { EndsField } from './EndsField';
import { MonthDaysField } from './MonthDaysField';
import { choiceOfDraft, type RepeatDraft, type RepeatProblems, withChoice } from './repeatDraft';
import { MonthsField, WeekdaysField } from './ToggleFields';

interface RuleFieldsProps {
  draft: RepeatDraft;
  from: RuleStart;
  problems: RepeatProblems;
  onChange: (draft: Partial<RepeatDraft>) => void;
}

/** The whole of a rule: how often, on which days, in which months, until when. */
export function RuleFields({ draft, from, problems, onChange }: RuleFieldsProps) {
  const { weekStart } = useSettings();
  const { choice } = draft;
  const { frequency } = choice;
  const byMonth = frequency === 'MONTHLY' || frequency === 'YEARLY';
  const setChoice = (changes: Partial<typeof choice>) =>
    onChange({ kind: 'choice', choice: { ...choice, ...changes } });
  return (
    <>
      <EveryRow draft={draft} from={from} problems={problems} onChange={onChange} />
      {frequency === 'WEEKLY' ? (
        <WeekdaysField
          value={choice.weekdays}
          weekStart={weekStart}
          onChange={(weekdays) => setChoice({ weekdays })}
          error={problems.weekdays}
        />
      ) : null}
      {byMonth ? (
        <MonthDaysField
          value={choice.on}
          startDay={Math.floor(from.wall / DAY)}
          onChange={(on) => setChoice({ on })}
          error={problems.days}
        />
      ) : null}
      {byMonth ? (
        <MonthsField
          value={choice.months}
          optional={frequency === 'MONTHLY'}
          onChange={(months) => setChoice({ months })}
          error={problems.months}
        />
      ) : null}
      {hasLateDays(choiceOfDraft(draft)) ? (
        <ChoiceRow
          label={repeatWords.shortMonths}
          choices={SKIPS.map((skip) => ({ value: skip, label: repeatWords.skips[skip] }))}
          value={choice.skip}
          onChange={(skip) => setChoice({ skip })}
        />
      ) : null}
      <EndsField draft={draft} onChange={onChange} problems={problems} />
    </>
  );
}

/** Every so many days, weeks, months or years. */
function EveryRow({ draft, from, problems, onChange }: RuleFieldsProps) {
  const { colours } = useTheme();
  const { weekStart } = useSettings();
  return (
    <View style={styles.everyRow}>
      <View style={styles.interval}>
        <TextField
          label={repeatWords.every}
          value={draft.interval}
          onChangeText={(interval) => onChange({ interval })}
          inputMode="numeric"
          narrow
          error={problems.interval}
          testID="repeat-interval"
        />
      </View>
      <View
        role="radiogroup"
        aria-label={repeatWords.unit}
        style={[styles.units, { borderColor: colours.line }]}
      >
        {REPEAT_FREQUENCIES.map((unit) => (
          <Button
            key={unit}
            role="radio"
            label={repeatWords.units[unit]}
            selected={draft.choice.frequency === unit}
            onPress={() =>
              onChange({
                ...withChoice(draft, plainChoice(unit, from.wall, weekStart)),
                interval: draft.interval,
              })
            }
            dense
            style={styles.unit}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  everyRow: { flexDirection: 'row', gap: space(2), alignItems: 'flex-start' },
  interval: { width: 76 },
  units: {
    flex: 1,
    flexDirection: 'row',
    borderWidth: hairline,
    borderRadius: space(1),
    overflow: 'hidden',
    marginTop: 21,
  },
  unit: {
    flex: 1,
    minWidth: 0,
    paddingHorizontal: 0,
    borderWidth: 0,
    borderRadius: 0,
    minHeight: sizes.target - 2,
  },
});

import { StyleSheet, View } from 'react-native';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { DateField } from '@/ui/primitives/dates/DateField';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { repeatWords } from '@/ui/words/repeat';
import type { RepeatDraft, RepeatProblems } from './repeatDraft';

/** When a repeat ends: never, after a number of times, or on a date. */
export function EndsField({
  draft,
  onChange,
  problems,
}: {
  draft: RepeatDraft;
  onChange: (draft: Partial<RepeatDraft>) => void;
  problems: RepeatProblems;
}) {
  return (
    <View style={styles.field}>
      <ChoiceRow
        label={repeatWords.ends}
        choices={[
          { value: 'never', label: repeatWords.never },
          { value: 'count', label: repeatWords.count },
          { value: 'until', label: repeatWords.until },
        ]}
        value={draft.ends}
        onChange={(ends) => onChange({ ends })}
      />
      {draft.ends === 'count' ? (
        <TextField
          label={repeatWords.times}
          value={draft.count}
          onChangeText={(count) => onChange({ count })}
          inputMode="numeric"
          error={problems.count}
          testID="repeat-count"
        />
      ) : null}
      {draft.ends === 'until' ? (
        <DateField
          label={repeatWords.lastDate}
          value={draft.until}
          onChange={(until) => onChange({ until })}
          error={problems.until}
          testID="repeat-until"
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ field: { gap: space(2) } });

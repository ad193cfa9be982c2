import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { quickChoices, ruleOfChoice } from '@/core/recurrence/choices';
import { formatRule } from '@/core/recurrence/rule';
import type { RuleStart } from '@/core/recurrence/until';
import { useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ruleText } from '@/ui/recurrenceText';
import { space } from '@/ui/theme/tokens';
import { repeatWords } from '@/ui/words/repeat';
import { choiceOfDraft, type RepeatDraft, withChoice } from './repeatDraft';

interface QuickChoicesProps {
  draft: RepeatDraft;
  /** Whether the repeat was one that says more than a choice can. */
  isCustom: boolean;
  from: RuleStart;
  onChange: (draft: Partial<RepeatDraft>) => void;
}

/** The repeats that fit the start, to be pressed: none and one of one's own among them. */
export function QuickChoices({ draft, isCustom, from, onChange }: QuickChoicesProps) {
  const { weekStart } = useSettings();
  const quick = useMemo(() => quickChoices(from.wall, weekStart), [from, weekStart]);
  const rule = ruleOfChoice(choiceOfDraft(draft), from.wall);
  const chosen = draft.kind === 'choice' ? formatRule({ ...rule, count: undefined, until: undefined }) : '';
  const chip = { role: 'radio', style: styles.chip } as const;
  return (
    <View role="radiogroup" aria-label={repeatWords.fits} style={styles.group}>
      <AppText size="small" tone="quiet" aria-hidden>
        {repeatWords.fits}
      </AppText>
      <View style={styles.quick}>
        {draft.kind === 'custom' || isCustom ? (
          <Button
            {...chip}
            label={repeatWords.custom}
            selected={draft.kind === 'custom'}
            onPress={() => onChange({ kind: 'custom' })}
          />
        ) : null}
        <Button
          {...chip}
          label={repeatWords.none}
          selected={draft.kind === 'none'}
          onPress={() => onChange({ kind: 'none' })}
        />
        {draft.kind === 'none' ? (
          <Button
            {...chip}
            label={repeatWords.own}
            selected={false}
            onPress={() => onChange({ kind: 'choice' })}
            testID="own-rule"
          />
        ) : null}
        {quick.map((offered) => {
          const made = ruleOfChoice(offered, from.wall);
          const text = formatRule(made);
          return (
            <Button
              key={text}
              {...chip}
              label={ruleText(made, from)}
              shown={repeatWords.quick(offered)}
              selected={chosen === text}
              onPress={() => onChange(withChoice(draft, offered))}
            />
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: space(1) },
  quick: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  chip: { minHeight: 36 },
});

import { StyleSheet, View } from 'react-native';
import { useWorkspace } from '@/features/workspace';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** Asks which occurrences of a series a change is about. */
export function ScopeSheet() {
  const question = useWorkspace((state) => state.question);
  if (!question) return null;
  return (
    <Sheet
      title={words.scope.title}
      closeLabel={words.actions.cancel}
      onClose={() => question.answer(undefined)}
    >
      <AppText weight="700">{question.title}</AppText>
      <AppText>{words.scope.question[question.about]}</AppText>
      <View style={styles.choices}>
        {question.scopes.map((scope, index) => (
          <Button
            key={scope}
            kind={index === 0 ? 'primary' : 'plain'}
            label={words.scope[scope]}
            onPress={() => question.answer(scope)}
          />
        ))}
        <Button kind="quiet" label={words.actions.cancel} onPress={() => question.answer(undefined)} />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({ choices: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) } });

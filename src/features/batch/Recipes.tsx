import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { keepRecipe, recipesInOrder, removeRecipe } from '@/core/change/recipeChanges';
import { readRecipe, readSteps, type RecipeProblem, writeRecipe } from '@/core/change/batch/recipe';
import type { BatchStep } from '@/core/model/batchStep';
import { chooseFiles, saveFile } from '@/features/interchange';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';

const said = batchWords.recipes;

function problemText(problem: RecipeProblem): string {
  switch (problem.kind) {
    case 'later-version':
      return said.problems['later-version'](problem.version);
    case 'unknown-step':
      return said.problems['unknown-step'](problem.step, problem.name);
    case 'wrong-step':
      return said.problems['wrong-step'](problem.step, problem.name, problem.field);
    case 'too-many-steps':
      return said.problems['too-many-steps'](problem.most);
    case 'no-recipe':
    case 'no-steps':
      return said.problems[problem.kind];
  }
}

/** Steps that were kept under a name: they are taken, kept, removed, written to a file and read from one. */
export function Recipes({
  steps,
  onTake,
}: {
  steps: readonly BatchStep[];
  onTake: (name: string, steps: readonly BatchStep[]) => void;
}) {
  const { store } = useOpenStore();
  const { commit, context, refuse } = useCommands();
  const kept = useSnapshot(({ state }) => state.recipes);
  const recipes = recipesInOrder({ ...store.getSnapshot().state, recipes: kept });
  const [chosen, setChosen] = useState('');
  const [name, setName] = useState('');
  const recipe = kept.get(chosen);
  const state = () => store.getSnapshot().state;
  const fromFile = async () => {
    const [file] = await chooseFiles('.json,application/json');
    if (!file) return;
    const read = readRecipe(await file.text());
    if ('problem' in read) return refuse(problemText(read.problem));
    onTake(read.recipe.name, read.recipe.steps);
    setName(read.recipe.name);
  };
  const remove = () => {
    const patch = removeRecipe(state(), chosen, context());
    if (patch) commit(patch);
    setChosen('');
  };
  return (
    <View role="group" aria-label={said.title} style={styles.part}>
      {recipes.length > 0 ? (
        <SelectField
          label={said.use}
          value={recipe ? chosen : ''}
          options={[
            { value: '', label: batchWords.choose },
            ...recipes.map(({ id, name: known }) => ({ value: id, label: known })),
          ]}
          onChange={(id) => {
            setChosen(id);
            const one = kept.get(id);
            const read = one && readSteps(one.steps);
            if (read && 'problem' in read) refuse(problemText(read.problem));
            else if (read) onTake(one.name, read.steps);
          }}
          testID="use-recipe"
        />
      ) : null}
      <View style={styles.row}>
        <Button kind="quiet" icon="upload-outline" label={said.fromFile} onPress={() => void fromFile()} />
        {recipe ? (
          <>
            <Button
              kind="quiet"
              icon="download-outline"
              label={said.toFile(recipe.name)}
              onPress={() =>
                saveFile(`${recipe.name}.json`, writeRecipe(recipe, state()), 'application/json')
              }
            />
            <Button kind="quiet" icon="delete-outline" label={said.remove(recipe.name)} onPress={remove} />
          </>
        ) : null}
      </View>
      {steps.length > 0 ? (
        <View style={styles.keep}>
          <AppText size="small" tone="quiet">
            {said.keep}
          </AppText>
          <View style={styles.row}>
            <View style={styles.grow}>
              <TextField label={said.name} value={name} maxLength={80} onChangeText={setName} />
            </View>
            <Button
              label={words.actions.save}
              disabled={name.trim() === ''}
              onPress={() => commit(keepRecipe(state(), name, steps, context()))}
              style={styles.save}
              testID="keep-recipe"
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(2) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), alignItems: 'flex-end' },
  keep: { gap: space(1) },
  grow: { flexGrow: 1, flexBasis: 160 },
  save: { alignSelf: 'flex-end' },
});

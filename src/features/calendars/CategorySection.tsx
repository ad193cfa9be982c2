import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import {
  categoriesInUse,
  type CategoryUse,
  colourCategory,
  renameCategory,
} from '@/core/change/categoryChanges';
import { applyPatch, makePatch } from '@/core/change/patch';
import { Colour } from '@/core/model/colour';
import { useCommands } from '@/features/workspace';
import { useSnapshot } from '@/store';
import { FormField } from '@/ui/forms/FormField';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { HuePicker } from './HuePicker';
import type { State } from '@/core/model/state';

const said = exchangeWords.categories;

const CategoryForm = z.object({
  name: z.string().trim().min(1, words.calendars.nameMissing),
  colour: Colour.optional(),
});

/** The categories of all entries: their colours, and their names over all entries at once. */
export function CategorySection() {
  const { colours, calendar: tonesOf } = useTheme();
  const state = useSnapshot((snapshot) => snapshot.state);
  const categories = useMemo(() => categoriesInUse(state), [state]);
  const [editing, setEditing] = useState<CategoryUse | null>(null);
  return (
    <View style={styles.section}>
      {categories.length === 0 ? <AppText tone="quiet">{said.none}</AppText> : null}
      <View style={styles.list}>
        {categories.map((category) => (
          <View key={category.name} style={[styles.row, { borderColor: colours.line }]}>
            <View
              style={[
                styles.colour,
                {
                  backgroundColor: category.colour ? tonesOf(category.colour).band : 'transparent',
                  borderColor: category.colour ? tonesOf(category.colour).band : colours.line,
                },
              ]}
            />
            <AppText numberOfLines={1} style={styles.name}>
              {category.name}
            </AppText>
            <AppText size="small" tone="quiet" figures>
              {words.calendars.entries(category.count)}
            </AppText>
            <Button
              icon="pencil-outline"
              iconOnly
              kind="quiet"
              label={said.edit(category.name)}
              onPress={() => setEditing(category)}
            />
          </View>
        ))}
      </View>
      {editing ? <CategorySheet category={editing} onClose={() => setEditing(null)} /> : null}
    </View>
  );
}

function CategorySheet({ category, onClose }: { category: CategoryUse; onClose: () => void }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context } = useCommands();
  const { control, typed, submit } = useFormOf(
    CategoryForm,
    { name: category.name, colour: category.colour },
    'while-typing',
  );
  const newName = typed.name.trim();
  const other =
    newName === category.name
      ? undefined
      : categoriesInUse(state).find((known) => known.name === newName && known.count > 0);
  const save = () =>
    submit(({ name, colour }) => {
      const renamed =
        name === category.name ? undefined : renameCategory(state, category.name, name, context());
      const between = renamed ? applyPatch(state, renamed) : state;
      const coloured =
        colour === category.colour ? undefined : colourCategory(between, name, colour, context());
      const changes = [...(renamed?.changes ?? []), ...(coloured?.changes ?? [])];
      const summary = renamed?.summary ?? coloured?.summary;
      if (summary) commit(makePatch(context(), summary, changes));
      onClose();
    });
  return (
    <Sheet
      title={said.edit(category.name)}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      footer={<CategoryActions state={state} category={category} onClose={onClose} save={save} />}
    >
      <FormText
        control={control}
        name="name"
        label={said.name}
        maxLength={80}
        onSubmit={save}
        hint={other ? said.merges(newName, other.count + category.count) : undefined}
        large
      />
      <FormField control={control} name="colour">
        {({ value, onChange }) => (
          <HuePicker
            label={said.colour}
            colour={value}
            mark={category.name.slice(0, 2).toUpperCase()}
            none={{ label: said.noColour, onPress: () => onChange(undefined) }}
            onChange={onChange}
          />
        )}
      </FormField>
    </Sheet>
  );
}

/** What can be done with a category. */
function CategoryActions({
  state,
  category,
  onClose,
  save,
}: {
  state: State;
  category: CategoryUse;
  onClose: () => void;
  save: () => void;
}) {
  const { commit, context } = useCommands();
  return (
    <>
      <Button
        kind="danger"
        label={said.remove}
        onPress={() => {
          commit(renameCategory(state, category.name, undefined, context()));
          onClose();
        }}
      />
      <Button label={words.actions.cancel} onPress={onClose} />
      <Button kind="primary" label={words.actions.save} onPress={save} />
    </>
  );
}

const styles = StyleSheet.create({
  section: { gap: space(3) },
  list: { gap: space(1) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(3), borderBottomWidth: hairline },
  colour: { width: 18, height: 18, borderRadius: corner, borderWidth: hairline },
  name: { flex: 1, minWidth: 0 },
});

import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { TodoItem } from '@/core/todos/currentTodo';
import { isSettled } from '@/core/schedule/standing';
import { groupedTodos, TODO_ORDERS, type TodoGroup } from '@/core/todos/todoGroups';
import { useFoundTodos, useSettings, useTodoItems } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords as said } from '@/ui/words/todos';
import { PlaceTodosSheet } from './place/PlaceTodosSheet';
import { giveTodoTime, openTodo } from './openTodo';
import { TodoLineField } from './TodoLineField';
import { TodoRow } from './TodoRow';
import { useTodosAddress } from './useTodosAddress';
import { PLACE_PATHS } from '@/features/workspace';

/** So many of a group are shown at first, and with each press more. */
const SHOWN = 40;

/** What is to be done, in groups by when it is due: To-dos. */
export function TodosScreen() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const { homeZone } = useSettings();
  const { items, nowWall, today, weekEnd } = useTodoItems();
  const { look, show } = useTodosAddress();
  const router = useRouter();
  const [find, setFind] = useState(look.find);
  const found = useFoundTodos(find, homeZone);
  const asTable = () =>
    router.push({
      pathname: PLACE_PATHS.tidy,
      params: { kind: 'todo', span: 'all', ...(find ? { find } : {}) },
    });
  const [isPlacing, setPlacing] = useState(false);
  const groups = useMemo(() => {
    const shown = items.filter(
      ({ todo }) => (look.withOver || !isSettled(todo)) && (!found || found.ids.has(todo.id)),
    );
    return groupedTodos(shown, look.order, nowWall, weekEnd, homeZone);
  }, [items, found, look.withOver, look.order, nowWall, weekEnd, homeZone]);
  const nothing = items.length === 0 ? said.none : find.trim() ? said.noneFound : said.noneOpen;
  return (
    <View style={[styles.screen, { backgroundColor: colours.page }]}>
      <ScrollView role="main" contentContainerStyle={wide ? styles.wide : styles.part}>
        <TitleText level={1} size="display" style={wide ? null : styles.unseen}>
          {said.title}
        </TitleText>
        <TodoLineField />
        <View style={styles.tools}>
          <View style={styles.grow}>
            <TextField
              label={said.find}
              placeholder={said.findHint}
              value={find}
              maxLength={200}
              onChangeText={(text) => {
                setFind(text);
                show({ find: text });
              }}
              testID="find-todos"
            />
          </View>
          <SelectField
            label={said.order}
            value={look.order}
            options={TODO_ORDERS.map((order) => ({ value: order, label: said.orders[order] }))}
            onChange={(value) => show({ order: TODO_ORDERS.find((each) => each === value) })}
            testID="todo-order"
          />
        </View>
        <View style={styles.tools}>
          <View style={styles.grow}>
            <Check
              label={said.showOver}
              checked={look.withOver}
              onChange={(withOver) => show({ withOver })}
            />
          </View>
          <Button label={said.place.action} icon="clock-plus-outline" onPress={() => setPlacing(true)} />
          <Button label={said.asTable} icon="checkbox-marked-outline" onPress={asTable} />
        </View>
        {found && found.problems.length > 0 ? (
          <AppText tone="accent" role="status">
            {found.problems.map(words.search.problem).join(' ')}
          </AppText>
        ) : null}
        {groups.length === 0 ? (
          <AppText tone="quiet" role="status">
            {nothing}
          </AppText>
        ) : null}
        {groups.map(({ group, items: own }) => (
          <Group
            key={group}
            group={group}
            items={own}
            today={today}
            onOpen={openTodo}
            onTime={giveTodoTime}
          />
        ))}
      </ScrollView>
      {isPlacing ? <PlaceTodosSheet onClose={() => setPlacing(false)} /> : null}
    </View>
  );
}

/** One group of the list, under its name. */
function Group({
  group,
  items,
  today,
  onOpen,
  onTime,
}: {
  group: TodoGroup;
  items: readonly TodoItem[];
  /** A day number. */
  today: number;
  onOpen: (item: TodoItem) => void;
  onTime: (item: TodoItem) => void;
}) {
  const { colours } = useTheme();
  const [shown, setShown] = useState(SHOWN);
  const left = items.length - shown;
  return (
    <View role="group" aria-label={said.group(said.groups[group], items.length)} testID={`todos-${group}`}>
      <View style={styles.head}>
        <TitleText level={2} size="large">
          {said.groups[group]}
        </TitleText>
        <AppText tone="quiet" figures aria-hidden>
          {items.length}
        </AppText>
      </View>
      <View role="list" style={[styles.rows, { borderColor: colours.line }]}>
        {items.slice(0, shown).map((item) => (
          <TodoRow key={item.key} item={item} group={group} today={today} onOpen={onOpen} onTime={onTime} />
        ))}
      </View>
      {left > 0 ? (
        <Button
          kind="quiet"
          label={said.more(Math.min(left, SHOWN))}
          onPress={() => setShown(shown + SHOWN)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  // What is said at the foot covers no to-do for good.
  part: { padding: space(2), paddingBottom: space(20), gap: space(3) },
  wide: { padding: space(4), paddingBottom: space(20), gap: space(3), maxWidth: 860 },
  tools: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: space(2) },
  grow: { flexGrow: 1, flexBasis: 200 },
  head: { flexDirection: 'row', alignItems: 'baseline', gap: space(2), paddingBottom: space(1) },
  rows: { borderWidth: hairline, borderBottomWidth: 0, borderRadius: corner, overflow: 'hidden' },
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 },
});

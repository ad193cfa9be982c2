import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { isSettled } from '@/core/schedule/standing';
import { groupedTodos } from '@/core/todos/todoGroups';
import { worksOf } from '@/core/todos/worksOf';
import { useSettings, useSnapshot, useTodoItems } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { todoWords } from '@/ui/words/todos';
import { PlaceTodosSheet } from './place/PlaceTodosSheet';
import { giveTodoTime, openTodo } from './openTodo';
import { TodoCard } from './TodoCard';
import { PLACE_PATHS } from '@/features/workspace';

const said = todoWords.column;
/** So many of a group stand in the column; all of them in their place. */
const SHOWN = 20;

/** The to-dos beside the calendar, to be dragged into it. */
export function TodosColumn({ onFold }: { onFold: () => void }) {
  const { colours } = useTheme();
  const router = useRouter();
  const { homeZone, defaultLengthMinutes } = useSettings();
  const { items, nowWall, today, weekEnd } = useTodoItems();
  const state = useSnapshot((snapshot) => snapshot.state);
  const [isPlacing, setPlacing] = useState(false);
  const groups = useMemo(
    () =>
      groupedTodos(
        items.filter(({ todo }) => !isSettled(todo)),
        'due',
        nowWall,
        weekEnd,
        homeZone,
      ),
    [items, nowWall, weekEnd, homeZone],
  );
  const minutes = useMemo(() => {
    const shown = groups.flatMap(({ items: own }) => own.slice(0, SHOWN));
    return new Map(
      worksOf(state, shown, defaultLengthMinutes, homeZone).map((work) => [work.key, work.minutes]),
    );
  }, [state, groups, defaultLengthMinutes, homeZone]);
  return (
    <View
      role="region"
      aria-label={said.label}
      testID="todos-column"
      style={[styles.column, { backgroundColor: colours.page, borderColor: colours.line }]}
    >
      <View style={styles.head}>
        <TitleText level={2} size="large" style={styles.grow}>
          {said.label}
        </TitleText>
        <Button icon="close" iconOnly kind="quiet" label={said.hide} onPress={onFold} />
      </View>
      <ScrollView contentContainerStyle={styles.content}>
        {groups.length === 0 ? (
          <AppText tone="quiet">{said.none}</AppText>
        ) : (
          <AppText size="small" tone="quiet">
            {said.hint}
          </AppText>
        )}
        {groups.map(({ group, items: own }) => (
          <View key={group} role="group" aria-label={todoWords.group(todoWords.groups[group], own.length)}>
            <AppText size="small" weight="700" tone="quiet" style={styles.group}>
              {todoWords.groups[group]}
            </AppText>
            <View role="list" style={styles.list}>
              {own.slice(0, SHOWN).map((item) => (
                <TodoCard
                  key={item.key}
                  item={item}
                  group={group}
                  today={today}
                  minutes={minutes.get(item.key) ?? defaultLengthMinutes}
                  onOpen={openTodo}
                  onTime={giveTodoTime}
                />
              ))}
            </View>
          </View>
        ))}
      </ScrollView>
      <View style={styles.foot}>
        <Button label={todoWords.place.action} onPress={() => setPlacing(true)} />
        <Button kind="quiet" label={said.all} onPress={() => router.push(PLACE_PATHS.todos)} />
      </View>
      {isPlacing ? <PlaceTodosSheet onClose={() => setPlacing(false)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  column: { width: sizes.todos, borderRightWidth: hairline },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: space(3), paddingTop: space(1) },
  grow: { flexGrow: 1 },
  content: { paddingHorizontal: space(2), paddingBottom: space(2), gap: space(2) },
  group: { paddingVertical: space(1) },
  list: { gap: space(1) },
  foot: { padding: space(2), gap: space(1), flexDirection: 'row', flexWrap: 'wrap' },
});

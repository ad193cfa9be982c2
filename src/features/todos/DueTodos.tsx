import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { groupedTodos } from '@/core/todos/todoGroups';
import { useSettings, useTodoItems } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { todoWords as said } from '@/ui/words/todos';
import { giveTodoTime, openTodo } from './openTodo';
import { TodoCard } from './TodoCard';
import { PLACE_PATHS } from '@/features/workspace';

/** So many stand in the run-down of a day. */
const SHOWN = 6;

/** What is to be done today, and what was to be done before: a part of the run-down. Nothing where nothing is due. */
export function DueTodos() {
  const router = useRouter();
  const { homeZone } = useSettings();
  const { items, nowWall, today, weekEnd } = useTodoItems();
  const due = useMemo(
    () =>
      groupedTodos(items, 'due', nowWall, weekEnd, homeZone)
        .filter(({ group }) => group === 'overdue' || group === 'today')
        .flatMap(({ group, items: own }) => own.map((item) => ({ group, item }))),
    [items, nowWall, weekEnd, homeZone],
  );
  return (
    <>
      {due.length > 0 ? (
        <View role="group" aria-label={said.desk} testID="due-todos" style={styles.part}>
          <AppText weight="700" role="heading" aria-level={3}>
            {said.desk}
          </AppText>
          <View role="list" style={styles.list}>
            {due.slice(0, SHOWN).map(({ group, item }) => (
              <TodoCard
                key={item.key}
                item={item}
                group={group}
                today={today}
                onOpen={openTodo}
                onTime={giveTodoTime}
              />
            ))}
          </View>
          {due.length > SHOWN ? (
            <Button
              kind="quiet"
              label={said.moreDue(due.length - SHOWN)}
              onPress={() => router.push(PLACE_PATHS.todos)}
            />
          ) : null}
        </View>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ part: { gap: space(1), paddingTop: space(2) }, list: { gap: space(1) } });

import { StyleSheet, View } from 'react-native';
import { todoItems, todosOf } from '@/core/todos/currentTodo';
import { keyOfTie, minutesLeft, tiesOf } from '@/core/todos/todoTies';
import { tieOf } from '@/core/todos/tieOf';
import { DAY, MINUTE } from '@/core/time/civil';
import type { CalendarEvent } from '@/core/model/entry';
import { useCommands } from '@/features/workspace';
import { useNowWall, useSettings, useSnapshot } from '@/store';
import { lengthText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords as said } from '@/ui/words/todos';

/** The to-do that an entry is time for: done with a press, with what is left of its estimate. Nothing where there is none. */
export function TiedTodo({ event }: { event: CalendarEvent }) {
  const { homeZone } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const commands = useCommands();
  const tie = tieOf(event);
  const key = tie === undefined ? undefined : keyOfTie(state, tie);
  const todo = key === undefined ? undefined : state.entries.get(key.split('|')[0]!);
  if (tie === undefined || key === undefined || todo?.kind !== 'todo') return null;
  const isDone = tiesOf(state).over.has(tie);
  const item = todoItems(todosOf(state), today, homeZone).find((each) => each.key === key);
  const left = item && minutesLeft(state, item, homeZone);
  return (
    <View role="group" aria-label={said.tied} testID="tied-todo" style={styles.part}>
      <AppText size="small" tone="quiet">
        {said.tied}
      </AppText>
      <Check
        label={said.done(todo.title || words.entry.noTitle)}
        checked={isDone}
        onChange={(next) => commands.setDone(key, next)}
      />
      {left !== undefined && left > 0 && !isDone ? (
        <AppText size="small" tone="quiet" figures>
          {said.estimateLeft(lengthText(left * MINUTE), lengthText((todo.estimate ?? 0) * MINUTE))}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: space(1) } });

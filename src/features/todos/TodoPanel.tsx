import { StyleSheet, View } from 'react-native';
import { entryAt, targetOfKey } from '@/core/change/target';
import { isReadOnly } from '@/core/model/calendar';
import { isDated, isTodo } from '@/core/model/entry';
import type { TodoItem } from '@/core/todos/currentTodo';
import { isSettled } from '@/core/schedule/standing';
import { groupOfTodo } from '@/core/todos/todoGroups';
import { dueOf } from '@/core/todos/todoSpan';
import { plannedMinutes } from '@/core/todos/todoTies';
import { useCommands, workspace } from '@/features/workspace';
import { useSettings, useSnapshot, useTodoItems } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { MarkedLine } from '@/ui/primitives/MarkedLine';
import { StickyActions } from '@/ui/primitives/StickyActions';
import { remindersText } from '@/ui/reminderText';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords } from '@/ui/words/todos';
import { detailsOf, dueText } from './todoText';

const said = todoWords.panel;

/** The selected to-do on the desk: what it says, and what can be done with it. */
export function TodoPanel({ todoKey }: { todoKey: string }) {
  const { homeZone } = useSettings();
  const { items, nowWall, today, weekEnd } = useTodoItems();
  const state = useSnapshot((snapshot) => snapshot.state);
  const commands = useCommands();
  const found = entryAt(state, targetOfKey(todoKey), { ...commands.context(), newId: () => todoKey });
  if (!found || !isTodo(found)) return null;
  const item: TodoItem = {
    key: todoKey,
    todo: found,
    ...(isDated(found) ? { start: found.start, due: dueOf(found) } : {}),
  };
  // Of a series as a whole, what is done or given a time is the date that is at hand.
  const listed = items.find(({ key, todo }) => (found.recurrence ? todo.id === found.id : key === todoKey));
  const doneKey = listed?.key ?? (found.recurrence ? undefined : todoKey);
  const group = groupOfTodo(item, nowWall, weekEnd, homeZone);
  const calendar = state.calendars.get(found.calendarId);
  const planned = plannedMinutes(state, item, homeZone);
  const lines = [
    dueText(item, group, homeZone, today),
    detailsOf(item, group, homeZone, planned).join(' · '),
  ];
  const isClosed = isReadOnly(calendar);
  const { parts = [], reminders = [], notes } = found;
  return (
    <View style={styles.panel} testID="todo-panel">
      <MarkedLine
        calendar={calendar}
        text={[calendar?.name, todoWords.status[found.status]].filter(Boolean).join(' · ')}
      />
      <TitleText style={isSettled(found) ? styles.over : null}>
        {found.title || words.entry.noTitle}
      </TitleText>
      {lines.filter(Boolean).map((line) => (
        <AppText key={line} figures>
          {line}
        </AppText>
      ))}
      {parts.map((part, at) => (
        <Check
          key={`${at} ${part.text}`}
          label={part.text}
          checked={part.isDone}
          onChange={(next) => void commands.setPartDone(todoKey, at, next)}
        />
      ))}
      {reminders.length > 0 ? (
        <AppText tone="quiet">{remindersText(reminders, homeZone, dueOf(found) !== undefined)}</AppText>
      ) : null}
      {notes ? <AppText>{notes}</AppText> : null}
      <StickyActions>
        {isClosed ? (
          <AppText size="small" tone="quiet">
            {words.calendars.closed(calendar?.name ?? '', calendar?.feed !== undefined)}
          </AppText>
        ) : (
          <>
            <Button kind="primary" label={said.edit} onPress={() => workspace.openTodo(todoKey)} />
            {doneKey === undefined ? null : (
              <Button
                label={isSettled(found) ? said.reopen : said.done}
                onPress={() => commands.setDone(doneKey, !isSettled(found))}
              />
            )}
            {!listed || isSettled(found) ? null : (
              <Button label={said.time} onPress={() => workspace.openTodo(listed.key, 'time')} />
            )}
            <Button label={words.actions.bin} onPress={() => void commands.bin([todoKey])} />
          </>
        )}
      </StickyActions>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: space(3) },
  over: { textDecorationLine: 'line-through' },
});

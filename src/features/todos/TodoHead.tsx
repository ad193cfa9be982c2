import { Pressable, StyleSheet } from 'react-native';
import type { TodoItem } from '@/core/todos/currentTodo';
import { isSettled } from '@/core/schedule/standing';
import type { TodoGroup } from '@/core/todos/todoGroups';
import { useCalendars, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { Mark } from '@/ui/primitives/Mark';
import { sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords as said } from '@/ui/words/todos';
import { dueText } from './todoText';

interface TodoHeadProps {
  item: TodoItem;
  group: TodoGroup;
  /** A day number. */
  today: number;
  /** What else is said under the title. */
  details?: readonly string[];
  /** Whether the title weighs as in a list of its own. */
  isBold?: boolean;
  onDone: (isDone: boolean) => void;
  onOpen: (item: TodoItem) => void;
}

const NONE: readonly string[] = [];

/** What every list says of a to-do: whether it is done, its calendar, its title, and when it is due. */
export function TodoHead({ item, group, today, details = NONE, isBold, onDone, onOpen }: TodoHeadProps) {
  const { homeZone } = useSettings();
  const { todo } = item;
  const calendar = useCalendars().find(({ id }) => id === todo.calendarId);
  const title = todo.title || words.entry.noTitle;
  const due = isSettled(todo) ? '' : dueText(item, group, homeZone, today);
  const isLate = group === 'overdue';
  return (
    <>
      <Check label={said.done(title)} checked={todo.status === 'completed'} onChange={onDone}>
        <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
      </Check>
      <Pressable
        role="button"
        aria-label={said.open(title)}
        onPress={() => onOpen(item)}
        style={[styles.words, isBold ? styles.roomy : null]}
      >
        <AppText
          weight={isBold ? '700' : '400'}
          numberOfLines={2}
          style={isSettled(todo) ? styles.over : null}
        >
          {title}
        </AppText>
        {due || details.length > 0 ? (
          <AppText size="small" tone="quiet" figures>
            {due ? (
              <AppText
                size="small"
                figures
                tone={isLate ? 'accent' : 'quiet'}
                weight={isLate && isBold ? '700' : '400'}
              >
                {due}
              </AppText>
            ) : null}
            {due && details.length > 0 ? ' · ' : ''}
            {details.join(' · ')}
          </AppText>
        ) : null}
      </Pressable>
    </>
  );
}

const styles = StyleSheet.create({
  words: {
    flex: 1,
    minWidth: 0,
    minHeight: sizes.target,
    paddingVertical: space(1),
    justifyContent: 'center',
  },
  roomy: { paddingVertical: space(2) },
  over: { textDecorationLine: 'line-through' },
});

import { useDrag } from '@use-gesture/react';
import { memo, useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import type { TodoItem } from '@/core/todos/currentTodo';
import { isSettled } from '@/core/schedule/standing';
import type { TodoGroup } from '@/core/todos/todoGroups';
import { carryTarget, useCommands } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes } from '@/ui/theme/tokens';
import { viewRef, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { todoWords as said } from '@/ui/words/todos';
import { TodoHead } from './TodoHead';

/** A finger holds so long before it takes a to-do along, in milliseconds: a swipe still scrolls. */
const HOLD = 180;

interface TodoCardProps {
  item: TodoItem;
  group: TodoGroup;
  /** A day number. */
  today: number;
  /** How long it would be where it is let go, in minutes; undefined where there is nowhere to let it go. */
  minutes?: number | undefined;
  onOpen: (item: TodoItem) => void;
  /** Gives it a time without dragging; undefined where that is not offered. */
  onTime?: ((item: TodoItem) => void) | undefined;
}

/** A to-do beside the calendar: done with a press, dragged into a day or given a time by its button. */
export const TodoCard = memo(function TodoCard({
  item,
  group,
  today,
  minutes,
  onOpen,
  onTime,
}: TodoCardProps) {
  const { colours } = useTheme();
  const commands = useCommands();
  const card = useRef<HTMLElement>(null);
  const { todo, key } = item;
  const title = todo.title || words.entry.noTitle;
  useCarrying(card, item, minutes);
  return (
    <View
      ref={viewRef(card)}
      role="listitem"
      testID="todo-card"
      style={[
        styles.card,
        { backgroundColor: colours.card, borderColor: colours.line },
        minutes === undefined ? null : webStyle({ cursor: 'grab' }),
      ]}
    >
      <TodoHead
        item={item}
        group={group}
        today={today}
        onDone={(next) => commands.setDone(key, next)}
        onOpen={onOpen}
      />
      {onTime && !isSettled(todo) ? (
        <Button
          icon="clock-plus-outline"
          iconOnly
          kind="quiet"
          label={said.giveTimeTo(title)}
          onPress={() => onTime(item)}
        />
      ) : null}
    </View>
  );
});

/** Lets a to-do be dragged to what takes it; Escape lets everything be as it was. */
function useCarrying(card: React.RefObject<HTMLElement | null>, item: TodoItem, minutes: number | undefined) {
  const isCancelled = useRef(false);
  const isCarried = useRef(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !isCarried.current) return;
      event.stopPropagation();
      isCancelled.current = true;
      carryTarget()?.leave();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);
  useDrag(
    ({ first, last, xy: [x, y], canceled, tap }) => {
      if (minutes === undefined || tap) return;
      const target = carryTarget();
      if (first) isCancelled.current = false;
      isCarried.current = !last;
      if (canceled || isCancelled.current) return target?.leave();
      const { todo, key } = item;
      const carried = { key, title: todo.title, minutes, calendarId: todo.calendarId };
      if (last) target?.drop(carried, x, y);
      else target?.show(carried, x, y);
    },
    {
      target: card as React.RefObject<EventTarget>,
      filterTaps: true,
      preventScroll: HOLD,
      preventScrollAxis: 'xy',
      pointer: { buttons: 1, keys: false, capture: false },
      eventOptions: { passive: false },
    },
  );
}

const styles = StyleSheet.create({
  card: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: sizes.target,
    borderWidth: hairline,
    borderRadius: corner,
  },
});

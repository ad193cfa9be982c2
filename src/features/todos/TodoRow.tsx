import { memo, useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useCommands } from '@/features/workspace';
import type { TodoItem } from '@/core/todos/currentTodo';
import { isSettled } from '@/core/schedule/standing';
import type { TodoGroup } from '@/core/todos/todoGroups';
import { plannedMinutes } from '@/core/todos/todoTies';
import { useSettings, useSnapshot } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords as said } from '@/ui/words/todos';
import { TodoHead } from './TodoHead';
import { detailsOf } from './todoText';

interface TodoRowProps {
  item: TodoItem;
  group: TodoGroup;
  /** A day number. */
  today: number;
  onOpen: (item: TodoItem) => void;
  onTime: (item: TodoItem) => void;
}

/** A to-do in the list: done with a press, opened with another, its parts under it where they are asked for. */
export const TodoRow = memo(function TodoRow({ item, group, today, onOpen, onTime }: TodoRowProps) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const commands = useCommands();
  const [isUnfolded, setUnfolded] = useState(false);
  const row = useRef<View>(null);
  const { todo, key } = item;
  const title = todo.title || words.entry.noTitle;
  const planned = useSnapshot(({ state }) => plannedMinutes(state, item, homeZone));
  const details = detailsOf(item, group, homeZone, planned);
  const parts = todo.parts ?? [];
  // Who goes on by keys goes on with the to-do that takes its place.
  const follower = useRef<Element>(null);
  useEffect(() => () => follower.current?.querySelector<HTMLElement>('[role="checkbox"]')?.focus(), []);
  const setDone = (next: boolean) => {
    const { nextElementSibling, previousElementSibling } = row.current as unknown as HTMLElement;
    // Known before the change, which takes this row away at once.
    follower.current = nextElementSibling ?? previousElementSibling;
    if (!commands.setDone(key, next)) follower.current = null;
  };
  return (
    <View ref={row} role="listitem" testID="todo" style={[styles.item, { borderColor: colours.line }]}>
      <View style={[styles.row, { backgroundColor: colours.card }]}>
        <TodoHead
          item={item}
          group={group}
          today={today}
          details={details}
          isBold
          onDone={setDone}
          onOpen={onOpen}
        />
        {isSettled(todo) ? null : (
          <Button
            icon="clock-plus-outline"
            iconOnly
            kind="quiet"
            label={said.giveTimeTo(title)}
            onPress={() => onTime(item)}
          />
        )}
        {parts.length > 0 ? (
          <Button
            icon={isUnfolded ? 'unfold-less-horizontal' : 'unfold-more-horizontal'}
            iconOnly
            kind="quiet"
            label={said.showParts(title)}
            selected={isUnfolded}
            onPress={() => setUnfolded(!isUnfolded)}
          />
        ) : null}
      </View>
      {isUnfolded
        ? parts.map((part, at) => (
            <View key={`${at} ${part.text}`} style={[styles.part, { backgroundColor: colours.card }]}>
              <Check
                label={part.text}
                checked={part.isDone}
                onChange={(next) => void commands.setPartDone(key, at, next)}
              />
            </View>
          ))
        : null}
    </View>
  );
});

const styles = StyleSheet.create({
  item: { borderBottomWidth: hairline },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    paddingRight: space(3),
    minHeight: sizes.target,
  },
  part: { paddingLeft: space(10) },
});

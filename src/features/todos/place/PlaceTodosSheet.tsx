import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import type { TodoItem } from '@/core/todos/currentTodo';
import type { Work } from '@/core/todos/placeTodos';
import { groupOfTodo } from '@/core/todos/todoGroups';
import { useCommands } from '@/features/workspace';
import { useSettings, useTodoItems } from '@/store';
import { lengthText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords } from '@/ui/words/todos';
import { dueText } from '../todoText';
import { PlacingPreview } from './PlacingPreview';
import { usePlacing, useWorks } from './usePlacing';

const said = todoWords.place;
const HORIZONS = [7, 14, 28] as const;
/** So many to-dos are listed to choose among. */
const LISTED = 60;

/** Gives several to-dos times at once: a proposal that is seen before it is taken. */
export function PlaceTodosSheet({ onClose }: { onClose: () => void }) {
  const { homeZone } = useSettings();
  const commands = useCommands();
  const { items, nowWall, today, weekEnd } = useTodoItems();
  const [days, setDays] = useState<number>(14);
  const [withLate, setWithLate] = useState(false);
  /** What was chosen against the usual: what is due within the days is, what is due later is not. */
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const byKey = useMemo(() => new Map(items.map((item) => [item.key, item])), [items]);
  const horizon = today + days;
  const isUsual = ({ due }: Work): boolean => Math.floor((instantToWall(homeZone, due) - 1) / DAY) < horizon;
  const isChosen = (work: Work): boolean =>
    (Number.isFinite(work.due) && isUsual(work)) !== turned.has(work.key);
  const all = useWorks();
  const works = all.slice(0, LISTED);
  const chosen = works.filter(isChosen).map(({ key }) => key);
  const { placing, failed } = usePlacing(chosen, days, withLate);
  const turn = (key: string) => {
    const next = new Set(turned);
    if (!next.delete(key)) next.add(key);
    setTurned(next);
  };
  const pieces = placing?.pieces ?? [];
  const go = () => {
    if (commands.giveTime(pieces)) onClose();
  };
  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.go(pieces.length), onPress: go, disabled: pieces.length === 0 }}
    >
      <AppText tone="quiet">{said.how}</AppText>
      <View style={styles.row}>
        <SelectField
          label={said.within}
          value={String(days)}
          options={HORIZONS.map((each) => ({ value: String(each), label: said.days[each] }))}
          onChange={(value) => setDays(Number(value))}
          testID="place-within"
        />
        <Check label={said.late} checked={withLate} onChange={setWithLate} />
      </View>
      {all.length === 0 ? <AppText role="status">{said.none}</AppText> : null}
      {works.length > 0 ? (
        <View role="group" aria-label={said.which} testID="place-works">
          <TitleText level={2} size="large">
            {said.which}
          </TitleText>
          {works.map((work) => {
            const item = byKey.get(work.key);
            return item ? (
              <WorkRow
                key={work.key}
                item={item}
                minutes={work.minutes}
                isChosen={chosen.includes(work.key)}
                when={dueText(item, groupOfTodo(item, nowWall, weekEnd, homeZone), homeZone, today)}
                onTurn={() => turn(work.key)}
              />
            ) : null;
          })}
          {all.length > works.length ? (
            <AppText tone="quiet">{said.more(all.length - works.length)}</AppText>
          ) : null}
        </View>
      ) : null}
      {failed ? <AppText role="alert">{said.failed}</AppText> : null}
      {all.length > 0 && !failed ? (
        <PlacingPreview placing={placing} titleOf={(key) => byKey.get(key)?.todo.title ?? ''} />
      ) : null}
    </Sheet>
  );
}

/** A to-do that can be chosen, with how long it takes and when it is due. */
function WorkRow({
  item,
  minutes,
  isChosen,
  when,
  onTurn,
}: {
  item: TodoItem;
  minutes: number;
  isChosen: boolean;
  when: string;
  onTurn: () => void;
}) {
  const title = item.todo.title || words.entry.noTitle;
  const length = said.minutesOf(lengthText(minutes * MINUTE), item.todo.estimate === undefined);
  return (
    <Check label={[title, length, when].filter(Boolean).join(', ')} checked={isChosen} onChange={onTurn}>
      <AppText>{title}</AppText>
      <AppText size="small" tone="quiet" figures>
        {[length, when].filter(Boolean).join(' · ')}
      </AppText>
    </Check>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(3) },
});

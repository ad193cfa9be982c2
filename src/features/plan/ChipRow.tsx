import { StyleSheet, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { usePlanAddress, workspace } from '@/features/workspace';
import type { DaysAnswer } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { CalendarChips } from './chips/CalendarChips';
import { PlanTools } from './tools/PlanTools';

/** The calendars, and the tools beside them. */
export function ChipRow({
  calendars,
  hidden,
  asksItself,
  answer,
  hide,
  toolsInTitle,
  wide,
  canHaveTodos,
  todosBeside,
  showTodos,
}: {
  calendars: readonly Calendar[];
  hidden: readonly string[];
  asksItself: boolean;
  answer: DaysAnswer | undefined;
  hide: (next: readonly string[]) => void;
  toolsInTitle: boolean;
  wide: boolean;
  canHaveTodos: boolean;
  todosBeside: boolean;
  showTodos: (isOpen: boolean) => void;
}) {
  const { address } = usePlanAddress();
  return (
    <View style={styles.row}>
      <CalendarChips
        calendars={calendars}
        hidden={hidden}
        minutes={asksItself ? undefined : answer?.calendarMinutes}
        onHiddenChange={hide}
      />
      <Button
        icon="account-group-outline"
        iconOnly
        kind="quiet"
        label={words.look.colleagues}
        selected={address.colleagues.length > 0}
        onPress={() => workspace.openSheet('colleagues')}
      />
      {canHaveTodos ? (
        <Button
          icon="checkbox-marked-outline"
          iconOnly
          kind="quiet"
          label={words.plan.todosBeside}
          selected={todosBeside}
          onPress={() => showTodos(!todosBeside)}
        />
      ) : null}
      {toolsInTitle ? null : <PlanTools address={address} few={!wide} />}
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', alignItems: 'center', gap: space(1) } });

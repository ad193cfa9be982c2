import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { dateString, parseDate } from '@/core/time/civil';
import { useGrammar } from '@/features/line';
import { usePlanAddress, workspace } from '@/features/workspace';
import { useSettings } from '@/store';
import { fullDayText, writesDayFirst } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { DateField } from '@/ui/primitives/dates/DateField';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { PlanSheetProps } from '../sheetProps';

/** Goes to a day that is typed in ordinary words, or picked. */
export function GoToSheet({ address, today }: PlanSheetProps) {
  const { to } = usePlanAddress();
  const [text, setText] = useState('');
  const [picked, setPicked] = useState(dateString(address.day));
  const { lineHabits } = useSettings();
  const grammar = useGrammar();
  const day =
    grammar && text.trim() !== '' ? grammar.dayInWords(text, today, writesDayFirst(), lineHabits) : undefined;
  const close = () => workspace.openSheet(null);
  const go = (target: number) => {
    close();
    to({ day: target });
  };
  const unread = grammar !== undefined && text.trim() !== '' && day === undefined;
  return (
    <Sheet
      title={words.goto.title}
      closeLabel={words.actions.close}
      onClose={close}
      footer={
        <View style={styles.footer}>
          <Button label={words.plan.today} onPress={() => go(today)} />
          <Button
            kind="primary"
            label={words.goto.go}
            disabled={day === undefined}
            onPress={() => day !== undefined && go(day)}
          />
        </View>
      }
    >
      <TextField
        label={words.goto.words}
        hint={words.goto.hint}
        value={text}
        error={unread ? words.goto.unread : undefined}
        onChangeText={setText}
        onSubmit={() => day !== undefined && go(day)}
        autoFocus
        maxLength={80}
        testID="go-to"
      />
      {day === undefined ? null : (
        <AppText weight="700" testID="go-to-day" role="status">
          {fullDayText(day)}
        </AppText>
      )}
      <DateField
        label={words.goto.pick}
        value={picked}
        onChange={setPicked}
        onCommit={(date) => to({ day: parseDate(date) }, { quietly: true })}
      />
    </Sheet>
  );
}

const styles = StyleSheet.create({ footer: { flexDirection: 'row', gap: space(2) } });

import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { targetCalendar } from '@/core/change/calendarChanges';
import { DAY } from '@/core/time/civil';
import { todoLineText, useGrammar, useTodoReader } from '@/features/line';
import { useCommands } from '@/features/workspace';
import { importWords } from '@/features/zones';
import { useCalendars, useNowWall, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { todoWords as said } from '@/ui/words/todos';

const NONE_HIDDEN: ReadonlySet<string> = new Set();
/** The longest line, in UTF-16 units. */
const LONGEST = 2000;

/** One line of ordinary words makes a to-do; what was understood is said under it as it is typed. */
export function TodoLineField() {
  const { homeZone } = useSettings();
  const calendars = useCalendars();
  const target = useSnapshot(({ state }) => targetCalendar(state, NONE_HIDDEN));
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const { createTodo } = useCommands();
  const grammar = useGrammar();
  const read = useTodoReader({ calendars, target, zone: homeZone, selectedDay: today });
  const [line, setLine] = useState('');
  const [problem, setProblem] = useState('');
  const reading = useMemo(
    () => (line.trim() && grammar ? read(grammar, line) : undefined),
    [line, grammar, read],
  );
  const add = async () => {
    if (!line.trim()) return;
    // Who types before the grammar has arrived waits for it, and loses nothing.
    const made = read(grammar ?? (await importWords()), line);
    if (!made) setProblem(said.noCalendar);
    else if (!made.fields.title) setProblem(said.missingTitle);
    else if (createTodo(made.fields)) setLine('');
  };
  return (
    <View style={styles.line}>
      <View style={styles.row}>
        <View style={styles.grow}>
          <TextField
            label={said.line}
            placeholder={said.lineHint}
            value={line}
            maxLength={LONGEST}
            error={problem || undefined}
            onChangeText={(text) => {
              setLine(text);
              setProblem('');
            }}
            onSubmit={() => void add()}
            testID="todo-line"
          />
        </View>
        <Button kind="primary" label={said.add} disabled={!line.trim()} onPress={() => void add()} />
      </View>
      <AppText size="small" tone="quiet" figures role="status" testID="todo-understood">
        {reading ? todoLineText(reading, homeZone) : ''}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { gap: space(1) },
  row: { flexDirection: 'row', alignItems: 'flex-end', gap: space(2) },
  grow: { flex: 1, minWidth: 0 },
});

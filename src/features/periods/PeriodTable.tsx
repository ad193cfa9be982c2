import { StyleSheet, View } from 'react-native';
import type { Period, PeriodFault } from '@/core/time/periods';
import { rangeText, shortDayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { periodWords } from '@/ui/words/periods';

const COLUMNS = [
  periodWords.column.name,
  periodWords.column.first,
  periodWords.column.last,
  periodWords.column.length,
];

/** The periods of a year as a table, with the gaps and overlaps between them pointed out. */
export function PeriodTable({
  periods,
  faults,
  today,
}: {
  periods: readonly Period[];
  faults: readonly PeriodFault[];
  today: number;
}) {
  const { colours } = useTheme();
  return (
    <View style={styles.box}>
      {faults.map((fault) => (
        <AppText key={`${fault.kind}${fault.first}`} tone="error" role="alert" testID="period-fault">
          {periodWords.fault[fault.kind](
            rangeText(fault.first, fault.end - 1, true),
            fault.end - fault.first,
          )}
        </AppText>
      ))}
      <View role="table" aria-label={periodWords.table}>
        <View role="row" style={[styles.row, { borderColor: colours.line }]}>
          {COLUMNS.map((column) => (
            <AppText
              key={column}
              role={'columnheader' as never}
              size="small"
              tone="quiet"
              style={styles.cell}
            >
              {column}
            </AppText>
          ))}
        </View>
        {periods.map((period) => {
          const isNow = period.first <= today && today < period.end;
          const days = period.end - period.first;
          const cells = [
            period.name || words.periods.numbered(period.number, period.year),
            shortDayText(period.first),
            shortDayText(period.end - 1),
            days % 7 === 0 ? periodWords.inWeeks(days / 7) : words.periods.inDays(days),
          ];
          return <PeriodRow key={`${period.first} ${period.number}`} isNow={isNow} cells={cells} />;
        })}
      </View>
    </View>
  );
}

/** A period: its name, its first and last day, its length. */
function PeriodRow({ isNow, cells }: { isNow: boolean; cells: readonly string[] }) {
  const { colours } = useTheme();
  return (
    <View
      role="row"
      testID="period-row"
      style={[
        styles.row,
        { borderColor: colours.line },
        isNow ? { backgroundColor: colours.accentTint } : null,
      ]}
    >
      {cells.map((cell, index) => (
        <AppText
          key={index}
          role={'cell' as never}
          figures
          weight={index === 0 ? '700' : '400'}
          style={styles.cell}
        >
          {cell}
        </AppText>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space(2) },
  row: { flexDirection: 'row', borderBottomWidth: hairline, paddingVertical: space(1) },
  cell: { flex: 1, paddingRight: space(1) },
});

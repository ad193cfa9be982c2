import { type ComponentProps, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { HoursAnswer, HoursQuery } from '@/core/tidy/hours/hoursQuery';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { space } from '@/ui/theme/tokens';
import { hoursWords as said } from '@/ui/words/hours';
import { PaperLayer } from '../PaperLayer';
import { CHART_HEIGHT, ChartPanel } from './ChartPanel';
import { FigureTable } from './FigureTable';
import { columnName, figure, length, type NamedRow, stackedParts } from './hoursParts';
import { hoursPaper, saveChart, saveHours } from './saveHours';
import { StackedBars } from './StackedBars';

interface HoursChartProps {
  answer: HoursAnswer;
  query: HoursQuery;
  rows: readonly NamedRow[];
}

/** The hours told apart: stacked over the columns, and as a table that is saved and printed. */
export function HoursChart({ answer, query, rows }: HoursChartProps) {
  const chart = useRef<HTMLDivElement>(null);
  const [isPrinting, setPrinting] = useState(false);
  const parts = useMemo(() => stackedParts(rows), [rows]);
  const title = said.chart(said.bys[query.by]);
  const bars = {
    label: said.chartLabel(
      title,
      rows.map(({ name, row }) => said.part(name, length(row.minutes))).join(', '),
    ),
    columns: answer.columns.map((column) => columnName(column, query.step)),
    parts,
    height: CHART_HEIGHT,
  };
  const share = (minutes: number) =>
    answer.minutes === 0 || minutes === 0 ? '' : `${Math.round((100 * minutes) / answer.minutes)} %`;
  return (
    <ChartPanel
      title={title}
      about={query.by === 'person' ? said.people : said.shared}
      chart={(width) => (
        <div ref={chart} data-testid="hours-chart">
          <StackedBars {...bars} width={width} />
        </div>
      )}
    >
      <FigureTable
        label={title}
        head={[
          said.bys[query.by],
          said.head.hours,
          said.head.share,
          said.head.before,
          said.head.each,
          said.head.wholeDays,
        ]}
        rows={rows.map(({ row, name, mark, colour }) => ({
          key: row.key,
          mark: <Mark small mark={mark} colour={colour} />,
          cells: [
            name,
            figure(row.minutes),
            share(row.minutes),
            figure(row.before),
            figure(row.each),
            row.wholeDays > 0 ? String(row.wholeDays) : '',
          ],
        }))}
      />
      <View style={styles.row}>
        <Button
          icon="download-outline"
          label={said.saveTable}
          onPress={() => saveHours(answer, query, rows)}
          testID="save-hours"
        />
        <Button
          icon="download-outline"
          label={said.saveChart}
          onPress={() => saveChart(chart.current)}
          testID="save-chart"
        />
        <Button icon="printer-outline" label={said.print} onPress={() => setPrinting(true)} />
      </View>
      {isPrinting ? (
        <HoursPrint
          bars={bars}
          title={title}
          answer={answer}
          query={query}
          rows={rows}
          onClose={() => setPrinting(false)}
        />
      ) : null}
    </ChartPanel>
  );
}

/** The chart and its figures on paper. */
function HoursPrint({
  bars,
  title,
  answer,
  query,
  rows,
  onClose,
}: HoursChartProps & {
  bars: Omit<ComponentProps<typeof StackedBars>, 'width'>;
  title: string;
  onClose: () => void;
}) {
  // Made once: a table that is another one is dealt out over its sheets again.
  const [table] = useState(() => ({
    ...hoursPaper(title, answer, query, rows),
    picture: (width: number) => <StackedBars {...bars} width={width} />,
  }));
  return <PaperLayer table={table} failed={false} onClose={onClose} />;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});

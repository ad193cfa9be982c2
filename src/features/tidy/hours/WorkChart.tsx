import type { HoursAnswer, HoursQuery } from '@/core/tidy/hours/hoursQuery';
import { rangeText } from '@/ui/dates';
import { hoursWords as said } from '@/ui/words/hours';
import { CHART_HEIGHT, ChartPanel } from './ChartPanel';
import { FigureTable } from './FigureTable';
import { columnName, figure, length } from './hoursParts';
import { StackedBars } from './StackedBars';

/** What of the working hours is booked, with others, and free in one piece. */
export function WorkChart({ answer, query }: { answer: HoursAnswer; query: HoursQuery }) {
  const names = answer.columns.map((column) => columnName(column, query.step));
  const parts = [
    {
      key: 'meetings',
      mark: said.head.meetings.slice(0, 1),
      colour: 'harbour',
      values: answer.columns.map(({ meetings }) => meetings),
    },
    {
      key: 'booked',
      mark: said.head.booked.slice(0, 1),
      colour: 'pine',
      values: answer.columns.map(({ booked, meetings }) => Math.max(0, booked - meetings)),
    },
  ];
  return (
    <ChartPanel
      title={said.work}
      about={said.workAbout}
      chart={(width) => (
        <StackedBars
          label={said.chartLabel(
            said.work,
            answer.columns
              .map(({ booked, working }, at) => `${names[at]} ${length(booked)} / ${length(working)}`)
              .join(', '),
          )}
          columns={names}
          parts={parts}
          outlines={answer.columns.map(({ working }) => working)}
          width={width}
          height={CHART_HEIGHT - 60}
        />
      )}
    >
      <FigureTable
        label={said.work}
        head={[said.head.time, said.head.booked, said.head.meetings, said.head.unbroken, said.head.working]}
        rows={answer.columns.map((column, at) => ({
          key: String(column.first),
          cells: [
            column.end - column.first > 1 ? rangeText(column.first, column.end - 1, false) : names[at]!,
            figure(column.booked),
            figure(column.meetings),
            figure(column.unbroken),
            figure(column.working),
          ],
        }))}
      />
    </ChartPanel>
  );
}

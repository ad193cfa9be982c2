import { useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { AVAILABILITIES, type Availability } from '@/core/model/entry';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { HOURS_BY, type HoursAnswer, type HoursQuery } from '@/core/tidy/hours/hoursQuery';
import { stepsFor, type TidyLook } from '@/core/tidy/tidyLook';
import { MINUTE } from '@/core/time/civil';
import { usePlanAddress, workspace } from '@/features/workspace';
import { useCalendars } from '@/store';
import { lengthText, monthText, rangeText, shortMonthDayText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Mark } from '@/ui/primitives/Mark';
import { SelectField } from '@/ui/primitives/PlatformField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { hoursWords as said } from '@/ui/words/hours';
import { tidyWords } from '@/ui/words/tidy';
import { PaperLayer } from '../PaperLayer';
import { SpanFields } from '../TidyTools';
import type { useTidyAddress } from '../useTidyAddress';
import { FigureTable } from './FigureTable';
import { type NamedRow, namedRows, stackedParts } from './hoursParts';
import { hoursPaper, saveHours, saveChart } from './saveHours';
import { StackedBars } from './StackedBars';
import { useHours } from './useHours';

/** Free time is none that is taken. */
const COUNTABLE = AVAILABILITIES.filter((value) => value !== 'free');
const AT_FIRST: readonly Availability[] = ['busy', 'away'];
const CHART_HEIGHT = 260;

const length = (minutes: number): string => lengthText(minutes * MINUTE);
/** A figure of a table: nothing where there is none. */
const figure = (minutes: number): string => (Math.round(minutes) > 0 ? length(minutes) : '');

interface HoursPartProps {
  look: TidyLook;
  show: ReturnType<typeof useTidyAddress>['show'];
}

/** Where the hours of a time went: told apart, over its weeks, against the working hours, and in which series. */
export function HoursPart({ look, show }: HoursPartProps) {
  const calendars = useCalendars();
  const [counted, setCounted] = useState(AT_FIRST);
  const { query, answer, isStale, failed, retry } = useHours(look, counted);
  const byId = useMemo(() => new Map(calendars.map((each) => [each.id, each])), [calendars]);
  const rows = useMemo(() => (answer ? namedRows(answer, look.by, byId) : []), [answer, look.by, byId]);
  return (
    <ScrollView contentContainerStyle={styles.part} testID="hours-part">
      <HoursTools look={look} show={show} query={query} counted={counted} setCounted={setCounted} />
      {failed ? (
        <View role="alert" style={styles.state}>
          <AppText>{said.failed}</AppText>
          <Button label={said.retry} onPress={retry} />
        </View>
      ) : !answer ? (
        <AppText role="status" tone="quiet">
          {said.loading}
        </AppText>
      ) : (
        <View aria-busy={isStale} style={styles.part}>
          <HoursTotals answer={answer} query={query} />
          {answer.minutes === 0 && rows.every(({ row }) => row.wholeDays === 0) ? (
            <AppText tone="quiet">{said.nothing}</AppText>
          ) : (
            <>
              <HoursChart answer={answer} query={query} rows={rows} />
              <WorkChart answer={answer} query={query} />
              {answer.series.length > 0 ? <SeriesTable answer={answer} /> : null}
            </>
          )}
        </View>
      )}
    </ScrollView>
  );
}

interface Shown {
  answer: HoursAnswer;
  query: HoursQuery;
}

/** What is asked: which time, told apart by what, over which columns, and what counts. */
function HoursTools({
  look,
  show,
  query,
  counted,
  setCounted,
}: HoursPartProps & {
  query: HoursQuery;
  counted: readonly Availability[];
  setCounted: (values: readonly Availability[]) => void;
}) {
  const { width } = useWindowDimensions();
  const { address } = usePlanAddress();
  const isFiltered = address.hidden.length > 0 || !isFilterEmpty(address.filter);
  const steps = stepsFor(query.range.end - query.range.first);
  return (
    <View style={styles.tools}>
      <View style={styles.span}>
        <SpanFields look={look} show={show} />
        <Button
          icon={isFiltered ? 'filter' : 'filter-outline'}
          iconOnly={width < WIDE}
          label={tidyWords.filter}
          selected={isFiltered}
          onPress={() => workspace.openSheet('filter')}
        />
      </View>
      <View style={styles.field}>
        <SelectField
          label={said.by}
          value={look.by}
          options={HOURS_BY.map((value) => ({ value, label: said.bys[value] }))}
          onChange={(value) =>
            show({ by: HOURS_BY.find((by) => by === value) ?? look.by }, { quietly: true })
          }
          testID="hours-by"
        />
      </View>
      {steps.length > 1 ? (
        <ChoiceRow
          label={said.step}
          choices={steps.map((value) => ({ value, label: said.steps[value] }))}
          value={query.step}
          onChange={(step) => show({ step }, { quietly: true })}
        />
      ) : null}
      <ToggleRow
        label={said.counts}
        choices={COUNTABLE.map((value) => ({ value, label: words.entry.availability[value] }))}
        values={counted}
        onChange={setCounted}
      />
    </View>
  );
}

/** All hours in words, and beside those of the time before. */
function HoursTotals({ answer, query }: Shown) {
  const { minutes, each, before } = answer;
  const change = Math.round(minutes - before);
  const than = (range: string): string =>
    change === 0
      ? said.than.same(range)
      : change > 0
        ? said.than.more(length(change), range)
        : said.than.less(length(-change), range);
  return (
    <View role="status" testID="hours-total" style={styles.totals}>
      <AppText weight="700" figures>
        {said.total(length(minutes))}
      </AppText>
      <AppText tone="quiet" figures>
        {[
          Math.round(each) === Math.round(minutes) ? '' : said.each(length(each)),
          query.before ? than(rangeText(query.before.first, query.before.end - 1, false)) : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </AppText>
    </View>
  );
}

/** What a column is called under its bar. */
const columnName = ({ first }: { readonly first: number }, step: HoursQuery['step']): string =>
  step === 'month' ? monthText(first).split(' ')[0]!.slice(0, 3) : shortMonthDayText(first);

/** A panel of a chart with its figures below. */
function ChartPanel({
  title,
  about,
  chart,
  children,
}: {
  title: string;
  about: string;
  chart: (width: number) => React.ReactNode;
  children: React.ReactNode;
}) {
  const { colours } = useTheme();
  const [room, setRoom] = useState(0);
  return (
    <View
      role="group"
      aria-label={title}
      style={[styles.panel, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <TitleText level={2} size="large">
        {title}
      </TitleText>
      <AppText size="small" tone="quiet">
        {about}
      </AppText>
      <View
        onLayout={({ nativeEvent }) => setRoom(Math.floor(nativeEvent.layout.width))}
        style={styles.chart}
      >
        {room > 0 ? chart(room) : null}
      </View>
      {children}
    </View>
  );
}

/** The hours told apart: stacked over the columns, and as a table that is saved and printed. */
function HoursChart({ answer, query, rows }: Shown & { rows: readonly NamedRow[] }) {
  const chart = useRef<HTMLDivElement>(null);
  const [isPrinting, setPrinting] = useState(false);
  const parts = useMemo(() => stackedParts(rows), [rows]);
  const title = said.chart(said.bys[query.by]);
  const paper = useMemo(() => hoursPaper(title, answer, query, rows), [title, answer, query, rows]);
  const share = (minutes: number) =>
    answer.minutes === 0 || minutes === 0 ? '' : `${Math.round((100 * minutes) / answer.minutes)} %`;
  return (
    <ChartPanel
      title={title}
      about={query.by === 'person' ? said.people : said.shared}
      chart={(width) => (
        <div ref={chart} data-testid="hours-chart">
          <StackedBars
            label={said.chartLabel(
              title,
              rows.map(({ name, row }) => said.part(name, length(row.minutes))).join(', '),
            )}
            columns={answer.columns.map((column) => columnName(column, query.step))}
            parts={parts}
            width={width}
            height={CHART_HEIGHT}
          />
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
      {isPrinting ? <PaperLayer table={paper} failed={false} onClose={() => setPrinting(false)} /> : null}
    </ChartPanel>
  );
}

/** What of the working hours is booked, with others, and free in one piece. */
function WorkChart({ answer, query }: Shown) {
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

/** The series that take the most. */
function SeriesTable({ answer }: { answer: HoursAnswer }) {
  const { colours } = useTheme();
  const calendars = useCalendars();
  return (
    <View style={[styles.panel, { borderColor: colours.line, backgroundColor: colours.card }]}>
      <TitleText level={2} size="large">
        {said.series}
      </TitleText>
      <FigureTable
        label={said.series}
        head={[said.head.series, said.head.hours, said.head.count]}
        rows={answer.series.map(({ entryId, title, calendarId, minutes, count }) => {
          const calendar = calendars.find(({ id }) => id === calendarId);
          return {
            key: entryId,
            mark: calendar ? <Mark small mark={calendar.mark} colour={calendar.colour} /> : null,
            cells: [title || words.entry.noTitle, length(minutes), String(count)],
          };
        })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(3), paddingBottom: space(4) },
  tools: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'flex-end',
    columnGap: space(4),
    rowGap: space(2),
  },
  span: { flexDirection: 'row', alignItems: 'center', gap: space(2), flexGrow: 1, maxWidth: 420 },
  field: { minWidth: 140 },
  totals: { gap: space(1) },
  panel: { borderWidth: hairline, borderRadius: corner, padding: space(3), gap: space(2) },
  chart: { minHeight: CHART_HEIGHT - 60 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  state: { alignItems: 'center', gap: space(3), padding: space(4) },
});

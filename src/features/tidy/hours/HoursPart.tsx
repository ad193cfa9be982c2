import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { Availability } from '@/core/model/entry';
import type { HoursAnswer, HoursQuery } from '@/core/tidy/hours/hoursQuery';
import type { TidyLook } from '@/core/tidy/tidyLook';
import { useCalendars } from '@/store';
import { rangeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { hoursWords as said } from '@/ui/words/hours';
import type { useTidyAddress } from '../useTidyAddress';
import { FigureTable } from './FigureTable';
import { HoursChart } from './HoursChart';
import { length, namedRows } from './hoursParts';
import { HoursTools } from './HoursTools';
import { useHours } from './useHours';
import { WorkChart } from './WorkChart';

const AT_FIRST: readonly Availability[] = ['busy', 'away'];

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
  totals: { gap: space(1) },
  panel: { borderWidth: hairline, borderRadius: corner, padding: space(3), gap: space(2) },
  state: { alignItems: 'center', gap: space(3), padding: space(4) },
});

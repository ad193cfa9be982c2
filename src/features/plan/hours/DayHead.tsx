import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { WorkingDay } from '@/core/model/settings';
import type { Degrees } from '@/core/forecast/forecast';
import type { DayLoad } from '@/core/schedule/load';
import type { TodoItem } from '@/core/todos/currentTodo';
import type { DayWeather } from '@/store';
import { weatherSaid, weatherText } from '@/ui/weatherText';
import { dayOfMonthText, dayText, lengthText, otherSystemText, weekdayText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { DueFlag } from '../grid/DueFlag';
import { MINUTE } from '@/core/time/civil';

/** A line of small words under the date. */
const WORDS = 15;

/** The height of the heads: with the day in words, unless the window is low, and with a second calendar system if there is one. */
export const dayHeadHeight = (system: string | undefined, isLow: boolean): number =>
  sizes.dayHead + (isLow ? 0 : WORDS) + (system ? WORDS : 0);

/** What the date takes of the first line, and a flag. */
const BESIDE = 72;
const FLAG = 28;
/** From here on a flag stands beside the date. */
const WITH_FLAG = 76;

/** Narrower, and weekday and date stand under each other. */
const STACKED = 40;

interface DayHeadProps {
  day: number;
  /** Its column. */
  index: number;
  isToday: boolean;
  load: DayLoad | undefined;
  /** The to-dos that are due on it. */
  due: readonly TodoItem[] | undefined;
  /** The weather of the place of that day, and the scale of its degrees. */
  weather: DayWeather | undefined;
  degrees: Degrees;
  /** When and where one works; undefined where that is nobody's business. */
  working: WorkingDay | undefined;
  width: number;
  /** A second calendar system whose date stands under the first. */
  system: string | undefined;
  /** Whether the window has no height for the day in words. */
  isLow: boolean;
  /** Changes when the fonts have loaded and texts are to be measured anew. */
  fontsLoaded: boolean;
  onOpen: (day: number) => void;
}

/** The head of a day: weekday, date, place of work, and how booked it is. Pressed, it opens the day. */
export const DayHead = memo(function DayHead({
  day,
  index,
  isToday,
  load,
  weather,
  degrees,
  due,
  working,
  width,
  system,
  isLow,
  onOpen,
}: DayHeadProps) {
  const { colours } = useTheme();
  const share = load && load.working > 0 ? Math.min(1, load.booked / load.working) : 0;
  const isDayOff = working?.spans.length === 0;
  const said = isDayOff
    ? words.plan.dayOff
    : [
        load && words.plan.dayLoad(lengthText(load.booked * MINUTE), lengthText(load.working * MINUTE)),
        working && words.plan.place[working.place],
      ]
        .filter(Boolean)
        .join(', ');
  const hours = load && load.booked > 0 ? lengthText(load.booked * MINUTE) : '';
  const place = working ? words.plan.placeInShort[working.place] : '';
  const sky = weather && weatherText(weather, degrees);
  const isBeside = !!sky && measureSmallText(sky, '400') <= width - BESIDE - (due ? FLAG : 0);
  const under = isBeside ? '' : (sky ?? '');
  // What has no room is left out whole; it is read out all the same. The weather was asked for: the place goes first.
  const lines = isDayOff
    ? [[words.plan.dayOff, under], [words.plan.dayOff]]
    : [[hours, place, under], [hours, under], [under], [hours, place], [hours]];
  const room = width - 2 * space(2);
  const inShort = lines
    .map((parts) => parts.filter(Boolean).join(' · '))
    .find((text) => text && measureSmallText(text.replaceAll(/\d/g, '0'), '400') <= room);
  const isStacked = width < STACKED;
  const ink = isToday ? colours.onPrimary : colours.ink;
  return (
    <View
      role="heading"
      aria-level={2}
      testID="day-head"
      aria-label={[
        dayText(day),
        system && otherSystemText(system, day),
        said,
        due && words.plan.due(due.length),
        weather && weatherSaid(weather, degrees),
      ]
        .filter(Boolean)
        .join(', ')}
      style={[styles.head, { width, borderColor: colours.line, height: dayHeadHeight(system, isLow) }]}
    >
      <DayHeadWords
        day={day}
        index={index}
        onOpen={onOpen}
        isStacked={isStacked}
        isToday={isToday}
        ink={ink}
        width={width}
        isLow={isLow}
        inShort={inShort ?? (isDayOff ? words.plan.dayOff : '')}
        due={due}
        weather={isBeside ? sky : undefined}
        system={system}
      />
      <View style={[styles.bar, { backgroundColor: isDayOff || !load ? 'transparent' : colours.line }]}>
        <View style={[styles.filled, { width: `${share * 100}%`, backgroundColor: colours.primary }]} />
      </View>
    </View>
  );
});

interface DayHeadWordsProps {
  day: number;
  index: number;
  onOpen: (day: number) => void;
  isStacked: boolean;
  isToday: boolean;
  ink: string;
  width: number;
  isLow: boolean;
  inShort: string;
  due: readonly TodoItem[] | undefined;
  weather: string | undefined;
  system: string | undefined;
}

/** The day and what is booked of it, as a way to open it. */
function DayHeadWords({
  day,
  index,
  onOpen,
  isStacked,
  isToday,
  ink,
  width,
  isLow,
  inShort,
  due,
  weather,
  system,
}: DayHeadWordsProps) {
  const { colours } = useTheme();
  return (
    <Pressable
      role="button"
      aria-label={words.weeks.open(dayText(day))}
      tabIndex={index === 0 ? 0 : -1}
      onPress={() => onOpen(day)}
      {...webProps({ dataSet: { head: String(index), menuDay: String(day) } })}
      style={styles.press}
    >
      <View style={[styles.row, isStacked ? styles.tight : null]}>
        <View
          style={[
            styles.date,
            isStacked ? styles.tight : null,
            isToday ? { backgroundColor: colours.primary } : null,
          ]}
        >
          {isStacked ? (
            <>
              <AppText size="small" colour={ink} style={styles.stacked}>
                {weekdayText(day, 'narrow')}
              </AppText>
              <AppText size="small" weight="700" figures colour={ink} style={styles.stacked}>
                {dayOfMonthText(day)}
              </AppText>
            </>
          ) : (
            <AppText weight="700" figures colour={ink} numberOfLines={1}>
              {`${weekdayText(day, width < 60 ? 'narrow' : 'short')} ${dayOfMonthText(day)}`}
            </AppText>
          )}
        </View>
        {due && width >= WITH_FLAG ? <DueFlag due={due} /> : null}
        {weather ? (
          <AppText size="small" tone="quiet" figures numberOfLines={1} aria-hidden style={styles.weather}>
            {weather}
          </AppText>
        ) : null}
      </View>
      {isLow || isStacked ? null : (
        <AppText size="small" tone="quiet" figures numberOfLines={1} style={styles.words}>
          {inShort}
        </AppText>
      )}
      {system ? (
        <AppText size="small" tone="quiet" numberOfLines={1} style={styles.words}>
          {otherSystemText(system, day)}
        </AppText>
      ) : null}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  head: { borderLeftWidth: hairline, justifyContent: 'space-between' },
  press: { flex: 1, paddingTop: space(1) },
  row: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: space(1), gap: space(1) },
  date: { borderRadius: corner, paddingHorizontal: space(1) + 1, paddingVertical: 1 },
  weather: { marginLeft: 'auto' },
  tight: { paddingHorizontal: 0, flexGrow: 1 },
  stacked: { lineHeight: 13, textAlign: 'center' },
  words: { paddingHorizontal: space(2), lineHeight: WORDS },
  bar: { height: 3, marginHorizontal: space(1) + 1, marginBottom: 2, borderRadius: 2, overflow: 'hidden' },
  filled: { height: 3 },
});

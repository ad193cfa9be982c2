import type { WritingHabits } from '@/core/time/typedTimes';
import { writtenOrder } from '@/core/time/writtenOrder';
import { DAY, HOUR, MINUTE } from '@/core/time/civil';

/**
 * Wall times and days in words, by Intl in the person's locale. All take wall times (milliseconds of a clock without a
 * zone) or day numbers, so no zone is applied twice.
 */
const formats = new Map<string, Intl.DateTimeFormat>();

/** The person's own language and habits of writing dates. */
export const locale = (): string => globalThis.navigator?.language ?? 'en-GB';

function format(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = JSON.stringify(options);
  let found = formats.get(key);
  if (!found) {
    found = new Intl.DateTimeFormat(locale(), { ...options, timeZone: 'UTC' });
    formats.set(key, found);
  }
  return found;
}

const of = (wall: number, options: Intl.DateTimeFormatOptions): string => format(options).format(wall);

let hourCycle: 'h12' | 'h23' | undefined;
const forgetters: (() => void)[] = [];

/** Writes times by a clock of twelve or 24 hours from now on; as is usual where the person is if neither is given. */
export function writeTimesBy(cycle: 'h12' | 'h23' | undefined): void {
  if (cycle === hourCycle) return;
  hourCycle = cycle;
  for (const forget of forgetters) forget();
}

let presentDay: number | undefined;
let presentYear: number | undefined;

/** Days of another year than that of today are written with their year from now on; all without until it is said. */
export function writeDaysFrom(today: number): void {
  presentDay = today;
  const year = new Date(today * DAY).getUTCFullYear();
  if (year === presentYear) return;
  presentYear = year;
  for (const forget of forgetters) forget();
}

/** The day number of today, as it was said; of the first of 1970 until then. */
export const writtenToday = (): number => presentDay ?? 0;

/** Says the year of a day that is not in this one. */
const withYear = (day: number): Intl.DateTimeFormatOptions =>
  presentYear === undefined || new Date(day * DAY).getUTCFullYear() === presentYear
    ? {}
    : { year: 'numeric' };

/** The same few texts stand on hundreds of cards: each is formatted once. */
function kept<Kept>(text: (value: number) => Kept, same: (value: number) => number = (value) => value) {
  const texts = new Map<number, Kept>();
  forgetters.push(() => texts.clear());
  return (value: number): Kept => {
    const key = same(value);
    let found = texts.get(key);
    if (found === undefined) {
      if (texts.size > 5000) texts.clear();
      texts.set(key, (found = text(value)));
    }
    return found;
  };
}

const timeOptions = (): Intl.DateTimeFormatOptions => ({
  hour: 'numeric',
  minute: '2-digit',
  ...(hourCycle ? { hourCycle } : {}),
});
const timeOfDay = (wall: number): number => ((wall % DAY) + DAY) % DAY;
/** A range without room around its dash, which browsers set differently. */
const closed = (text: string): string => text.replaceAll(/\s*–\s*/g, '–');
/** No line breaks within a time. */
const unbroken = (text: string): string => text.replaceAll(/\s/g, '\u00a0');

/** "14:00", or "2:00 pm" where that is usual. */
export const timeText = kept((wall) => unbroken(of(wall, timeOptions())), timeOfDay);

/** Whether times are written by a clock of twelve hours, which takes more room. */
export const writesTwelveHours = (): boolean => hasTwelveHours(0);
const hasTwelveHours = kept(() => /^h1[12]$/.test(format(timeOptions()).resolvedOptions().hourCycle ?? ''));

let firstWeekday = 1;

/** Lets weeks begin on an ISO weekday from now on, wherever a day is picked. */
export function beginWeeksOn(weekday: number): void {
  firstWeekday = weekday;
}

/** The ISO weekday on which weeks begin. */
export const weeksBeginOn = (): number => firstWeekday;

const nameIn = (wall: number, options: Intl.DateTimeFormatOptions, part?: string): string => {
  const text = part
    ? format(options)
        .formatToParts(wall)
        .find(({ type }) => type === part)?.value
    : of(wall, options);
  return (text ?? '').toLowerCase().replaceAll('.', '').trim();
};

let habits: WritingHabits | undefined;

/** How dates and times are written where the person is, to read them back from a field. */
export function writingHabits(): WritingHabits {
  const styles = ['long', 'short'] as const;
  const inDate = { day: 'numeric', year: 'numeric' } as const;
  return (habits ??= {
    order: writtenOrder(locale()) ?? 'dmy',
    months: Array.from({ length: 12 }, (_, index) =>
      styles.flatMap((month) => [
        nameIn(index * 31 * DAY, { month }),
        // In some languages a month is written otherwise beside its day.
        nameIn(index * 31 * DAY, { ...inDate, month }, 'month'),
      ]),
    ),
    weekdays: Array.from({ length: 7 }, (_, index) =>
      styles.map((weekday) => nameIn(index * DAY, { weekday })),
    ).flat(),
    halves: [0, 12].map((hour) => [
      nameIn(hour * HOUR, { hour: 'numeric', hourCycle: 'h12' }, 'dayPeriod'),
    ]) as unknown as WritingHabits['halves'],
  });
}

/** Whether days are written before months where the person is: "09/03", not "03/09". */
export const writesDayFirst = (): boolean => writingHabits().order === 'dmy';

/** "Tue, 9 Mar 2027": a day as a field shows it. */
export const fieldDayText = (day: number): string =>
  of(day * DAY, { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });

/** A time on a scale of hours: "14:00", "2 pm", "2:30 pm". */
export const hourText = kept((wall) => {
  const isWhole = wall % HOUR === 0;
  if (!isWhole || !writesTwelveHours()) return timeText(wall);
  const { minute: _, ...hour } = timeOptions();
  return unbroken(of(wall, hour));
}, timeOfDay);

/** A time as it is usually written where the person is, whatever they chose. */
export const usualTimeText = (wall: number): string => of(wall, { hour: 'numeric', minute: '2-digit' });

/** "14:00–15:00", "2:00–3:00 pm". */
export function timeRangeText(startWall: number, endWall: number): string {
  const isOneDay = Math.floor(startWall / DAY) === Math.floor(endWall / DAY);
  if (!isOneDay || !writesTwelveHours()) return `${timeText(startWall)}–${timeText(endWall)}`;
  return rangeOfOneDay(timeOfDay(startWall) * DAY + timeOfDay(endWall));
}
/** Both times of a day as one number. */
const rangeOfOneDay = kept((times) =>
  unbroken(closed(format(timeOptions()).formatRange(Math.floor(times / DAY), times % DAY))),
);

/** "Tuesday 9 March", with its year where that is another. */
export const dayText = kept((day) =>
  of(day * DAY, { weekday: 'long', day: 'numeric', month: 'long', ...withYear(day) }),
);

/** "Tuesday 9 March 2027". */
export const fullDayText = (day: number): string =>
  of(day * DAY, { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });

/** "Tue 9 Mar", with its year where that is another. */
export const shortDayText = kept((day) =>
  of(day * DAY, { weekday: 'short', day: 'numeric', month: 'short', ...withYear(day) }),
);

/** "Tue". */
export const weekdayText = (day: number, style: 'short' | 'long' | 'narrow' = 'short'): string =>
  of(day * DAY, { weekday: style });

/** "Tue" of an ISO weekday, Monday 1. */
export const weekdayName = (weekday: number, style: 'short' | 'long' | 'narrow' = 'short'): string =>
  // 1970-01-05 was a Monday.
  weekdayText(3 + weekday, style);

/** "March" of a month, January 1. */
export const monthName = (month: number, style: 'short' | 'long' = 'long'): string =>
  of((month - 1) * 31 * DAY, { month: style });

/** "8", or "1 Mar" for the first week of a month and wherever the month is not said before. */
export function weekLabelText(firstDay: number, saysMonth: boolean): string {
  const isFirst = new Date(firstDay * DAY).getUTCDate() <= 7;
  return saysMonth || isFirst
    ? of(firstDay * DAY, { day: 'numeric', month: 'short' })
    : dayOfMonthText(firstDay);
}

/** "Tue 9 March", with its year where that is another. */
export const agendaDayText = kept((day) =>
  of(day * DAY, { weekday: 'short', day: 'numeric', month: 'long', ...withYear(day) }),
);

/** "March 2027" of a day. */
export const monthText = (day: number): string => of(day * DAY, { month: 'long', year: 'numeric' });

/** "9 March". */
export const dayMonthText = (day: number): string => of(day * DAY, { day: 'numeric', month: 'long' });

/** A day by another calendar system (Unicode CLDR name): "29 Adar I". */
export const otherSystemText = (system: string, day: number): string =>
  of(day * DAY, { calendar: system, day: 'numeric', month: 'short' });

/** "1 Apr". */
export const shortMonthDayText = kept((day) => of(day * DAY, { day: 'numeric', month: 'short' }));

/** "9". */
export const dayOfMonthText = kept((day) => of(day * DAY, { day: 'numeric' }));

/** "9 March 2027". */
export const dateText = (day: number): string =>
  of(day * DAY, { day: 'numeric', month: 'long', year: 'numeric' });

/** The shown days in words, as short as they can be: "8–12 March 2027". */
export function rangeText(firstDay: number, lastDay: number, withYear: boolean): string {
  const options: Intl.DateTimeFormatOptions = {
    day: 'numeric',
    month: firstDay === lastDay || sameMonth(firstDay, lastDay) ? 'long' : 'short',
    ...(withYear ? { year: 'numeric' } : {}),
  };
  return firstDay === lastDay
    ? of(firstDay * DAY, { ...options, weekday: 'short' })
    : closed(format(options).formatRange(firstDay * DAY, lastDay * DAY));
}

const sameMonth = (a: number, b: number): boolean =>
  new Date(a * DAY).toISOString().slice(0, 7) === new Date(b * DAY).toISOString().slice(0, 7);

/** "+1 h", "−30 min": a difference between two clocks. */
export const offsetText = (milliseconds: number): string =>
  `${milliseconds < 0 ? '−' : '+'}${lengthText(Math.abs(milliseconds))}`;

/** "+1", "−0:30": a difference between two clocks in hours, where there is little room. */
export function briefOffsetText(milliseconds: number): string {
  const minutes = Math.round(Math.abs(milliseconds) / MINUTE);
  const rest = minutes % 60;
  const hours = Math.floor(minutes / 60);
  return `${milliseconds < 0 ? '−' : '+'}${hours}${rest === 0 ? '' : `:${String(rest).padStart(2, '0')}`}`;
}

/** "1 h 30", "45 min". */
export function lengthText(milliseconds: number): string {
  const minutes = Math.round(milliseconds / MINUTE);
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

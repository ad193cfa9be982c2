import { addMonths } from '../layout/views';
import type { Recurrence } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { type RepeatChoice, ruleOfChoice } from '../recurrence/choices';
import { formatRule, type RecurrenceRule } from '../recurrence/rule';
import { civilDate, DAY, dateString, HOUR, localString, MINUTE } from '../time/civil';
import { anyOf, type Doubt, type Said, type TimeSaid, wholeWords } from './candidate';
import { choiceSaid, firstDay } from './firstDate';
import { ENGLISH } from './language';
import { inOrder, type LineContext } from './lineContext';
import type { RepeatSaid } from './repeatSaid';

/** When something happens, and what else could be meant by its hour. */
export interface Times {
  readonly start: EventTime;
  readonly end: EventTime;
  readonly recurrence?: Recurrence;
  readonly doubt?: Doubt;
}

const titleHas = (title: string, words: readonly string[]): boolean => wholeWords(anyOf(words)).test(title);

/** The half of the day in which an hour of twelve is meant, and whether the other one is likely too. */
function halfOf(
  { minute }: TimeSaid,
  title: string,
  said: Said,
  context: LineContext,
): { half: 'am' | 'pm'; doubt?: Doubt } {
  const hour = Math.floor(minute / 60);
  if (said.half) return { half: said.half };
  if (hour === 12) return { half: 'pm' };
  const isEvening = hour >= 4 && titleHas(title, ENGLISH.evening);
  const isEarly = titleHas(title, ENGLISH.timetable) || (hour >= 4 && titleHas(title, ENGLISH.morning));
  // Offices are shut at three in the morning.
  const usual = isEvening ? 'pm' : isEarly ? 'am' : hour <= 6 ? 'pm' : 'am';
  const pattern = `hour-${hour}`;
  const choices = inOrder(pattern, usual === 'am' ? ['am', 'pm'] : ['pm', 'am'], context.habits);
  // From nine to four nobody wonders, unless the title says otherwise.
  const isDoubtful = (hour >= 5 && hour <= 8) || isEvening || (isEarly && usual === 'am' && hour < 5);
  return { half: choices[0] as 'am' | 'pm', ...(isDoubtful ? { doubt: { pattern, choices } } : {}) };
}

interface Clock {
  readonly time: number | undefined;
  readonly endTime: number | undefined;
  readonly doubt?: Doubt;
}

/** The times of day that are meant, in milliseconds since midnight. */
function clockOf(said: Said, title: string, context: LineContext): Clock {
  const { time, endTime } = said;
  const end = endTime && endTime.minute * MINUTE;
  if (!time) return { time: said.partFrom === undefined ? undefined : said.partFrom * MINUTE, endTime: end };
  const start = time.minute * MINUTE;
  if (time.isSure || time.minute >= 780) return { time: start, endTime: end };
  const { half, doubt } = halfOf(time, title, said, context);
  // A range of hours has been settled by its own length; only the evening moves both of its ends.
  if (endTime) {
    const isMoved = half === 'pm' && endTime.minute <= 720 && time.minute < endTime.minute;
    return isMoved && (said.half || titleHas(title, ENGLISH.evening))
      ? { time: start + 12 * HOUR, endTime: (endTime.minute + 720) * MINUTE }
      : { time: start, endTime: end };
  }
  const moved = half === 'pm' && time.minute < 720 ? start + 12 * HOUR : start;
  return { time: moved, endTime: end, ...(doubt ? { doubt } : {}) };
}

/** The start that is meant where the line says no time: the next half hour, or nine on another day. */
function proposedStart({ nowWall, today, selectedDay }: LineContext): number {
  if (selectedDay !== today) return selectedDay * DAY + 9 * HOUR;
  return Math.ceil(nowWall / (30 * MINUTE)) * 30 * MINUTE;
}

/** The first day of a repeat: from the day that is said, or from the selected one; a time that is over counts for the next. */
function firstDayOf(
  repeat: RepeatSaid,
  day: number | undefined,
  time: number | undefined,
  context: LineContext,
) {
  if (day !== undefined) return firstDay(repeat, day);
  const { today, selectedDay, nowWall } = context;
  const isOver = time !== undefined && selectedDay * DAY + time < nowWall;
  return firstDay(repeat, selectedDay === today && isOver ? today + 1 : selectedDay);
}

/** The day that is meant where the line says none, or a weekday that is today. */
function dayOf(said: Said, time: number | undefined, context: LineContext): number | undefined {
  const { today, selectedDay, nowWall } = context;
  const isOver = (day: number) => time !== undefined && day * DAY + time < nowWall;
  if (said.day !== undefined)
    return said.isWeekday && said.day === today && isOver(today) ? today + 7 : said.day;
  if (time === undefined) return undefined;
  return selectedDay === today && isOver(today) ? today + 1 : selectedDay;
}

/** A repeat without the weekdays that are left out; undefined if nothing remains of it. */
function withoutWeekdays(repeat: RepeatSaid, weekdays: readonly number[]): RepeatSaid {
  if (weekdays.length === 0) return repeat;
  const all = repeat.frequency === 'DAILY' && repeat.interval === 1 ? [1, 2, 3, 4, 5, 6, 7] : repeat.weekdays;
  const left = all.filter((weekday) => !weekdays.includes(weekday));
  return left.length === 0 || all.length === 0 ? repeat : { ...repeat, frequency: 'WEEKLY', weekdays: left };
}

/** The repeat that is meant: months without a day begin with it, or with the day that is said. */
function repeatOf(said: Said): RepeatSaid | undefined {
  if (!said.repeat) return undefined;
  const repeat = withoutWeekdays(said.repeat, said.exceptWeekdays ?? []);
  const isOfMonths = repeat.frequency === 'YEARLY' && repeat.months.length > 0 && !repeat.on;
  if (!isOfMonths) return repeat;
  return { ...repeat, on: { kind: 'days', days: [said.day === undefined ? 1 : civilDate(said.day).day] } };
}

function endsOf(said: Said, first: number): RepeatChoice['ends'] {
  if (said.until !== undefined) return { kind: 'until', date: dateString(said.until) };
  if (said.count !== undefined) return { kind: 'count', count: said.count };
  if (!said.goesOn) return { kind: 'never' };
  const end = 'days' in said.goesOn ? first + said.goesOn.days : addMonths(first, said.goesOn.months);
  return { kind: 'until', date: dateString(end - 1) };
}

function recurrenceOf(
  repeat: RepeatSaid,
  said: Said,
  start: EventTime,
  startWall: number,
  context: LineContext,
): Recurrence {
  const ends = endsOf(said, Math.floor(startWall / DAY));
  const choice = { ...choiceSaid(repeat, startWall, context.weekStart ?? 1), ends };
  let rule: RecurrenceRule = ruleOfChoice(choice, startWall);
  const { exceptMonths = [], exceptDays = [] } = said;
  if (exceptMonths.length > 0) {
    const months =
      rule.byMonth.length > 0 ? rule.byMonth : Array.from({ length: 12 }, (_, index) => index + 1);
    rule = { ...rule, byMonth: months.filter((month) => !exceptMonths.includes(month)) };
  }
  const at = (day: number): EventTime =>
    start.kind === 'date'
      ? { kind: 'date', date: dateString(day) }
      : { ...start, local: localString(day * DAY + (startWall % DAY)) };
  return { rules: [formatRule(rule)], dates: [], exceptionDates: exceptDays.map(at) };
}

/** The start and end, and the repeat, that a line's parts mean together; what was not said is filled in. */
export function timesOf(said: Said, title: string, context: LineContext): Times {
  const clock = clockOf(said, title, context);
  const time = said.isAllDay ? undefined : clock.time;
  const own = repeatOf(said);
  const isOnEach = said.lastDay !== undefined && time !== undefined && !said.isThrough;
  const repeat = own ?? (isOnEach ? DAILY : undefined);
  const plainDay = dayOf(said, time, context);
  const day = repeat
    ? firstDayOf(
        repeat,
        plainDay === undefined || said.day === undefined ? said.day : plainDay,
        time,
        context,
      )
    : plainDay;
  const until = repeat && said.lastDay !== undefined ? { ...said, until: said.lastDay } : said;
  const finish = (start: EventTime, end: EventTime, startWall: number): Times => ({
    start,
    end,
    ...(repeat ? { recurrence: recurrenceOf(repeat, until, start, startWall, context) } : {}),
    ...(clock.doubt && !said.isAllDay ? { doubt: clock.doubt } : {}),
  });
  const isTimedLength = said.length !== undefined && !said.hasWholeDays;
  if (
    said.isAllDay ||
    (time === undefined &&
      !isTimedLength &&
      (day !== undefined || said.hasWholeDays || said.lastDay !== undefined))
  ) {
    const first = day ?? context.selectedDay;
    const last =
      (repeat ? undefined : said.lastDay) ?? first + (said.hasWholeDays ? said.length! / DAY : 1) - 1;
    return finish(
      { kind: 'date', date: dateString(first) },
      { kind: 'date', date: dateString(Math.max(first, last) + 1) },
      first * DAY,
    );
  }
  const proposed = proposedStart(context);
  const startDay = day ?? Math.floor(proposed / DAY);
  const start =
    startDay * DAY +
    (time ?? (startDay === Math.floor(proposed / DAY) ? proposed - startDay * DAY : 9 * HOUR));
  const zone = said.zone ?? context.zone;
  const zoned = (wall: number): EventTime => ({ kind: 'zoned', local: localString(wall), zone });
  return finish(zoned(start), zoned(endOf(start, startDay, said, clock.endTime, context)), start);
}

const DAILY: RepeatSaid = { frequency: 'DAILY', interval: 1, weekdays: [], on: undefined, months: [] };

function endOf(
  start: number,
  startDay: number,
  said: Said,
  endTime: number | undefined,
  context: LineContext,
): number {
  const lastDay = said.isThrough ? said.lastDay : undefined;
  if (endTime !== undefined) {
    const end = Math.max(lastDay ?? startDay, startDay) * DAY + endTime;
    return end <= start ? end + DAY : end;
  }
  if (lastDay !== undefined) return Math.max(lastDay + 1, startDay + 1) * DAY;
  return start + (said.length ?? context.defaultLength);
}

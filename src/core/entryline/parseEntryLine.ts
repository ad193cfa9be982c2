import type { Calendar } from '../model/calendar';
import type { Recurrence } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { ruleOfChoice } from '../recurrence/choices';
import { formatRule } from '../recurrence/rule';
import { DAY, HOUR, MINUTE, dateString, localString } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { choiceSaid, firstDay } from './firstDate';
import { findLength, type TextSpan } from './lengths';
import { findRepeat, type RepeatSaid } from './repeats';
import { findWhen, mask } from './times';
import { findZone, type NamedZone } from './zoneSaid';

/** A part of the line that was understood, in the order of the chips. */
export type UnderstoodPart = 'day' | 'time' | 'length' | 'repeat' | 'zone' | 'place' | 'calendar';

/** What a line of words means. */
export interface EntryLineDraft {
  readonly title: string;
  readonly start: EventTime;
  readonly end: EventTime;
  readonly location: string;
  /** How it repeats, if the line says so. */
  readonly recurrence?: Recurrence;
  /** The calendar named after `#`, if one was. */
  readonly calendarId?: string;
  /** What was said, rather than filled in. */
  readonly said: readonly UnderstoodPart[];
  /** Where in the text it was said. */
  readonly spans: readonly TextSpan[];
}

/** What the line is read against. */
export interface EntryLineContext {
  /** Wall time in the home zone. */
  readonly nowWall: number;
  readonly zone: string;
  /** The day number to use when the line names none. */
  readonly selectedDay: number;
  /** Milliseconds. */
  readonly defaultLength: number;
  readonly calendars: readonly Pick<Calendar, 'id' | 'name' | 'mark'>[];
  /** The ISO weekday that weeks begin with; Monday if not said. */
  readonly weekStart?: number;
  /** The zones that may stand behind a time, by the names that a person writes. */
  readonly zones?: readonly NamedZone[];
}

const CALENDAR = /(^|\s)#([\p{L}\p{N}_-]+)/u;
const ALL_DAY = /\ball[ -]day\b/iu;
const PLACE = /(^|[\s\u0001])(at|in)\s+(?=[^\s\u0001])/giu;

const plain = (text: string): string => text.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');

function findCalendar(text: string, calendars: EntryLineContext['calendars']) {
  const match = CALENDAR.exec(text);
  const word = match && plain(match[2]!);
  if (!match || !word) return undefined;
  const found =
    calendars.find((calendar) => plain(calendar.mark) === word) ??
    calendars.find((calendar) => plain(calendar.name) === word) ??
    calendars.find((calendar) => plain(calendar.name).startsWith(word));
  const from = match.index + match[1]!.length;
  return found && { calendarId: found.id, span: { from, to: match.index + match[0].length } };
}

/** The words after the last "at" or "in" up to the next understood part. */
function findPlace(masked: string): { location: string; span: TextSpan } | undefined {
  for (const match of [...masked.matchAll(PLACE)].reverse()) {
    const from = match.index + match[1]!.length;
    const start = match.index + match[0].length;
    const stop = masked.indexOf('\u0001', start);
    const to = stop === -1 ? masked.length : stop;
    const location = masked.slice(start, to).trim();
    if (location) return { location, span: { from, to } };
  }
  return undefined;
}

/** The start that is meant where the line says no time: the next half hour, or nine on another day. */
function proposedStart(context: EntryLineContext): number {
  const today = Math.floor(context.nowWall / DAY);
  if (context.selectedDay !== today) return context.selectedDay * DAY + 9 * HOUR;
  return Math.ceil(context.nowWall / (30 * MINUTE)) * 30 * MINUTE;
}

/** Joins what remains of the text to a title, without the little words that stood before understood parts. */
function titleOf(masked: string): string {
  return masked
    .replaceAll(/\b(on|at|from|for)\s*(?=\u0001)/giu, ' ')
    .replaceAll(/[\u0001\s]+/gu, ' ')
    .replaceAll(/^[\s,;:-]+|[\s,;:-]+$/gu, '');
}

/**
 * Reads one line of ordinary words as an entry: "Crane survey review Thu 15:30 45 min at Lamp room #ME".
 * A day without a time makes an all-day entry; nothing is refused, and what was not said is filled in.
 */
export function parseEntryLine(text: string, context: EntryLineContext): EntryLineDraft {
  const said: UnderstoodPart[] = [];
  let masked = text;
  const understood: TextSpan[] = [];
  const take = (span: TextSpan) => {
    understood.push(span);
    masked = mask(masked, [span]);
  };

  const calendar = findCalendar(text, context.calendars);
  if (calendar) take(calendar.span);
  const allDayMatch = ALL_DAY.exec(masked);
  if (allDayMatch) take({ from: allDayMatch.index, to: allDayMatch.index + allDayMatch[0].length });
  const repeat = findRepeat(masked, context.nowWall);
  repeat?.spans.forEach(take);
  const length = findLength(masked);
  if (length) take(length.span);
  const when = findWhen(masked, context.nowWall);
  when.spans.forEach(take);
  const zone =
    when.time === undefined
      ? undefined
      : findZone(
          masked,
          when.spans.map((span) => span.to),
          context.zones ?? [],
        );
  if (zone) take(zone.span);
  const place = findPlace(masked);
  if (place) take(place.span);

  if (when.day !== undefined) said.push('day');
  if (when.time !== undefined) said.push('time');
  if (length || when.endTime !== undefined || when.endDay !== undefined) said.push('length');
  if (repeat) said.push('repeat');
  if (zone) said.push('zone');
  if (place) said.push('place');
  if (calendar) said.push('calendar');

  const meant = repeat ? { ...when, day: firstDayOf(repeat, when, context) } : when;
  const times = timesOf(meant, length, allDayMatch !== null, {
    ...context,
    zone: zone?.zone ?? context.zone,
  });
  const startWall = wallOf(times.start);
  return {
    title: titleOf(masked),
    ...times,
    ...(repeat
      ? {
          recurrence: {
            rules: [
              formatRule(ruleOfChoice(choiceSaid(repeat, startWall, context.weekStart ?? 1), startWall)),
            ],
            dates: [],
            exceptionDates: [],
          },
        }
      : {}),
    location: place?.location ?? '',
    ...(calendar ? { calendarId: calendar.calendarId } : {}),
    said,
    spans: understood.sort((a, b) => a.from - b.from),
  };
}

/** The first day of a repeat: from the day that is said, or from the selected one; a time that is over counts for the next. */
function firstDayOf(
  repeat: RepeatSaid,
  when: ReturnType<typeof findWhen>,
  context: EntryLineContext,
): number {
  if (when.day !== undefined) return firstDay(repeat, when.day);
  const today = Math.floor(context.nowWall / DAY);
  const isOver = when.time !== undefined && context.selectedDay * DAY + when.time < context.nowWall;
  return firstDay(repeat, context.selectedDay === today && isOver ? today + 1 : context.selectedDay);
}

function timesOf(
  when: ReturnType<typeof findWhen>,
  length: ReturnType<typeof findLength>,
  saidAllDay: boolean,
  context: EntryLineContext,
): { start: EventTime; end: EventTime } {
  const today = Math.floor(context.nowWall / DAY);
  const wholeDays =
    saidAllDay || length?.wholeDays || (when.time === undefined && when.day !== undefined && !length);
  if (wholeDays) {
    const first = when.day ?? context.selectedDay;
    const count = length?.wholeDays ? length.length / DAY : Math.max(1, (when.endDay ?? first) - first + 1);
    return {
      start: { kind: 'date', date: dateString(first) },
      end: { kind: 'date', date: dateString(first + count) },
    };
  }
  const proposed = proposedStart(context);
  const timeAhead = (time: number) => today * DAY + time >= context.nowWall;
  const day =
    when.day ??
    (when.time === undefined
      ? Math.floor(proposed / DAY)
      : context.selectedDay !== today || timeAhead(when.time)
        ? context.selectedDay
        : today + 1);
  const time = when.time ?? (day === Math.floor(proposed / DAY) ? proposed - day * DAY : 9 * HOUR);
  const start = day * DAY + time;
  let end = start + (length?.length ?? context.defaultLength);
  if (when.endTime !== undefined) {
    const endDay = when.endDay !== undefined && when.day !== undefined ? Math.max(when.endDay, day) : day;
    end = endDay * DAY + when.endTime;
    if (end <= start) end += DAY;
  }
  const zoned = (wall: number): EventTime => ({
    kind: 'zoned',
    local: localString(wall),
    zone: context.zone,
  });
  return { start: zoned(start), end: zoned(end) };
}

import type { Availability, Classification } from '../model/entry';
import type { Reminder, ReminderAnchor, ReminderWay } from '../model/reminder';
import { civilDate, DAY, MINUTE, weekdayOf } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { ENGLISH } from './language';
import { zoneWords } from './parts/zones';
import type { EntryLineDraft, SaidPart, UnderstoodPart } from './parseEntryLine';

/** What a person sets in place of what a line says: one part of it. */
export type LineChange =
  | { readonly part: 'day'; readonly day: number }
  /** Minutes since midnight; undefined for whole days. */
  | { readonly part: 'time'; readonly minute: number | undefined }
  | { readonly part: 'length'; readonly minutes: number }
  /** Words that say the repeat; none for no repeat. */
  | { readonly part: 'repeat'; readonly words: string }
  /** None for the zone of the view. */
  | { readonly part: 'zone'; readonly zone: string }
  | { readonly part: 'place'; readonly place: string }
  | { readonly part: 'calendar'; readonly mark: string }
  | { readonly part: 'availability'; readonly availability: Availability }
  | { readonly part: 'visibility'; readonly classification: Classification }
  /** Undefined for no reminder. */
  | { readonly part: 'reminder'; readonly reminder: Reminder | undefined };

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
const two = (count: number): string => String(count).padStart(2, '0');

/** A day in words that are read as that day again: "Fri 12 March", with its year where that is not the coming one. */
export function dayWords(day: number, today: number): string {
  const { year, month, day: date } = civilDate(day);
  const [name] = ENGLISH.months[month - 1]!;
  const [, short] = ENGLISH.weekdays[weekdayOf(day) - 1]!;
  const isComing = day >= today && year === civilDate(today).year;
  return `${capital(short!)} ${date} ${capital(name!)}${isComing ? '' : ` ${year}`}`;
}

const timeWords = (minute: number): string => `${two(Math.floor(minute / 60))}:${two(minute % 60)}`;

const lengthWords = (minutes: number): string =>
  minutes % 1440 === 0
    ? `for ${minutes / 1440} days`
    : minutes % 60 === 0
      ? `${minutes / 60} h`
      : `${minutes} min`;

/** The spans of a line that say any of some parts, taken out, and words in place of the first of them. */
function replaced(
  line: string,
  spans: readonly SaidPart[],
  parts: readonly UnderstoodPart[],
  words: string,
): string {
  const gone = spans.filter((span) => span.parts.some((part) => parts.includes(part)));
  if (gone.length === 0) return words ? `${line.trimEnd()} ${words}` : line;
  let text = '';
  let end = 0;
  gone.forEach((span, index) => {
    text += `${line.slice(end, span.from)}${index === 0 ? ` ${words} ` : ' '}`;
    end = span.to;
  });
  return `${text}${line.slice(end)}`
    .replaceAll(/\s+([,;.!?])/g, '$1')
    .replaceAll(/\s{2,}/g, ' ')
    .trim();
}

/** The words of a draft's day, time, zone and length, with another one of these in its place. */
function whenWords(line: string, draft: EntryLineDraft, change: LineChange, today: number): string {
  const { start, end, said, spans } = draft;
  const wasAllDay = start.kind === 'date';
  const startWall = wallOf(start);
  const wasMinute = Math.round((startWall % DAY) / MINUTE);
  const minute = change.part === 'time' ? change.minute : wasAllDay ? undefined : wasMinute;
  const saysDay =
    change.part === 'day' || said.includes('day') || (change.part === 'time' && !draft.recurrence);
  const day = change.part === 'day' ? change.day : Math.floor(startWall / DAY);
  const length = change.part === 'length' ? change.minutes : Math.round((wallOf(end) - startWall) / MINUTE);
  const becameTimed = wasAllDay && minute !== undefined;
  const saysLength =
    change.part === 'length' ||
    (said.includes('length') && wasAllDay === (minute === undefined) && !becameTimed);
  const saysTime =
    minute !== undefined &&
    (change.part === 'time' || said.includes('time') || change.part === 'length' || !wasAllDay);
  const zone = spans
    .filter(({ parts }) => parts.includes('zone'))
    .map(({ from, to }) => line.slice(from, to).trim());
  const zoneSaid = change.part === 'zone' ? change.zone && zoneWords(change.zone) : zone.join(' ');
  return [
    saysDay ? dayWords(day, today) : minute === undefined ? 'all day' : '',
    saysTime ? timeWords(minute) : '',
    saysTime ? zoneSaid : '',
    saysLength && !(minute === undefined && length === 1440) ? lengthWords(length) : '',
  ]
    .filter(Boolean)
    .join(' ');
}

const amountWords = (days: number, minutes: number): string => {
  const [count, unit] =
    days !== 0
      ? [Math.abs(days), 'day']
      : minutes % 60 === 0
        ? [Math.abs(minutes) / 60, 'hour']
        : [Math.abs(minutes), 'minute'];
  return `${count} ${unit}${count === 1 ? '' : 's'}`;
};

const ASK: Readonly<Record<ReminderWay, string>> = {
  notice: 'remind me',
  sound: 'ring me',
  email: 'mail me',
  text: 'text me',
};
const AT: Readonly<Record<ReminderAnchor, string>> = {
  start: 'at the start',
  end: 'at the end',
  leaving: 'when I leave',
};
const OF: Readonly<Record<ReminderAnchor, string>> = { start: '', end: ' the end', leaving: ' leaving' };

/** A reminder in words that are read as it again; one at a fixed moment can't be said in a line. */
function reminderWords({ trigger, by }: Reminder): string {
  const ask = ASK[by];
  switch (trigger.kind) {
    case 'fixed':
      return '';
    case 'time-of-day': {
      const { daysBefore, minute } = trigger;
      const day =
        daysBefore === 0 ? 'on the day' : daysBefore === 1 ? 'the day before' : `${daysBefore} days before`;
      return `${ask} ${day} at ${timeWords(minute)}`;
    }
    case 'offset': {
      const { from, days, minutes } = trigger;
      if (days === 0 && minutes === 0) return `${ask} ${AT[from]}`;
      const way = days < 0 || minutes < 0 ? 'before' : 'after';
      return `${ask} ${amountWords(days, minutes)} ${way}${OF[from]}`;
    }
  }
}

/** What says when stands together, so that a zone stays beside its time. */
const WHEN: readonly UnderstoodPart[] = ['day', 'time', 'zone', 'length'];

/**
 * A line that says something else in one of its parts, and all others as before.
 * @param draft what the line means
 * @param today the day number that "today" means
 */
export function rewriteLine(line: string, draft: EntryLineDraft, change: LineChange, today: number): string {
  const { spans } = draft;
  switch (change.part) {
    case 'day':
    case 'time':
    case 'length':
    case 'zone':
      return replaced(line, spans, WHEN, whenWords(line, draft, change, today));
    case 'repeat':
      return replaced(line, spans, ['repeat'], change.words);
    case 'place': {
      // At the end nothing that follows is taken for a part of it.
      const without = replaced(line, spans, ['place'], '');
      return change.place.trim() ? `${without} at ${change.place.trim()}` : without;
    }
    case 'calendar':
      return replaced(line, spans, ['calendar'], `#${change.mark}`);
    case 'availability':
      return replaced(line, spans, ['availability'], `(${change.availability})`);
    case 'visibility':
      return replaced(
        line,
        spans,
        ['visibility'],
        change.classification === 'public' ? '' : `(${change.classification})`,
      );
    case 'reminder':
      return replaced(
        line,
        spans,
        ['reminder'],
        change.reminder ? reminderWords(change.reminder) : 'no reminder',
      );
  }
}

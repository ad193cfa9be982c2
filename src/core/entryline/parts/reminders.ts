import { offsetTrigger, type Reminder, type ReminderAnchor, type ReminderWay } from '../../model/reminder';
import { type Candidate, wholeWords } from '../candidate';
import { NUMBER, numberNamed } from '../vocabulary';
import { readTime, TIME_OR_HOUR_SOURCE } from './times';

const UNIT = '(?:m|min|mins|minutes?|h|hrs?|hours?|days?|weeks?|d|w)';
const amount = (name: string) => String.raw`(?<${name}>half\s+an|${NUMBER})\s*-?\s*(?<${name}Unit>${UNIT})`;
const time = (name: string) => String.raw`(?:at\s+)?(?<${name}>${TIME_OR_HOUR_SOURCE})`;

/** "remind me", "text me", "mail me a reminder": who asks for it says by what it comes. */
const ASKED = String.raw`(?:and\s+|with\s+(?:an?\s+)?)?(?:(?<ask>remind(?:\s+me)?|reminder|notify(?:\s+me)?|alert(?:\s+me)?|ping\s+me|warn\s+me|alarm)|(?<text>(?:text|sms|message)(?:\s+me)?)|(?<email>e-?mail(?:\s+me)?|mail\s+me)|(?<sound>ring(?:\s+me)?)):?(?:\s+me)?(?:\s+a\s+reminder)?`;
const BY = String.raw`(?:\s+by\s+(?<by>text(?:\s+message)?|sms|e-?mail|mail|notice)|\s+with\s+(?:a\s+)?(?<loud>sound))?`;
const BEFORE = String.raw`(?:before(?:hand)?|ahead(?:\s+of)?|earlier|prior(?:\s+to)?|in\s+advance)`;
const END = String.raw`(?:the\s+end|it\s+(?:ends|is\s+over)|end)`;
const START = String.raw`(?:the\s+start|it\s+(?:starts|begins)|start|it)`;
const LEAVE = String.raw`(?:leaving|(?:i|we)\s+(?:leave|go|have\s+to\s+(?:leave|go))|departure|setting\s+off)`;
const OF = String.raw`(?:\s+(?:(?<ofEnd>${END})|(?<ofStart>${START})|(?<ofLeaving>${LEAVE})))?`;

const AROUND = String.raw`${amount('around')}(?:\s+(?:(?<before>${BEFORE})|(?<after>after(?:wards)?|later))${OF})?`;
const DAY_BEFORE = String.raw`(?:${time('at1')}\s+)?(?:(?<aDay>the\s+(?:day|night|evening)\s+before)|(?<onDay>on\s+(?:the|that)\s+day|on\s+the\s+morning|the\s+same\s+day)|${amount('days')}\s+before)(?:\s+${time('at2')})?`;
const AT_ONCE = String.raw`(?:(?:at|when)\s+(?<atStart>${START})|on\s+time(?<onTime>)|(?:at|when)\s+(?<atEnd>${END})|when\s+(?:to\s+leave|${LEAVE})(?<atLeaving>))`;

const REMINDER = wholeWords(String.raw`${ASKED}\s+(?:at\s+)?(?:${AROUND}|${AT_ONCE})${BY}`);
const DAYS_REMINDER = wholeWords(String.raw`${ASKED}\s+${DAY_BEFORE}${BY}`);
const BEFORE_REMINDER = wholeWords(
  String.raw`(?:with\s+(?:an?\s+)?)?${amount('around')}\s+(?:reminder|alarm|notice|warning)`,
);
const NO_REMINDER = wholeWords(String.raw`(?:no|without(?:\s+a)?)\s+(?:reminders?|alarms?)`);

type Groups = Readonly<Record<string, string | undefined>>;

function wayOf({ text, email, sound, by, loud }: Groups): ReminderWay {
  if (by) return /^(?:t|s)/i.test(by) ? 'text' : /^n/i.test(by) ? 'notice' : 'email';
  if (loud ?? sound) return 'sound';
  return text ? 'text' : email ? 'email' : 'notice';
}

/** Days of the calendar and minutes of an amount and its unit. */
function lengthOf(words: string, unit: string): { days: number; minutes: number } {
  const count = /half/i.test(words) ? 0.5 : numberNamed(words);
  if (/^[dw]/i.test(unit)) {
    const days = count * (/^w/i.test(unit) ? 7 : 1);
    return Number.isInteger(days) ? { days, minutes: 0 } : { days: 0, minutes: Math.round(days * 1440) };
  }
  return { days: 0, minutes: Math.round(count * (/^h/i.test(unit) ? 60 : 1)) };
}

function aroundOf(groups: Groups): Reminder['trigger'] {
  const { around, aroundUnit, after, ofEnd, ofLeaving, atEnd, atLeaving } = groups;
  const from: ReminderAnchor =
    (ofEnd ?? atEnd) !== undefined ? 'end' : (ofLeaving ?? atLeaving) !== undefined ? 'leaving' : 'start';
  if (around === undefined) return offsetTrigger(0, from);
  const { days, minutes } = lengthOf(around, aroundUnit!);
  const sign = after === undefined ? -1 : 1;
  return offsetTrigger(sign * minutes || 0, from, sign * days || 0);
}

/** The minute of the day that a text says; an hour so early that nobody is reminded then is that of the afternoon. */
function minuteOfTime(text: string): number | undefined {
  const time = readTime(text);
  if (!time) return undefined;
  return time.isSure || time.minute >= 6 * 60 ? time.minute : time.minute + 12 * 60;
}

/** "the day before at 16:00": at a time of day; without a time, as long before as a day is. */
function dayBeforeOf(groups: Groups): Reminder['trigger'] | undefined {
  const { aDay, onDay, days, daysUnit, at1, at2 } = groups;
  const said = at1 ?? at2;
  const length = days === undefined ? undefined : lengthOf(days, daysUnit!);
  const daysBefore = aDay ? 1 : onDay ? 0 : length?.days;
  if (daysBefore === undefined || (length && length.minutes > 0)) return undefined;
  const minute =
    said === undefined ? (/evening|night/i.test(aDay ?? '') ? 18 * 60 : undefined) : minuteOfTime(said);
  if (minute !== undefined) return { kind: 'time-of-day', daysBefore, minute };
  return said === undefined && aDay ? offsetTrigger(0, 'start', -1) : undefined;
}

/**
 * Reminders: "remind me 10 minutes before", "text me an hour before", "mail me the day before at 16:00", "with a 15 min
 * reminder", "no reminder". A line may ask for several.
 */
export function* remindersIn(text: string): Generator<Candidate> {
  const at = (match: RegExpExecArray) => ({
    from: match.index,
    to: match.index + match[0].length,
    slots: [],
  });
  for (const match of text.matchAll(REMINDER)) {
    const groups = match.groups!;
    // "Text me 10 minutes" asks for nothing: by a message, it has to be said before what.
    const isAsked = groups.ask !== undefined || groups.around === undefined || groups.before || groups.after;
    if (isAsked)
      yield { ...at(match), score: 18, said: { reminder: { trigger: aroundOf(groups), by: wayOf(groups) } } };
  }
  for (const match of text.matchAll(DAYS_REMINDER)) {
    const trigger = dayBeforeOf(match.groups!);
    if (!trigger) continue;
    const score = trigger.kind === 'time-of-day' ? 32 : 18.5;
    yield { ...at(match), score, said: { reminder: { trigger, by: wayOf(match.groups!) } } };
  }
  for (const match of text.matchAll(BEFORE_REMINDER))
    yield { ...at(match), score: 14, said: { reminder: { trigger: aroundOf(match.groups!), by: 'notice' } } };
  for (const match of text.matchAll(NO_REMINDER))
    yield { ...at(match), score: 12, said: { hasNoReminder: true } };
}

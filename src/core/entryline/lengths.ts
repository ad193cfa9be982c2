import { DAY, HOUR, MINUTE } from '../time/civil';

/** A part of a text, half-open. */
export interface TextSpan {
  readonly from: number;
  readonly to: number;
}

const HOURS = String.raw`(\d+(?:[.,]\d+)?)\s*(?:h|hr|hrs|hours?)(?:\s*(\d{1,2})(?:\s*(?:m|min|mins|minutes?))?)?`;
const MINUTES = String.raw`(\d{1,3})\s*(?:m|min|mins|minutes?)`;
const DAYS = String.raw`(\d{1,3})\s*(?:days?)`;
const LENGTH = new RegExp(
  String.raw`(?<![\w:.,-])(?:(?:for|lasting)\s+)?(?:${HOURS}|${MINUTES}|for\s+${DAYS})(?![\w:])(?!\s*(?:ago|later|from now))`,
  'giu',
);

/** A length said in a text ("45 min", "1 h 30", "1.5 hours", "for 3 days"), in milliseconds, and where it stands. */
export function findLength(text: string): { length: number; wholeDays: boolean; span: TextSpan } | undefined {
  for (const match of text.matchAll(LENGTH)) {
    const before = text.slice(0, match.index);
    // "in 45 minutes" says when, not how long.
    if (/\b(in|within|after|past|to)\s+$/iu.test(before)) continue;
    const [whole, hours, more, minutes, days] = match;
    const length = days
      ? Number(days) * DAY
      : hours
        ? Number(hours.replace(',', '.')) * HOUR + Number(more ?? 0) * MINUTE
        : Number(minutes) * MINUTE;
    if (length <= 0) continue;
    return {
      length: Math.round(length),
      wholeDays: days !== undefined,
      span: { from: match.index, to: match.index + whole.length },
    };
  }
  return undefined;
}

import type { WorkingDay, WorkingSpan, Workplace } from '@/core/model/settings';
import { problemOfSpans, type SpansProblem } from '@/core/time/workingPattern';

/** A working day while it is edited: its times are texts (`HH:MM`), as fields hold them. */
export interface WorkingDayDraft {
  readonly place: Workplace | 'off';
  readonly spans: readonly { readonly from: string; readonly to: string }[];
}

const textOf = (minute: number): string =>
  `${String(Math.floor(minute / 60) % 24).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

function minuteOf(text: string): number | undefined {
  const match = /^(\d{2}):(\d{2})$/.exec(text);
  return match ? Number(match[1]) * 60 + Number(match[2]) : undefined;
}

/** Minutes as the fields hold them: midnight at the end of a day is 00:00, too. */
export const textsOfSpan = ({ from, to }: WorkingSpan) => ({ from: textOf(from), to: textOf(to) });

export const draftOfDay = (day: WorkingDay): WorkingDayDraft => ({
  place: day.spans.length === 0 ? 'off' : day.place,
  spans: day.spans.map(textsOfSpan),
});

/** The spans that texts say, in order; undefined where a time is missing. */
export function spansOfDraft({ spans }: WorkingDayDraft): WorkingSpan[] | undefined {
  const read = spans.flatMap(({ from, to }) => {
    const begin = minuteOf(from);
    const end = minuteOf(to);
    return begin === undefined || end === undefined ? [] : [{ from: begin, to: end === 0 ? 1440 : end }];
  });
  return read.length === spans.length ? read.sort((a, b) => a.from - b.from) : undefined;
}

/** The day that a draft says, or what is wrong with it. A day that is not worked keeps its place for later. */
export function dayOfDraft(
  draft: WorkingDayDraft,
  before: WorkingDay,
): { day: WorkingDay } | { problem: SpansProblem | 'time' } {
  if (draft.place === 'off') return { day: { place: before.place, spans: [] } };
  const spans = spansOfDraft(draft);
  if (!spans) return { problem: 'time' };
  const problem = problemOfSpans(spans);
  return problem ? { problem } : { day: { place: draft.place, spans } };
}

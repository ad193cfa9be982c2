import { z } from 'zod';
import { type WorkingDay, type WorkingSpan, WORKPLACES } from '@/core/model/settings';
import { problemOfSpans, type SpansProblem } from '@/core/time/workingPattern';
import { setupWords } from '@/ui/words/setup';

const WorkingDayFields = z.object({
  place: z.enum([...WORKPLACES, 'off']),
  spans: z.array(z.object({ from: z.string(), to: z.string() })).readonly(),
});
/** A working day while it is edited: its times are texts (`HH:MM`), as fields hold them. */
export type WorkingDayDraft = z.infer<typeof WorkingDayFields>;

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

/** The form of a working day, that says the day once its hours can be kept. What is wrong is said of the hours together. */
export const workingDayForm = (before: WorkingDay) =>
  WorkingDayFields.transform((draft, check): WorkingDay => {
    const said = dayOfDraft(draft, before);
    if ('day' in said) return said.day;
    const message = setupWords.working.problems[said.problem];
    check.addIssue({ code: 'custom', path: ['hours'], message });
    return z.NEVER;
  });

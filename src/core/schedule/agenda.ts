import type { WorkingPattern } from '../model/settings';
import { DAY, MINUTE } from '../time/civil';
import { workingDay } from '../time/workingPattern';
import { instantToWall, wallToInstant } from '../time/zones';
import { gapsBetween } from './load';
import { daysOf, isRibbon, type Occurrence } from './occurrence';

/** A line of a day in the agenda. Wall times in milliseconds. */
export type AgendaItem =
  | { readonly kind: 'entry'; readonly occurrence: Occurrence; readonly continues: boolean }
  | { readonly kind: 'gap'; readonly startWall: number; readonly endWall: number }
  | { readonly kind: 'now'; readonly wall: number; readonly next: number | undefined };

/** A day of the agenda, or several in a row without any entry. Day numbers, half-open. */
export type AgendaPart =
  | { readonly kind: 'day'; readonly day: number; readonly items: readonly AgendaItem[] }
  | { readonly kind: 'empty'; readonly first: number; readonly end: number };

/** In which zones, by which hours and at which instant an agenda is read. */
export interface AgendaContext {
  readonly zone: string;
  /** The zone of the working hours. */
  readonly homeZone: string;
  readonly pattern: WorkingPattern;
  readonly now: number;
}

/** The free times of a day's working hours that are not over, as wall times of the viewer's zone. */
function gapsOfDay(occurrences: readonly Occurrence[], day: number, context: AgendaContext): AgendaItem[] {
  const { zone, homeZone, pattern, now } = context;
  return workingDay(pattern, day).spans.flatMap((span) => {
    const from = Math.max(now, wallToInstant(homeZone, day * DAY + span.from * MINUTE));
    const to = wallToInstant(homeZone, day * DAY + span.to * MINUTE);
    return gapsBetween(occurrences, from, to).map(({ start, end }) => ({
      kind: 'gap' as const,
      startWall: instantToWall(zone, start),
      endWall: instantToWall(zone, end),
    }));
  });
}

const wallOf = (item: AgendaItem): number =>
  item.kind === 'entry' ? item.occurrence.startWall : item.kind === 'gap' ? item.startWall : item.wall;

/** The lines of a day: entries of the whole day, then timed ones with the free gaps between them, and now. */
function dayItems(occurrences: readonly Occurrence[], day: number, context: AgendaContext): AgendaItem[] {
  const entry = (occurrence: Occurrence): AgendaItem => ({
    kind: 'entry',
    occurrence,
    continues: daysOf(occurrence).first < day,
  });
  const whole = occurrences.filter((occurrence) => isRibbon(occurrence) || daysOf(occurrence).first < day);
  const timed = occurrences.filter((occurrence) => !whole.includes(occurrence));
  const nowWall = instantToWall(context.zone, context.now);
  const isToday = Math.floor(nowWall / DAY) === day;
  const next = timed.find((occurrence) => occurrence.start > context.now);
  const now: AgendaItem[] = isToday
    ? [{ kind: 'now', wall: nowWall, next: next && next.start - context.now }]
    : [];
  const rank = { now: 0, gap: 1, entry: 2 };
  return [
    ...whole.map(entry),
    ...[...timed.map(entry), ...gapsOfDay(occurrences, day, context), ...now].sort(
      (a, b) => wallOf(a) - wallOf(b) || rank[a.kind] - rank[b.kind],
    ),
  ];
}

/** The agenda of a half-open range of days: each with its lines, days without an entry drawn together. Today stands alone. */
export function agendaOf(
  occurrences: readonly Occurrence[],
  firstDay: number,
  endDay: number,
  context: AgendaContext,
): AgendaPart[] {
  const days = Array.from({ length: endDay - firstDay }, (): Occurrence[] => []);
  for (const occurrence of occurrences) {
    const { first, end } = daysOf(occurrence);
    for (let day = Math.max(first, firstDay); day < Math.min(end, endDay); day++)
      days[day - firstDay]!.push(occurrence);
  }
  const today = Math.floor(instantToWall(context.zone, context.now) / DAY);
  const parts: AgendaPart[] = [];
  days.forEach((onDay, index) => {
    const day = firstDay + index;
    const last = parts.at(-1);
    if (onDay.length > 0 || day === today)
      parts.push({ kind: 'day', day, items: dayItems(onDay, day, context) });
    else if (last?.kind === 'empty') parts[parts.length - 1] = { ...last, end: day + 1 };
    else parts.push({ kind: 'empty', first: day, end: day + 1 });
  });
  return parts;
}

/**
 * Where an entry of some length would begin on a day of which no time was said: in the first free time of the working hours
 * that is long enough and not over; else as the working hours begin, or at nine. A wall time of the viewer's zone.
 */
export function freeStartOn(
  occurrences: readonly Occurrence[],
  day: number,
  length: number,
  context: AgendaContext,
): number {
  const free = gapsOfDay(occurrences, day, context).find(
    (gap) => gap.kind === 'gap' && gap.endWall - gap.startWall >= length,
  );
  if (free?.kind === 'gap') return Math.ceil(free.startWall / HALF_HOUR) * HALF_HOUR;
  const [first] = workingDay(context.pattern, day).spans;
  const from = wallToInstant(context.homeZone, day * DAY + (first?.from ?? 540) * MINUTE);
  return instantToWall(context.zone, from);
}

const HALF_HOUR = 30 * MINUTE;

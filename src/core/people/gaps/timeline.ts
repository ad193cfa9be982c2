import type { BusyKind, BusySpan } from '../../model/busyTimes';
import { DAY, HOUR, MINUTE } from '../../time/civil';
import type { InstantRange } from '../../time/eventTime';
import { workingDay } from '../../time/workingPattern';
import { instantToWall, wallToInstant } from '../../time/zones';
import type { Attender, GapQuery } from './gapQuery';

/** Times are looked at in steps of five minutes of every clock. */
export const SLOT = 5 * MINUTE;

/** The slots that are looked at: so many, from an instant on. */
export interface Slots {
  readonly from: number;
  readonly count: number;
}

/** The whole slots of a range. */
export function slotsOf({ start, end }: InstantRange): Slots {
  const from = Math.ceil(start / SLOT) * SLOT;
  return { from, count: Math.max(0, Math.floor((end - from) / SLOT)) };
}

/** Marks the slots that a range touches: half-open, as places among all. */
function mark(into: Uint8Array, { from }: Slots, { start, end }: InstantRange, bit: number): void {
  const first = Math.max(0, Math.floor((start - from) / SLOT));
  const last = Math.min(into.length, Math.ceil((end - from) / SLOT));
  for (let slot = first; slot < last; slot++) into[slot]! |= bit;
}

/** What is the matter with somebody in a slot. */
export const BUSY = 1;
export const TENTATIVE = 2;
export const AWAY = 4;
const NOT_WORKING = 8;
const ELSEWHERE = 16;
const UNKNOWN = 32;

const BITS: Readonly<Record<BusyKind, number>> = { busy: BUSY, tentative: TENTATIVE, away: AWAY };

/** Sums of how often a bit is set up to each slot, so that a range of slots is asked at once. */
class Counts {
  private readonly sums: Uint32Array;

  constructor(states: Uint8Array, bits: number) {
    this.sums = new Uint32Array(states.length + 1);
    for (let slot = 0; slot < states.length; slot++)
      this.sums[slot + 1] = this.sums[slot]! + ((states[slot]! & bits) === 0 ? 0 : 1);
  }

  /** Whether any slot of a range has one of the bits. */
  any(from: number, to: number): boolean {
    return this.sums[to]! > this.sums[from]!;
  }
}

/** When somebody could be there, slot by slot. */
export class Timeline {
  /** What is the matter in each slot. */
  readonly states: Uint8Array;
  /** The minute of their clock at which each slot begins. */
  readonly clock: Int16Array;
  private readonly hindered: Counts;
  private readonly tentative: Counts;
  private readonly unknown: Counts;
  private readonly elsewhere: Counts;
  /** How many slots in a row nothing hinders, up to each slot and from each slot on. */
  private readonly freeBefore: Uint32Array;
  private readonly freeAfter: Uint32Array;

  constructor(
    readonly attender: Attender,
    slots: Slots,
    query: Pick<GapQuery, 'way' | 'overTentative' | 'pause'>,
    /** The place that people meet in. */
    place: string,
  ) {
    const { count } = slots;
    this.states = new Uint8Array(count);
    this.clock = clockOf(slots, attender.zone);
    this.markWork(slots, place);
    markBusy(this.states, slots, attender.busy, query.pause);
    markUnknown(this.states, slots, attender.known);
    const hindering =
      BUSY |
      AWAY |
      NOT_WORKING |
      (query.overTentative ? 0 : TENTATIVE) |
      (query.way === 'in-person' ? ELSEWHERE : 0);
    this.hindered = new Counts(this.states, hindering);
    this.tentative = new Counts(this.states, TENTATIVE);
    this.unknown = new Counts(this.states, UNKNOWN);
    this.elsewhere = new Counts(this.states, ELSEWHERE);
    this.freeBefore = new Uint32Array(count + 1);
    this.freeAfter = new Uint32Array(count + 1);
    for (let slot = 0; slot < count; slot++)
      this.freeBefore[slot + 1] = (this.states[slot]! & hindering) === 0 ? this.freeBefore[slot]! + 1 : 0;
    for (let slot = count - 1; slot >= 0; slot--)
      this.freeAfter[slot] = (this.states[slot]! & hindering) === 0 ? this.freeAfter[slot + 1]! + 1 : 0;
  }

  private markWork(slots: Slots, place: string): void {
    const { attender, states } = this;
    states.fill(NOT_WORKING | ELSEWHERE);
    const { zone, workingPattern } = attender;
    const first = Math.floor(instantToWall(zone, slots.from) / DAY) - 1;
    const last = Math.floor(instantToWall(zone, slots.from + slots.count * SLOT) / DAY) + 1;
    const isAt = place !== '' && attender.place.toLocaleLowerCase() === place.toLocaleLowerCase();
    for (let day = first; day <= last; day++) {
      const working = workingDay(workingPattern, day);
      const isThere = isAt && working.place === 'office';
      for (const { from, to } of working.spans) {
        const start = wallToInstant(zone, day * DAY + from * MINUTE);
        const end = wallToInstant(zone, day * DAY + to * MINUTE);
        // Only slots that lie wholly within the hours are worked.
        const begin = Math.max(0, Math.ceil((start - slots.from) / SLOT));
        const stop = Math.min(slots.count, Math.floor((end - slots.from) / SLOT));
        for (let slot = begin; slot < stop; slot++) states[slot] = isThere ? 0 : ELSEWHERE;
      }
    }
  }

  canCome(from: number, to: number): boolean {
    return !this.hindered.any(from, to);
  }

  isTentative(from: number, to: number): boolean {
    return this.tentative.any(from, to);
  }

  isUnknown(from: number, to: number): boolean {
    return this.unknown.any(from, to);
  }

  isElsewhere(from: number, to: number): boolean {
    return this.elsewhere.any(from, to);
  }

  /** How many minutes of unbroken stretches of an hour and more a meeting takes beside its own. */
  brokenMinutes(from: number, to: number): number {
    const before = this.freeBefore[from]!;
    const after = this.freeAfter[to]!;
    const unbroken = (count: number): number => (count * SLOT >= HOUR ? count : 0);
    const lost = unbroken(before + to - from + after) - unbroken(before) - unbroken(after) - (to - from);
    return (Math.max(0, lost) * SLOT) / MINUTE;
  }

  /** Whether half an hour is left around noon, between half past eleven and two of their clock. */
  keepsLunch(from: number, to: number): boolean {
    const { clock, states } = this;
    if (clock[from]! >= LUNCH.to || (clock[to - 1] ?? 0) < LUNCH.from) return true;
    let first = from;
    while (first > 0 && clock[first - 1]! < clock[first]! && clock[first - 1]! >= LUNCH.from) first--;
    let free = 0;
    for (let slot = first; slot < states.length && clock[slot]! < LUNCH.to; slot++) {
      if (slot > first && clock[slot]! < clock[slot - 1]!) break;
      const isFree = (slot < from || slot >= to) && (states[slot]! & (BUSY | AWAY)) === 0;
      free = isFree && clock[slot]! >= LUNCH.from ? free + 1 : 0;
      if (free * SLOT >= 30 * MINUTE) return true;
    }
    return false;
  }
}

const LUNCH = { from: 11 * 60 + 30, to: 14 * 60 };

/** What takes somebody's time, each with the pause around it. */
export function markBusy(
  states: Uint8Array,
  slots: Slots,
  busy: readonly BusySpan[],
  pauseMinutes: number,
): void {
  const pause = pauseMinutes * MINUTE;
  for (const { start, end, kind } of busy)
    if (end > start) mark(states, slots, { start: start - pause, end: end + pause }, BITS[kind]);
}

function markUnknown(states: Uint8Array, slots: Slots, known: InstantRange | undefined): void {
  const end = slots.from + slots.count * SLOT;
  const ranges = known
    ? [
        { start: slots.from, end: known.start },
        { start: known.end, end },
      ]
    : [{ start: slots.from, end }];
  for (const range of ranges) if (range.end > range.start) mark(states, slots, range, UNKNOWN);
}

/** The minute of a zone's clock at the start of each slot. */
function clockOf({ from, count }: Slots, zone: string): Int16Array {
  const clock = new Int16Array(count);
  for (let slot = 0; slot < count; slot++) {
    const wall = instantToWall(zone, from + slot * SLOT);
    clock[slot] = (wall - Math.floor(wall / DAY) * DAY) / MINUTE;
  }
  return clock;
}

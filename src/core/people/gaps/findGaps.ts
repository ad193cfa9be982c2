import { DAY, HOUR, MINUTE } from '../../time/civil';
import { instantToWall } from '../../time/zones';
import type { DayFit, GapQuery, GapReason, GapRoom, Gaps, Proposal } from './gapQuery';
import { AWAY, BUSY, markBusy, SLOT, type Slots, slotsOf, TENTATIVE, Timeline } from './timeline';

/** So many proposals are made at most, and of one day so many. */
const MOST = 12;
const MOST_A_DAY = 3;

/** What things cost: a minute's worth of a stretch is the measure. */
const COSTS = {
  missing: 1000,
  optional: 60,
  tentative: 25,
  unknown: 12,
  lunch: 20,
  noRoom: 15,
  online: 8,
  day: 3,
};
/** The hours that nobody minds, in minutes of one's clock. */
const COMFORT = { from: 9 * 60, to: 17 * 60 };

/** All that is worked out of a question once. */
export class GapSearch {
  readonly slots: Slots;
  readonly timelines: readonly Timeline[];
  /** How many slots it takes. */
  readonly length: number;
  private readonly rooms: readonly { readonly room: GapRoom; readonly states: Uint8Array }[];
  private readonly clock: Int16Array;
  private readonly days: Int32Array;
  private readonly daysOff: ReadonlySet<number>;
  private readonly place: string;

  constructor(readonly query: GapQuery) {
    this.slots = slotsOf(query.range);
    this.length = Math.max(1, Math.ceil((query.minutes * MINUTE) / SLOT));
    this.place = query.attenders[0]?.place ?? '';
    this.timelines = query.attenders.map((attender) => new Timeline(attender, this.slots, query, this.place));
    this.rooms = query.withRoom ? this.roomsThatDo() : [];
    this.daysOff = new Set(query.daysOff);
    this.clock = new Int16Array(this.slots.count);
    this.days = new Int32Array(this.slots.count);
    for (let slot = 0; slot < this.slots.count; slot++) {
      const wall = instantToWall(query.zone, this.slots.from + slot * SLOT);
      this.days[slot] = Math.floor(wall / DAY);
      this.clock[slot] = (wall - this.days[slot]! * DAY) / MINUTE;
    }
  }

  /** Rooms with what is asked for and seats for all, the smallest first. */
  private roomsThatDo() {
    const { rooms, equipment, attenders } = this.query;
    return rooms
      .filter(
        (room) =>
          room.place.toLocaleLowerCase() === this.place.toLocaleLowerCase() &&
          room.seats >= attenders.length &&
          equipment.every((wanted) => room.equipment.includes(wanted)),
      )
      .sort((a, b) => a.seats - b.seats || (a.id < b.id ? -1 : 1))
      .map((room) => {
        const states = new Uint8Array(this.slots.count);
        markBusy(states, this.slots, room.busy, 0);
        return { room, states };
      });
  }

  dayOf(slot: number): number {
    return this.days[slot]!;
  }

  /** Whether it may begin in a slot, as far as the day and the clock of the question go. */
  mayBegin(slot: number): boolean {
    const to = slot + this.length;
    if (to > this.slots.count) return false;
    const { earliest = 0, latest = 1440 } = this.query;
    const begins = this.clock[slot]!;
    const lasts = (this.length * SLOT) / MINUTE;
    const ends =
      to < this.slots.count && this.days[to] === this.days[slot] ? this.clock[to]! : begins + lasts;
    return begins >= earliest && ends <= latest && !this.daysOff.has(this.days[slot]!);
  }

  /** Who of those that are required can't come, where it begins in a slot; undefined for more than a few. */
  missingAt(slot: number, most = Infinity): string[] | undefined {
    const missing: string[] = [];
    for (const timeline of this.timelines)
      if (timeline.attender.isRequired && !timeline.canCome(slot, slot + this.length)) {
        missing.push(timeline.attender.id);
        if (missing.length > most) return undefined;
      }
    return missing;
  }

  private freeRoom(slot: number): GapRoom | undefined {
    return this.rooms.find(({ states }) => {
      for (let at = slot; at < slot + this.length; at++)
        if ((states[at]! & (BUSY | AWAY | TENTATIVE)) !== 0) return false;
      return true;
    })?.room;
  }

  /** What it would cost to begin in a slot. */
  costAt(slot: number, missing: readonly string[]): number {
    const to = slot + this.length;
    const { way, withRoom } = this.query;
    let cost = COSTS.missing * missing.length + COSTS.day * (this.days[slot]! - this.days[0]!);
    let worst = 0;
    let broken = 0;
    let isElsewhere = false;
    for (const timeline of this.timelines) {
      const { attender } = timeline;
      if (missing.includes(attender.id)) continue;
      if (!attender.isRequired && !timeline.canCome(slot, to)) {
        cost += COSTS.optional;
        continue;
      }
      if (timeline.isTentative(slot, to)) cost += COSTS.tentative;
      if (timeline.isUnknown(slot, to)) cost += COSTS.unknown;
      if (!timeline.keepsLunch(slot, to)) cost += COSTS.lunch;
      if (attender.isRequired && timeline.isElsewhere(slot, to)) isElsewhere = true;
      const begins = timeline.clock[slot]!;
      const ends = begins + (this.length * SLOT) / MINUTE;
      worst = Math.max(worst, COMFORT.from - begins, ends - COMFORT.to);
      broken += timeline.brokenMinutes(slot, to);
    }
    // The one who has it worst counts, so that it is not always the same zone that gets up early.
    cost += worst / 6 + broken / Math.max(1, this.timelines.length) / 4;
    if (way === 'either' && isElsewhere) cost += COSTS.online;
    if (withRoom && way !== 'online' && !isElsewhere && !this.freeRoom(slot)) cost += COSTS.noRoom;
    const minute = this.clock[slot]! % 60;
    return cost + (minute === 0 ? 0 : minute === 30 ? 1 : minute % 15 === 0 ? 3 : 8);
  }

  /** A proposal with all that speaks for and against it. */
  proposalAt(slot: number, missing: readonly string[], cost: number): Proposal {
    const to = slot + this.length;
    const start = this.slots.from + slot * SLOT;
    const there = this.timelines.filter(({ attender }) => !missing.includes(attender.id));
    const coming = there.filter((timeline) => timeline.canCome(slot, to));
    const idsOf = (timelines: readonly Timeline[]): string[] => timelines.map(({ attender }) => attender.id);
    const reasons: GapReason[] = [];
    const tell = (
      kind: Exclude<Extract<GapReason, { ids: readonly string[] }>, { kind: 'online' }>['kind'],
      timelines: readonly Timeline[],
    ) => {
      if (timelines.length > 0) reasons.push({ kind, ids: idsOf(timelines) });
    };
    if (coming.length === this.timelines.length) reasons.push({ kind: 'all-free', count: coming.length });
    if (missing.length > 0) reasons.push({ kind: 'missing', ids: missing });
    tell(
      'optional-missing',
      there.filter((timeline) => !coming.includes(timeline)),
    );
    const elsewhere = coming.filter(
      (timeline) => timeline.attender.isRequired && timeline.isElsewhere(slot, to),
    );
    const { way, withRoom } = this.query;
    const room = way !== 'online' && elsewhere.length === 0 && withRoom ? this.freeRoom(slot) : undefined;
    if (way !== 'online' && elsewhere.length === 0) {
      reasons.push({ kind: 'in-person', place: this.place });
      if (room) reasons.push({ kind: 'room', id: room.id, seats: room.seats });
      else if (withRoom) reasons.push({ kind: 'no-room' });
    } else if (way === 'either') reasons.push({ kind: 'online', ids: idsOf(elsewhere), place: this.place });
    tell(
      'tentative',
      coming.filter((timeline) => timeline.isTentative(slot, to)),
    );
    tell(
      'unknown',
      coming.filter((timeline) => timeline.isUnknown(slot, to)),
    );
    reasons.push(...this.otherClocks(slot, coming));
    for (const { attender } of coming) {
      const isBack = attender.busy.some(
        ({ kind, end }) => kind === 'away' && end <= start && end > start - DAY,
      );
      if (isBack) reasons.push({ kind: 'after-away', id: attender.id });
    }
    const withoutLunch = coming.filter((timeline) => !timeline.keepsLunch(slot, to));
    tell('lunch-lost', withoutLunch);
    const isAtNoon =
      this.clock[slot]! < 14 * 60 && this.clock[slot]! + (this.length * SLOT) / MINUTE > 11.5 * 60;
    if (isAtNoon && withoutLunch.length === 0) reasons.push({ kind: 'lunch-kept' });
    if (coming.every((timeline) => timeline.brokenMinutes(slot, to) === 0))
      reasons.push({ kind: 'stretches-kept' });
    return {
      start,
      end: start + this.length * SLOT,
      missing,
      ...(room ? { roomId: room.id } : {}),
      cost,
      reasons,
    };
  }

  /** What the clocks of those show who are in another zone. */
  private otherClocks(slot: number, timelines: readonly Timeline[]): GapReason[] {
    const start = this.slots.from + slot * SLOT;
    return timelines.flatMap(({ attender, clock }): GapReason[] => {
      if (clock[slot] === this.clock[slot]) return [];
      const days = Math.floor(instantToWall(attender.zone, start) / DAY) - this.days[slot]!;
      return [{ kind: 'their-clock', id: attender.id, minute: clock[slot]!, days }];
    });
  }
}

/**
 * Times that suit all, ranked, and how well each day suits. Where they are few, also times that suit all but one.
 * @param query see `GapQuery`
 */
export function findGaps(query: GapQuery): Gaps {
  const search = new GapSearch(query);
  const { slots, timelines } = search;
  // With two there is no one to do without.
  const mostMissing = timelines.filter(({ attender }) => attender.isRequired).length > 2 ? 1 : 0;
  const candidates: { slot: number; missing: string[]; cost: number }[] = [];
  const freeByDay = new Map<number, number>();
  const worked = new Map<number, number>();
  const own = timelines[0]?.attender.id;
  for (let slot = 0; slot < slots.count; slot++) {
    const day = search.dayOf(slot);
    if (timelines[0]?.canCome(slot, slot + 1)) worked.set(day, (worked.get(day) ?? 0) + 1);
    else if (!worked.has(day)) worked.set(day, 0);
    if (!search.mayBegin(slot)) continue;
    const missing = search.missingAt(slot, mostMissing);
    if (!missing || (own !== undefined && missing.includes(own))) continue;
    if (missing.length === 0) freeByDay.set(day, (freeByDay.get(day) ?? 0) + 1);
    candidates.push({ slot, missing, cost: search.costAt(slot, missing) });
  }
  candidates.sort((a, b) => a.cost - b.cost || a.slot - b.slot);
  const apart = Math.max(search.length, (30 * MINUTE) / SLOT);
  const chosen: typeof candidates = [];
  const perDay = new Map<number, number>();
  for (const candidate of candidates) {
    const day = search.dayOf(candidate.slot);
    const isBeside = chosen.some(({ slot }) => Math.abs(slot - candidate.slot) < apart);
    if (isBeside || (perDay.get(day) ?? 0) >= MOST_A_DAY) continue;
    chosen.push(candidate);
    perDay.set(day, (perDay.get(day) ?? 0) + 1);
    if (chosen.length === MOST) break;
  }
  const days: DayFit[] = [...worked].map(([day, count]) => ({
    day,
    share: Math.min(
      1,
      (freeByDay.get(day) ?? 0) / Math.max(1, Math.max(count, HOUR / SLOT) - search.length + 1),
    ),
  }));
  return {
    proposals: chosen.map(({ slot, missing, cost }) => search.proposalAt(slot, missing, cost)),
    days,
  };
}

import { type Candidate, type Said, type Slot, SLOTS } from './candidate';

interface Path {
  readonly last: Candidate | undefined;
  readonly before: Path | undefined;
  readonly end: number;
  readonly mask: number;
  readonly score: number;
  /** Runs of words that are left to the title so far. */
  readonly runs: number;
}

const bitOf = new Map<Slot, number>(SLOTS.map((slot, index) => [slot, 1 << index]));
const maskOf = (candidate: Candidate): number =>
  candidate.slots.reduce((mask, slot) => mask | bitOf.get(slot)!, 0);
const has = (mask: number, slot: Slot): boolean => (mask & bitOf.get(slot)!) !== 0;

/** How many ways are followed at once. */
const WIDTH = 48;
/** A title in several runs of words reads worse the more they are; none at all reads like none. */
const SPLIT = 3.2;
const NO_TITLE = 3;
const BESIDE = 1;

function partsOf(path: Path): Candidate[] {
  const parts: Candidate[] = [];
  for (let at: Path | undefined = path; at?.last; at = at.before) parts.push(at.last);
  return parts.reverse();
}

/** What all parts say together. */
export const saidBy = (parts: readonly Candidate[]): Said =>
  parts.reduce<Said>((said, part) => ({ ...said, ...part.said }), {});

/** Whether parts belong together: an end needs a repeat, a zone a time. */
function isWhole(path: Path): boolean {
  const { mask } = path;
  if ((has(mask, 'repeatEnd') || has(mask, 'except')) && !has(mask, 'repeat')) return false;
  if (has(mask, 'zone') && !has(mask, 'time')) return false;
  if (has(mask, 'dayPart') && !has(mask, 'day') && !has(mask, 'repeat') && !has(mask, 'time')) return false;
  const { isThrough, isWeekday, length, hasWholeDays, lastDay, goesOn, repeat, isAllDay, endTime } = saidBy(
    partsOf(path),
  );
  if (isAllDay && (endTime || (length !== undefined && !hasWholeDays))) return false;
  if (lastDay !== undefined && hasWholeDays) return false;
  // Days from one to another may be those on which a repeat goes on.
  if (lastDay !== undefined && repeat && (isThrough || has(mask, 'repeatEnd'))) return false;
  // A weekday beside a repeat on weekdays says it a second time, or otherwise.
  if (isWeekday && repeat && repeat.weekdays.length > 0) return false;
  if (goesOn && 'days' in goesOn && repeat) {
    const each = { DAILY: 1, WEEKLY: 7, MONTHLY: 28, YEARLY: 365 }[repeat.frequency] * repeat.interval;
    if (goesOn.days < each) return false;
  }
  return true;
}

/**
 * The parts of the likeliest way to read the whole line, in their order: none overlaps another, each thing is said once,
 * parts beside each other come before scattered ones, and the title stands in one piece.
 */
export function likeliestReading(text: string, candidates: readonly Candidate[]): readonly Candidate[] {
  // How many letters and digits stand before each place: whether there are any between two is a difference.
  const letters = [0];
  for (const character of text) {
    const count = letters.at(-1)! + (/[\p{L}\p{N}]/u.test(character) ? 1 : 0);
    for (let unit = 0; unit < character.length; unit++) letters.push(count);
  }
  const hasWords = (from: number, to: number) => letters[to]! > letters[from]!;
  const sorted = [...candidates].sort((a, b) => a.from - b.from || b.to - a.to);
  let paths: Path[] = [{ last: undefined, before: undefined, end: 0, mask: 0, score: 0, runs: 0 }];
  let scanned = 0;
  for (const candidate of sorted) {
    const mask = maskOf(candidate);
    const more: Path[] = [];
    for (const path of paths) {
      if (path.end > candidate.from || (path.mask & mask) !== 0) continue;
      const isRun =
        hasWords(path.end, candidate.from) || (candidate.isTitle === true && path.end < candidate.from);
      const runs = path.runs + (isRun ? 1 : 0);
      const beside = path.last && !isRun && !candidate.isTitle ? BESIDE : 0;
      const score = path.score + candidate.score + beside - (isRun && runs > 1 ? SPLIT : 0);
      more.push({ last: candidate, before: path, end: candidate.to, mask: path.mask | mask, score, runs });
    }
    if (more.length === 0) continue;
    paths.push(...more);
    if (++scanned % 8 === 0 || paths.length > 4 * WIDTH) paths = thinned(paths);
  }
  const ended = paths.map((path) => {
    const isRun = hasWords(path.end, text.length);
    const runs = path.runs + (isRun ? 1 : 0);
    return { path, score: path.score - (isRun && runs > 1 ? SPLIT : 0) - (runs === 0 ? NO_TITLE : 0) };
  });
  const likeliest = ended.sort((a, b) => b.score - a.score).find(({ path }) => isWhole(path));
  return likeliest ? partsOf(likeliest.path) : [];
}

/** The best ways of each kind: of those that say the same and end at the same place, one is enough. */
function thinned(paths: readonly Path[]): Path[] {
  const best = new Map<string, Path>();
  for (const path of paths) {
    const key = `${path.mask} ${path.end} ${path.runs}`;
    const before = best.get(key);
    if (!before || before.score < path.score) best.set(key, path);
  }
  return [...best.values()].sort((a, b) => b.score - a.score).slice(0, WIDTH);
}

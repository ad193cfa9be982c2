import type { EntrySearch } from '../../search/entrySearch';
import type { Occurrence } from '../../schedule/occurrence';
import type { EntryIndex } from '../../schedule/entryIndex';
import { rowOfLine, type TableLine, tableLines } from './tableLines';
import { compareGroups, groupOf, inTableOrder } from './tableOrder';
import type { GroupRow, TableAnswer, TableQuery, TableRow, TableSums } from './tableQuery';
import { sumsOf } from './tableSums';

/** What stands in a place of the table: it is made a row when it is asked for. */
type Place =
  | { readonly group: GroupRow }
  | { readonly line: TableLine; readonly depth: 0 | 1; readonly isUnfolded: boolean };

/** The whole table as it stands for a query. */
interface Laid {
  readonly places: readonly Place[];
  readonly sums: TableSums;
  readonly problems: readonly string[];
}

/** The lines of a query, before they are gathered and folded. */
interface Gathered {
  readonly lines: readonly TableLine[];
  readonly sums: TableSums;
  readonly problems: readonly string[];
}

/**
 * The table of all entries: what is asked for once is kept until an entry changes, so that scrolling costs by the rows in
 * sight, and another order or fold not by the search.
 */
export class EntryTable {
  private gathered: { readonly key: string; readonly gathered: Gathered } | undefined;
  private laid: { readonly key: string; readonly laid: Laid } | undefined;

  constructor(
    private readonly index: EntryIndex,
    private readonly search: EntrySearch,
  ) {}

  /** Forgets what it laid out: entries have changed. */
  reset(): void {
    this.gathered = undefined;
    this.laid = undefined;
  }

  /** The rows of a half-open range of places. */
  async rows(query: TableQuery, from: number, to: number): Promise<TableAnswer> {
    const { places, sums, problems } = await this.lay(query);
    const feeds = new Set(query.calendars.filter(({ isFeed }) => isFeed).map(({ id }) => id));
    const rows = places.slice(from, to).map((place): TableRow => {
      if ('group' in place) return place.group;
      return rowOfLine(place.line, feeds.has(place.line.entry.calendarId), place.isUnfolded, place.depth);
    });
    return { from, rows, rowCount: places.length, sums, problems };
  }

  /** The keys of all entries of a query, in their order; with places, of those that stand there. */
  async keys(query: TableQuery, from = 0, to = Infinity): Promise<string[]> {
    const { places } = await this.lay({ ...query, ...(to === Infinity ? { folded: [], unfolded: [] } : {}) });
    return places.slice(from, to).flatMap((place) => ('line' in place ? [place.line.key] : []));
  }

  /** Where an entry stands; -1 where it does not. */
  async placeOf(query: TableQuery, key: string): Promise<number> {
    const { places } = await this.lay(query);
    return places.findIndex((place) => 'line' in place && place.line.key === key);
  }

  private async gather(query: TableQuery): Promise<Gathered> {
    const { sort: _, group: __, folded: ___, unfolded: ____, periods: _____, ...asked } = query;
    // Words are looked for from a moment on, which moves with every minute.
    const key = JSON.stringify({ ...asked, now: 0 });
    if (this.gathered?.key === key) return this.gathered.gathered;
    const found = await this.search.idsOf({ ...query, limit: 0 });
    const lines = tableLines(this.index, within(query, found.days), found.ids);
    const gathered = { lines, sums: sumsOf(lines, query.range !== undefined), problems: found.problems };
    this.gathered = { key, gathered };
    return gathered;
  }

  private async lay(query: TableQuery): Promise<Laid> {
    const key = JSON.stringify({ ...query, now: 0 });
    if (this.laid?.key === key) return this.laid.laid;
    const { lines, sums, problems } = await this.gather(query);
    const places = placesOf(inTableOrder(lines, query), query);
    const laid = { places, sums, problems };
    this.laid = { key, laid };
    return laid;
  }
}

/** A query for the days that its search line names within its own. */
function within(query: TableQuery, days: { first: number; end: number } | undefined): TableQuery {
  if (!days) return query;
  const { firstDay = days.first, endDay = days.end } = query.range ?? {};
  const range = { firstDay: Math.max(firstDay, days.first), endDay: Math.min(endDay, days.end) };
  return { ...query, range: range.endDay > range.firstDay ? range : { firstDay, endDay: firstDay } };
}

function placesOf(lines: readonly TableLine[], query: TableQuery): Place[] {
  const { group: grouping } = query;
  if (!grouping) return lines.flatMap((line) => unfolded(line, query));
  const groups = new Map<string, { order: number | string; lines: TableLine[] }>();
  for (const line of lines) {
    const { value, order } = groupOf(line, grouping, query);
    const known = groups.get(value);
    if (known) known.lines.push(line);
    else groups.set(value, { order, lines: [line] });
  }
  const folded = new Set(query.folded);
  return [...groups]
    .sort(([, a], [, b]) => compareGroups(a.order, b.order))
    .flatMap(([value, { lines: own }]): Place[] => {
      const id = `${grouping}:${value}`;
      const isFolded = folded.has(id);
      const sums = sumsOf(own, query.range !== undefined);
      const head: Place = { group: { kind: 'group', id, value, sums, isFolded } };
      return isFolded ? [head] : [head, ...own.flatMap((line) => unfolded(line, query))];
    });
}

/** A line with what is unfolded under it. */
function unfolded(line: TableLine, { unfolded: open }: TableQuery): Place[] {
  const isUnfolded = line.part === 'series' && open.includes(line.key);
  const own: Place = { line, depth: 0, isUnfolded };
  if (!isUnfolded) return [own];
  return [
    own,
    ...line.occurrences.map((occurrence): Place => ({
      line: partOf(line, occurrence),
      depth: 1,
      isUnfolded: false,
    })),
  ];
}

const partOf = (line: TableLine, occurrence: Occurrence): TableLine => ({
  key: occurrence.key,
  entry: line.entry,
  occurrence,
  occurrences: [occurrence],
  part: 'occurrence',
});

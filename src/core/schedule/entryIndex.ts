import { type DatedTodo, type Entry, isDated, isEvent, type Todo } from '../model/entry';
import type { InstantRange } from '../time/eventTime';
import type { Occurrence } from './occurrence';
import { OccurrenceIndex, type OccurrenceFilter, type Trouble } from './occurrenceIndex';

const isDatedTodo = (todo: Todo): todo is DatedTodo => isDated(todo);

/** All entries: events and to-dos each by when they are, and to-dos without a date. */
export class EntryIndex {
  readonly events = new OccurrenceIndex();
  /** A series of to-dos may skip days off, which events say. */
  readonly todos = new OccurrenceIndex<DatedTodo>(this.events);
  private readonly undated = new Map<string, Todo>();

  /**
   * Replaces everything.
   * @param aside ids of entries that are left out of all questions until they are put anew
   */
  load(entries: readonly Entry[], aside: ReadonlySet<string> = new Set()): void {
    this.undated.clear();
    const todos: DatedTodo[] = [];
    for (const entry of entries) {
      if (isEvent(entry)) continue;
      if (isDatedTodo(entry)) todos.push(entry);
      else this.undated.set(entry.id, entry);
    }
    this.events.load(entries.filter(isEvent), aside);
    this.todos.load(todos, aside);
  }

  /** Puts an entry in place of the one of its id. */
  put(entry: Entry): void {
    if (isEvent(entry)) {
      this.events.put(entry);
      return;
    }
    this.undated.delete(entry.id);
    if (isDatedTodo(entry)) {
      this.todos.put(entry);
    } else {
      this.todos.remove(entry.id);
      this.undated.set(entry.id, entry);
    }
  }

  remove(id: string): void {
    this.events.remove(id);
    this.todos.remove(id);
    this.undated.delete(id);
  }

  /** Says from now on which entry it is at, before anything is done for it and after; no more without a listener. */
  sayAt(listener?: (id: string | undefined) => void): void {
    this.events.sayAt(listener);
    this.todos.sayAt(listener);
  }

  /** The entries that questions leave out, in whole or but for their start, and why. */
  troubled(): ReadonlyMap<string, Trouble> {
    const todos = this.todos.troubled();
    return todos.size === 0 ? this.events.troubled() : new Map([...this.events.troubled(), ...todos]);
  }

  get(id: string): Entry | undefined {
    return this.events.get(id) ?? this.todos.get(id) ?? this.undated.get(id);
  }

  /** All entries, in no particular order. */
  *all(): Generator<Entry> {
    yield* this.events.all();
    yield* this.todos.all();
    yield* this.undated.values();
  }

  /** The ids of the occurrences of a series that are kept by themselves. */
  *changesOf(seriesId: string): Generator<string> {
    yield* this.events.changesOf(seriesId);
    yield* this.todos.changesOf(seriesId);
  }

  /** A series and its changed occurrences as one, by its id; anything else by its own. */
  rootOf(entry: Entry): Entry {
    return (entry.seriesId !== undefined ? this.get(entry.seriesId) : undefined) ?? entry;
  }

  /** The entry that an occurrence has its fields from: its own, its series', or a change that holds for it. */
  fieldsOf(occurrence: Pick<Occurrence, 'entryId' | 'recurrenceKey'>): Entry | undefined {
    return this.events.fieldsOf(occurrence) ?? this.todos.fieldsOf(occurrence);
  }

  /**
   * What touches a window of instants: events by when they are, then to-dos by when they are to be done.
   * @param only the entries that are looked at; all without
   */
  between(
    window: InstantRange,
    viewZone: string,
    filter: OccurrenceFilter = {},
    only?: Pick<ReadonlySet<string>, 'has'>,
  ): Occurrence[] {
    const events = this.events.between(window, viewZone, filter, only);
    return this.todos.size === 0
      ? events
      : [...events, ...this.todos.between(window, viewZone, filter, only)];
  }

  /**
   * The occurrence that stands for an entry where one is enough (see `OccurrenceIndex.representative`); undefined too for
   * what has no date.
   */
  representative(
    id: string,
    from: number,
    viewZone: string,
    filter: OccurrenceFilter,
    window?: InstantRange,
  ): Occurrence | undefined {
    return (this.events.get(id) ? this.events : this.todos).representative(
      id,
      from,
      viewZone,
      filter,
      window,
    );
  }
}

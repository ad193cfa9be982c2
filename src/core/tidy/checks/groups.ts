/** What a change touched since one looked last: each item's id with what it is now, or with nothing where it is gone. */
export type Touched<Item> = ReadonlyMap<string, Item | undefined>;

const NONE: readonly string[] = [];

/**
 * What is worked out from items that share a key. After a change only the groups are looked at again that it touches, so
 * that the cost depends on the change and not on how many items there are.
 */
export class Groups<Item extends { readonly id: string }, Result> {
  private readonly groups = new Map<string, Item[]>();
  private readonly keysById = new Map<string, readonly string[]>();
  private readonly results = new Map<string, Result>();

  /**
   * @param keysOf the groups that an item is in, each once; none where it does not count
   * @param look what a group comes to, its items by id; undefined where it says nothing
   */
  constructor(
    private readonly keysOf: (item: Item) => readonly string[],
    private readonly look: (group: readonly Item[], key: string) => Result | undefined,
  ) {}

  /** Follows a change, and gives what the groups come to, in no particular order. */
  follow(touched: Touched<Item>): Iterable<Result> {
    const dirty = new Set<string>();
    for (const id of touched.keys()) for (const key of this.keysById.get(id) ?? []) dirty.add(key);
    for (const key of dirty)
      this.groups.set(
        key,
        this.groups.get(key)!.filter(({ id }) => !touched.has(id)),
      );
    for (const [id, item] of touched) {
      const keys = item ? this.keysOf(item) : NONE;
      if (keys.length > 0) this.keysById.set(id, keys);
      else this.keysById.delete(id);
      for (const key of keys) {
        dirty.add(key);
        const group = this.groups.get(key);
        if (group) group.push(item!);
        else this.groups.set(key, [item!]);
      }
    }
    for (const key of dirty) {
      const group = this.groups.get(key)!;
      if (group.length > 1) group.sort((a, b) => (a.id < b.id ? -1 : 1));
      const result = group.length > 0 ? this.look(group, key) : undefined;
      if (group.length === 0) this.groups.delete(key);
      if (result === undefined) this.results.delete(key);
      else this.results.set(key, result);
    }
    return this.results.values();
  }
}

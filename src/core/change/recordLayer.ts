/**
 * Records as they are with changes laid over them: read like the map below, which stays as it is. What was put can be
 * found by one of its fields, too.
 */
export class RecordLayer<Kept extends { readonly id: string }> implements ReadonlyMap<string, Kept> {
  /** By id; undefined for a record that was removed. */
  private readonly over = new Map<string, Kept | undefined>();
  private readonly byField = new Map<keyof Kept, Map<unknown, Set<string>>>();
  private added = 0;

  /** @param fields by which what is put can be found */
  constructor(
    readonly below: ReadonlyMap<string, Kept>,
    fields: readonly (keyof Kept)[] = [],
  ) {
    for (const field of fields) this.byField.set(field, new Map());
  }

  put(record: Kept): void {
    this.drop(record.id);
    if (!this.below.has(record.id)) this.added++;
    this.over.set(record.id, record);
    for (const [field, ids] of this.byField) {
      const value = record[field];
      if (value === undefined) continue;
      const known = ids.get(value);
      if (known) known.add(record.id);
      else ids.set(value, new Set([record.id]));
    }
  }

  remove(id: string): void {
    const isThere = this.has(id);
    this.drop(id);
    if (!isThere) return;
    if (this.below.has(id)) {
      this.added--;
      this.over.set(id, undefined);
    }
  }

  /** Takes back what was laid over the record of an id. */
  private drop(id: string): void {
    if (!this.over.has(id)) return;
    const record = this.over.get(id);
    const isBelow = this.below.has(id);
    if (record === undefined) this.added++;
    else {
      if (!isBelow) this.added--;
      for (const [field, ids] of this.byField) ids.get(record[field])?.delete(id);
    }
    this.over.delete(id);
  }

  /** Whether the record of an id was put or removed here. */
  touches(id: string): boolean {
    return this.over.has(id);
  }

  /** The records that were put here with a value in a field. */
  putWith<Field extends keyof Kept>(field: Field, value: Kept[Field]): Kept[] {
    return [...(this.byField.get(field)?.get(value) ?? [])].map((id) => this.over.get(id)!);
  }

  get(id: string): Kept | undefined {
    return this.over.has(id) ? this.over.get(id) : this.below.get(id);
  }

  has(id: string): boolean {
    return this.over.has(id) ? this.over.get(id) !== undefined : this.below.has(id);
  }

  get size(): number {
    return this.below.size + this.added;
  }

  *entries(): MapIterator<[string, Kept]> {
    for (const [id, record] of this.below) {
      if (!this.over.has(id)) yield [id, record];
      else {
        const put = this.over.get(id);
        if (put !== undefined) yield [id, put];
      }
    }
    for (const [id, record] of this.over) if (record !== undefined && !this.below.has(id)) yield [id, record];
    return undefined;
  }

  *keys(): MapIterator<string> {
    for (const [id] of this.entries()) yield id;
    return undefined;
  }

  *values(): MapIterator<Kept> {
    for (const [, record] of this.entries()) yield record;
    return undefined;
  }

  [Symbol.iterator](): MapIterator<[string, Kept]> {
    return this.entries();
  }

  forEach(visit: (record: Kept, id: string, records: ReadonlyMap<string, Kept>) => void): void {
    for (const [id, record] of this.entries()) visit(record, id, this);
  }
}

import type { Entry } from '../model/entry';
import { COLLECTION_NAMES, type CollectionName, type RecordOf, type State } from '../model/state';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove, type Summary } from './patch';
import { RecordLayer } from './recordLayer';
import { sameValue } from './seriesLike';

type Layers = { readonly [Name in CollectionName]: RecordLayer<RecordOf<Name>> };

/**
 * A change of the state while it is drafted: what is put and removed is seen at once by what is drafted after it, and in
 * the end it is one patch, with the records that the state held at first.
 */
export class UnitOfWork {
  private readonly layers: Layers;
  private readonly touched = new Map<string, { collection: CollectionName; id: string }>();

  constructor(
    private readonly base: State,
    readonly context: ChangeContext,
  ) {
    this.layers = Object.fromEntries(
      COLLECTION_NAMES.map((name) => [
        name,
        name === 'entries'
          ? new RecordLayer<Entry>(base.entries, ['seriesId'])
          : new RecordLayer(base[name] as ReadonlyMap<string, { id: string }>),
      ]),
    ) as unknown as Layers;
  }

  /** The state with all that was gathered so far. It follows what is gathered later. */
  get state(): State {
    return this.layers as unknown as State;
  }

  put<Name extends CollectionName>(collection: Name, record: RecordOf<Name>): void {
    this.touch(collection, record.id);
    (this.layers[collection] as RecordLayer<RecordOf<Name>>).put(record);
  }

  remove(collection: CollectionName, id: string): void {
    this.touch(collection, id);
    this.layers[collection].remove(id);
  }

  /** Gathers changes that were drafted upon the state of this unit. */
  add(changes: readonly Change[]): void {
    for (const { collection, id, after } of changes)
      if (after === null) this.remove(collection, id);
      else this.put(collection, after as RecordOf<typeof collection>);
  }

  /** Whether the record of an id was put or removed here. */
  touches(collection: CollectionName, id: string): boolean {
    return this.touched.has(`${collection} ${id}`);
  }

  private touch(collection: CollectionName, id: string): void {
    const key = `${collection} ${id}`;
    if (!this.touched.has(key)) this.touched.set(key, { collection, id });
  }

  /** What was gathered, each record once, in the order in which it was first touched; without what is as it was. */
  changes(): Change[] {
    return [...this.touched.values()].flatMap(({ collection, id }): Change[] => {
      const before = this.base[collection].get(id);
      const after = this.layers[collection].get(id);
      if (after !== undefined)
        return sameValue(before, after) ? [] : [put(this.base, collection, after) as Change];
      return before === undefined ? [] : [remove(collection, before) as Change];
    });
  }

  patch(summary: Summary): Patch {
    return makePatch(this.context, summary, this.changes());
  }
}

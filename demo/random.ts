import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Seeded chance: the same seed gives the same demo. */
export class Chance {
  private readonly generator;

  constructor(seed: number) {
    this.generator = xoroshiro128plus(seed);
  }

  /** A whole number from low to high, both included. */
  between(low: number, high: number): number {
    return uniformInt(this.generator, low, high);
  }

  /** One of the given. */
  one<Value>(values: readonly Value[]): Value {
    return values[this.between(0, values.length - 1)]!;
  }

  /** True that often, of a hundred. */
  percent(often: number): boolean {
    return this.between(1, 100) <= often;
  }
}

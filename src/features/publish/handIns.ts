import { z } from 'zod';
import { type HandInRefusal, takeHandIn } from '@/core/change/sharing/takeHandIn';
import type { ChangeContext, Summary } from '@/core/change/patch';
import { HandIn } from '@/core/model/handIn';
import { askServer, type Store, underLock } from '@/store';
import { Regularly } from '@/ui/regularly';
import { copiesForColleagues, type Copy } from './copies';
import { MINUTE } from '@/core/time/civil';

/** So often it is asked for what was handed in, in milliseconds. */
const EVERY_MS = MINUTE;

/** What the server holds that was handed in; what can't be read of it is let be. */
const Answer = z.object({ items: z.array(z.unknown()) });

/** What came, as it is said. */
export interface CameIn {
  readonly summary: Summary;
  readonly refused?: HandInRefusal;
}

/** Asks for what was handed in at an address, and says what of it was taken; none where the server is out of reach. */
async function ask({ token, key }: Copy['address'], taken: readonly string[]): Promise<HandIn[]> {
  const { said } = await askServer('POST', `/api/published/${token}/handed-in`, { key, taken });
  const items = Answer.safeParse(said).data?.items ?? [];
  return items.flatMap((item) => HandIn.safeParse(item).data ?? []);
}

/** Takes in what colleagues add and change who may. One page of a browser at a time does it. */
export class HandIns {
  private readonly regularly: Regularly;

  constructor(
    private readonly store: Store,
    private readonly contextOf: () => ChangeContext,
    private readonly onCame: (came: readonly CameIn[]) => void,
  ) {
    this.regularly = new Regularly(() => underLock('orderly-week-hand-ins', () => this.takeAll()), EVERY_MS);
  }

  end(): void {
    this.regularly.end();
  }

  private async takeAll(): Promise<void> {
    const came: CameIn[] = [];
    for (const { of, address, seen } of copiesForColleagues(this.store.getSnapshot().state)) {
      const mayChange = [...seen.calendars.values()].some((access) => access.mayChange);
      const items = mayChange ? await ask(address, []) : [];
      for (const item of items) came.push(...(await this.take(of.id, item)));
      // What is kept here is said to be taken, and no more than that.
      const known = this.store.getSnapshot().state.shares.get(of.id)?.taken ?? [];
      const kept = items.map(({ id }) => id).filter((id) => known.includes(id));
      if (kept.length > 0) await ask(address, kept);
    }
    if (came.length > 0) this.onCame(came);
  }

  private async take(personId: string, handIn: HandIn): Promise<CameIn[]> {
    const { state } = this.store.getSnapshot();
    const person = state.people.get(personId);
    const taken = person && takeHandIn(state, person, handIn, this.contextOf());
    if (!taken) return [];
    const refusal = 'refused' in taken ? { refused: taken.refused } : {};
    const isKept = await this.store.commit(taken.patch, 'refused' in taken ? 'quiet' : 'do');
    return isKept ? [{ summary: taken.patch.summary, ...refusal }] : [];
  }
}

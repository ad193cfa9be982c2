import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { HandIn } from '@/core/model/handIn';
import { Box, BOX_LIMITS, type BoxLimits, Boxes } from '../boxes';
import type { Allowances } from './publishedStore';
import { DAY } from '@/core/time/civil';

/** The most that waits to be fetched at one address. */
export const MOST_WAITING = 200;
/** A box in which nothing happened for so long is thrown away, in milliseconds. */
const FORGOTTEN = 400 * DAY;

const HandInBox = Box.extend({ items: z.array(HandIn) });
type HandInBox = z.infer<typeof HandInBox>;

const text = z.string().max(500).default('');
/** A form of the page as it comes: all texts, those that are left empty, too. */
const Form = z.object({
  kind: z.enum(['add', 'change', 'remove']),
  calendar: text,
  uid: text,
  start: text,
  title: text,
  date: text,
  from: text,
  until: text,
  place: text,
});

/** What a form hands in; undefined for one that says nothing that can be, or what is not allowed at this address. */
export function handInOf(body: unknown, allows: Allowances, at: number): HandIn | undefined {
  const form = Form.safeParse(body);
  if (!form.success) return undefined;
  const { kind, calendar, uid, start, title, date, from, until, place } = form.data;
  const times = from === '' && until === '' ? {} : { from, until };
  const read = HandIn.safeParse({
    id: randomUUID(),
    at,
    kind,
    calendarId: calendar,
    target: { uid, start: Number(start) },
    entry: { title, date, place, ...times },
  });
  if (!read.success) return undefined;
  const isAllowed =
    read.data.kind === 'add'
      ? allows.calendars.some(({ id }) => id === calendar)
      : allows.changeable.includes(uid);
  return isAllowed ? read.data : undefined;
}

/** What colleagues hand in at the addresses of what they see, until its owner has fetched it. */
export class HandInStore {
  private readonly boxes: Boxes<HandInBox>;

  constructor(folder: string, now: () => number, limits: BoxLimits = BOX_LIMITS) {
    this.boxes = new Boxes({
      folder,
      schema: HandInBox,
      limits,
      isForgotten: ({ changed }) => changed < now() - FORGOTTEN,
    });
  }

  /** Makes the box of an address that may be handed in at, for whoever has its key. */
  async make(token: string, key: string, from: string, now: number): Promise<void> {
    await this.boxes.put(token, key, from, (box, own) => box ?? { ...own, changed: now, items: [] });
  }

  /** Keeps what was handed in; whether it was. */
  async add(token: string, handIn: HandIn): Promise<boolean> {
    let isKept = false;
    await this.boxes.update(token, (box) => {
      isKept = box.items.length < MOST_WAITING;
      return isKept ? { ...box, changed: handIn.at, items: [...box.items, handIn] } : box;
    });
    return isKept;
  }

  /** What waits at an address, without what was taken: that goes. Only for whoever has the key. */
  async fetch(
    token: string,
    key: string,
    taken: readonly string[],
  ): Promise<readonly HandIn[] | 'not-yours'> {
    const left = (box: HandInBox): HandInBox => ({
      ...box,
      items: box.items.filter(({ id }) => !taken.includes(id)),
    });
    const box = await this.boxes.update(token, (before) => (taken.length > 0 ? left(before) : before), key);
    return box === 'not-yours' ? box : (box?.items ?? []);
  }
}

import { z } from 'zod';
import { isRealDate } from '../time/civil';
import './withoutCodeMaking';

const DateText = z
  .string()
  .regex(/^\d{4}-\d\d-\d\d$/)
  .refine(isRealDate);
const Clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/);

/** What somebody wants to have entered, on the clock of the calendar's owner. */
export const HandedInEntry = z.object({
  title: z.string().trim().min(1).max(200),
  date: DateText,
  /** Both, or neither for the whole day. */
  from: Clock.optional(),
  until: Clock.optional(),
  place: z.string().trim().max(200),
});
export type HandedInEntry = z.infer<typeof HandedInEntry>;

/** Which occurrence somebody means: the UID that they see, and when it starts, an instant in milliseconds. */
export const HandedInTarget = z.object({ uid: z.string().min(1).max(500), start: z.number() });
export type HandedInTarget = z.infer<typeof HandedInTarget>;

const given = { id: z.string().min(1).max(100), at: z.number() };

/** What somebody hands in who may add and change entries: an addition, a change, or that an entry is to go. */
export const HandIn = z.discriminatedUnion('kind', [
  z.object({
    ...given,
    kind: z.literal('add'),
    calendarId: z.string().min(1).max(200),
    entry: HandedInEntry,
  }),
  z.object({ ...given, kind: z.literal('change'), target: HandedInTarget, entry: HandedInEntry }),
  z.object({ ...given, kind: z.literal('remove'), target: HandedInTarget }),
]);
export type HandIn = z.infer<typeof HandIn>;

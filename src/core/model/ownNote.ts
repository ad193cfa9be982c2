import { z } from 'zod';

/** A note of the person's own on an entry of a feed: known by the entry's UID, so that it outlasts every refresh. */
export const OwnNote = z.object({
  id: z.string().min(1),
  calendarId: z.string().min(1),
  uid: z.string().min(1),
  text: z.string().min(1).max(20_000),
  modified: z.number(),
});
export type OwnNote = z.infer<typeof OwnNote>;

/** The id of the note on an entry: the same for every occurrence of a series. */
export const ownNoteId = (calendarId: string, uid: string): string => `${calendarId}|${uid}`;

import { z } from 'zod';
import { Publication, PUBLISHED_LEVELS } from './calendar';

/** How much somebody is let see of a calendar. */
export const SHARE_DEPTHS = ['nothing', ...PUBLISHED_LEVELS] as const;
export type ShareDepth = (typeof SHARE_DEPTHS)[number];

/** How somebody acts for the person: with the entries that are open, or with private ones too. */
export const ACTING = ['open', 'all'] as const;
export type Acting = (typeof ACTING)[number];

/** The secret address of what somebody is let see. */
export const SecretAddress = Publication.pick({ token: true, key: true, since: true });
export type SecretAddress = z.infer<typeof SecretAddress>;

/** What a colleague, or all of a group, may see of the person's calendars. */
export const Share = z.object({
  /** That of the colleague, or `groupShareId` of the group. */
  id: z.string().min(1),
  /** By calendars; of one that is not named, a colleague sees what their groups do. */
  depths: z.record(z.string(), z.enum(SHARE_DEPTHS)),
  /** Calendars in which entries may be added and changed. */
  mayChange: z.array(z.string()),
  acting: z.enum(ACTING).optional(),
  /** Of colleagues alone: each has an address of their own. */
  address: SecretAddress.optional(),
  /** What came by the address and was taken, latest last: it is taken once. */
  taken: z.array(z.string()).optional(),
});
export type Share = z.infer<typeof Share>;

const GROUP = 'group:';

/** Under which id it is kept what a group may see. */
export const groupShareId = (name: string): string => `${GROUP}${name}`;

/** The group that a share is for; undefined for that of a colleague. */
export const groupOfShare = ({ id }: Pick<Share, 'id'>): string | undefined =>
  id.startsWith(GROUP) ? id.slice(GROUP.length) : undefined;

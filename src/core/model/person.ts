import { z } from 'zod';
import './withoutCodeMaking';
import { Preserved } from './preserved';
import { WorkingPattern } from './settings';

/** Who or what can be invited: somebody, or a room. */
export const PERSON_KINDS = ['colleague', 'room'] as const;
export type PersonKind = (typeof PERSON_KINDS)[number];

/** The most seats of a room, and the longest name of anything here, in letters. */
const MOST_SEATS = 10_000;
const LONGEST = 200;

const Line = z.string().max(LONGEST);

/** A colleague or a room (a vCard, RFC 6350). */
export const Person = z.object({
  id: z.string().min(1),
  kind: z.enum(PERSON_KINDS),
  name: z.string().trim().min(1).max(LONGEST),
  /** E-mail addresses as they are written, the one that invitations go to first. */
  addresses: z.array(Line),
  /** What they do (ROLE). */
  role: Line,
  /** The town or building where they work, or where the room is. */
  place: Line,
  /** Their IANA zone; that of the person whose calendar this is, where nobody knows. */
  zone: z.string().optional(),
  workingPattern: WorkingPattern.optional(),
  /** How many a room seats, and what is in it. */
  seats: z.number().int().min(0).max(MOST_SEATS).optional(),
  equipment: z.array(Line),
  notes: z.string().max(20_000),
  /** The groups that they belong to, by name. */
  groups: z.array(Line),
  /** Where their busy times are asked for (FBURL, RFC 6350 6.9.1). */
  busyAddress: z.string().max(2000).optional(),
  /** Properties of their card that say nothing here: they survive. */
  preserved: Preserved.optional(),
  created: z.number(),
  modified: z.number(),
});
export type Person = z.infer<typeof Person>;

import { z } from 'zod';

/** What the records say of themselves. */
export const Meta = z.object({
  schemaVersion: z.literal(2),
  /** How many commits the records hold, since there are any. */
  count: z.number().int().min(0),
  /** The places of commits that the records hold, of those that the log has still. */
  folded: z.array(z.string()),
});
export type Meta = z.infer<typeof Meta>;

export const META_KEY = 'meta';

/** The data was written by a later version of the application. */
export class NewerDataError extends Error {}

const Version = z.object({ schemaVersion: z.number() });

/**
 * Reads what the records say of themselves; undefined if they say nothing.
 * @throws NewerDataError if a later version wrote it
 */
export function parseMeta(text: string | null | undefined): Meta | undefined {
  if (!text) return undefined;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return undefined;
  }
  const parsed = Meta.safeParse(value);
  if (parsed.success) return parsed.data;
  const version = Version.safeParse(value).data?.schemaVersion ?? 0;
  if (version > 2) throw new NewerDataError(`data of version ${version}`);
  return undefined;
}

export const metaText = (meta: Omit<Meta, 'schemaVersion'>): string =>
  JSON.stringify({ schemaVersion: 2, ...meta } satisfies Meta);

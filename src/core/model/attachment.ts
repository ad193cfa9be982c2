import { z } from 'zod';

/** A file kept with an entry (ATTACH, RFC 5545 3.8.1.1). Its bytes lie apart, under the same id. */
export const Attachment = z.object({
  id: z.string().min(1),
  name: z.string().min(1).max(255),
  mediaType: z.string(),
  /** In bytes. */
  size: z.number().int().min(0),
});
export type Attachment = z.infer<typeof Attachment>;

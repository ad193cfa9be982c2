import { z } from 'zod';

/** A property or a component in jCal form (RFC 7265), kept as it was read. */
const JCalProperty = z.array(z.unknown()).min(4);
const JCalComponent = z.array(z.unknown()).length(3);

/** What a file held beyond the model, so that writing it back loses nothing. */
export const Preserved = z.object({
  properties: z.array(JCalProperty),
  components: z.array(JCalComponent),
  /** Parameters of properties that the model holds by their values alone, by the property's name. */
  parameters: z.record(z.string(), z.record(z.string(), z.unknown())).optional(),
});
export type Preserved = z.infer<typeof Preserved>;

/** A property in jCal form (RFC 7265 3.4): name, parameters, type, values. */
export type JCalProperty = [string, Record<string, string | string[]>, string, ...unknown[]];

/** A component in jCal form (RFC 7265 3.3): name, properties, components inside. */
export type JCalComponent = [string, JCalProperty[], JCalComponent[]];

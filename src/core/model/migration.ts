/** Leads a record from the form of one version to that of the next. It adds and renames; what it does not know it leaves. */
export type Migration = (record: Readonly<Record<string, unknown>>) => Record<string, unknown>;

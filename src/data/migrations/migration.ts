/** The loose tables of any version: only what migrations promise to produce is checked afterwards, by the schemas. */
export type AnyTables = Readonly<Record<string, readonly unknown[]>>;

/** One step between neighbouring versions, named for what it changes; pure, so that it serves the database and imported files alike. */
export type Migration = { readonly to: number; readonly name: string; readonly migrate: (tables: AnyTables) => AnyTables };

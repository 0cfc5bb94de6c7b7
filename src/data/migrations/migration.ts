/**
 * The loose tables of any version: only what migrations promise to produce is checked afterwards,
 * by the schemas.
 */
export type AnyTables = Readonly<Record<string, readonly unknown[]>>;

/**
 * One step between neighbouring versions, named for what it changes; pure, so that it serves the
 * database and imported files alike.
 */
export type Migration = {
  readonly to: number;
  readonly name: string;
  readonly migrate: (tables: AnyTables) => AnyTables;
};

export type Loose = Readonly<Record<string, unknown>>;

// What is not a record is left as it is: it is refused afterwards, with its place, by the schemas.
export const isRow = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
export const eachRow = (list: unknown, change: (row: Loose) => Loose): readonly unknown[] =>
  Array.isArray(list) ? list.map((one: unknown) => (isRow(one) ? change(one) : one)) : [];

import type { AnyTables, Migration } from './migration';

/** Version 15: tracks and their fixes. No row is touched. */
export const tracksAreKept: Migration = {
  to: 15,
  name: 'tracks are kept',
  migrate: (tables: AnyTables): AnyTables => ({ ...tables, tracks: [], trackPoints: [] }),
};

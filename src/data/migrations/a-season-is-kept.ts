import type { AnyTables, Migration } from './migration';

/** Version 13: what happened on live days, and what a dog is kept to there. No row is touched. */
export const aSeasonIsKept: Migration = {
  to: 13,
  name: 'a season is kept',
  migrate: (tables: AnyTables): AnyTables => ({ ...tables, events: [], seasons: [] }),
};

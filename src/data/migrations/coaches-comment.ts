import type { AnyTables, Migration } from './migration';

/** Version 17: comments of a coach; amendments say which others they have seen. No row is touched. */
export const coachesComment: Migration = {
  to: 17,
  name: 'coaches comment',
  migrate: (tables: AnyTables): AnyTables => ({ ...tables, comments: [] }),
};

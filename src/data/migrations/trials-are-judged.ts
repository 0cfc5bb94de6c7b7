import type { AnyTables, Migration } from './migration';

/** Version 11: meetings, runs with their judges’ marks, how a class is called, and what a dog may meet there. */
export const trialsAreJudged: Migration = {
  to: 11,
  name: 'trials are judged',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    meetings: [],
    runs: [],
    marks: [],
    scripts: [],
    bearings: [],
    callings: [],
  }),
};

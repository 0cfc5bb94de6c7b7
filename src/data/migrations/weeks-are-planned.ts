import type { AnyTables, Migration } from './migration';

/** Version 10: the time there is, how each dog is planned for, planned bouts, work outside the log, and where a bout should have ended. */
export const weeksArePlanned: Migration = {
  to: 10,
  name: 'weeks are planned',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    usuals: [],
    dogPlans: [],
    slots: [],
    otherWork: [],
    stops: [],
  }),
};

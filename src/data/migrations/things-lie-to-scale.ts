import { type AnyTables, eachRow, type Migration } from './migration';

/**
 * Version 12: set-outs, plans of grounds, and each person's pace. No program wrote a plan before: what stands in
 * its place was never one.
 */
export const thingsLieToScale: Migration = {
  to: 12,
  name: 'things lie to scale',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    people: eachRow(tables.people, (one) => ({ ...one, pace: null })),
    grounds: eachRow(tables.grounds, (one) => ({ ...one, plan: null })),
    setOuts: [],
  }),
};

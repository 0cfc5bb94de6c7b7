import type { AnyTables, Migration } from './migration';

/** Version 16: what runs teach, titles, and practice in judging. No row is touched. */
export const runsTeach: Migration = {
  to: 16,
  name: 'runs teach',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    runForecasts: [],
    runLessons: [],
    practices: [],
    legs: [],
    held: [],
    titleAims: [],
  }),
};

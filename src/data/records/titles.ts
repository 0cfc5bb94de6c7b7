import type { TableName } from '.';

/** What one record of each table is called on the screen. */
export const RECORD_TITLES: Readonly<Record<TableName, string>> = {
  dogs: 'Dog',
  people: 'Person',
  grounds: 'Ground',
  kit: 'Kit',
  ruleBooks: 'Rule book',
  breakdowns: 'Exercise',
  elements: 'Element',
  outings: 'Outing',
  bouts: 'Session',
  entries: 'Entry of a log',
  trials: 'Trial',
  forecasts: 'Forecast',
  results: 'Result',
  gone: 'What was removed',
  apart: 'What waits for a decision',
};

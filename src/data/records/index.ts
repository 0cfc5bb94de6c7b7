import * as v from 'valibot';
import { breakdownSchema } from './breakdown';
import { dogSchema } from './dog';
import { elementSchema } from './element';
import { entrySchema } from './entry';
import { forecastSchema, resultSchema } from './forecast';
import { kitSchema } from './kit';
import { ruleBookRecordSchema } from './rule-book';
import { sessionSchema } from './session';
import { trialSchema } from './trial';

export type { Breakdown } from './breakdown';
export { type Dog, UNKNOWN_DOG } from './dog';
export { DEFAULT_POLICY, type ElementRecord, PLAIN_ELEMENT } from './element';
export type { Details, Entry, Judgement, RepEntry } from './entry';
export type { ForecastRecord, ResultRecord } from './forecast';
export type { Kit } from './kit';
export type { RuleBookRecord } from './rule-book';
export type { Session } from './session';
export type { Trial } from './trial';

/** Every table of a kennel, one file each. The names are those of the database and of the exported file. */
export const tablesSchema = v.strictObject({
  dogs: v.array(dogSchema),
  ruleBooks: v.array(ruleBookRecordSchema),
  breakdowns: v.array(breakdownSchema),
  elements: v.array(elementSchema),
  sessions: v.array(sessionSchema),
  entries: v.array(entrySchema),
  trials: v.array(trialSchema),
  kit: v.array(kitSchema),
  forecasts: v.array(forecastSchema),
  results: v.array(resultSchema),
});
export type Tables = v.InferOutput<typeof tablesSchema>;
export type TableName = keyof Tables;
export const TABLE_NAMES = Object.keys(tablesSchema.entries) as TableName[];

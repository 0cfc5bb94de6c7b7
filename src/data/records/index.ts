import * as v from 'valibot';
import type { Entry } from '@/core/log';
import { boutSchema } from './bout';
import { breakdownSchema } from './breakdown';
import { bearingSchema, callingSchema, scriptSchema } from './calling';
import { dogSchema } from './dog';
import { dogPlanSchema } from './dog-plan';
import { elementSchema } from './element';
import { entrySchema } from './entry';
import { forecastSchema, resultSchema } from './forecast';
import { apartSchema, goneSchema } from './gone';
import { groundSchema } from './ground';
import { kitSchema } from './kit';
import { markSchema } from './mark';
import { meetingSchema } from './meeting';
import { otherWorkSchema } from './other-work';
import { outingSchema } from './outing';
import { personSchema } from './person';
import { ruleBookRecordSchema } from './rule-book';
import { runSchema } from './run';
import { signalSchema } from './signal';
import { slotSchema } from './slot';
import { stopSchema } from './stop';
import { trialSchema } from './trial';
import { usualSchema } from './usual';

export { type Bout, elementOf } from './bout';
export type { Breakdown } from './breakdown';
export type { BearingRecord, Calling, ScriptRecord } from './calling';
export { type Dog, UNKNOWN_DOG } from './dog';
export { type DogPlan, PLAIN_DOG_PLAN } from './dog-plan';
export { DEFAULT_POLICY, type ElementRecord, numberedArticles, PLAIN_ELEMENT } from './element';
export type { Changed } from './fields';
export type { ForecastRecord, ResultRecord } from './forecast';
export type { Apart, Gone } from './gone';
export { type Kit, PLAIN_KIT } from './kit';
export type { MarkRecord } from './mark';
export type { Meeting, Starter } from './meeting';
export type { OtherWork } from './other-work';
export type { Outing } from './outing';
export type { RuleBookRecord } from './rule-book';
export type { Run } from './run';
export type { Signal } from './signal';
export type { Slot } from './slot';
export type { Stop } from './stop';
export { PLAIN_TRIAL, type Trial } from './trial';
export type { Usual } from './usual';

/**
 * Every table of a kennel, one file each. The names are those of the database and of the exported
 * file.
 */
export const tablesSchema = v.strictObject({
  dogs: v.array(dogSchema),
  people: v.array(personSchema),
  grounds: v.array(groundSchema),
  kit: v.array(kitSchema),
  signals: v.array(signalSchema),
  ruleBooks: v.array(ruleBookRecordSchema),
  breakdowns: v.array(breakdownSchema),
  elements: v.array(elementSchema),
  outings: v.array(outingSchema),
  bouts: v.array(boutSchema),
  entries: v.array(entrySchema),
  trials: v.array(trialSchema),
  forecasts: v.array(forecastSchema),
  results: v.array(resultSchema),
  usuals: v.array(usualSchema),
  dogPlans: v.array(dogPlanSchema),
  slots: v.array(slotSchema),
  otherWork: v.array(otherWorkSchema),
  stops: v.array(stopSchema),
  meetings: v.array(meetingSchema),
  runs: v.array(runSchema),
  marks: v.array(markSchema),
  scripts: v.array(scriptSchema),
  bearings: v.array(bearingSchema),
  callings: v.array(callingSchema),
  gone: v.array(goneSchema),
  apart: v.array(apartSchema),
});
export type Tables = Omit<v.InferOutput<typeof tablesSchema>, 'entries'> & { entries: Entry[] };
export type TableName = keyof Tables;
export const TABLE_NAMES = Object.keys(tablesSchema.entries) as TableName[];

/** The tables whose records can be changed and removed, each with a version vector. */
export type KeptName = Exclude<TableName, 'entries' | 'gone' | 'apart'>;
export const KEPT_NAMES = TABLE_NAMES.filter(
  (name): name is KeptName => name !== 'entries' && name !== 'gone' && name !== 'apart',
);

/** A record before it is written: who changed it when is filled in by the writing. */
export type New<T extends { readonly changed: unknown }> = Omit<T, 'changed'>;

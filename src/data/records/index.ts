import type * as v from 'valibot';
import type { Entry } from '@/core/log';
import type { tablesSchema } from './tables';

export { type Bout, elementOf } from './bout';
export type { Breakdown } from './breakdown';
export type { BearingRecord, Calling, ScriptRecord } from './calling';
export type { Clip, ClipMarkRecord } from './clip';
export type { Comment } from './comment';
export { type Dog, UNKNOWN_DOG } from './dog';
export { type DogPlan, PLAIN_DOG_PLAN } from './dog-plan';
export { DEFAULT_POLICY, type ElementRecord, numberedArticles, PLAIN_ELEMENT } from './element';
export type { Changed } from './fields';
export type { ForecastRecord, ResultRecord } from './forecast';
export type { Apart, Gone } from './gone';
export type { Ground } from './ground';
export { type Kit, PLAIN_KIT } from './kit';
export type { MarkRecord } from './mark';
export type { Meeting, Starter } from './meeting';
export type { OtherWork } from './other-work';
export type { Outing } from './outing';
export type { Person } from './person';
export type { RuleBookRecord } from './rule-book';
export type { Run } from './run';
export type { Practice, RunForecast, RunLesson } from './run-learning';
export { PLAIN_SEASON, type Season } from './season';
export type { SeasonEvent } from './season-event';
export type { SetOut } from './set-out';
export type { Signal } from './signal';
export type { Slot } from './slot';
export type { Stop } from './stop';
export type { Held, Leg, TitleAim } from './title-work';
export type { Track, TrackPoints } from './track';
export { PLAIN_TRIAL, type Trial } from './trial';
export type { Usual } from './usual';

/** All that a kennel holds; what each record is made of stands in its own file, all together in `tables.ts`. */
export type Tables = Omit<v.InferOutput<typeof tablesSchema>, 'entries'> & { entries: Entry[] };
export type TableName = keyof Tables;
const NAMES: Readonly<Record<TableName, true>> = {
  dogs: true,
  people: true,
  grounds: true,
  kit: true,
  signals: true,
  ruleBooks: true,
  breakdowns: true,
  elements: true,
  outings: true,
  bouts: true,
  entries: true,
  trials: true,
  forecasts: true,
  results: true,
  usuals: true,
  dogPlans: true,
  slots: true,
  otherWork: true,
  stops: true,
  meetings: true,
  runs: true,
  marks: true,
  scripts: true,
  bearings: true,
  callings: true,
  setOuts: true,
  events: true,
  seasons: true,
  clips: true,
  clipMarks: true,
  tracks: true,
  trackPoints: true,
  runForecasts: true,
  runLessons: true,
  practices: true,
  legs: true,
  held: true,
  titleAims: true,
  comments: true,
  gone: true,
  apart: true,
};
export const TABLE_NAMES = Object.keys(NAMES) as TableName[];

/** The tables whose records can be changed and removed, each with a version vector. */
export type KeptName = Exclude<TableName, 'entries' | 'gone' | 'apart'>;
export const KEPT_NAMES = TABLE_NAMES.filter(
  (name): name is KeptName => name !== 'entries' && name !== 'gone' && name !== 'apart',
);

/** A record before it is written: who changed it when is filled in by the writing. */
export type New<T extends { readonly changed: unknown }> = Omit<T, 'changed'>;

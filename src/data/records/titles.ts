import { type Sentence, say } from '@/core/shared';
import type { TableName } from '.';

/** What one record of each table is called on the screen. */
export const RECORD_TITLES: Readonly<Record<TableName, Sentence>> = {
  dogs: say('data.titles.dog'),
  people: say('data.titles.person'),
  grounds: say('data.titles.ground'),
  kit: say('data.titles.kit'),
  signals: say('data.titles.word-or-signal'),
  ruleBooks: say('data.titles.rule-book'),
  breakdowns: say('data.titles.exercise'),
  elements: say('data.titles.element'),
  outings: say('data.titles.outing'),
  bouts: say('data.titles.session'),
  entries: say('data.titles.entry-of-a-log'),
  trials: say('data.titles.trial'),
  forecasts: say('data.titles.forecast'),
  results: say('data.titles.result'),
  usuals: say('data.titles.usual-day'),
  dogPlans: say('data.titles.plan-of-a-dog'),
  slots: say('data.titles.planned-bout'),
  otherWork: say('data.titles.other-work'),
  stops: say('data.titles.where-it-should-have-ended'),
  meetings: say('data.titles.meeting'),
  runs: say('data.titles.run'),
  marks: say('data.titles.mark'),
  scripts: say('data.titles.script'),
  bearings: say('data.titles.bearing'),
  callings: say('data.titles.calling'),
  setOuts: say('data.titles.set-out'),
  gone: say('data.titles.what-was-removed'),
  apart: say('data.titles.what-waits-for-a-decision'),
};

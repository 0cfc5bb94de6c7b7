import * as v from 'valibot';
import { boutSchema } from './bout';
import { breakdownSchema } from './breakdown';
import { bearingSchema, callingSchema, scriptSchema } from './calling';
import { clipMarkSchema, clipSchema } from './clip';
import { commentSchema } from './comment';
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
import { practiceSchema, runForecastSchema, runLessonSchema } from './run-learning';
import { seasonSchema } from './season';
import { seasonEventSchema } from './season-event';
import { setOutSchema } from './set-out';
import { signalSchema } from './signal';
import { slotSchema } from './slot';
import { stopSchema } from './stop';
import { heldSchema, legSchema, titleAimSchema } from './title-work';
import { trackPointsSchema, trackSchema } from './track';
import { trialSchema } from './trial';
import { usualSchema } from './usual';

/**
 * Every table of a kennel, one file each. The names are those of the database and of the exported file.
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
  setOuts: v.array(setOutSchema),
  events: v.array(seasonEventSchema),
  seasons: v.array(seasonSchema),
  clips: v.array(clipSchema),
  clipMarks: v.array(clipMarkSchema),
  tracks: v.array(trackSchema),
  trackPoints: v.array(trackPointsSchema),
  runForecasts: v.array(runForecastSchema),
  runLessons: v.array(runLessonSchema),
  practices: v.array(practiceSchema),
  legs: v.array(legSchema),
  held: v.array(heldSchema),
  titleAims: v.array(titleAimSchema),
  comments: v.array(commentSchema),
  gone: v.array(goneSchema),
  apart: v.array(apartSchema),
});

import * as v from 'valibot';
import type {
  DogId,
  MeetingId,
  PersonId,
  RuleBookId,
  RunId,
  SizeKey,
  StarterId,
  TrialId,
} from '@/core/shared';
import { changedSchema, countField, dayField, idField, words } from './fields';

/**
 * Version 11: one dog’s run of a class, to which sheets are written. `try`: what does it cost? `practice`:
 * judged to learn judging. What stands on its sheets is in its marks.
 */
export const runSchema = v.strictObject({
  id: idField<RunId>(),
  meeting: v.nullable(idField<MeetingId>()),
  starter: v.nullable(idField<StarterId>()),
  trial: v.nullable(idField<TrialId>()),
  /** Null for a dog of somebody else, known by its name. */
  dogId: v.nullable(idField<DogId>()),
  name: words,
  number: v.nullable(countField),
  book: idField<RuleBookId>(),
  kind: v.picklist(['try', 'mock', 'trial', 'practice']),
  /** Of a class that is run several times, from 0. */
  turn: countField,
  size: v.nullable(idField<SizeKey>()),
  day: dayField,
  /** In the order in which the class names them; empty: the person judges. */
  judges: v.array(idField<PersonId>()),
  putAway: v.boolean(),
  changed: changedSchema,
});
export type Run = v.InferOutput<typeof runSchema>;

import * as v from 'valibot';
import { assumptionsSchema } from '@/core/readiness';
import type { DogId, MeetingId, RuleBookId, TrialId } from '@/core/shared';
import { changedSchema, countField, dayField, idField, words } from './fields';

/**
 * Version 1: a trial that a dog is meant for, with the seed and assumptions its forecast uses.
 * Version 3: what a strange place and a first try cost are assumptions too.
 * Version 9: so are handler, pay and kit, and from what chance the person would go.
 */
export const trialSchema = v.strictObject({
  id: idField<TrialId>(),
  dogId: idField<DogId>(),
  ruleBookId: idField<RuleBookId>(),
  title: words,
  day: dayField,
  entryCloses: v.nullable(dayField),
  seed: countField,
  assumptions: assumptionsSchema,
  meeting: v.nullable(idField<MeetingId>()),
  /** Number in the catalogue, in the organiser's own words. */
  number: v.string(),
  sizeClass: v.nullable(v.string()),
  status: v.picklist(['thinking', 'entered', 'withdrawn']),
  cost: v.nullable(v.pipe(v.number(), v.finite(), v.minValue(0))),
  changed: changedSchema,
});
export type Trial = v.InferOutput<typeof trialSchema>;

/** A trial of which nothing but dog, book and day is known. */
export const PLAIN_TRIAL = {
  meeting: null,
  number: '',
  sizeClass: null,
  status: 'thinking',
  cost: null,
} satisfies Partial<Trial>;

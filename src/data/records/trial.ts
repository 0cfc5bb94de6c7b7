import * as v from 'valibot';
import { assumptionsSchema } from '@/core/readiness';
import type { DogId, RuleBookId, TrialId } from '@/core/shared';
import { countField, dayField, idField } from './fields';

/** Version 1: a trial that a dog is meant for, with the seed and assumptions its forecast uses. Version 3: what a strange place and a first try cost are assumptions too. */
export const trialSchema = v.strictObject({
  id: idField<TrialId>(),
  dogId: idField<DogId>(),
  ruleBookId: idField<RuleBookId>(),
  title: v.pipe(v.string(), v.minLength(1)),
  day: dayField,
  entryCloses: v.nullable(dayField),
  seed: countField,
  assumptions: assumptionsSchema,
});
export type Trial = v.InferOutput<typeof trialSchema>;

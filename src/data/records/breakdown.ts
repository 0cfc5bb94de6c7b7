import * as v from 'valibot';
import type { BreakdownId, DogId, ElementId, ElementKey, ExerciseKey, RuleBookId } from '@/core/shared';
import { idField } from './fields';

/** Version 1: an exercise of a rule book, link by link, with the element of this dog that trains each. */
export const breakdownSchema = v.strictObject({
  id: idField<BreakdownId>(),
  dogId: idField<DogId>(),
  ruleBookId: idField<RuleBookId>(),
  exercise: idField<ExerciseKey>(),
  links: v.pipe(v.array(v.strictObject({ part: idField<ElementKey>(), element: idField<ElementId>() })), v.minLength(1)),
});
export type Breakdown = v.InferOutput<typeof breakdownSchema>;

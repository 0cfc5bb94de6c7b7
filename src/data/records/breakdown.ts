import * as v from 'valibot';
import {
  type BreakdownId,
  type DogId,
  type ElementId,
  type ExerciseKey,
  type PartKey,
  type RuleBookId,
  schemaSays,
} from '@/core/shared';
import { changedSchema, idField } from './fields';

/**
 * An exercise link by link, with the element of this dog that trains each. Version 1: exercises of
 * a rule book. Version 2: a person's own exercises too (`own`, and no rule book), and several links
 * in a row may train one part, since an element can be split. Version 4: an exercise can be put away.
 */
export const breakdownSchema = v.pipe(
  v.strictObject({
    id: idField<BreakdownId>(),
    dogId: idField<DogId>(),
    ruleBookId: v.nullable(idField<RuleBookId>()),
    exercise: idField<ExerciseKey>(),
    own: v.nullable(
      v.strictObject({ title: v.pipe(v.string(), v.trim(), v.minLength(1)), goal: v.string() }),
    ),
    links: v.pipe(
      v.array(v.strictObject({ part: idField<PartKey>(), element: idField<ElementId>() })),
      v.minLength(1),
    ),
    putAway: v.boolean(),
    changed: changedSchema,
  }),
  v.check(
    (record) => (record.ruleBookId === null) !== (record.own === null),
    schemaSays('data.breakdown.an-exercise-is-either-of-a-rule'),
  ),
);
export type Breakdown = v.InferOutput<typeof breakdownSchema>;

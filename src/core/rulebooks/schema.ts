import * as v from 'valibot';
import {
  type AxisKey,
  asId,
  type ExerciseKey,
  type PartKey,
  type Quantity,
  type RuleBookId,
  schemaSays,
} from '@/core/shared';
import { rulesSchema } from './families';

export const RULE_BOOK_FORMAT = 'regulon-rule-book';
export const RULE_BOOK_VERSION = 2;

const text = v.pipe(v.string(), v.trim(), v.minLength(1, schemaSays('rulebooks.schema.must-not-be-empty')));

/** What a class can ask of a part in numbers. */
export const DEMAND_QUANTITIES = [
  'distance',
  'duration',
  'latency',
  'angle',
  'offset',
  'height',
  'count',
  'level',
] as const satisfies readonly Quantity[];

/**
 * What every family shares. A family adds its own rules under `rules`, told apart by
 * `rules.family`.
 */
export const ruleBookSchema = v.strictObject({
  format: v.literal(RULE_BOOK_FORMAT),
  version: v.literal(RULE_BOOK_VERSION),
  id: v.pipe(text, v.transform(asId<RuleBookId>)),
  title: text,
  edition: text,
  sample: v.boolean(),
  note: text,
  exercises: v.pipe(
    v.array(
      v.strictObject({
        id: v.pipe(text, v.transform(asId<ExerciseKey>)),
        title: text,
        text,
        parts: v.pipe(
          v.array(
            v.strictObject({
              id: v.pipe(text, v.transform(asId<PartKey>)),
              title: text,
              text,
              demands: v.array(
                v.strictObject({
                  axis: v.pipe(text, v.transform(asId<AxisKey>)),
                  title: text,
                  quantity: v.picklist(DEMAND_QUANTITIES),
                  harder: v.picklist(['more', 'less']),
                  value: v.pipe(v.number(), v.finite()),
                  unit: v.string(),
                }),
              ),
            }),
          ),
          v.minLength(1, schemaSays('rulebooks.schema.needs-at-least-one-part')),
        ),
      }),
    ),
    v.minLength(1, schemaSays('rulebooks.schema.needs-at-least-one-exercise')),
  ),
  rules: rulesSchema,
});

export type RuleBook = v.InferOutput<typeof ruleBookSchema>;
export type RuleExercise = RuleBook['exercises'][number];
export type RulePart = RuleExercise['parts'][number];
export type Demand = RulePart['demands'][number];

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
import { structureEntries } from './structures';

export const RULE_BOOK_FORMAT = 'regulon-rule-book';
export const RULE_BOOK_VERSION = 3;

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
        /** Of a class that goes over several days; the first where nothing is said. */
        day: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(7))),
        /** Ways in which it can be set, one of which is drawn on the day. */
        variants: v.optional(v.array(v.strictObject({ title: text, text }))),
        parts: v.pipe(
          v.array(
            v.strictObject({
              id: v.pipe(text, v.transform(asId<PartKey>)),
              title: text,
              text,
              /** How often it is asked in this exercise; once where nothing is said. */
              times: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50))),
              demands: v.array(
                v.strictObject({
                  axis: v.pipe(text, v.transform(asId<AxisKey>)),
                  title: text,
                  quantity: v.picklist(DEMAND_QUANTITIES),
                  harder: v.picklist(['more', 'less']),
                  value: v.pipe(v.number(), v.finite()),
                  unit: v.string(),
                  /** Other values for other sizes of dog, by the id of the size. */
                  bySize: v.optional(v.record(text, v.pipe(v.number(), v.finite()))),
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
  ...structureEntries,
});

export type RuleBook = v.InferOutput<typeof ruleBookSchema>;
export type RuleExercise = RuleBook['exercises'][number];
export type RulePart = RuleExercise['parts'][number];
export type Demand = RulePart['demands'][number];

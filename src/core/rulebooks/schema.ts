import * as v from 'valibot';
import { type AxisKey, asId, type ElementKey, type ExerciseKey, type RuleBookId } from '@/core/shared';
import { rulesSchema } from './families';

export const RULE_BOOK_FORMAT = 'regulon-rule-book';
export const RULE_BOOK_VERSION = 1;

const text = v.pipe(v.string(), v.trim(), v.minLength(1, 'must not be empty'));

/** What every family shares. A family adds its own rules under `rules`, told apart by `rules.family`. */
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
        elements: v.pipe(
          v.array(
            v.strictObject({
              id: v.pipe(text, v.transform(asId<ElementKey>)),
              title: text,
              text,
              demands: v.array(
                v.strictObject({
                  axis: v.pipe(text, v.transform(asId<AxisKey>)),
                  title: text,
                  quantity: v.picklist(['distance', 'duration', 'latency', 'angle', 'offset', 'height', 'count', 'level']),
                  harder: v.picklist(['more', 'less']),
                  value: v.pipe(v.number(), v.finite()),
                  unit: v.string(),
                }),
              ),
            }),
          ),
          v.minLength(1, 'needs at least one element'),
        ),
      }),
    ),
    v.minLength(1, 'needs at least one exercise'),
  ),
  rules: rulesSchema,
});

export type RuleBook = v.InferOutput<typeof ruleBookSchema>;
export type RuleExercise = RuleBook['exercises'][number];
export type RuleElement = RuleExercise['elements'][number];
export type Demand = RuleElement['demands'][number];

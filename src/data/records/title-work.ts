import * as v from 'valibot';
import type {
  DogId,
  HeldId,
  LegId,
  PersonId,
  ResultId,
  RuleBookId,
  TitleAimId,
  TrialId,
} from '@/core/shared';
import { changedSchema, dayField, finiteField, idField, words } from './fields';

/**
 * Version 16: a pass that counts for a title. With a result: under whom it was, where no sheet says it.
 * Without: one from before there was a log.
 */
export const legSchema = v.strictObject({
  id: idField<LegId>(),
  dogId: idField<DogId>(),
  book: idField<RuleBookId>(),
  result: v.nullable(idField<ResultId>()),
  day: dayField,
  judges: v.array(idField<PersonId>()),
  note: v.string(),
  changed: changedSchema,
});
export type Leg = v.InferOutput<typeof legSchema>;

/** Version 16: what a dog holds of what a rule book asks before, in the book’s own words. */
export const heldSchema = v.strictObject({
  id: idField<HeldId>(),
  dogId: idField<DogId>(),
  what: words,
  day: v.nullable(dayField),
  changed: changedSchema,
});
export type Held = v.InferOutput<typeof heldSchema>;

/**
 * Version 16: a title that a dog is meant for: by when, and what it is worth, in the measure in which the
 * person counts what an entry costs. `plans`: the weeks are planned for it.
 */
export const titleAimSchema = v.strictObject({
  id: idField<TitleAimId>(),
  dogId: idField<DogId>(),
  book: idField<RuleBookId>(),
  by: v.nullable(dayField),
  worth: v.nullable(v.pipe(finiteField, v.gtValue(0))),
  plans: v.boolean(),
  /** Under whom its entries are, where no meeting says it. */
  judges: v.array(v.strictObject({ trial: idField<TrialId>(), judges: v.array(idField<PersonId>()) })),
  changed: changedSchema,
});
export type TitleAim = v.InferOutput<typeof titleAimSchema>;

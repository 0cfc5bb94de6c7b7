import * as v from 'valibot';
import { criteriaSchema } from '@/core/breakdown';
import type {
  BoutId,
  BreakdownId,
  DogId,
  ElementId,
  OutingId,
  PersonId,
  SetOutId,
  SlotId,
} from '@/core/shared';
import { changedSchema, countField, idField, instantField } from './fields';

/**
 * All that one dog does on one element (or exercise run whole) in one outing; coming back to it goes
 * on with the same bout. Version 4; before, it was a session and held its day and weather.
 */
export const boutSchema = v.strictObject({
  id: idField<BoutId>(),
  outingId: idField<OutingId>(),
  dogId: idField<DogId>(),
  on: v.variant('kind', [
    v.strictObject({ kind: v.literal('element'), element: idField<ElementId>() }),
    v.strictObject({ kind: v.literal('exercise'), breakdown: idField<BreakdownId>() }),
  ]),
  startedAt: instantField,
  endedAt: v.nullable(instantField),
  /** Where the dog stood when it began. */
  start: criteriaSchema,
  /**
   * True in a place where the dog does not usually train. Proposed by the ground when the bout
   * begins, and the bout's own from then on.
   */
  away: v.boolean(),
  /** By the element's own conditions: Surface → grass. */
  conditions: v.record(v.string(), v.string()),
  handler: v.nullable(idField<PersonId>()),
  /**
   * For a test of better than luck: how many runs were fixed beforehand. Null: looked at after
   * each.
   */
  runsFixed: v.nullable(v.pipe(countField, v.minValue(1), v.maxValue(60))),
  setOut: v.nullable(idField<SetOutId>()),
  slot: v.nullable(idField<SlotId>()),
  debrief: v.nullable(v.strictObject({ what: v.string(), next: v.string() })),
  changed: changedSchema,
});
export type Bout = v.InferOutput<typeof boutSchema>;

/** The element of a bout; null where an exercise is run whole. */
export const elementOf = ({ on }: Pick<Bout, 'on'>): ElementId | null =>
  on.kind === 'element' ? on.element : null;

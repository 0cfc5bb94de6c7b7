import * as v from 'valibot';
import type { DogId, MeetingId, PersonId, RuleBookId, SizeKey, StarterId } from '@/core/shared';
import { changedSchema, countField, dayField, finiteField, idField, words } from './fields';

/**
 * Version 11: a trial or mock trial with several dogs: when and where, its classes with their judges, who
 * runs, in which order. Dogs of other people are known by name only.
 */
export const meetingSchema = v.strictObject({
  id: idField<MeetingId>(),
  title: words,
  kind: v.picklist(['mock', 'trial']),
  day: dayField,
  closes: v.nullable(dayField),
  place: v.string(),
  /** Minutes after midnight, and minutes that one dog takes. */
  starts: v.pipe(countField, v.maxValue(1439)),
  minutesEach: v.pipe(finiteField, v.gtValue(0), v.maxValue(240)),
  classes: v.array(
    v.strictObject({
      book: idField<RuleBookId>(),
      judges: v.array(idField<PersonId>()),
      /** As drawn, or as it was changed by hand; empty before. */
      order: v.array(idField<StarterId>()),
      /** Of the order; null until it is drawn. */
      seed: v.nullable(countField),
    }),
  ),
  starters: v.array(
    v.strictObject({
      id: idField<StarterId>(),
      book: idField<RuleBookId>(),
      dogId: v.nullable(idField<DogId>()),
      name: words,
      handler: v.string(),
      /** In the catalogue: a number to sort by. */
      number: v.pipe(countField, v.minValue(1)),
      size: v.nullable(idField<SizeKey>()),
      inSeason: v.boolean(),
      withdrawn: v.boolean(),
    }),
  ),
  changed: changedSchema,
});
export type Meeting = v.InferOutput<typeof meetingSchema>;
export type Starter = Meeting['starters'][number];

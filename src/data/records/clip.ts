import * as v from 'valibot';
import { CLIP_MARKS, LATE_OUTCOMES } from '@/core/review';
import {
  type BoutId,
  type ClipId,
  type ClipMarkId,
  type DogId,
  type EntryId,
  schemaSays,
} from '@/core/shared';
import { changedSchema, countField, finiteField, idField, words } from './fields';

const pixel = v.strictTuple([finiteField, finiteField]);
const metres = v.pipe(finiteField, v.minValue(-5_000), v.maxValue(5_000));
const seconds = v.pipe(finiteField, v.minValue(0), v.maxValue(86_400));

/**
 * Version 14: a clip that somebody opened. The file itself stays where it is: `print` (its size, its length and a
 * hash of both its ends) tells it again, whatever it is called by then. Pixels are those of the picture as it is
 * shown, x to the right, y down.
 */
export const clipSchema = v.strictObject({
  id: idField<ClipId>(),
  dogId: idField<DogId>(),
  /** The bout in whose log it lies, and where its beginning lies on that clock, milliseconds since 1970. */
  boutId: v.nullable(idField<BoutId>()),
  offset: v.nullable(finiteField),
  /** As the file was called last. */
  name: words,
  print: v.strictObject({ size: countField, seconds, ends: words }),
  picture: v.strictObject({ width: countField, height: countField }),
  /** The usual length of a frame, seconds. */
  frame: v.pipe(finiteField, v.gtValue(0), v.maxValue(10)),
  ground: v.variant('kind', [
    v.strictObject({ kind: v.literal('none') }),
    v.strictObject({
      kind: v.literal('points'),
      points: v.array(v.strictObject({ px: pixel, x: metres, y: metres })),
    }),
    v.strictObject({
      kind: v.literal('line'),
      marks: v.array(v.strictObject({ px: pixel, along: metres })),
    }),
  ]),
  changed: changedSchema,
});
export type Clip = v.InferOutput<typeof clipSchema>;

/**
 * A mark in a clip: a time, a place, an angle, a judgement. `says` is whose place, which angle, how it was judged or
 * graded; null for a time. `rep`: of a cue, which rep of the log its go is.
 */
export const clipMarkSchema = v.pipe(
  v.strictObject({
    id: idField<ClipMarkId>(),
    clipId: idField<ClipId>(),
    at: seconds,
    what: v.picklist(CLIP_MARKS),
    px: v.pipe(v.array(pixel), v.maxLength(3)),
    says: v.nullable(words),
    rep: v.nullable(idField<EntryId>()),
    changed: changedSchema,
  }),
  v.check(
    ({ what, says }) => what !== 'judged' || LATE_OUTCOMES.some((one) => one === says),
    schemaSays('data.clip.judged-as-nothing'),
  ),
);
export type ClipMarkRecord = v.InferOutput<typeof clipMarkSchema>;

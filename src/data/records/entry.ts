import * as v from 'valibot';
import { criteriaSchema } from '@/core/breakdown';
import { BODY_SIGNS, LAYOUT_SHAPES, REFUSALS, STAGES } from '@/core/coaching';
import {
  AIDS,
  CALL_KINDS,
  CAUSES,
  type Entry,
  EYE_WORDS,
  HANDLED,
  LANDINGS,
  MEASURED_BY,
  MEASURES,
  PAY_SIZES,
  PURPOSES,
} from '@/core/log';
import { faultRefSchema } from '@/core/rulebooks';
import {
  asLevel,
  type BoutId,
  type DeviceId,
  type DogId,
  type ElementId,
  type EntryId,
  type ExerciseKey,
  type PartKey,
  type RunId,
} from '@/core/shared';
import { countField, finiteField, idField, instantField, words } from './fields';

/**
 * The log. Append-only: nothing is ever overwritten or deleted. An undo or an amendment is an entry
 * of its own that names an earlier one of the same bout. Version 1: reps, corrections, undo, moves,
 * rests. Version 2: timing, details, refusals, signs, unlogged reps, waits, notes. Version 3: the
 * marker's stamp, layouts, articles out of use, stages by hand. Version 4: a rep says apart what was
 * asked, seen, judged and paid; corrections and details are amendments; moves hold criteria; several
 * devices may write one log. Version 5: cues that were meant, what it did instead, what the handler
 * did about it, notes and signs said again, and off on its own business. Version 6: split times of an
 * exercise that was run whole. Version 14: how long before a rep was entered its cue was stamped.
 * Version 17: which amendments of its rep an amendment has seen.
 */
const place = {
  id: idField<EntryId>(),
  boutId: idField<BoutId>(),
  dogId: idField<DogId>(),
  seq: countField,
  by: idField<DeviceId>(),
  at: instantField,
  timed: v.boolean(),
};

const seconds = v.pipe(finiteField, v.minValue(0));
const scale = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(5));
const level = v.pipe(countField, v.transform(asLevel));
const outcome = v.picklist(['clean', 'flawed', 'miss', 'none']);
const faults = v.array(faultRefSchema);
const once = <T extends v.GenericSchema | v.ObjectEntries[string]>(schema: T) => v.exactOptional(schema);

const asked = {
  criteria: criteriaSchema,
  chips: v.record(v.string(), v.string()),
  noted: faults,
  call: v.nullable(
    v.strictObject({ kind: v.picklist(CALL_KINDS), word: v.string(), delay: v.nullable(seconds) }),
  ),
};

const run = v.variant('kind', [
  v.strictObject({
    kind: v.literal('chain'),
    links: v.array(v.strictObject({ element: idField<ElementId>(), criteria: criteriaSchema })),
    brokeAt: v.nullable(countField),
    splits: once(v.array(seconds)),
  }),
  v.strictObject({
    kind: v.literal('legs'),
    seconds,
    stamps: v.array(v.strictObject({ leg: v.string(), fault: faultRefSchema, at: seconds })),
  }),
  v.strictObject({
    kind: v.literal('articles'),
    laid: v.pipe(v.array(words), v.minLength(1)),
    target: countField,
    firstTouch: v.nullable(countField),
    pick: v.nullable(countField),
    known: v.boolean(),
    shape: v.picklist(LAYOUT_SHAPES),
    seen: v.boolean(),
    nearer: v.nullable(countField),
  }),
]);

const measured = v.strictObject({ value: finiteField, how: v.picklist(MEASURED_BY) });
const measuredEntries = Object.fromEntries(MEASURES.map((one) => [one, once(measured)])) as Record<
  (typeof MEASURES)[number],
  ReturnType<typeof once<typeof measured>>
>;

const seen = {
  measured: v.strictObject(measuredEntries),
  eye: once(v.picklist(EYE_WORDS)),
  grade: once(level),
  drive: once(scale),
  calm: once(v.strictObject({ on: once(scale), worn: once(scale), off: once(scale) })),
  cues: once(v.strictObject({ needed: countField, slip: countField, meant: once(countField) })),
  instead: once(words),
  handled: once(v.picklist(HANDLED)),
  sinceCue: once(seconds),
  timing: v.nullable(v.picklist(['before-word', 'in-gap', 'unprompted', 'prompted', 'reminded', 'none'])),
  endedBy: v.nullable(v.picklist(['dog', 'handler'])),
  run: v.nullable(run),
};

const judged = {
  outcome,
  faults,
  cause: v.picklist(CAUSES),
  aids: v.array(v.picklist(AIDS)),
  void: v.boolean(),
  proposed: v.nullable(v.strictObject({ outcome, faults })),
};

const paid = v.strictObject({
  size: once(v.picklist(PAY_SIZES)),
  what: once(v.string()),
  pieces: once(countField),
  when: once(v.string()),
  where: once(v.picklist(LANDINGS)),
  unasked: once(v.boolean()),
  marker: once(v.string()),
  by: once(v.picklist(['person', 'coin', 'schedule'])),
});

type Some<T extends v.ObjectEntries> = { [K in keyof T]: v.ExactOptionalSchema<T[K], undefined> };

/** The same keys, none of them needed: what an amendment says otherwise. */
const some = <T extends v.ObjectEntries>(entries: T) =>
  v.strictObject(
    Object.fromEntries(Object.entries(entries).map(([key, schema]) => [key, once(schema)])) as Some<T>,
  );

export const entrySchema = v.variant('kind', [
  v.strictObject({
    kind: v.literal('rep'),
    ...place,
    purpose: v.picklist(PURPOSES),
    asked: v.strictObject(asked),
    seen: v.strictObject(seen),
    judged: v.strictObject(judged),
    paid,
    from: v.nullable(
      v.strictObject({
        run: idField<RunId>(),
        exercise: idField<ExerciseKey>(),
        part: idField<PartKey>(),
        time: countField,
      }),
    ),
  }),
  v.strictObject({
    kind: v.literal('amend'),
    ...place,
    of: idField<EntryId>(),
    after: once(v.array(idField<EntryId>())),
    purpose: once(v.picklist(PURPOSES)),
    asked: once(some(asked)),
    seen: once(some(seen)),
    judged: once(some(judged)),
    paid: once(paid),
  }),
  v.strictObject({ kind: v.literal('undo'), ...place, of: idField<EntryId>() }),
  v.strictObject({
    kind: v.literal('move'),
    ...place,
    to: criteriaSchema,
    because: v.picklist(['advice', 'hand', 'probe']),
  }),
  v.strictObject({ kind: v.literal('override'), ...place, advice: v.string(), why: v.string() }),
  v.strictObject({ kind: v.literal('sign'), ...place, sign: v.picklist(BODY_SIGNS) }),
  v.strictObject({ kind: v.literal('sign-over'), ...place, of: idField<EntryId>(), why: v.string() }),
  v.strictObject({ kind: v.literal('easy'), ...place, what: v.string() }),
  v.strictObject({
    kind: v.literal('unlogged'),
    ...place,
    count: v.pipe(countField, v.minValue(1), v.maxValue(99)),
  }),
  v.strictObject({
    kind: v.literal('clock'),
    ...place,
    what: v.picklist(['work', 'rest', 'warm-up']),
    seconds,
  }),
  v.strictObject({ kind: v.literal('rest'), ...place }),
  v.strictObject({ kind: v.literal('time-out'), ...place }),
  v.strictObject({ kind: v.literal('answer'), ...place, why: v.picklist(REFUSALS) }),
  v.strictObject({ kind: v.literal('stage'), ...place, stage: v.picklist(STAGES) }),
  v.strictObject({
    kind: v.literal('note'),
    ...place,
    text: v.pipe(words, v.maxLength(2000)),
  }),
  v.strictObject({
    kind: v.literal('restate'),
    ...place,
    of: idField<EntryId>(),
    text: once(v.pipe(words, v.maxLength(2000))),
    sign: once(v.picklist(BODY_SIGNS)),
  }),
  v.strictObject({ kind: v.literal('off'), ...place, back: v.boolean() }),
  /** One dummy more lies there, and somebody has looked; since version 12 which thing of the set-out. */
  v.strictObject({ kind: v.literal('laid'), ...place, thing: v.exactOptional(words) }),
  v.strictObject({ kind: v.literal('washed'), ...place }),
  /** An article that is never to be laid again. */
  v.strictObject({ kind: v.literal('out-of-use'), ...place, article: words }),
  v.strictObject({ kind: v.literal('touched'), ...place, article: words }),
]) satisfies v.GenericSchema<unknown, Entry>;

import * as v from 'valibot';
import type { Criteria } from '@/core/breakdown';
import { BODY_SIGNS, LAYOUT_SHAPES, REFUSALS, STAGES } from '@/core/coaching';
import { HANDLER_ACTIONS, PURPOSES } from '@/core/evidence';
import type { DogId, ElementId, EntryId, SessionId } from '@/core/shared';
import { countField, idField, instantField } from './fields';

/**
 * The log. Append-only: nothing is ever overwritten or deleted. An undo or a correction is an entry of its own that supersedes an earlier
 * one of the same session. Version 1: reps, corrections, undo, moves, rests. Version 2: when an answer came (`timing`), what else can be tapped of a rep
 * (`details`, then or afterwards), why it was refused, body signs, reps that were not logged, a silent wait that ran out, and notes. Version 3: the marker's stamp, the
 * shape of a layout and whether the dog saw it, articles out of use, and a stage set by hand.
 */
const common = {
  id: idField<EntryId>(),
  sessionId: idField<SessionId>(),
  elementId: idField<ElementId>(),
  dogId: idField<DogId>(),
  /** Order within the session, from 0 without gaps. */
  seq: countField,
  at: instantField,
};

const criteriaField = v.pipe(
  v.record(v.string(), v.pipe(v.number(), v.finite())),
  v.transform((values) => values as Criteria),
);
const optionField = v.nullable(v.pipe(v.string(), v.minLength(1)));

/** What a person says of a rep; a correction says all of it again. */
const judgement = {
  outcome: v.picklist(['clean', 'flawed', 'miss']),
  /** The named fault: key of a fault option of the rule book or method. */
  option: optionField,
  cause: v.picklist(['dog', 'handler', 'apparatus', 'environment']),
  aided: v.boolean(),
};

const scale = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(5));

/** What can be tapped of a rep besides its judgement; all of it is optional, and what was not said is not there. */
const detailsSchema = v.strictObject({
  purpose: v.optional(v.picklist(PURPOSES)),
  /** A send with nothing there, a touched article: shown, never counted. */
  isVoid: v.optional(v.boolean()),
  /** Place on the ordered response scale of the element. */
  grade: v.optional(countField),
  drive: v.optional(scale),
  calm: v.optional(scale),
  /** Seconds a hold lasted. */
  held: v.optional(v.pipe(v.number(), v.finite(), v.minValue(0))),
  extraCues: v.optional(countField),
  /** Judged by eye, as an interval; degrees only where they were measured, + to the dog's right. */
  crooked: v.optional(v.picklist(['straight', 'slightly-left', 'slightly-right', 'badly-left', 'badly-right'])),
  measured: v.optional(v.pipe(v.number(), v.finite())),
  pay: v.optional(v.picklist(['none', 'small', 'large'])),
  landed: v.optional(v.picklist(['spot', 'ahead', 'behind', 'hand', 'reset'])),
  /** What the handler did while the dog held or stayed. */
  did: v.optional(v.picklist(HANDLER_ACTIONS)),
  /** Faults stamped in continuous work: which leg, which fault, how many seconds in. */
  stamps: v.optional(
    v.array(v.strictObject({ leg: v.string(), option: v.pipe(v.string(), v.minLength(1)), at: v.pipe(v.number(), v.finite(), v.minValue(0)) })),
  ),
  /** The link at which a chain broke, from 0; earlier ones held, later ones were not reached. */
  brokeAt: v.optional(countField),
  /** Calmness with worn kit: as it was put on, while it was worn, and after it came off. */
  calmOn: v.optional(scale),
  calmOff: v.optional(scale),
  /**
   * A run among numbered articles: numbers by place, and places from 0. `known`: the coach knew the layout; `seen`: the dog saw it laid. Neither proves anything.
   * `nearer`: the place of a decoy that lay nearer than the rest.
   */
  articles: v.optional(
    v.strictObject({
      laid: v.pipe(v.array(countField), v.minLength(1)),
      target: countField,
      firstTouch: v.nullable(countField),
      pick: v.nullable(countField),
      known: v.boolean(),
      shape: v.picklist(LAYOUT_SHAPES),
      seen: v.boolean(),
      nearer: v.nullable(countField),
    }),
  ),
});
export type Details = v.InferOutput<typeof detailsSchema>;

export const entrySchema = v.variant('kind', [
  v.strictObject({
    kind: v.literal('rep'),
    ...common,
    ...judgement,
    rung: countField,
    criteria: criteriaField,
    /** When the answer came, in a protocol with a new cue and an old prompt; null elsewhere. */
    timing: v.nullable(v.picklist(['before-word', 'in-gap', 'unprompted', 'prompted', 'reminded', 'none'])),
    details: detailsSchema,
    /** Seconds from cue to response, where both were stamped. */
    latency: v.nullable(v.pipe(v.number(), v.finite(), v.minValue(0))),
    /** Seconds from cue to marker, where both were stamped. */
    marker: v.nullable(v.pipe(v.number(), v.finite(), v.minValue(0))),
  }),
  v.strictObject({ kind: v.literal('correction'), ...common, ...judgement, supersedes: idField<EntryId>() }),
  v.strictObject({ kind: v.literal('undo'), ...common, supersedes: idField<EntryId>() }),
  v.strictObject({ kind: v.literal('move'), ...common, from: countField, to: countField, by: v.picklist(['advice', 'hand']) }),
  v.strictObject({ kind: v.literal('rest'), ...common }),
  v.strictObject({ kind: v.literal('detail'), ...common, supersedes: idField<EntryId>(), details: detailsSchema }),
  v.strictObject({ kind: v.literal('sign'), ...common, sign: v.picklist(BODY_SIGNS) }),
  v.strictObject({ kind: v.literal('unlogged'), ...common, count: v.pipe(countField, v.minValue(1), v.maxValue(99)) }),
  v.strictObject({ kind: v.literal('time-out'), ...common }),
  /** One dummy more lies there, and somebody has looked. */
  v.strictObject({ kind: v.literal('laid'), ...common }),
  v.strictObject({ kind: v.literal('washed'), ...common }),
  /** An article that is never to be laid again. */
  v.strictObject({ kind: v.literal('out-of-use'), ...common, article: v.pipe(countField, v.minValue(1)) }),
  /** The stage of a cue transfer, set by hand. */
  v.strictObject({ kind: v.literal('stage'), ...common, stage: v.picklist(STAGES) }),
  v.strictObject({ kind: v.literal('note'), ...common, text: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(2000)) }),
  v.strictObject({ kind: v.literal('answer'), ...common, why: v.picklist(REFUSALS) }),
]);

export type Entry = v.InferOutput<typeof entrySchema>;
export type RepEntry = Extract<Entry, { kind: 'rep' }>;
export type Judgement = Pick<RepEntry, 'outcome' | 'option' | 'cause' | 'aided'>;

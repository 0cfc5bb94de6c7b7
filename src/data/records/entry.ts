import * as v from 'valibot';
import type { Criteria } from '@/core/breakdown';
import { REFUSALS } from '@/core/coaching';
import type { DogId, ElementId, EntryId, SessionId } from '@/core/shared';
import { countField, idField, instantField } from './fields';

/**
 * The log. Append-only: nothing is ever overwritten or deleted. An undo or a correction is an entry of its own that supersedes an earlier
 * one of the same session. Version 1: reps, corrections, undo, moves, rests. Version 2: when an answer came (`timing`), and the one-tap answer to
 * why a rep was refused.
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

export const entrySchema = v.variant('kind', [
  v.strictObject({
    kind: v.literal('rep'),
    ...common,
    ...judgement,
    rung: countField,
    criteria: criteriaField,
    /** When the answer came, in a protocol with a new cue and an old prompt; null elsewhere. */
    timing: v.nullable(v.picklist(['before-word', 'in-gap', 'unprompted', 'prompted', 'reminded', 'none'])),
    /** Seconds from cue to response, where both were stamped. */
    latency: v.nullable(v.pipe(v.number(), v.finite(), v.minValue(0))),
  }),
  v.strictObject({ kind: v.literal('correction'), ...common, ...judgement, supersedes: idField<EntryId>() }),
  v.strictObject({ kind: v.literal('undo'), ...common, supersedes: idField<EntryId>() }),
  v.strictObject({ kind: v.literal('move'), ...common, from: countField, to: countField, by: v.picklist(['advice', 'hand']) }),
  v.strictObject({ kind: v.literal('rest'), ...common }),
  v.strictObject({ kind: v.literal('answer'), ...common, why: v.picklist(REFUSALS) }),
]);

export type Entry = v.InferOutput<typeof entrySchema>;
export type RepEntry = Extract<Entry, { kind: 'rep' }>;
export type Judgement = Pick<RepEntry, 'outcome' | 'option' | 'cause' | 'aided'>;

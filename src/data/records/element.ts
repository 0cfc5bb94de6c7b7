import * as v from 'valibot';
import {
  axisSchema,
  cellEditSchema,
  countsFromSchema,
  criteriaSchema,
  handRungSchema,
  LADDER_RULES,
  needSchema,
  WORK_TAGS,
  watchedFaultSchema,
} from '@/core/breakdown';
import { DEFAULT_PACE, LAID, LAYOUT_SHAPES, type Policy, policySchema, USUAL_RULES } from '@/core/coaching';
import { type BoutId, type DogId, type ElementId, schemaSays } from '@/core/shared';
import { changedSchema, idField } from './fields';

const words = v.pipe(v.string(), v.trim(), v.minLength(1));

/**
 * One element as this dog trains it. The ladder is built from axes, rule and hand-set values, never
 * stored. Version 1: axes, hand-set cells, a policy. Version 2: everything else: form, ladder rule,
 * which faults count from where, conditions, prerequisites, faults and kit of its own, where it
 * came from, and what became of it. Version 3: what is set out, and how articles are laid.
 * Version 5: whether a measure decides, one cue by the rules, own names of articles. Version 7: skipped
 * rungs; equal steps, owned sizes and floors of an axis; conditions of which the next is proposed.
 */
export const elementSchema = v.strictObject({
  id: idField<ElementId>(),
  dogId: idField<DogId>(),
  title: words,
  /**
   * A piece; a chain of other elements, logged by the link that broke; or continuous work with legs
   * and a clock.
   */
  form: v.variant('kind', [
    v.strictObject({ kind: v.literal('piece') }),
    v.strictObject({
      kind: v.literal('chain'),
      links: v.pipe(
        v.array(idField<ElementId>()),
        v.minLength(2, schemaSays('data.element.a-chain-has-two-links-or-more')),
      ),
    }),
    v.strictObject({ kind: v.literal('continuous'), legs: v.pipe(v.array(words), v.minLength(1)) }),
  ]),
  axes: v.pipe(
    v.array(axisSchema),
    v.minLength(1, schemaSays('data.element.an-element-needs-a-criterion-axis')),
  ),
  edits: v.array(cellEditSchema),
  ladderRule: v.picklist(LADDER_RULES),
  byHand: v.array(handRungSchema),
  countsFrom: v.array(countsFromSchema),
  /** Planned values of rungs that are left out. */
  skips: v.array(criteriaSchema),
  /** What is neither harder nor easier: surface, place, handler, kit worn. */
  conditions: v.array(
    v.strictObject({
      title: words,
      options: v.pipe(
        v.array(words),
        v.minLength(2, schemaSays('data.element.a-condition-needs-two-options')),
      ),
      /** The pad proposes the next one, never the same twice running. */
      drawn: v.exactOptional(v.boolean()),
      /** Version 9: a fair trial on this dog, of two options: which comes is tossed in blocks of two. */
      tossed: v.exactOptional(v.boolean()),
      /** Seen in the rep, not set up before it: the last paw in. Nothing is kept for the next one. */
      seen: v.exactOptional(v.boolean()),
    }),
  ),
  needs: v.array(needSchema),
  /** Faults to watch for where no rule book prices them. */
  faults: v.array(watchedFaultSchema),
  kit: v.array(words),
  work: v.array(v.picklist(WORK_TAGS)),
  /** What is set out where, in the person's own words. */
  setOut: v.pipe(v.string(), v.maxLength(500)),
  /**
   * The numbered articles and how they are laid; null where it is not about articles. `nearer`: in
   * every other run a decoy lies nearer.
   */
  articles: v.nullable(
    v.strictObject({
      count: v.pipe(v.number(), v.integer(), v.minValue(2), v.maxValue(60)),
      shape: v.picklist(LAYOUT_SHAPES),
      laid: v.picklist(LAID),
      nearer: v.boolean(),
      /** The person's own numbers or names, as many as there are; empty where they are 1, 2, 3 … */
      names: v.array(words),
      /** One that was helped with (a food rub) may be laid again without washing. */
      aidedAgain: v.boolean(),
    }),
  ),
  policy: policySchema,
  method: v.nullable(v.strictObject({ id: words, element: words })),
  /**
   * An element that was split or merged keeps its reps; they count for what came of it only where
   * `assigned` says so.
   */
  retired: v.nullable(
    v.strictObject({
      how: v.picklist(['split', 'merged']),
      into: v.pipe(v.array(idField<ElementId>()), v.minLength(1)),
    }),
  ),
  assigned: v.array(v.strictObject({ bout: idField<BoutId>(), to: v.array(idField<ElementId>()) })),
  /** Whether what was measured decides the judgement, or is only noted beside it. */
  measured: v.picklist(['decides', 'noted']),
  /** One cue only, or repeated calmly; `by-rules`: one where a rule book that it serves charges more. */
  cues: v.picklist(['one', 'repeat', 'by-rules']),
  /** The element for which a dog that was gone back to is evidence. */
  wait: v.nullable(idField<ElementId>()),
  putAway: v.boolean(),
  changed: changedSchema,
});
export type ElementRecord = v.InferOutput<typeof elementSchema>;

/**
 * Five in a row is the usual rule; two misses in a row say "too hard" before a third teaches it.
 */
export const DEFAULT_POLICY: Policy = { rule: USUAL_RULES.run, pace: DEFAULT_PACE };

/** What an element has until somebody says more. */
export const PLAIN_ELEMENT = {
  form: { kind: 'piece' },
  edits: [],
  ladderRule: 'one-axis',
  byHand: [],
  countsFrom: [],
  skips: [],
  conditions: [],
  needs: [],
  faults: [],
  kit: [],
  work: [],
  setOut: '',
  articles: null,
  policy: DEFAULT_POLICY,
  method: null,
  retired: null,
  assigned: [],
  measured: 'decides',
  cues: 'by-rules',
  wait: null,
  putAway: false,
} satisfies Omit<ElementRecord, 'id' | 'dogId' | 'title' | 'axes' | 'changed'>;

/** So many articles, as they are laid where nobody says otherwise. */
export const numberedArticles = (count: number): NonNullable<ElementRecord['articles']> => ({
  count,
  shape: 'line',
  laid: 'hidden',
  nearer: false,
  names: [],
  aidedAgain: false,
});

import * as v from 'valibot';

const share = v.pipe(v.number(), v.minValue(0), v.maxValue(1));
const shift = v.pipe(v.number(), v.minValue(-3), v.maxValue(3));
const spread = v.pipe(v.number(), v.minValue(0), v.maxValue(3));

/**
 * What the forecast assumes and reps at home cannot tell. Logits unless said otherwise; shown on
 * the page, changeable.
 */
export const assumptionsSchema = v.strictObject({
  /** Share of the swing from session to session which all elements have in common on one day. */
  sharedDay: share,
  /** SD of trial nerves, common to all elements. */
  nervesSd: spread,
  /**
   * What a strange place and a first try of the day do to an element before reps have told: middle
   * and SD.
   */
  place: v.strictObject({ mean: shift, sd: spread }),
  cold: v.strictObject({ mean: shift, sd: spread }),
  /** For "what would help most": how many sessions more. */
  sessions: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50)),
  /** Sessions a week up to the trial, for each element; null: as many as in the last four weeks. */
  sessionsPerWeek: v.nullable(v.pipe(v.number(), v.minValue(0), v.maxValue(21))),
  /** No element is lifted past this chance of a clean rep: more training does not buy certainty. */
  ceiling: v.pipe(v.number(), v.minValue(0.5), v.maxValue(0.999)),
  /**
   * The handler's own slips: how often per element (share), and how many reps that guess is worth.
   */
  handlerRate: share,
  handlerWeight: v.pipe(v.number(), v.gtValue(0), v.maxValue(1000)),
});

export type Assumptions = v.InferOutput<typeof assumptionsSchema>;

export const DEFAULT_ASSUMPTIONS: Assumptions = {
  sharedDay: 0.5,
  nervesSd: 0.4,
  place: { mean: -0.5, sd: 0.5 },
  cold: { mean: -0.3, sd: 0.4 },
  sessions: 5,
  sessionsPerWeek: null,
  ceiling: 0.97,
  handlerRate: 0.025,
  handlerWeight: 16,
};

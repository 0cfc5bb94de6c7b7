import * as v from 'valibot';

const share = v.pipe(v.number(), v.minValue(0), v.maxValue(1));
const spread = v.pipe(v.number(), v.minValue(0), v.maxValue(3));

/** What the forecast assumes and reps at home cannot tell. Logits unless said otherwise; shown on the page, changeable. */
export const assumptionsSchema = v.strictObject({
  /** SD of how an element swings from session to session. */
  sessionSd: spread,
  /** Share of that swing which all elements have in common on one day. */
  sharedDay: share,
  /** SD of trial nerves, common to all elements. */
  nervesSd: spread,
  /** What a session adds to an element's level, for "what would help most". */
  gainPerSession: v.pipe(v.number(), v.minValue(0), v.maxValue(1)),
  sessions: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50)),
  /** No element is lifted past this chance of a clean rep: more training does not buy certainty. */
  ceiling: v.pipe(v.number(), v.minValue(0.5), v.maxValue(0.999)),
  /** The handler's own slips: how often per element (share), and how many reps that guess is worth. */
  handlerRate: share,
  handlerWeight: v.pipe(v.number(), v.gtValue(0), v.maxValue(1000)),
});

export type Assumptions = v.InferOutput<typeof assumptionsSchema>;

export const DEFAULT_ASSUMPTIONS: Assumptions = {
  sessionSd: 0.5,
  sharedDay: 0.5,
  nervesSd: 0.4,
  gainPerSession: 0.05,
  sessions: 5,
  ceiling: 0.97,
  handlerRate: 0.025,
  handlerWeight: 16,
};

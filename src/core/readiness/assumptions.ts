import * as v from 'valibot';
import { asAtTrial, type Posterior, type When } from '@/core/evidence';

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
  /**
   * What the trial asks besides: who handles the dog, whether it is paid there, what it wears. Shifts are
   * those that reps show, of both sides where both were logged.
   */
  asked: v.strictObject({
    handler: v.picklist(['usual', 'another']),
    paid: v.boolean(),
    kit: v.picklist(['usual', 'other']),
  }),
  /** From what chance of passing the person would go. */
  goFrom: share,
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
  asked: { handler: 'usual', paid: false, kit: 'usual' },
  goFrom: 0.5,
  sessions: 5,
  sessionsPerWeek: null,
  ceiling: 0.97,
  handlerRate: 0.025,
  handlerWeight: 16,
};

/** A trial of today as these ask for it: a strange place, the first try of the day, handler, pay and kit. */
export const trialOf = ({ asked }: Assumptions, posterior: Pick<Posterior, 'idle'>): When => ({
  ...asAtTrial(posterior),
  handler: asked.handler === 'another' ? 1 : 0,
  unpaid: asked.paid ? 0 : 1,
  worn: asked.kit === 'other' ? 1 : 0,
});

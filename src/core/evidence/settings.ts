/**
 * The tunable numbers of the evidence model, with their reasons. Priors are on the logit scale.
 */
export const EVIDENCE = {
  /**
   * A dog at the start of its own ladder is clean about 80 % of the time in its first session, give
   * or take: the start was chosen to be easy.
   */
  level: { mean: 1.4, sd: 1.2 },
  /**
   * What one session adds. Harder rungs come as the dog improves, so that a fit without a trend
   * takes learning for an easy ladder.
   */
  gain: { mean: 0.05, sd: 0.08 },
  /**
   * From start to demand costs about 3 logits in all, shared among the axes; `slope.sd` is on the
   * log of the slope.
   */
  slope: { total: 3, sd: 0.6 },
  /** In a strange place 90 % becomes about 85 %; unknown until away reps are logged. */
  away: { mean: -0.5, sd: 0.5 },
  /** The first rep of the day is a little worse than the rest. */
  cold: { mean: -0.3, sd: 0.4 },
  /**
   * Another handler, no pay, other kit than usual: each costs about what a strange place costs, and
   * more or less until reps of both sides are logged.
   */
  shift: { mean: -0.3, sd: 0.5 },
  /**
   * What each go before it in the session takes off, half-normal: twelve goes take up to one logit.
   * `kept` is how much of that is left after a rest, on the logit of the share.
   */
  tiring: { sd: 0.1 },
  kept: { mean: 0, sd: 1 },
  /**
   * What a long gap takes off the next session, half-normal, and the days in which two thirds of it
   * are gone: log-normal.
   */
  loss: { sd: 0.8 },
  lasting: { mean: Math.log(30), sd: 0.8 },
  /**
   * SD of the swing from session to session: three values, weighed by the evidence and by a
   * log-normal around the middle one.
   */
  swing: { values: [0.25, 0.5, 1], middle: 0.5, sd: 0.6 },
  /** What a dog may have drifted since the sessions that speak of it: SD on the level of now. */
  drift: 0.275,
  /** Variance that a day more adds to it, for a day ahead. */
  driftPerDay: 0.005,
  /** Days after which a session says half as much about the dog of today. Range 7–60. */
  halfLifeDays: 21,
  /**
   * Sessions whose weight fell below this are left out: under 1/256 they cannot move a figure that
   * is shown.
   */
  leastWeight: 2 ** -8,
  /** "Reach" is where a rep is clean this often. */
  reachChance: 0.8,
  /** Prior weight of the fault shares, in reps, spread evenly over the faults that can happen. */
  faultPrior: 2,
  /**
   * A rep that went wrong seldom goes wrong twice: the chance of one fault more before any was logged,
   * and the reps that this guess is worth.
   */
  further: { rate: 0.05, weight: 2 },
  /**
   * Posterior draws that are kept, and that are proposed for them: 400 moved the ends of the reach by
   * a tenth.
   */
  draws: 1500,
  proposals: 3000,
} as const;

/** Normal prior of a shift in logits. */
export type Shift = { readonly mean: number; readonly sd: number };
/**
 * What a person may change about the model: what a strange place and a first try are thought to
 * cost before reps have told; and what runs have taught of going unpaid.
 */
export type Beliefs = { readonly away: Shift; readonly cold: Shift; readonly unpaid?: Shift };
export const USUAL_BELIEFS: Beliefs = { away: EVIDENCE.away, cold: EVIDENCE.cold };

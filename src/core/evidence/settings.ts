/**
 * The tunable numbers of the evidence model, with their reasons. Priors are on the logit scale.
 */
export const EVIDENCE = {
  /** A dog at the start of its own ladder is clean about 80 % of the time, give or take: the start was chosen to be easy. */
  level: { mean: 1.4, sd: 1.2 },
  /** From start to demand costs about 3 logits in all, shared among the axes; `slope.sd` is on the log of the slope. */
  slope: { total: 3, sd: 0.6 },
  /** In a strange place 90 % becomes about 85 %; unknown until away reps are logged. */
  away: { mean: -0.5, sd: 0.5 },
  /** The first rep of the day is a little worse than the rest. */
  cold: { mean: -0.3, sd: 0.4 },
  /** Days after which a rep says half as much about the dog of today. Range 7–60. */
  halfLifeDays: 21,
  /** Sessions whose weight fell below this are left out: under 1/256 they cannot move a figure that is shown. */
  leastWeight: 2 ** -8,
  /** "Reach" is where a rep is clean this often. */
  reachChance: 0.8,
  /** Prior weight of the fault shares, in reps, spread evenly over the faults that can happen. */
  faultPrior: 2,
} as const;

/** A counted rep as the alarm sees it; null where something was not noted. Latency in seconds. */
export type WatchedRep = {
  readonly clean: boolean;
  readonly extraCues: number | null;
  readonly latency: number | null;
};
/**
 * Clean and all counted reps of this rung from before the session: what this dog is known to do
 * here.
 */
export type Before = { readonly clean: number; readonly total: number };

export type Suspicion = { readonly by: 'misses' | 'extra cues' | 'slower answers'; readonly since: number };

/**
 * The alarm's tunable numbers. `limit` h = 3 gives at most 8 false alarms in 100 sessions of 20
 * reps for dogs of 70 % and more (tested by simulation). A fall is taken to mean a third of the
 * odds; for extra cues a ninth, so that two repeated cues after a run of single ones are enough.
 */
export const FALLING_OFF = {
  limit: 3,
  oddsFall: 3,
  cueOddsFall: 9,
  /** Prior weight in reps, four clean and one not: a rung is trained where it mostly succeeds. */
  prior: { clean: 4, not: 1 },
  /** Reps of before count at most so much: an old habit must not outvote today. */
  mostBefore: 40,
  /**
   * Answers in a session before a slower one can be told, and the spread of log-latency taken for
   * usual.
   */
  leastLatencies: 4,
  latencySd: 0.3,
  /** Seconds: what two taps of a hand cannot tell apart is no answer time, and 0 has no logarithm. */
  leastLatency: 0.1,
} as const;

/**
 * Watches a session for a falling off by cumulative sums (Page 1954) of log-likelihood ratios: not
 * clean, extra cues, and log-latency one usual spread up, each apart. The rate before is a Beta
 * mean of what was known and of the session's own earlier reps. Null while nothing is suspected;
 * `since` is the rep (from 0) from which the sum rose. It is a suspicion: it finds under half of
 * real falls. Eight clean reps, then four misses → by misses, since 8.
 */
export function fallingOff(reps: readonly WatchedRep[], before: Before): Suspicion | null {
  const share = before.total > FALLING_OFF.mostBefore ? FALLING_OFF.mostBefore / before.total : 1;
  const known = { clean: before.clean * share, not: (before.total - before.clean) * share };
  const missed = rateSum(
    reps.map((rep) => rep.clean),
    known,
    FALLING_OFF.oddsFall,
  );
  const cued = rateSum(
    reps.flatMap((rep) => (rep.extraCues === null ? [] : [rep.extraCues === 0])),
    { clean: 0, not: 0 },
    FALLING_OFF.cueOddsFall,
  );
  const slower = latencySum(
    reps.flatMap(({ latency }) =>
      latency === null || latency < FALLING_OFF.leastLatency ? [] : [Math.log(latency)],
    ),
  );
  if (cued !== null) return { by: 'extra cues', since: cued };
  if (missed !== null) return { by: 'misses', since: missed };
  return slower === null ? null : { by: 'slower answers', since: slower };
}

function rateSum(
  good: readonly boolean[],
  known: { readonly clean: number; readonly not: number },
  fall: number,
): number | null {
  let [clean, not] = [known.clean + FALLING_OFF.prior.clean, known.not + FALLING_OFF.prior.not];
  return page(good, (one) => {
    const p = clean / (clean + not);
    const odds = p / (1 - p) / fall;
    const q = odds / (1 + odds);
    if (one) clean += 1;
    else not += 1;
    return one ? Math.log(q / p) : Math.log((1 - q) / (1 - p));
  });
}

/**
 * Against the mean of the session's own earlier answers: a shift of one spread, so each step adds z
 * − ½.
 */
function latencySum(logs: readonly number[]): number | null {
  const { leastLatencies, latencySd } = FALLING_OFF;
  const usual = logs.slice(0, leastLatencies);
  const mean = usual.reduce((sum, one) => sum + one, 0) / usual.length;
  if (logs.length <= leastLatencies) return null;
  const since = page(logs.slice(leastLatencies), (one) => (one - mean) / latencySd - 0.5);
  return since === null ? null : since + leastLatencies;
}

/**
 * Page's sum S ← max(0, S + step): where it rose from when it has reached the limit, and null when
 * it has not.
 */
function page<T>(items: readonly T[], step: (item: T) => number): number | null {
  let [sum, from] = [0, 0];
  let raised: number | null = null;
  for (const [i, item] of items.entries()) {
    const by = step(item);
    if (sum === 0) from = i;
    sum = Math.max(0, sum + by);
    if (sum >= FALLING_OFF.limit && raised === null) raised = from;
  }
  return raised;
}

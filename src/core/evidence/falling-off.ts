/** A counted rep as the alarm sees it; null where something was not noted. Latency in seconds. */
export type WatchedRep = {
  readonly clean: boolean;
  readonly extraCues: number | null;
  readonly latency: number | null;
};
/**
 * What this dog is known to do from before the session: clean and all counted reps at these criteria;
 * extra cues in reps of which cues were said; and log seconds to its answers, session by session.
 */
export type Before = {
  readonly clean: number;
  readonly total: number;
  readonly cues: { readonly reps: number; readonly extra: number };
  readonly times: readonly (readonly number[])[];
};

export type Suspicion = { readonly by: 'misses' | 'extra cues' | 'slower answers'; readonly since: number };

/**
 * The alarm's tunable numbers. Each of the three alone gives at most 8 false alarms in 100 sessions of 20
 * reps (tested by simulation): misses for dogs of 70 % and more, cues for dogs that need up to .4 a rep,
 * answers with a spread of .3 and a sway from session to session of .2 in log seconds.
 */
export const FALLING_OFF = {
  /** A fall is taken to mean a third of the odds. */
  misses: { limit: 3, oddsFall: 3 },
  /**
   * More cues: half a cue a rep more and half as many again. The guess of .15 a rep weighs eight reps; with
   * fewer than `least` reps of before nothing is usual yet.
   */
  cues: { limit: 4.5, more: 0.5, times: 1.5, guess: 0.15, weight: 8, least: 20 },
  /**
   * Slower: more than 1.25 spreads over the usual, added up. The spread of log seconds is guessed as .4
   * with the weight of ten times; it holds the sway between sessions too.
   */
  answers: { limit: 3.5, over: 1.25, spread: 0.4, weight: 10, leastTimes: 12, leastSessions: 3 },
  /** Prior weight in reps, four clean and one not: a rung is trained where it mostly succeeds. */
  prior: { clean: 4, not: 1 },
  /** Reps of before count at most so much: an old habit must not outvote today. */
  mostBefore: 40,
  /** Seconds: what two taps of a hand cannot tell apart is no answer time, and 0 has no logarithm. */
  leastLatency: 0.1,
} as const;

/**
 * Watches a session for a falling off by cumulative sums (Page 1954) of log-likelihood ratios: not clean,
 * extra cues by their number, and log seconds over what is usual for this dog, each apart and each against
 * what was known before the session; the first two go on learning from its earlier reps. Null while nothing
 * is suspected; `since` is the rep (from 0) from which the sum rose. It is a suspicion: it finds under half
 * of real falls. Eight clean reps, then four misses → by misses, since 8.
 */
export function fallingOff(reps: readonly WatchedRep[], before: Before): Suspicion | null {
  const share = before.total > FALLING_OFF.mostBefore ? FALLING_OFF.mostBefore / before.total : 1;
  const known = { clean: before.clean * share, not: (before.total - before.clean) * share };
  const missed = missSum(
    reps.map((rep) => rep.clean),
    known,
  );
  const cued = cueSum(
    reps.map((rep) => rep.extraCues),
    before.cues,
  );
  const slower = answerSum(
    reps.map(({ latency }) =>
      latency === null || latency < FALLING_OFF.leastLatency ? null : Math.log(latency),
    ),
    before.times,
  );
  if (cued !== null) return { by: 'extra cues', since: cued };
  if (missed !== null) return { by: 'misses', since: missed };
  return slower === null ? null : { by: 'slower answers', since: slower };
}

function missSum(
  good: readonly boolean[],
  known: { readonly clean: number; readonly not: number },
): number | null {
  const { limit, oddsFall } = FALLING_OFF.misses;
  let [clean, not] = [known.clean + FALLING_OFF.prior.clean, known.not + FALLING_OFF.prior.not];
  return page(good, limit, (one) => {
    const p = clean / (clean + not);
    const odds = p / (1 - p) / oddsFall;
    const q = odds / (1 + odds);
    if (one) clean += 1;
    else not += 1;
    return one ? Math.log(q / p) : Math.log((1 - q) / (1 - p));
  });
}

/** Poisson of the usual number against more: n log(more/usual) − (more − usual) a rep. */
function cueSum(numbers: readonly (number | null)[], known: Before['cues']): number | null {
  const { limit, more, times, guess, weight, least } = FALLING_OFF.cues;
  if (known.reps < least) return null;
  const share = Math.min(1, FALLING_OFF.mostBefore / known.reps);
  let [extra, reps] = [known.extra * share + guess * weight, known.reps * share + weight];
  return page(numbers, limit, (n) => {
    if (n === null) return 0;
    const usual = extra / reps;
    const raised = more + times * usual;
    extra += n;
    reps += 1;
    return n * Math.log(raised / usual) - (raised - usual);
  });
}

/** How far each answer lies over the usual one, in spreads, less what is let pass. */
function answerSum(logs: readonly (number | null)[], sessions: Before['times']): number | null {
  const { limit, over, spread, weight, leastTimes, leastSessions } = FALLING_OFF.answers;
  const known = sessions.flat();
  if (known.length < leastTimes || sessions.length < leastSessions) return null;
  const usual = known.reduce((sum, one) => sum + one, 0) / known.length;
  const squares = known.reduce((sum, one) => sum + (one - usual) ** 2, 0);
  const sd = Math.sqrt((squares + weight * spread ** 2) / (known.length - 1 + weight));
  return page(logs, limit, (log) => (log === null ? 0 : (log - usual) / sd - over));
}

/**
 * Page's sum S ← max(0, S + step): where it rose from when it has reached the limit, and null when
 * it has not.
 */
function page<T>(items: readonly T[], limit: number, step: (item: T) => number): number | null {
  let [sum, from] = [0, 0];
  let raised: number | null = null;
  for (const [i, item] of items.entries()) {
    const by = step(item);
    if (sum === 0) from = i;
    sum = Math.max(0, sum + by);
    if (sum >= limit && raised === null) raised = from;
  }
  return raised;
}

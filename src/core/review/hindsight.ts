import { logistic, logit } from '@/core/statistics';

/**
 * The numbers of a look back. `odds`: a fall is taken to mean a third of the odds. `swing`: how far a bout lies
 * off a dog's usual, logits. `told`: the Bayes factor from which a point is said; `least` reps before there is
 * any, `before` of them before the point and `after` after it.
 * @internal
 */
export const HINDSIGHT = { odds: 3, swing: 0.8, told: 3, least: 8, before: 2, after: 3 } as const;

/** A counted rep as a look back sees it: clean or not, and how often this dog was clean there before. */
export type LookedBack = {
  readonly clean: boolean;
  /** Counted reps of before at the same criteria. */
  readonly known: { readonly clean: number; readonly reps: number };
};

export type Hindsight =
  | {
      readonly kind: 'point';
      /** It could have ended after so many counted reps. */
      readonly after: number;
      /** How many times likelier the bout is with a fall somewhere than without one. */
      readonly factor: number;
      /** How sure the point itself is: its share among all points, and the ends of four fifths of it. */
      readonly share: number;
      readonly from: number;
      readonly to: number;
    }
  | { readonly kind: 'nothing'; readonly factor: number }
  | { readonly kind: 'few'; readonly reps: number };

/** The habit of before counts at most so many reps, and four clean of five are added to it. */
const KNOWN = { most: 40, clean: 4, not: 1 } as const;

/**
 * Where a bout could have ended: the exact posterior over one change point, against none (Smith 1975). Before
 * it each rep is clean as often as this dog was at those criteria before, moved by what the day is (normal,
 * `swing` and what the few reps of before leave open, by quadrature); after it at a third of the odds. All
 * points are as likely beforehand. Said only at a Bayes factor over 3, with three reps or more after it.
 * Eight clean, then five of six not clean, of a dog at 80 in 100 → `{ kind: 'point', after: 8, … }`; eleven
 * reps, two misses among them → `nothing`; six reps → `few`.
 */
export function hindsightOf(reps: readonly LookedBack[]): Hindsight {
  const n = reps.length;
  if (n < HINDSIGHT.least) return { kind: 'few', reps: n };
  const usual = reps.map(({ known }) => usualOf(known));
  const spread = Math.sqrt(HINDSIGHT.swing ** 2 + usual.reduce((sum, one) => sum + one.variance, 0) / n);
  const points = Array.from(
    { length: n - HINDSIGHT.after - HINDSIGHT.before + 1 },
    (_, i) => HINDSIGHT.before + i,
  );
  const likely = new Float64Array(points.length);
  let none = 0;
  for (const { at, weight } of NODES) {
    // The likelihood of the reps up to each place as usual, and from each place on as after a fall.
    const upTo = [1];
    for (const [i, rep] of reps.entries())
      upTo.push((upTo[i] as number) * chanceOf(rep, (usual[i] as Usual).eta + spread * at));
    let rest = 1;
    const from = new Float64Array(n + 1).fill(1);
    for (let i = n - 1; i >= 0; i--) {
      rest *= chanceOf(reps[i] as LookedBack, (usual[i] as Usual).eta + spread * at - FALL);
      from[i] = rest;
    }
    none += weight * (upTo[n] as number);
    for (const [k, point] of points.entries())
      likely[k] = (likely[k] as number) + weight * (upTo[point] as number) * (from[point] as number);
  }
  const all = likely.reduce((sum, one) => sum + one, 0);
  const factor = all / points.length / none;
  if (factor <= HINDSIGHT.told) return { kind: 'nothing', factor };
  const best = likely.indexOf(Math.max(...likely));
  return {
    kind: 'point',
    after: points[best] as number,
    factor,
    share: (likely[best] as number) / all,
    from: points[quantileOf(likely, 0.1 * all)] as number,
    to: points[quantileOf(likely, 0.9 * all)] as number,
  };
}

type Usual = { readonly eta: number; readonly variance: number };

function usualOf({ clean, reps }: LookedBack['known']): Usual {
  const share = reps > KNOWN.most ? KNOWN.most / reps : 1;
  const [a, b] = [clean * share + KNOWN.clean, (reps - clean) * share + KNOWN.not];
  const p = a / (a + b);
  return { eta: logit(p), variance: 1 / ((a + b) * p * (1 - p)) };
}

const FALL = Math.log(HINDSIGHT.odds);

const chanceOf = ({ clean }: LookedBack, eta: number): number => logistic(clean ? eta : -eta);

/** A standard normal on an even grid: 61 places over ±5, which for these smooth products is exact to 1e-9. */
const NODES = Array.from({ length: 61 }, (_, i) => {
  const at = -5 + i / 6;
  return { at, weight: Math.exp(-0.5 * at * at) / 6 / Math.sqrt(2 * Math.PI) };
});

/** The first place up to which so much lies. */
function quantileOf(weights: Float64Array, wanted: number): number {
  let sum = 0;
  for (const [i, one] of weights.entries()) {
    sum += one;
    if (sum >= wanted) return i;
  }
  return weights.length - 1;
}

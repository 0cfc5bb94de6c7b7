import { binomialTail } from '@/core/statistics';
import { type BlockRule, decide, type SequentialRule } from './blocks';
import type { Rule } from './policy';
import type { RunRule } from './runs';

/**
 * What a rule does with a dog whose every rep is clean with chance p, alike and apart from one
 * another.
 */
export type OperatingPoint = {
  /**
   * Chance that the very first reps that could advance it do: n of n, the first block, a clean
   * sheet of the test.
   */
  readonly atOnce: number;
  /** Chance that it advances before it drops back, however long that takes. */
  readonly advances: number;
  /** Mean reps until it does one or the other. */
  readonly reps: number;
};

/**
 * How many of the reps that are not clean are misses; the rest are flawed. Only runs and their
 * drop-backs depend on it.
 */
const MISS_SHARE = 0.5;
/**
 * Steps after which an undecided sequential test is cut off; at the risks allowed far less than one
 * set in a million gets there.
 */
const LONGEST = 400;

/**
 * The operating characteristic of a rule for a dog with true clean rate `p` in (0, 1), exact; null
 * for rules that no clean rate alone decides (stretch, protocols, by feel). Example: five in a row
 * at p = .8: `atOnce` .8⁵ = .328.
 */
export function operatingPoint(rule: Rule, p: number, missShare = MISS_SHARE): OperatingPoint | null {
  switch (rule.kind) {
    case 'run':
    case 'single-presentation':
      return ofRun(rule, p, (1 - p) * missShare);
    case 'block':
      return ofBlock(rule, p);
    case 'sequential':
      return ofSequential(rule, p);
    default:
      return null;
  }
}

/**
 * Success runs against failure runs (Feller 1968, XIII.8, with a third outcome). C and M are the
 * values after a first clean rep and a first miss, E the value with no row: C wins with p^(n−1),
 * else its row breaks into M or E; M likewise; E = (cost + pC + qM)/(p + q).
 */
function ofRun(
  { advanceAfter: n, dropAfter: m }: Pick<RunRule, 'advanceAfter' | 'dropAfter'>,
  p: number,
  miss: number,
): OperatingPoint {
  const flaw = 1 - p - miss;
  const [u, w] = [1 - p ** (n - 1), 1 - miss ** (m - 1)];
  const value = (won: number, lost: number, cost: number): number => {
    const empty = cost / (p + miss);
    const [toC, toM] = [p / (p + miss), miss / (p + miss)];
    const [cBreak, mBreak] = [u / (1 - p), w / (1 - miss)];
    // C = a + bC + cM and M = d + eC + gM
    const a = (1 - u) * won + cost * cBreak + cBreak * flaw * empty;
    const [b, c] = [cBreak * flaw * toC, cBreak * (miss + flaw * toM)];
    const d = (1 - w) * lost + cost * mBreak + mBreak * flaw * empty;
    const [e, g] = [mBreak * (p + flaw * toC), mBreak * flaw * toM];
    const determinant = (1 - b) * (1 - g) - c * e;
    const afterClean = (a * (1 - g) + c * d) / determinant;
    const afterMiss = (d * (1 - b) + e * a) / determinant;
    return empty + toC * afterClean + toM * afterMiss;
  };
  return { atOnce: p ** n, advances: value(1, 0, 0), reps: value(0, 0, 1) };
}

function ofBlock({ size, pass, fail }: BlockRule, p: number): OperatingPoint {
  const up = binomialTail(size, pass, p);
  const down = 1 - binomialTail(size, fail + 1, p);
  return { atOnce: up, advances: up / (up + down), reps: size / (up + down) };
}

function ofSequential(rule: SequentialRule, p: number): OperatingPoint {
  let open = new Map<number, number>([[0, 1]]);
  let [advances, reps, atOnce] = [0, 0, 0];
  for (let done = 1; done <= LONGEST && open.size > 0; done++) {
    const next = new Map<number, number>();
    for (const [before, chance] of open) {
      reps += chance;
      for (const [clean, share] of [
        [before + 1, p],
        [before, 1 - p],
      ] as const) {
        const verdict = decide(rule, { clean, done });
        if (verdict === 'open') next.set(clean, (next.get(clean) ?? 0) + chance * share);
        else if (verdict === 'good') {
          advances += chance * share;
          if (clean === done) atOnce += chance * share;
        }
      }
    }
    open = next;
  }
  return { atOnce, advances, reps };
}

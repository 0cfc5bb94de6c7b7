import {
  type Axis,
  axisScale,
  buildLadder,
  type Criteria,
  type Ladder,
  type LadderPlan,
  proofValue,
  writeValue,
} from '@/core/breakdown';
import { type AxisKey, type Sentence, say } from '@/core/shared';
import type { Assessed } from './assess';
import type { Reach } from './estimate';
import type { Interval } from './predict';

/**
 * Everything on a rod is placed by difficulty: 0 is the start, 1 the demand. Labels are ready to
 * read.
 */
export type RodData = {
  /** Two axes may have one title; this tells them apart. */
  readonly axis: AxisKey;
  readonly title: string;
  readonly start: Sentence;
  readonly demand: Sentence;
  readonly proof: Sentence | null;
  /** Where the proof margin ends; 1 where there is none. */
  readonly proofAt: number;
  readonly rungs: readonly number[];
  readonly here: { readonly at: number; readonly label: Sentence } | null;
  /** Where a rep is clean 8 times in 10, with its 80 % interval. */
  readonly reach: Interval | null;
  readonly sentence: Sentence;
};

/**
 * What the rod of one axis shows: the ladder's rungs, the value at which the dog stands and, where
 * reps say it, the reach. Null for a broken axis.
 */
export function rodOf(axis: Axis, ladder: Ladder, stands: Criteria, reach: Reach | null): RodData | null {
  const scale = axisScale(axis);
  if (!scale.ok) return null;
  const { difficulty, held } = scale.value;
  const write = (base: number): Sentence => writeValue(axis, base);
  const value = stands[axis.key] ?? axis.start;
  const [start, demand, now] = [write(axis.start), write(axis.demand), write(value)];
  const words = reach === null ? null : reachInWords(axis, reach);
  return {
    axis: axis.key,
    title: axis.title,
    start,
    demand,
    proof: held || axis.margin === 0 || axis.levels !== null ? null : write(proofValue(axis)),
    proofAt: held ? 1 : difficulty(proofValue(axis)),
    rungs: held ? [] : ladder.rungs.map((one) => difficulty(one.criteria[axis.key] ?? axis.start)),
    here: { at: held ? 1 : difficulty(value), label: now },
    reach,
    sentence: say('evidence.rod.start-now-demanded', {
      title: axis.title,
      start,
      now,
      demand,
      reached: words !== null,
      words,
    }),
  };
}

/**
 * Reach as a sentence. Ends outside the ladder are named, never given a value that nobody has
 * tried.
 */
function reachInWords(axis: Axis, reach: Interval): Sentence | null {
  const scale = axisScale(axis);
  if (!scale.ok || scale.value.held) return null;
  const name = (at: number): Sentence => {
    if (at < 0) return say('evidence.rod.less-than-the-start');
    if (at > scale.value.difficulty(proofValue(axis))) return say('evidence.rod.past-what-is-asked');
    const value = scale.value.value(at);
    return writeValue(axis, axis.levels === null ? value : value);
  };
  const [low, mid, high] = [name(reach.low), name(reach.mid), name(reach.high)];
  if (reach.high < 0) return say('evidence.rod.not-sure-at-the-start');
  if (JSON.stringify(low) === JSON.stringify(high)) return say('evidence.rod.clean-8-times-in-10', { low });
  return say('evidence.rod.clean-8-times-in-10-up-to-about', { mid, low, high });
}

/**
 * One rod for each axis of an element, with its reach where reps that count say one (`found`); a broken
 * axis has none, and its ladder says why. Two axes → two rods.
 */
export function rodsOf(element: LadderPlan, stands: Criteria, found: Assessed | null): RodData[] {
  const ladder = buildLadder(element);
  return element.axes.flatMap((axis) => {
    const reach =
      found && found.grounds.counted > 0
        ? found.estimate.reach.find((candidate) => candidate.axis === axis.key)
        : undefined;
    const rod = rodOf(axis, ladder, stands, reach ?? null);
    return rod ? [rod] : [];
  });
}

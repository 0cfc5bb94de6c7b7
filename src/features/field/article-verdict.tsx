import type { Axis } from '@/core/breakdown';
import { evidenceAgainstLuck, luckOf, type PickRun, positionBias, SETTLED } from '@/core/evidence';
import type { ArticlesSeen, StandingRep } from '@/core/log';
import { wordsOf } from '@/words';
import { tell } from './later-words';

type Props = {
  readonly reps: readonly StandingRep[];
  readonly axes: readonly Axis[];
  /** How many runs were fixed before the session; null: looked at after each. */
  readonly fixed: number | null;
};

/** Below this a series of fixed length is better than luck: one in twenty, the usual line. */
const LUCK_LINE = 0.05;

/** Better than luck? Only hidden, unaided runs that the coach did not know count. */
export function ArticleVerdict({ reps: all, axes, fixed }: Props) {
  const reps = all.filter((rep) => isHidden(rep) && !isHelped(rep, axes));
  const runs = reps.flatMap((rep): PickRun[] => {
    const run = articlesOf(rep);
    return run ? [{ choices: run.laid.length, right: run.pick === run.target }] : [];
  });
  if (runs.length === 0)
    return <p className="leading-snug">{tell('article-verdict.no-hidden-run-yet-what-the-coach')}</p>;
  return (
    <p
      role="status"
      aria-label={tell('article-verdict.better-than-luck')}
      className="border-l-[6px] border-rule bg-sheet px-3 py-2 text-lg leading-snug"
    >
      <span className="font-bold">{tell('article-verdict.better-than-luck-2')} </span>
      {fixed === null ? runningVerdict(runs) : fixedVerdict(runs, fixed)}
      {favouredPlace(reps)}
    </p>
  );
}

const articlesOf = ({ seen }: StandingRep): ArticlesSeen | null =>
  seen.run?.kind === 'articles' ? seen.run : null;

/** Food on the right one can be found by any dog: on a step that still has it no run tells. */
const isHelped = ({ asked }: StandingRep, axes: readonly Axis[]): boolean =>
  axes.some((axis) => axis.role === 'help' && (asked.criteria[axis.key] ?? axis.start) !== axis.demand);

function isHidden(rep: StandingRep): boolean {
  const run = articlesOf(rep);
  return run !== null && !run.known && !run.seen && rep.judged.aids.length === 0 && run.laid.length > 1;
}

const rightOf = (runs: readonly PickRun[]): number => runs.filter((run) => run.right).length;

/** Looked at after every run, so that looking often must not help luck. */
function runningVerdict(runs: readonly PickRun[]): string {
  const evidence = evidenceAgainstLuck(runs);
  const words = !evidence.ok
    ? evidence.message
    : evidence.value >= SETTLED
      ? tell('article-verdict.settled-it-knows-luck-gets-this')
      : tell('article-verdict.of-not-settled-yet-it-may-be-luck', {
          value: { number: evidence.value, digits: 1 },
          SETTLED,
        });
  return tell('article-verdict.of-hidden-runs-right', {
    rightOf: rightOf(runs),
    runsCount: runs.length,
    words,
  });
}

/**
 * Nothing is said before the last of the runs that were fixed: a verdict on the way would be
 * another test. Later runs are not in it.
 */
function fixedVerdict(all: readonly PickRun[], fixed: number): string {
  const runs = all.slice(0, fixed);
  if (runs.length < fixed)
    return tell('article-verdict.of-the-runs-fixed-beforehand-are', { runsCount: runs.length, fixed });
  const luck = luckOf(runs);
  if (!luck.ok) return wordsOf(luck.message);
  const share =
    luck.value < 0.001
      ? tell('article-verdict.fewer-than-1-of-1000')
      : tell('article-verdict.about-of-1000', { max: Math.max(1, Math.round(luck.value * 1000)) });
  const verdict =
    luck.value < LUCK_LINE
      ? tell('article-verdict.better-than-luck-3')
      : tell('article-verdict.it-may-be-luck');
  return tell('article-verdict.of-right-luck-alone-gets-so-many', {
    rightOf: rightOf(runs),
    fixed,
    share,
    verdict,
  });
}

/**
 * Where wrong picks go to one place more than chance would send them; said only where it is a
 * finding.
 */
function favouredPlace(reps: readonly StandingRep[]): string {
  const runs = reps.flatMap((rep) => articlesOf(rep) ?? []);
  const places = Math.min(...runs.map((run) => run.laid.length));
  const wrong = runs.flatMap((run) =>
    run.pick !== null && run.pick !== run.target && run.laid.length === places ? [run.pick] : [],
  );
  const bias = positionBias(wrong, places);
  if (!bias.ok || bias.value.chance >= LUCK_LINE || wrong.length < 3) return '';
  const most = Math.max(...bias.value.counts);
  return tell('article-verdict.it-goes-wrong-towards-place-of', {
    indexOf: bias.value.counts.indexOf(most) + 1,
    most,
    wrongCount: wrong.length,
  });
}

import type { Timing } from '@/core/coaching';
import { type Aid, type ArticlesSeen, gradedOutcome, type Judged } from '@/core/log';
import { BACKS_AWAY, type FaultRef, ownFault, sameFault } from '@/core/rulebooks';
import { asId, type FaultKey, type LevelId } from '@/core/shared';
import type { NamedFault } from '@/data/read';
import type { JudgedBy } from './judged-by';

type Graded = Extract<JudgedBy, { kind: 'graded' }>;

const JUDGED: Omit<Judged, 'outcome' | 'faults'> = { cause: 'dog', aids: [], void: false, proposed: null };

export const judgement = (outcome: Judged['outcome'], faults: readonly FaultRef[]): Judged => ({
  ...JUDGED,
  outcome,
  faults,
});

/**
 * What is stored when an outcome is tapped. A fault of the handler's is the handler's: it does not
 * count against the dog. One that does not count on this rung is written down, and the rep stays clean.
 */
export function judgementFor(
  outcome: Judged['outcome'],
  fault: NamedFault | null,
  noted: readonly FaultRef[] = [],
): Judged {
  const faults = fault ? [fault.ref] : [];
  if (fault && outcome === 'flawed' && noted.some((one) => sameFault(one, fault.ref)))
    return judgement('clean', faults);
  return { ...judgement(outcome, faults), cause: fault?.by === 'handler' ? 'handler' : 'dog' };
}

/**
 * A rep by when the answer came. After the prompt or a reminder it is done with help: the policy
 * goes on by it, and it proves nothing of the new cue. Before the word is anticipation, which the
 * new cue has not brought about either.
 */
export function timedJudgement(timing: Timing): Judged {
  const outcome = timing === 'none' ? 'miss' : timing === 'before-word' ? 'flawed' : 'clean';
  const helped = timing === 'prompted' || timing === 'reminded';
  return { ...judgement(outcome, []), aids: helped ? ['unsaid'] : [] };
}

/** The asked grade or more is clean; less is flawed; nothing of it, and backing away, are missed. */
export function gradedJudgement(
  { grades, asked }: Pick<Graded, 'grades' | 'asked'>,
  grade: LevelId | null,
): Judged {
  if (grade === null) return judgement('miss', [ownFault(BACKS_AWAY.key)]);
  const place = grades.findIndex((one) => one.id === grade);
  return judgement(gradedOutcome(place, asked), []);
}

/** All of it held: clean. What did not is named, all at once; one that loses the scene makes it a miss. */
export function sceneJudgement(
  { held }: Extract<JudgedBy, { kind: 'scene' }>,
  lost: readonly FaultKey[],
): Judged {
  const missed = held.some(({ fault, miss }) => miss && lost.includes(fault));
  return judgement(lost.length === 0 ? 'clean' : missed ? 'miss' : 'flawed', lost.map(ownFault));
}

/**
 * Right at the first touch is clean, right after another was touched is flawed, anything else a miss.
 * A wrong one that was put right with help stays wrong, whatever is paid afterwards; help that came first
 * makes a right one an aided one.
 */
export function pickJudgement(run: ArticlesSeen, helped: 'no' | 'first' | 'after'): Judged {
  const aids: readonly Aid[] = helped === 'no' ? [] : ['unsaid'];
  const wrong = run.pick !== run.target || (helped === 'after' && run.firstTouch !== run.target);
  const fault = (key: string): FaultRef => ownFault(asId<FaultKey>(key));
  if (wrong) return { ...judgement('miss', [fault('wrong-pick')]), aids };
  if (run.firstTouch !== run.target) return { ...judgement('flawed', [fault('touched-first')]), aids };
  return { ...judgement('clean', []), aids };
}

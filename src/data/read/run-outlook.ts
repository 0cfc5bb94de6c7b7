import { type Assumptions, type ClassEvidence, DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import type { Day, Result } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Run, RunForecast, RunLesson } from '@/data/records';
import { classEvidence } from './class-evidence';
import { evidenceByElement, keptOfDog } from './evidence';
import { runOfBout } from './run-bouts';
import { trialsOf, workOf } from './work';

/** Of a class that no trial is meant for. */
const SEED = 1;

/** What a run would be forecast from: all that was logged before it, by the assumptions of the dog’s trial. */
export type RunOutlook = {
  readonly input: ClassEvidence;
  readonly assumptions: Assumptions;
  readonly seed: number;
};

/**
 * The class of a run as the log had it. `before`: without what came of the run itself, and of a run of an
 * earlier day without what was logged from that day on; `after`: with all there is today. Null for a
 * stranger’s dog; fails as `classEvidence` does, where the class is not broken down.
 */
export async function runOutlook(
  kennel: Kennel,
  run: Pick<Run, 'id' | 'dogId' | 'book' | 'trial' | 'day'>,
  when: 'before' | 'after',
  today: Day,
): Promise<Result<RunOutlook> | null> {
  const { dogId } = run;
  if (dogId === null) return null;
  const [work, kept, trials] = await Promise.all([
    workOf(kennel, dogId),
    keptOfDog(kennel, dogId),
    trialsOf(kennel, dogId),
  ]);
  const past = run.day < today;
  const then = kept.filter((bout) => {
    if (when === 'after') return bout.day <= today;
    const mine = bout.element !== null && runOfBout(bout.bout, bout.element) === run.id;
    return !mine && (past ? bout.day < run.day : bout.day <= run.day);
  });
  const trial =
    trials.find((one) => one.id === run.trial) ??
    trials.find((one) => one.ruleBookId === run.book && one.day >= run.day) ??
    trials.findLast((one) => one.ruleBookId === run.book);
  const on = when === 'before' ? run.day : today;
  const input = classEvidence(
    { ruleBookId: run.book, day: on, entryCloses: null },
    work,
    evidenceByElement(then, work.elements),
    on,
  );
  if (!input.ok) return input;
  return {
    ok: true,
    value: {
      input: { ...input.value, trialDay: null },
      assumptions: trial?.assumptions ?? DEFAULT_ASSUMPTIONS,
      seed: trial?.seed ?? SEED,
    },
  };
}

/** What was thought of a run before it began; null where nothing was. */
export async function runForecastOf({ database }: Kennel, run: Run['id']): Promise<RunForecast | null> {
  return (await database.of('runForecasts').get(run)) ?? null;
}

/** What was confirmed of a run; null before. */
export async function runLessonOf({ database }: Kennel, run: Run['id']): Promise<RunLesson | null> {
  return (await database.of('runLessons').get(run)) ?? null;
}

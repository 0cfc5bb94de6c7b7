import { type Assumptions, type ClassEvidence, DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { type Day, type DogId, ok, type Result } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Run, RunForecast, RunLesson } from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';
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

type OfClass = Pick<Run, 'book' | 'trial'> & { readonly dogId: DogId };

/** The class of a dog by all that is logged today; fails as `classEvidence` does. */
export const classToday = (kennel: Kennel, of: OfClass, today: Day): Promise<Result<RunOutlook>> =>
  classBy(kennel, of, today, (bout) => bout.day <= today);

/**
 * The class of a run as the log had it before: without what came of the run itself, and of a run of an earlier
 * day without what was logged from that day on. Fails as `classEvidence` does, where the class is not broken down.
 */
export function classBefore(
  kennel: Kennel,
  run: OfClass & Pick<Run, 'id' | 'day'>,
  today: Day,
): Promise<Result<RunOutlook>> {
  const past = run.day < today;
  return classBy(kennel, run, run.day, (bout) => {
    const mine = bout.element !== null && runOfBout(bout.bout, bout.element) === run.id;
    return !mine && (past ? bout.day < run.day : bout.day <= run.day);
  });
}

/** The class on a day by the bouts that count, and by the assumptions of the trial that the dog is meant for in it. */
async function classBy(
  kennel: Kennel,
  { dogId, book, trial: id }: OfClass,
  on: Day,
  counts: (bout: KeptEvidence) => boolean,
): Promise<Result<RunOutlook>> {
  const [work, kept, trials] = await Promise.all([
    workOf(kennel, dogId),
    keptOfDog(kennel, dogId),
    trialsOf(kennel, dogId),
  ]);
  const trial =
    trials.find((one) => one.id === id) ??
    trials.find((one) => one.ruleBookId === book && one.day >= on) ??
    trials.findLast((one) => one.ruleBookId === book);
  const evidence = evidenceByElement(kept.filter(counts), work.elements);
  const input = classEvidence({ ruleBookId: book, day: on, entryCloses: null }, work, evidence, on);
  if (!input.ok) return input;
  return ok({
    input: { ...input.value, trialDay: null },
    assumptions: trial?.assumptions ?? DEFAULT_ASSUMPTIONS,
    seed: trial?.seed ?? SEED,
  });
}

/** What was thought of a run before it began; null where nothing was. */
export async function runForecastOf({ database }: Kennel, run: Run['id']): Promise<RunForecast | null> {
  return (await database.of('runForecasts').get(run)) ?? null;
}

/** What was confirmed of a run; null before. */
export async function runLessonOf({ database }: Kennel, run: Run['id']): Promise<RunLesson | null> {
  return (await database.of('runLessons').get(run)) ?? null;
}

import type { Summary } from '@/core/evidence';
import type { FaultRef, FaultStep } from '@/core/rulebooks';
import type { ElementId, ExerciseKey, Name, PartKey } from '@/core/shared';
import { byPlace, type StepsByExercise, timesLogged } from './alike';

/** Faults of one part of which no clean rep says anything, since all of them only noted them. */
export type Unproven = {
  readonly exercise: ExerciseKey;
  readonly part: PartKey;
  readonly element: ElementId;
  readonly faults: readonly { readonly fault: FaultRef; readonly label: Name; readonly noted: number }[];
  /** Clean reps that do not speak of them. */
  readonly clean: number;
};

/**
 * The faults that a part’s clean reps never judged: on every rung on which they were done these were
 * let pass. What was noted of them on the way is counted, and charged that often; that it was not more
 * is not known. Null where there is none. Forty clean reps on rungs that only note slowness → slowness,
 * of 40 reps.
 */
export function unprovenOf(
  { exercise, part, element }: Pick<Unproven, 'exercise' | 'part' | 'element'>,
  { priced }: Summary,
  steps: readonly FaultStep[],
  all: StepsByExercise,
): Unproven | null {
  if (priced.clean === 0) return null;
  const [unjudged, noted] = [byPlace(priced.unjudged), byPlace(priced.noted)];
  const faults = steps
    .filter((step) => step.by === 'dog' && step.part === part && !step.gives)
    .filter((step) => timesLogged(unjudged, step, steps, all) >= priced.clean)
    .map((step) => ({
      fault: step.ref,
      label: step.label,
      noted: timesLogged(noted, step, steps, all),
    }));
  return faults.length === 0 ? null : { exercise, part, element, faults, clean: priced.clean };
}

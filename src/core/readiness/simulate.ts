import { EVIDENCE, lossAfter } from '@/core/evidence';
import { mixSeed, seeded } from '@/core/shared';
import { logit } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import { type Desk, deskOf, emptyRuns, layOut } from './desk';
import { type DrawnElement, drawElement } from './drawn-element';
import { runTrial } from './play';
import type { TrialElement } from './posterior';
import { type Change, FULL_SIZE, type Runs, type SimulationSize, type TrialClass } from './trial-class';

/**
 * Simulates trials: for each of `groups` posterior draws, `runs` times the trial. A day moves all
 * elements together: an element of swing τ by τ√ρ·Z + nerves·Y, Z and Y shared; what is left of its
 * own swing, (1 − ρ)τ², is one draw for all that the element does on that day, and averaged out
 * analytically where it does but one thing.
 *
 * Elements run as a chain. Each is drawn as often as the exercise asks it and as often as it is tried
 * again; a go that is not clean has one fault or several; extra cues come by their number; faults that
 * were measured come by their own measure. A fault that stops makes the rest of the exercise
 * impossible. Every run scores by the compiled rules; of a class that is run several times the run
 * that counts is kept.
 *
 * Random numbers sit in fixed slots per group, run, element and go, so that two simulations with the
 * same seed differ only by what was changed between them. `change` says what. Same seed, same bytes
 * on one engine. `dice`: other throws for the same draws of the dog, for trials that have nothing in common but it.
 */
export function simulateTrials(
  input: TrialClass,
  assumptions: Assumptions,
  seed: number,
  size: SimulationSize = FULL_SIZE,
  change: Change = {},
  dice: number = seed,
): Runs {
  const desk = deskOf(input, assumptions, seed, size);
  for (let group = 0; group < size.groups; group++) {
    const drawn = drawnOf(desk, group, seed);
    seeded(mixSeed(dice, group, 0)).fill(desk.uniforms);
    runGroup(desk, group, drawn, change, assumptions);
  }
  return desk.runs;
}

/**
 * The same trials asked again and again, each time with another change: what is drawn does not hang on it and
 * is drawn once, which is most of the work where a draw runs few times. Each answer equals that of
 * `simulateTrials` to the last bit. Numbers of all runs are kept: for some thousands of runs.
 */
export function preparedTrials(
  input: TrialClass,
  assumptions: Assumptions,
  seed: number,
  size: SimulationSize,
): (change?: Change) => Runs {
  const desk = deskOf(input, assumptions, seed, size);
  const kept = Array.from({ length: size.groups }, (_, group) => {
    const uniforms = new Float64Array(desk.uniforms.length);
    seeded(mixSeed(seed, group, 0)).fill(uniforms);
    return { drawn: drawnOf(desk, group, seed), uniforms };
  });
  return (change = {}) => {
    desk.runs = emptyRuns(desk.compiled, desk.plans.length, size);
    for (const [group, { drawn, uniforms }] of kept.entries()) {
      desk.uniforms.set(uniforms);
      runGroup(desk, group, drawn, change, assumptions);
    }
    return desk.runs;
  };
}

const drawnOf = ({ plans }: Desk, group: number, seed: number): DrawnElement[] =>
  plans.map((plan, k) => drawElement(plan, group, mixSeed(seed, group, k + 1)));

function runGroup(
  desk: Desk,
  group: number,
  drawn: readonly DrawnElement[],
  change: Change,
  { ceiling, sharedDay }: Assumptions,
): void {
  for (const [k, plan] of desk.plans.entries())
    layOut(desk, k, changed(plan.element, drawn[k] as DrawnElement, k, change, ceiling), sharedDay);
  for (let run = 0; run < desk.runs.size.runs; run++) runTrial(desk, run * desk.slots, group);
  desk.swings.taus.length = 0;
  desk.swings.isDrawn.length = 0;
}

function changed(
  { posterior }: TrialElement,
  element: DrawnElement,
  k: number,
  { sessionsOf, lift, days = 0, perWeek, gapOf }: Change,
  ceiling: number,
): DrawnElement {
  let by = (sessionsOf?.[k] ?? 0) * element.gain + (lift?.[k] ?? 0);
  if (days > 0)
    by +=
      Math.sqrt(EVIDENCE.driftPerDay * days) * element.drift +
      lossAfter(posterior, element.draw, posterior.idle) -
      lossAfter(posterior, element.draw, gapOf?.[k] ?? gapAfter(posterior.idle, days, perWeek?.[k]));
  if (by === 0) return element;
  // Training does not buy certainty; what is there already is never taken away.
  const raised =
    by > 0 ? Math.max(element.eta, Math.min(element.eta + by, logit(ceiling))) : element.eta + by;
  return { ...element, eta: raised };
}

/** Days since its last session when so many have passed: a week's share of them, or all of them. */
function gapAfter(idle: number, days: number, perWeek = 0): number {
  const without = idle + days;
  return perWeek * days < 7 ? without : Math.min(without, 7 / perWeek);
}

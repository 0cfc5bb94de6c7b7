import { type FaultCounts, type Summary, summarise } from '@/core/evidence';
import { NOTHING_PRICED } from '@/core/evidence/priced';
import {
  checkRuleBook,
  type FaultStep,
  faultSteps,
  faultText,
  prepareRules,
  type RuleBook,
} from '@/core/rulebooks';
import {
  asId,
  type Day,
  type ElementId,
  type FaultKey,
  must,
  type PartKey,
  type Random,
} from '@/core/shared';
import type { BruteClass, BruteElement } from './brute-force.test-helper';
import { choiceOf } from './choice';
import type { MeasuredFault } from './measured';
import { posteriorOf } from './posterior.test-helper';
import type { TrialClass } from './trial-class';

/** What is true of one element: the chances that both simulators are given. */
export type Truth = Partial<{
  readonly id: string;
  readonly eta: number;
  readonly tau: number;
  /** Weights of the dog’s faults, by key and step. */
  readonly faults: Readonly<Record<string, number>>;
  readonly further: readonly number[];
  readonly noted: Readonly<Record<string, number>>;
  readonly cues: readonly number[];
  readonly slips: readonly [key: string, rate: number];
  readonly measured: Measured;
}>;
/** Normal or log-normal: what is measured, and past what, in steps of what it is charged. */
type Measured = {
  readonly key: string;
  readonly limits: readonly number[];
  /** What goes on the sheet for each limit passed; the steps of bands have their own. */
  readonly begun: boolean;
  readonly draw: (random: Random) => number;
  readonly beyond: (limit: number) => number;
};

/** So many reps that what was drawn from them is as good as known. */
const MANY = 1e8;
const EMPTY = must(summarise([], '2026-06-15' as Day));

/** One class for both: the rule book, and what is true of the elements of its parts, in order. */
export function classOf(
  book: unknown,
  truths: readonly (readonly Truth[])[],
): { readonly book: RuleBook; readonly trial: TrialClass; readonly brute: BruteClass } {
  const read = checkRuleBook(book);
  if (!read.ok) throw new Error(JSON.stringify(read.problems, null, 1));
  const rules = prepareRules(read.value);
  const exercises = read.value.exercises.map((exercise, e) => {
    const scored = rules.exercises[e];
    const steps = scored ? faultSteps(scored) : [];
    return exercise.parts.map((part, p) => {
      const truth = truths[e]?.[p] ?? {};
      const id = truth.id ?? `${exercise.id}-${part.id}`;
      return { id, part: part.id, times: part.times ?? 1, truth, steps };
    });
  });
  return {
    book: read.value,
    trial: {
      rules,
      exercises: read.value.exercises.map((exercise, e) => ({
        exercise: exercise.id,
        elements: (exercises[e] ?? []).map(({ id, part, times, truth, steps }) => ({
          id: asId<ElementId>(id),
          part,
          times,
          posterior: posteriorOf([[0, 0, truth.eta ?? 1, 0, truth.tau ?? 0]]),
          target: { columns: [], either: [] },
          summary: summaryOf(truth),
          measured: truth.measured ? [measuredOf(truth.measured, steps)] : [],
        })),
      })),
    },
    brute: {
      drawsOrder: rules.drawsOrder,
      runs: rules.runs.count,
      exercises: read.value.exercises.map((exercise, e) => ({
        key: exercise.id,
        day: rules.days[e] ?? 0,
        tries: rules.tries[e] ?? { whole: 1, part: 1 },
        elements: (exercises[e] ?? []).map((one) => bruteOf(one)),
      })),
    },
  };
}

function summaryOf({ faults = {}, further = [], noted = {}, cues = [], slips }: Truth): Summary {
  const counts = (of: Readonly<Record<string, number>>, many: number): FaultCounts =>
    Object.fromEntries(
      Object.entries(of).map(([name, weight]) => {
        const fault = refOf(name);
        return [faultText(fault), { fault, count: weight * many }];
      }),
    );
  const cued = cues.map((chance) => chance * MANY);
  return {
    ...EMPTY,
    counted: MANY,
    faults: counts(faults, MANY),
    handlerFaults: slips ? counts({ [slips[0]]: slips[1] }, MANY) : {},
    priced: {
      ...NOTHING_PRICED,
      named: namedBy(further),
      clean: MANY,
      noted: Object.values(counts(noted, MANY)),
      cues: [MANY - cued.reduce((sum, one) => sum + one, 0), ...cued],
    },
  };
}

/** Reps with one fault, two … by the chance of a second, a third … */
function namedBy(further: readonly number[]): number[] {
  let left = MANY;
  return [...further, 0].map((chance) => {
    const here = left * (1 - chance);
    left -= here;
    return here;
  });
}

/** “late” or, of a fault with steps, “crooked:1”. */
const refOf = (name: string) => {
  const [key = '', step] = name.split(':');
  return { exercise: null, key: asId<FaultKey>(key), step: step === undefined ? null : Number(step) };
};

function measuredOf({ key, limits, begun, beyond }: Measured, steps: readonly FaultStep[]): MeasuredFault {
  const places = steps.flatMap((step, place) => (step.ref.key === key ? [place] : []));
  const rate = beyond(limits[0] ?? 0);
  const shares = limits.map(
    (limit, i) => (beyond(limit) - (i + 1 < limits.length ? beyond(limits[i + 1] ?? 0) : 0)) / rate,
  );
  return {
    fault: asId<FaultKey>(key),
    rate,
    sizes: choiceOf(
      Int32Array.from(limits, (_, i) => places[begun ? 0 : i] ?? 0),
      shares,
    ),
    amounts: Float64Array.from(limits, (limit, i) =>
      begun ? limit + 0.5 : (steps[places[i] ?? 0]?.amount ?? 0),
    ),
  };
}

function bruteOf({
  id,
  part,
  times,
  truth,
  steps,
}: {
  readonly id: string;
  readonly part: PartKey;
  readonly times: number;
  readonly truth: Truth;
  readonly steps: readonly FaultStep[];
}): BruteElement {
  const own = steps.filter((step) => step.by === 'dog' && step.part === part && !step.gives);
  const cue = steps.find((step) => step.cues);
  return {
    id,
    part,
    times,
    eta: truth.eta ?? 1,
    tau: truth.tau ?? 0,
    faults: own.map(({ ref, amount, miss, stops, again }) => {
      const name = ref.step === null ? ref.key : `${ref.key}:${ref.step}`;
      return {
        key: ref.key,
        amount,
        share: truth.faults?.[name] ?? 0,
        miss,
        stops,
        ...(again ? { again } : {}),
        elsewhere: ref.key === truth.measured?.key,
      };
    }),
    further: truth.further ?? [],
    noted: Object.entries(truth.noted ?? {}).map(([key, rate]) => ({ key, rate })),
    cues: truth.cues && cue ? { key: cue.ref.key, chances: truth.cues } : null,
    slips: truth.slips ? { key: truth.slips[0], rate: truth.slips[1] } : null,
    measured: truth.measured
      ? { key: truth.measured.key, over: truth.measured.limits[0] ?? 0, draw: truth.measured.draw }
      : null,
  };
}

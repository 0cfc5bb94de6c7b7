import { type Axis, buildLadder } from '@/core/breakdown';
import type { Temperament } from '@/core/learner';
import { type FaultRef, prepareRules, type RuleBook, type RulePart } from '@/core/rulebooks';
import { asId, type DogId, type ElementId, type FaultKey, must, type PartKey, toBase } from '@/core/shared';
import { type ElementRecord, PLAIN_ELEMENT } from '@/data/records';
import type { ElementSpec } from './quill';
import { CHANGED, type Work } from './training';

/** Whose element it becomes: dog, id by part, and how the dog works. */
export type Owner = {
  readonly dogId: DogId;
  readonly id: (part: string) => ElementId;
  readonly temperament: Temperament;
  readonly kit: (spec: ElementSpec) => string[];
};

/** An element of a rule book as a simulated dog trains it, its axes laid by the spec. */
export function workFromBook(spec: ElementSpec, book: RuleBook, owner: Owner): Work {
  const exercise = book.exercises.find((candidate) => candidate.id === spec.exercise);
  const rule = exercise?.parts.find((candidate) => candidate.id === spec.part);
  const miss = prepareRules(book)
    .exercises.find((candidate) => candidate.exercise === spec.exercise)
    ?.faults.find(({ fault }) => fault.miss && fault.part === spec.part);
  if (!rule || !miss) throw new Error(`the sample rule book has no element ${spec.exercise}/${spec.part}`);
  const axes = rule.demands.map((demand, i) => axisOf(demand, spec.axes[i]));
  const jumps = axes.some((axis) => axis.quantity === 'height');
  const element: ElementRecord = {
    ...PLAIN_ELEMENT,
    changed: CHANGED,
    id: owner.id(rule.id),
    dogId: owner.dogId,
    title: rule.title,
    axes,
    work: jumps ? ['jump'] : [],
    kit: jumps ? ['hurdle'] : owner.kit(spec),
  };
  const { latency, skill } = spec;
  const refOf = (text: string): FaultRef => refIn(book, rule.id, text);
  return {
    element,
    ladder: buildLadder(element),
    temperament: owner.temperament,
    miss: refOf(miss.fault.id),
    flaws: Object.entries(spec.flaws).map(([text, weight]) => [refOf(text), weight] as const),
    slip: spec.slip ? { fault: refOf(spec.slip.fault), share: spec.slip.share } : null,
    latency,
    skill,
    rung: 0,
    last: null,
  };
}

/** A fault of the book, written "key" or "key:step", with its exercise where just one has it for this part. */
function refIn(book: RuleBook, part: PartKey, text: string): FaultRef {
  const [key = text, step] = text.split(':');
  const scored = prepareRules(book).exercises;
  const having = book.exercises.filter(
    (exercise) =>
      exercise.parts.some((one) => one.id === part) &&
      scored
        .find((one) => one.exercise === exercise.id)
        ?.faults.some(({ fault }) => fault.id === key && (fault.part === null || fault.part === part)),
  );
  const only = having.length === 1 ? having[0] : undefined;
  return {
    exercise: only?.id ?? null,
    key: asId<FaultKey>(key),
    step: step === undefined ? null : Number(step),
  };
}

function axisOf(demand: RulePart['demands'][number], plan: ElementSpec['axes'][number] | undefined): Axis {
  if (!plan) throw new Error(`no plan for the axis ${demand.axis}`);
  const base = (value: number): number => must(toBase(demand.quantity, value, demand.unit));
  // Even axes count their steps in base units, ratio axes in ratios, which have none.
  const amount = (step: number): number => (demand.quantity === 'height' ? base(step) : step);
  return {
    key: demand.axis,
    title: demand.title,
    quantity: demand.quantity,
    unit: demand.unit,
    harder: demand.harder,
    role: 'criterion',
    levels: null,
    start: base(plan.start),
    demand: base(demand.value),
    step: amount(plan.step),
    limit: amount(plan.limit),
    zeroScale: plan.zeroScale ?? null,
    margin: 0.2,
    eases: (plan.eases ?? []).map((key) => asId(key)),
    safety: null,
  };
}

import {
  type Axis,
  type AxisText,
  GENERAL_STEP,
  isRatioAxis,
  type Method,
  type MethodAxis,
  type MethodElement,
  readAxis,
  stepText,
  writeValue,
} from '@/core/breakdown';
import type { RulePart } from '@/core/rulebooks';
import { asId, type DogId, type ElementId, must, type PartKey, toBase } from '@/core/shared';
import { criteriaAtShare, type ElementRecord, elementFromMethod, type New, PLAIN_ELEMENT } from '@/data/read';
import type { LinkPlan } from '@/data/write';
import { NO_BREAK, reading, withOwnPoint, wordsOf } from '@/words';
import { tell } from './words';

/** An axis with the three values as they stand in its fields. */
export type AxisDraft = AxisText;
/** A link in the making: an element that the dog has already, or a new one. */
export type LinkDraft = {
  readonly id: ElementId;
  readonly part: PartKey | null;
  readonly title: string;
  readonly existing: ElementId | null;
  readonly from: { readonly method: Method; readonly element: MethodElement } | null;
  readonly axes: readonly AxisDraft[];
};

export function axisDraft(spec: MethodAxis): AxisDraft {
  const text = (value: number | null): string =>
    value === null ? '' : wordsOf(writeValue(spec.axis, value)).replaceAll(NO_BREAK, ' ');
  return {
    spec,
    start: text(spec.start),
    demand: text(spec.demand),
    step: spec.step === null ? '' : withOwnPoint(stepText(spec.axis, spec.step)),
  };
}

/** Every element of a method as a new link, in its order. */
export function linksFromMethod(method: Method, newId: () => ElementId): LinkDraft[] {
  return method.elements.map((element) => linkFromMethod(method, element, newId()));
}

function linkFromMethod(
  method: Method,
  element: MethodElement,
  id: ElementId,
  part: PartKey | null = null,
): LinkDraft {
  return {
    id,
    part,
    title: element.title,
    existing: null,
    from: { method, element },
    axes: element.axes.map(axisDraft),
  };
}

/** An element that a rule book asks for: its demands are given, its starts are asked. */
export function linkFromPart(part: RulePart, id: ElementId): LinkDraft {
  const axes = part.demands.map((demand): AxisDraft => {
    const shape = {
      key: demand.axis,
      title: demand.title,
      quantity: demand.quantity,
      unit: demand.unit,
      harder: demand.harder,
      role: 'criterion',
      levels: null,
    } as const;
    const axis = { ...shape, zeroScale: null, margin: 0.2, eases: [], safety: null };
    const whole = demand.quantity === 'count' ? GENERAL_STEP.whole : null;
    const step = isRatioAxis(axis) ? GENERAL_STEP.ratio : whole;
    return axisDraft({
      axis,
      start: null,
      demand: must(toBase(demand.quantity, demand.value, demand.unit)),
      step,
      stepFrom: 'program',
      askStart: tell('exercise-draft.what-works-now'),
      askDemand: '',
    });
  });
  return { id, part: part.id, title: part.title, existing: null, from: null, axes };
}

export function linkByHand(id: ElementId, spec: MethodAxis): LinkDraft {
  return { id, part: null, title: '', existing: null, from: null, axes: [axisDraft(spec)] };
}

export function linkToExisting(
  element: Pick<ElementRecord, 'id' | 'title'>,
  id: ElementId,
  part: PartKey | null = null,
): LinkDraft {
  return { id, part, title: element.title, existing: element.id, from: null, axes: [] };
}

/** What is wrong, by field: `${link}.title` or `${link}.${axis}.${start|demand|step}`. */
export type Problems = Readonly<Record<string, string>>;

/**
 * Reads the links as typed. All problems at once, or the plans; prerequisites of a method are laid
 * among the new links.
 */
export function readLinks(
  links: readonly LinkDraft[],
  dogId: DogId,
): { readonly plans: readonly LinkPlan[]; readonly problems: Problems } {
  const problems: Record<string, string> = {};
  const made = new Map<LinkDraft, New<ElementRecord>>();
  for (const link of links) {
    if (link.existing !== null) continue;
    if (link.title.trim() === '') problems[`${link.id}.title`] = tell('exercise-draft.give-it-a-name');
    const axes = link.axes.flatMap((axis): Axis[] => {
      const read = readAxis(axis, reading());
      for (const [field, message] of Object.entries(read.problems))
        problems[`${link.id}.${axis.spec.axis.key}.${field}`] = wordsOf(message);
      return read.axis ? [read.axis] : [];
    });
    made.set(link, elementOf(link, dogId, axes));
  }
  const plans = links.map(
    (link): LinkPlan => ({ part: link.part, element: link.existing ?? withNeeds(link, links, made) }),
  );
  return { plans, problems };
}

function elementOf(link: LinkDraft, dogId: DogId, axes: readonly Axis[]): New<ElementRecord> {
  const title = link.title.trim();
  if (link.from)
    return { ...elementFromMethod(link.id, dogId, link.from.method, link.from.element, axes), title };
  return {
    ...PLAIN_ELEMENT,
    id: link.id,
    dogId,
    title,
    axes: [...axes],
    work: axes.some((axis) => axis.quantity === 'height') ? ['jump'] : [],
  };
}

function withNeeds(
  link: LinkDraft,
  links: readonly LinkDraft[],
  made: ReadonlyMap<LinkDraft, New<ElementRecord>>,
): New<ElementRecord> {
  const element = made.get(link);
  if (!element) throw new Error(`link ${link.id} was not read`);
  const needs = (link.from?.element.needs ?? []).flatMap((need) => {
    const other = links.find(
      (one) => one.from?.method.id === link.from?.method.id && one.from?.element.key === need.element,
    );
    const record = other && made.get(other);
    return record ? [{ element: record.id, at: criteriaAtShare(record.axes, need.share) }] : [];
  });
  return { ...element, needs };
}

export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  if (to < 0 || to >= list.length) return [...list];
  const without = list.filter((_, i) => i !== from);
  return [...without.slice(0, to), list[from] as T, ...without.slice(to)];
}

export const freshKey = (): ElementId => asId<ElementId>(crypto.randomUUID());

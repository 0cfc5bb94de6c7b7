import {
  type Axis,
  buildLadder,
  GENERAL_STEP,
  heldAxes,
  isRatioAxis,
  joinDemands,
  type Method,
  type MethodAxis,
  type MethodElement,
  type Need,
  readAxis,
  type Setting,
} from '@/core/breakdown';
import { fewestToTop } from '@/core/coaching';
import type { Demand, RulePart } from '@/core/rulebooks';
import { asId, type DogId, type ElementId, must, type PartKey, toBase } from '@/core/shared';
import {
  criteriaAtShare,
  type ElementRecord,
  elementFromMethod,
  type New,
  PLAIN_ELEMENT,
  withSettings,
} from '@/data/read';
import type { LinkPlan } from '@/data/write';
import { reading, wordsOf } from '@/words';
import { type AxisDraft, axisDraft, furtherAxis } from './axis-draft';
import { type BeforeDraft, comesAlong, elementOfSkill } from './befores';
import { tell } from './words';

/** A link in the making: an element that the dog has already, or a new one. */
export type LinkDraft = {
  readonly id: ElementId;
  readonly part: PartKey | null;
  readonly title: string;
  readonly existing: ElementId | null;
  readonly from: { readonly method: Method; readonly element: MethodElement } | null;
  readonly axes: readonly AxisDraft[];
  /** What a rule book asks of it. */
  readonly asked?: RulePart['demands'] | undefined;
};

/**
 * Every element of a method as a link, in its order: a new one, or what the dog has already by this method or
 * for that skill, which is shared.
 */
export function linksFromMethod(
  method: Method,
  newId: () => ElementId,
  elements: readonly ElementRecord[] = [],
): LinkDraft[] {
  return method.elements.map((element) => {
    const link = linkFromMethod(method, element, newId());
    const mine =
      elements.find((one) => one.method?.id === method.id && one.method.element === element.key) ??
      (element.skill ? elementOfSkill(element.skill, elements) : undefined);
    return mine ? { ...link, existing: mine.id, title: mine.title } : link;
  });
}

/**
 * The first two numbers that a method asks for its first piece, where they were typed before it was taken
 * apart: nobody types them twice.
 */
export function answered(links: readonly LinkDraft[], now: string, wanted: string): readonly LinkDraft[] {
  const [first, ...others] = links;
  const at = first?.axes.findIndex(({ spec }) => spec.start === null || spec.demand === null) ?? -1;
  if (!first || at < 0) return links;
  const axes = first.axes.map((axis, i) =>
    i === at ? { ...axis, start: axis.start || now, demand: axis.demand || wanted } : axis,
  );
  return [{ ...first, axes }, ...others];
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

/**
 * An element that a rule book asks for: its demands are given, its starts are asked. Where the book measures
 * nothing, it climbs by less help.
 */
export function linkFromPart(part: RulePart, id: ElementId): LinkDraft {
  const axes = part.demands.length === 0 ? [furtherAxis('help', [])] : askedAxes(part.demands);
  return { id, part: part.id, title: part.title, existing: null, from: null, axes, asked: part.demands };
}

/**
 * A part of a rule book trained as an element of a method: the method's criteria go on to what the book asks of
 * what they measure, and what the method does not measure stands beside them.
 */
export function linkByMethod(
  part: RulePart,
  method: Method,
  element: MethodElement,
  id: ElementId,
): LinkDraft {
  const link = linkFromMethod(method, element, id, part.id);
  const { criteria, unmeasured } = joinDemands(
    part.demands,
    element.axes.map(({ axis }) => axis),
  );
  const joined = element.axes.map((spec) => {
    const demand = criteria[spec.axis.key];
    return axisDraft(demand === undefined ? spec : { ...spec, demand });
  });
  const taken = new Set<string>(element.axes.map(({ axis }) => axis.key));
  const beside = askedAxes(unmeasured).filter(({ spec }) => !taken.has(spec.axis.key));
  return { ...link, title: part.title, axes: [...joined, ...beside], asked: part.demands };
}

function askedAxes(demands: readonly Demand[]): AxisDraft[] {
  return demands.map((demand): AxisDraft => {
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
}

export function linkByHand(id: ElementId, spec: MethodAxis): LinkDraft {
  return { id, part: null, title: '', existing: null, from: null, axes: [axisDraft(spec)] };
}

export function linkToExisting(
  element: Pick<ElementRecord, 'id' | 'title'>,
  id: ElementId,
  part: PartKey | null = null,
  asked?: RulePart['demands'],
): LinkDraft {
  return { id, part, title: element.title, existing: element.id, from: null, axes: [], asked };
}

/** What is wrong, by field: `${link}.title` or `${link}.${axis}.${start|demand|step}`. */
export type Problems = Readonly<Record<string, string>>;

/** What a method adds to its links: what comes before, the sides that were chosen, what the dog has. */
export type Besides = {
  readonly befores: readonly BeforeDraft[];
  readonly settings: readonly Setting[];
  readonly elements: readonly ElementRecord[];
};
const NOTHING_BESIDES: Besides = { befores: [], settings: [], elements: [] };

/**
 * Reads the links as typed. All problems at once, or the plans; prerequisites of a method are laid
 * among the new links, what the dog has, and what comes along.
 */
export function readLinks(
  links: readonly LinkDraft[],
  dogId: DogId,
  { befores, settings, elements }: Besides = NOTHING_BESIDES,
): {
  readonly plans: readonly LinkPlan[];
  readonly besides: readonly New<ElementRecord>[];
  readonly problems: Problems;
} {
  const problems: Record<string, string> = {};
  const made = new Map<LinkDraft, New<ElementRecord>>();
  for (const link of links) {
    if (link.existing !== null) continue;
    if (link.title.trim() === '') problems[`${link.id}.title`] = tell('exercise-draft.give-it-a-name');
    const axes = link.axes.flatMap((axis): Axis[] => {
      const read = readAxis(axis, reading());
      for (const [field, message] of Object.entries(read.problems))
        problems[`${link.id}.${axis.spec.axis.key}.${field}`] = wordsOf(message);
      if (axis.list && axis.spec.axis.levels === null)
        problems[`${link.id}.${axis.spec.axis.key}.list`] = tell('exercise-draft.two-steps-at-least');
      return read.axis ? [read.axis] : [];
    });
    made.set(link, withSettings(elementOf(link, dogId, axes), settings, wordsOf));
  }
  const along = befores.flatMap((before) =>
    before.by === 'along' ? [[before, comesAlong(before, dogId)] as const] : [],
  );
  const known = [...elements, ...along.map(([, element]) => element)];
  const byId = (id: ElementId) => known.find((one) => one.id === id);
  const needsOf = (link: LinkDraft): Need[] => {
    const mine = (link.from?.element.needs ?? []).flatMap((need): Need[] => {
      const other = links.find(
        (one) => one.from?.method.id === link.from?.method.id && one.from?.element.key === need.element,
      );
      const record = other && (made.get(other) ?? (other.existing ? byId(other.existing) : undefined));
      return record ? [{ element: record.id, at: criteriaAtShare(record.axes, need.share) }] : [];
    });
    const others = befores.flatMap((before): Need[] => {
      if (before.by === 'none' || !before.for.includes(link.from?.element.key ?? '')) return [];
      const record = byId(before.by === 'along' ? before.id : before.by);
      return record ? [{ element: record.id, at: criteriaAtShare(record.axes, before.share) }] : [];
    });
    const all = [...others, ...mine];
    return all.filter((need, i) => all.findIndex((one) => one.element === need.element) === i);
  };
  const plans = links.map((link): LinkPlan => {
    const element = made.get(link);
    if (element) return { part: link.part, element: { ...element, needs: needsOf(link) } };
    return { part: link.part, element: keptBy(link), asked: link.asked };
  });
  return { plans, besides: along.map(([, element]) => element), problems };
}

function keptBy(link: LinkDraft): ElementId {
  if (link.existing === null) throw new Error(`link ${link.id} was not read`);
  return link.existing;
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

/**
 * What the ladder of a link will be, as its fields stand: how many steps, and the fewest clean reps to the
 * top of them; null where the fields do not make one yet.
 */
export function outlookOf(
  link: LinkDraft,
  settings: readonly Setting[] = [],
): { readonly steps: number; readonly reps: number | null; readonly held: readonly Axis[] } | null {
  const axes = link.axes.flatMap((axis) => readAxis(axis, reading()).axis ?? []);
  if (link.existing !== null || axes.length < link.axes.length || axes.length === 0) return null;
  const made = withSettings(elementOf(link, asId<DogId>('draft'), axes), settings, wordsOf);
  const steps = buildLadder(made).rungs.length;
  return { steps, reps: fewestToTop(made.policy.rule, steps, 0), held: heldAxes(made.axes) };
}

export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  if (to < 0 || to >= list.length) return [...list];
  const without = list.filter((_, i) => i !== from);
  return [...without.slice(0, to), list[from] as T, ...without.slice(to)];
}

export const freshKey = (): ElementId => asId<ElementId>(crypto.randomUUID());

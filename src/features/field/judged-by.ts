import {
  buildLadder,
  type Criteria,
  completed,
  demandOf,
  gradeAxis,
  levelPlace,
  standingOn,
} from '@/core/breakdown';
import { type Advice, type Stage, wholeAdvice } from '@/core/coaching';
import { repCounts, type StandingRep, VALUES_CHIP } from '@/core/log';
import { asId, asLevel, type ElementId, type FaultKey, type LevelId } from '@/core/shared';
import { type DogWork, type ElementRecord, isWhole } from '@/data/read';
import { tell } from './words';

/** What a rep of this element is judged by: each kind has its own pad, and exactly what that pad shows. */
export type JudgedBy =
  | { readonly kind: 'outcome' }
  /** A send says its drive with the tap that logs it. */
  | { readonly kind: 'drive' }
  /**
   * Where a new cue takes over from an old prompt: by when the answer came. The stage and its clock, in
   * seconds, and whether the next prompted answer is paid.
   */
  | {
      readonly kind: 'timed';
      readonly stage: Stage;
      readonly gap: number;
      readonly wait: number;
      readonly paid: boolean;
    }
  /** By the steps of a response scale, worst first, and the place on it that this rung asks, from 0. */
  | { readonly kind: 'graded'; readonly grades: readonly Grade[]; readonly asked: number }
  /** A scene in the field: each of a few things held or did not, in one go. */
  | { readonly kind: 'scene'; readonly held: readonly HeldOrNot[] }
  /** By the link at which it broke. */
  | { readonly kind: 'chain'; readonly links: readonly Link[] }
  /** A whole exercise: by the link at which it broke, each link at values of its own. */
  | { readonly kind: 'whole'; readonly links: readonly WholeLink[] }
  /** A game with a toy: both hands are on it, so that it is tallied in the rest. */
  | { readonly kind: 'game' }
  /** Continuous work, by the clock and the leg. */
  | { readonly kind: 'legs'; readonly legs: readonly string[] }
  /** By first touch and pick among numbered articles. */
  | { readonly kind: 'articles' };

/**
 * The one way in which a rep of this element is judged. What it is made of decides before its rule does:
 * articles by the pick, continuous work by the clock, a chain by where it broke.
 */
export function judgedBy(
  element: ElementRecord,
  criteria: Criteria,
  work: DogWork,
  transfer: { readonly stage: Stage; readonly paid: boolean } | null,
  run: RunAsked,
): JudgedBy {
  const { form, policy } = element;
  if (isWhole(element)) return { kind: 'whole', links: wholeLinks(element, work, run) };
  const { rule } = policy;
  if (element.articles !== null) return { kind: 'articles' };
  if (form.kind === 'continuous' && form.legs.length > 0) return { kind: 'legs', legs: form.legs };
  if (transfer && rule.kind === 'cue-transfer')
    return { kind: 'timed', stage: transfer.stage, gap: rule.gap, wait: rule.wait, paid: transfer.paid };
  if (rule.kind === 'distribution') return gradedBy(element, criteria);
  const links = linksOf(element, work);
  if (links.length > 0) return { kind: 'chain', links };
  if (rule.kind === 'stretch') return { kind: 'drive' };
  const held = rule.kind === 'scenario' ? heldOrNot(element) : [];
  if (held.length > 1) return { kind: 'scene', held };
  return { kind: element.work.includes('tug') ? 'game' : 'outcome' };
}

type RunAsked = {
  readonly stands: ReadonlyMap<ElementId, Criteria> | undefined;
  readonly said: Readonly<Record<string, string>>;
};

/** What each link of a whole run is asked: what the dog does on it now, or what the trial will. */
function wholeLinks(element: ElementRecord, work: DogWork, { stands, said }: RunAsked): WholeLink[] {
  return linksOf(element, work).map((link): WholeLink => {
    const piece = work.elements.find((one) => one.id === link.id);
    if (!piece) return { ...link, criteria: {} };
    const now = standingOn(buildLadder(piece), stands?.get(link.id) ?? null).criteria;
    const criteria = said[VALUES_CHIP] === 'trial' ? demandOf(piece.axes) : now;
    return { ...link, criteria: completed(piece.axes, criteria) };
  });
}

/** The coach's lines of a whole run: signs of the body, and what the runs themselves say. */
export function wholeLines(
  advice: readonly Advice[],
  reps: readonly StandingRep[],
  links: readonly WholeLink[],
): readonly Advice[] {
  const runs = reps.flatMap((rep) => {
    const { run } = rep.seen;
    if (run?.kind !== 'chain' || rep.judged.void) return [];
    return [{ brokeAt: run.brokeAt, clean: rep.judged.outcome === 'clean' && repCounts(rep) }];
  });
  return [
    ...advice.filter((one) => one.sign !== undefined),
    ...wholeAdvice(
      runs,
      links.map((link) => link.title),
    ),
  ];
}

/** By the element's own list of steps, or a plain scale of three. */
export function gradedBy(element: ElementRecord, criteria: Criteria): Extract<JudgedBy, { kind: 'graded' }> {
  const grades = gradesOf(element);
  const list = gradeAxis(element.axes);
  const asked = list?.levels
    ? Math.max(0, levelPlace(list.levels, criteria[list.key] ?? list.start))
    : grades.length - 1;
  return { kind: 'graded', grades, asked };
}

/** One judgement of a scene: what it is called where it held, and the fault where it did not. */
export type HeldOrNot = { readonly words: string; readonly fault: FaultKey; readonly miss: boolean };

const HELD: Readonly<Record<string, string>> = {
  'ran-in': tell('judged-by.steady'),
  'out-of-hand': tell('judged-by.under-control'),
  'no-listen': tell('judged-by.listened'),
  line: tell('judged-by.kept-the-line'),
  'no-stop': tell('judged-by.stopped'),
  cast: tell('judged-by.took-the-cast'),
};

const heldOrNot = ({ faults }: ElementRecord): HeldOrNot[] =>
  faults.flatMap(({ key, miss }) => {
    const words = HELD[key];
    return words === undefined ? [] : [{ words, fault: asId<FaultKey>(key), miss: miss === true }];
  });

export type Grade = { readonly id: LevelId; readonly name: string };
export type Link = { readonly id: ElementId; readonly title: string };
export type WholeLink = Link & { readonly criteria: Criteria };

/** The element's own list where it has one, and a plain scale of three where it has not. */
function gradesOf(element: ElementRecord): readonly Grade[] {
  const list = gradeAxis(element.axes);
  const plain = [tell('pad-view.nothing-of-it'), tell('pad-view.part-of-it'), tell('pad-view.all-of-it')];
  return list?.levels ?? plain.map((name, place) => ({ id: asLevel(place), name }));
}

export function linksOf(element: ElementRecord, work: DogWork): readonly Link[] {
  const { form } = element;
  const title = (id: ElementId): string =>
    work.elements.find((one) => one.id === id)?.title ?? tell('pad-view.a-link-that-is-gone');
  return form.kind === 'chain' ? form.links.map((id) => ({ id, title: title(id) })) : [];
}

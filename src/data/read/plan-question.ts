import { buildLadder, openness, placeOn } from '@/core/breakdown';
import {
  type PlanAim,
  type PlanDog,
  type PlannedBout,
  type PlanPiece,
  type PlanQuestion,
  trialPieces,
} from '@/core/planning';
import { addDays, type Day, type DogId, daysBetween, type ElementId, type Sentence } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import {
  type Dog,
  type DogPlan,
  type ElementRecord,
  PLAIN_DOG_PLAN,
  type Slot,
  type Trial,
} from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';
import { classEvidence, elementQuestion } from './class-evidence';
import { type EvidenceByElement, evidenceByElement, keptOfDog, standsOf } from './evidence';
import { otherWorkOf } from './other-work';
import { insteadOf, titleOfEntry } from './plan-aims';
import { listUsuals, planDays } from './plan-days';
import type { SlotSaid } from './plan-match';
import { elementPiece, heaviestWeek, loadsByDay, wholePiece } from './plan-pieces';
import { prerequisiteGraph } from './prerequisites';
import { signsAgainst } from './signs';
import { type PlannedSlot, pieceOf, slotsBetween } from './slots';
import { isOffWork } from './start';
import { plannedTitles } from './titles';
import { activeElements, type DogWork, listDogs, trialsOf, workOf } from './work';

/** Weeks that are planned at least, and at most. */
const WEEKS = { least: 4, most: 8 } as const;

/** Worth of a clean go on a piece that no trial in sight asks, beside a pass: what is left of the time is for it. */
const BESIDE = 0.05;

/** What the plan leaves out, and why. */
export type LeftOut = { readonly dog: DogId } & (
  | { readonly kind: 'off-work'; readonly until: Day | null }
  | { readonly kind: 'sign'; readonly element: ElementId; readonly reason: Sentence }
  | { readonly kind: 'class'; readonly trial: Trial; readonly reason: Sentence }
);

/** The question of the plan, and what its answer is shown with. */
export type Planning = {
  readonly question: PlanQuestion;
  readonly left: readonly LeftOut[];
  readonly slots: readonly PlannedSlot[];
  readonly until: Day;
  readonly works: ReadonlyMap<DogId, DogWork>;
  readonly evidence: ReadonlyMap<DogId, EvidenceByElement>;
  readonly plans: ReadonlyMap<DogId, DogWishes>;
  readonly trials: readonly Trial[];
  /** The next trial where all are further off than is planned; null where one is nearer, or none is noted. */
  readonly later: Trial | null;
  readonly dogs: readonly Dog[];
  /** Whether anybody said what time there is. */
  readonly hasWeek: boolean;
};

/** How a dog is planned for, as somebody said, or as it is until then. */
export type DogWishes = Pick<DogPlan, 'daysAWeek' | 'warmUp' | 'weight'>;
const wishesOf = async (kennel: Kennel, dog: DogId): Promise<DogWishes> =>
  (await kennel.database.of('dogPlans').where('dogId').equals(dog).first()) ?? PLAIN_DOG_PLAN;

/** All that the weeks up to the next trials are planned from: every dog that is not put away. */
export async function planQuestion(kennel: Kennel, today: Day): Promise<Planning> {
  const [dogs, usuals] = await Promise.all([listDogs(kennel), listUsuals(kennel)]);
  const trials = (await Promise.all(dogs.map((one) => trialsOf(kennel, one.id)))).flat();
  const until = horizon(trials, today);
  const ahead = trials.filter((one) => one.day > today && one.day <= until);
  const slots = await slotsBetween(kennel, addDays(today, -7 * WEEKS.most), until, today);
  const all = await Promise.all(dogs.map((dog) => dogQuestion(kennel, dog, ahead, until, today)));
  const workedToday = all.reduce((sum, one) => sum + one.minutesToday, 0);
  const pieces = all.flatMap((one) => one.pieces);
  const records = all.flatMap((one) => one.work.elements);
  return {
    question: {
      frame: {
        today,
        days: planDays(
          usuals,
          today,
          daysBetween(today, until),
          workedToday,
          ahead.map((one) => one.day),
        ),
        dogs: all.map((one) => one.dog),
        pieces,
      },
      dogs: all.map(({ dog, elements, aims }) => ({ dog: dog.id, elements, aims })),
      pinned: slots.flatMap((one) => pinnedBout(one, pieces, records, today)),
    },
    left: all.flatMap((one) => one.left),
    slots,
    until,
    works: new Map(all.map((one) => [one.dog.id, one.work])),
    evidence: new Map(all.map((one) => [one.dog.id, one.evidence])),
    plans: new Map(all.map((one) => [one.dog.id, one.plan])),
    trials: ahead,
    later: ahead.length > 0 ? null : nextOf(trials, until),
    dogs,
    hasWeek: usuals.some((one) => one.minutes > 0),
  };
}

const nextOf = (trials: readonly Trial[], after: Day): Trial | null =>
  [...trials].sort((a, b) => (a.day < b.day ? -1 : 1)).find((one) => one.day > after) ?? null;

/** Up to the last trial within eight weeks; four weeks where there is none. */
function horizon(trials: readonly Trial[], today: Day): Day {
  const least = addDays(today, 7 * WEEKS.least);
  const most = addDays(today, 7 * WEEKS.most);
  const last = trials
    .map((one) => one.day)
    .filter((day) => day > today && day <= most)
    .sort()
    .at(-1);
  return last !== undefined && last > least ? last : least;
}

type OfDog = Pick<PlanQuestion['dogs'][number], 'elements' | 'aims'> & {
  readonly dog: PlanDog;
  readonly plan: DogWishes;
  readonly pieces: readonly PlanPiece[];
  readonly work: DogWork;
  readonly evidence: EvidenceByElement;
  readonly left: readonly LeftOut[];
  readonly minutesToday: number;
};

async function dogQuestion(
  kennel: Kennel,
  dog: Dog,
  trials: readonly Trial[],
  until: Day,
  today: Day,
): Promise<OfDog> {
  const [work, allKept, other, plan] = await Promise.all([
    workOf(kennel, dog.id),
    keptOfDog(kennel, dog.id),
    otherWorkOf(kennel, dog.id),
    wishesOf(kennel, dog.id),
  ]);
  const kept = allKept.filter((one) => one.day <= today);
  const bouts = kept.filter((one) => !one.link);
  const evidence = evidenceByElement(kept, work.elements);
  const stands = standsOf(kept);
  const nodes = prerequisiteGraph({ work, stands, evidence });
  const left: LeftOut[] = [];
  if (isOffWork(dog, today)) left.push({ dog: dog.id, kind: 'off-work', until: dog.offWork?.until ?? null });
  const signed = activeElements(work).flatMap((element) => {
    const [sign] = signsAgainst(element.id, bouts, today);
    return sign ? [{ element: element.id, reason: sign.reason }] : [];
  });
  for (const one of signed) left.push({ dog: dog.id, kind: 'sign', ...one });
  const free = activeElements(work).filter((one) => !signed.some((sign) => sign.element === one.id));
  const helped = await alwaysHelped(kennel, bouts);
  const elements = free.map((element) =>
    elementPiece(
      element,
      evidence.get(element.id) ?? [],
      stands.get(element.id) ?? null,
      other,
      nodes,
      openness(element, nodes).open || bouts.some((one) => one.element === element.id),
      today,
      helped.has(element.id),
    ),
  );
  const wholes = await Promise.all(
    work.breakdowns.map(async (one) => {
      const runs = await kennel.database.of('bouts').where('on.breakdown').equals(one.id).primaryKeys();
      return wholePiece(
        one,
        elements,
        bouts.filter((bout) => runs.includes(bout.id)),
        today,
      );
    }),
  );
  const byDay = loadsByDay(bouts, other, work.elements);
  const mine = trials.filter((one) => one.dogId === dog.id);
  const aims: PlanAim[] = [];
  const titles = await plannedTitles(kennel, dog.id, today);
  for (const trial of mine) {
    const input = classEvidence(trial, work, evidence, today);
    if (!input.ok) left.push({ dog: dog.id, kind: 'class', trial, reason: input.message });
    else
      aims.push({
        kind: 'trial',
        trial: trial.id,
        day: trial.day,
        weight: plan.weight,
        input: { ...input.value, trialDay: null, closes: null },
        assumptions: trial.assumptions,
        seed: trial.seed,
        ...titleOfEntry(titles, mine, trial),
      });
  }
  const [first] = mine;
  if (first && aims.length > 0) aims.push(...insteadOf(first, work, evidence, today));
  const inTrials = trialPieces(aims);
  const beside = free.filter((one) => !inTrials.has(one.id));
  const each = aims.length > 0 ? BESIDE : plan.weight / Math.max(1, beside.length);
  if (beside.length > 0)
    aims.push({ kind: 'demand', day: until, weights: beside.map((one) => [one.id, each] as const) });
  return {
    dog: {
      id: dog.id,
      limits: dog.limits,
      heaviest: heaviestWeek(byDay),
      done: [...byDay].filter(([day]) => day > addDays(today, -7)).map(([day, loads]) => ({ day, loads })),
      from: isOffWork(dog, today) ? (dog.offWork?.until ?? null) : today,
      daysAWeek: plan.daysAWeek,
      warmUp: plan.warmUp,
      trialDays: trials.filter((one) => one.dogId === dog.id).map((one) => one.day),
    },
    plan,
    pieces: [...elements, ...wholes.filter((one) => one !== null)],
    work,
    evidence,
    elements: beside.map((element) => {
      const { id, axes, bouts: own } = elementQuestion(element, evidence, stands);
      return { id, axes, bouts: own };
    }),
    aims,
    left,
    minutesToday: bouts.filter((one) => one.day === today).reduce((sum, one) => sum + (one.minutes ?? 0), 0),
  };
}

/** So many of the last bouts with somebody who helped: without one it is not planned. */
const HELPED = 3;

/** Elements whose last three bouts all had a helper, as the outing says. */
async function alwaysHelped(kennel: Kennel, kept: readonly KeptEvidence[]): Promise<ReadonlySet<ElementId>> {
  const last = new Map<ElementId, KeptEvidence[]>();
  for (const one of kept)
    if (one.element && one.reps > 0)
      last.set(one.element, [...(last.get(one.element) ?? []), one].slice(-HELPED));
  const full = [...last].filter(([, list]) => list.length === HELPED);
  const bouts = await kennel.database
    .of('bouts')
    .bulkGet(full.flatMap(([, list]) => list.map((one) => one.id)));
  const outings = await kennel.database.of('outings').bulkGet(bouts.map((one) => one?.outingId ?? ''));
  return new Set(
    full.flatMap(([id], i) =>
      outings.slice(HELPED * i, HELPED * (i + 1)).every((one) => (one?.helpers ?? '').trim() !== '')
        ? [id]
        : [],
    ),
  );
}

/** A slot that was set by hand, from today on and not begun yet, as the planner takes it. */
const pinnedBout = (
  { slot, state }: PlannedSlot,
  pieces: readonly PlanPiece[],
  records: readonly ElementRecord[],
  today: Day,
): PlannedBout[] =>
  slot.pinned && state === 'ahead' && slot.day >= today
    ? [asPlanned(slot, records)].filter((one) => pieces.some(({ id }) => id === one.piece))
    : [];

/** A stored slot as a bout of the planner: its criteria as the rung that they are on today's ladder. */
export function asPlanned(slot: Slot, records: readonly ElementRecord[]): PlannedBout {
  const piece = pieceOf(slot);
  const element = records.find((one) => one.id === piece);
  const { id, day, dogId, at, purpose, goes, sets, minutes, pinned } = slot;
  const rung = element ? placeOn(buildLadder(element), at).rung : 0;
  return { slot: id, day, dog: dogId, piece, rung, purpose, goes, sets, minutes, pinned, why: null };
}

/** A bout of the planner as it is to be stored. */
export const asSaid = (bout: PlannedBout, pieces: readonly PlanPiece[]): SlotSaid => {
  const { day, dog, piece, purpose, goes, sets, minutes, why } = bout;
  const at = pieces.find(({ id }) => id === piece)?.rungs[bout.rung]?.criteria ?? {};
  return { day, dog, piece, purpose, goes, sets, minutes, why, at };
};

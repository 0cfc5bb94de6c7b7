import {
  asTrained,
  type Beliefs,
  type Cell,
  cellsWithCold,
  drawPosterior,
  type ElementEvidence,
  predictorOf,
  summarise,
  swingAt,
  targetAt,
} from '@/core/evidence';
import { HANDLER_CHIP, WORN_CHIP } from '@/core/log';
import {
  type BoutId,
  type ElementId,
  ok,
  type Result,
  type Steps,
  seeded,
  seedFromText,
} from '@/core/shared';
import { mean, variance } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import type { ClassEvidence } from './class-evidence';
import type { FitWith } from './fit-class';
import { type DayBelief, learnDay, type RunDay, type RunGoes } from './learned-day';

/** What the runs of a dog have taught of its trial days. */
export type LearnedDay = DayBelief & { readonly runs: number; readonly goes: number };

export type RunsTaught = {
  readonly all: LearnedDay;
  /** What a strange place does to an element, by the runs of the others: its own reps say it themselves. */
  readonly placeOf: ReadonlyMap<ElementId, DayBelief['place']>;
};

/** So many draws give the middle of an element and its spread to within a tenth of that. */
const DRAWS = 200;

/**
 * Place and nerves from the rehearsal reps of runs. Each element is fitted without the runs first, which
 * says what its goes there would have been at home; what they were instead is the day’s. For the fit of an
 * element itself only the others’ goes say what a strange place does, since its own are in that fit: no rep
 * is used twice. Without a run nothing is learned. Fails as the fits do.
 */
export function* runsTaught(
  { runs = [], elements, today }: Pick<ClassEvidence, 'runs' | 'elements' | 'today'>,
  assumptions: Assumptions,
  beliefs: Beliefs,
  fitWith: FitWith,
): Steps<Result<RunsTaught>> {
  const ofRun = new Map(runs.flatMap((bouts, run) => bouts.map((bout) => [bout, run] as const)));
  const days = new Map<string, { away: boolean; run: number; goes: RunGoes[] }>();
  for (const [i, element] of elements.entries()) {
    const found = goesOf(element, ofRun, today, beliefs, fitWith);
    if (!found.ok) return found;
    for (const { run, away, goes } of found.value) {
      const key = `${run} ${away}`;
      const day = days.get(key) ?? { away, run, goes: [] };
      day.goes.push(goes);
      days.set(key, day);
    }
    yield (i + 1) / elements.length;
  }
  const prior: DayBelief = { place: assumptions.place, nerves: assumptions.nervesSd };
  const learn = (without: ElementId | null): LearnedDay =>
    learnDay(
      [...days.values()].map(
        ({ away, goes }): RunDay => ({ away, goes: goes.filter((one) => one.element !== without) }),
      ),
      prior,
      assumptions.sharedDay,
    );
  const all = learn(null);
  const heard = new Set([...days.values()].flatMap(({ goes }) => goes.map((one) => one.element)));
  return ok({
    all: { ...all, runs: new Set([...days.values()].map(({ run }) => run)).size },
    placeOf: new Map(elements.map(({ id }) => [id, heard.has(id) ? learn(id).place : all.place])),
  });
}

type Found = { readonly run: number; readonly away: boolean; readonly goes: RunGoes };

/** The goes of an element in runs, beside what they would have been at home. */
function goesOf(
  element: ElementEvidence,
  ofRun: ReadonlyMap<BoutId, number>,
  today: ClassEvidence['today'],
  beliefs: Beliefs,
  fitWith: FitWith,
): Result<Found[]> {
  const { id, axes, bouts } = element;
  const isRun = ({ bout }: { readonly bout: BoutId }): boolean => ofRun.has(bout);
  if (!bouts.some(isRun)) return ok([]);
  const whole = summarise(bouts, today);
  if (!whole.ok) return whole;
  const cells = cellsWithCold(whole.value).filter(isRun);
  if (cells.length === 0) return ok([]);
  const before = summarise(
    bouts.filter((one) => !isRun(one)),
    today,
  );
  if (!before.ok) return before;
  const fitted = fitWith(axes, before.value, today, beliefs);
  if (!fitted.ok) return fitted;
  const posterior = drawPosterior(fitted.value, seeded(seedFromText(id)), DRAWS, 3 * DRAWS);
  const found: Found[] = [];
  for (const cell of cells) {
    const target = targetAt(axes, cell.criteria, 'either');
    if (!target.ok) return target;
    const when = { ...asTrained(posterior), ...asAsked(cell) };
    const logits = Array.from({ length: posterior.count }, (_, i) =>
      predictorOf(posterior, i, target.value, when),
    );
    let swing = 0;
    for (let i = 0; i < posterior.count; i++) swing += swingAt(posterior, i) / posterior.count;
    found.push({
      run: ofRun.get(cell.bout) as number,
      away: cell.away,
      goes: {
        element: id,
        mean: mean(logits),
        variance: variance(logits),
        swing,
        clean: cell.clean,
        notClean: cell.notClean,
      },
    });
  }
  return ok(found);
}

const asAsked = (cell: Cell) => ({
  cold: cell.cold ? 1 : 0,
  handler: cell.conditions[HANDLER_CHIP] === 'another' ? 1 : 0,
  unpaid: cell.unpaid ? 1 : 0,
  worn: cell.conditions[WORN_CHIP] === 'other' ? 1 : 0,
});

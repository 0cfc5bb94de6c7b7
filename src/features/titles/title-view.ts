import { MOST_ENTRIES, type TitleEntry, type TitlePlan, titleChance, titlePlans } from '@/core/readiness';
import { addMonths, type Day, ok, type Result } from '@/core/shared';
import { type Dog, type DogTitle, judgesOf, type TitleTrial } from '@/data/read';
import { writeDay, writeShare } from '@/words';
import { tell } from './words';

/** Where a title stands, in a sentence or two: what there is, what is missing, what runs out. */
export function standingWords({ rule, standing }: Pick<DogTitle, 'rule' | 'standing'>): string {
  const { done, legs, judgesLeft, unsaid, runsOut } = standing;
  if (done !== null) return tell('titles.done', { day: writeDay(done) });
  if (legs === 0) return tell('titles.no-leg', { passes: rule.passes });
  // A pass under nobody known may bring a judge: what is missing is to say under whom, before another trial is.
  const found = Math.max(0, judgesLeft - unsaid);
  return [
    legs >= rule.passes
      ? tell('titles.enough', { legs, passes: rule.passes, judgesLeft: found })
      : tell('titles.leg-of', {
          legs,
          passes: rule.passes,
          left: Math.max(rule.passes - legs, found),
          judgesLeft: found,
        }),
    ...(judgesLeft > 0 && unsaid > 0 ? [tell('titles.say-under-whom', { unsaid, judges: rule.judges })] : []),
    ...(runsOut === null ? [] : [tell('titles.runs-out', { day: writeDay(runsOut) })]),
  ].join(' ');
}

/** Whether the dog is old enough, in words; null where no age is asked. */
export function ageWords(
  { fromAge }: Pick<DogTitle, 'fromAge'>,
  dog: Pick<Dog, 'born' | 'name'>,
  today: Day,
): { readonly words: string; readonly stops: boolean } | null {
  if (fromAge === null) return null;
  if (dog.born === null)
    return { words: tell('titles.no-birthday', { months: fromAge, name: dog.name }), stops: false };
  const from = addMonths(dog.born, fromAge);
  return from <= today
    ? { words: tell('titles.old-enough', { months: fromAge }), stops: false }
    : { words: tell('titles.too-young', { months: fromAge, day: writeDay(from) }), stops: true };
}

/** The entries of a title that are weighed: the first of them, each with its chance draw by draw. */
export const weighable = (trials: readonly TitleTrial[]): readonly TitleTrial[] =>
  trials.slice(0, MOST_ENTRIES);

const entriesOf = (trials: readonly TitleTrial[], chances: readonly (readonly number[])[]): TitleEntry[] =>
  weighable(trials).map((one, i) => ({
    key: one.trial.id,
    day: one.trial.day,
    judges: judgesOf(one),
    cost: one.trial.cost ?? 0,
    chances: chances[i] ?? [],
  }));

/** The mean of a chance over draws. */
export const meanOf = (chances: readonly number[]): number =>
  chances.reduce((sum, one) => sum + one, 0) / Math.max(1, chances.length);

export type PlanLine = {
  readonly key: string;
  readonly words: string;
  /** The trials that it would enter. */
  readonly entries: readonly string[];
};
export type ChanceView = {
  /** With what is entered now. */
  readonly now: string;
  /** That it cannot be complete with all that lie ahead; null where it can. */
  readonly ever: string | null;
  /** What would be best; with a worth one line, without it one for each number of entries. */
  readonly lines: readonly PlanLine[];
  readonly best: string | null;
};

/** The chance of a title with what is entered, and which entries would be best. */
export function chanceView(title: DogTitle, chances: readonly (readonly number[])[]): Result<ChanceView> {
  const { rule, passes, trials, aim } = title;
  const entries = entriesOf(trials, chances);
  const by = aim?.by ?? null;
  const worth = aim?.worth ?? null;
  const byWords = by === null ? null : writeDay(by);
  const entered = entries.filter(
    ({ key }) => trials.find(({ trial }) => trial.id === key)?.trial.status === 'entered',
  );
  const now = titleChance(rule, passes, entered, by);
  if (!now.ok) return now;
  const plans = titlePlans(rule, passes, entries, by, worth);
  if (!plans.ok) return plans;
  const all = titleChance(rule, passes, entries, by);
  const possible = all.ok && all.value > 0;
  const names = (keys: readonly string[]) =>
    keys.map((key) => {
      const found = trials.find(({ trial }) => trial.id === key)?.trial;
      return found ? `${found.title}, ${writeDay(found.day)}` : key;
    });
  const isNow = (plan: TitlePlan): boolean =>
    plan.entries.length === entered.length &&
    plan.entries.every((key) => entered.some((one) => one.key === key));
  const [best] = plans.value;
  return ok({
    now:
      now.value === 0
        ? tell('titles.cannot', { n: entered.length, by: byWords })
        : tell('titles.chance', { n: entered.length, share: writeShare(now.value), by: byWords }),
    ever: possible ? null : tell('titles.cannot-at-all'),
    best:
      worth === null || !best || !possible
        ? null
        : isNow(best)
          ? tell('titles.best-now')
          : tell('titles.best', {
              n: best.entries.length,
              titles: { list: names(best.entries), between: '; ' },
              share: writeShare(best.chance),
              cost: best.cost,
            }),
    lines: plans.value
      .filter((plan) => !isNow(plan) && plan.entries.length > 0)
      .map((plan) => ({
        key: plan.entries.join(),
        entries: plan.entries,
        words: tell('titles.by-number', {
          n: plan.entries.length,
          titles: { list: names(plan.entries), between: '; ' },
          share: writeShare(plan.chance),
          cost: plan.cost,
        }),
      })),
  });
}

/** An amount in the person’s own measure: “25”, “12,50”; null where nothing stands, undefined where it is none. */
export function readAmount(text: string): number | null | undefined {
  const clean = text.trim().replace(',', '.');
  if (clean === '') return null;
  return /^\d{1,7}(\.\d{1,2})?$/.test(clean) ? Number(clean) : undefined;
}

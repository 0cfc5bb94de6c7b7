import { type TitleLeg, type TitleRule, type TitleStanding, titleStanding } from '@/core/readiness';
import type { RuleBook } from '@/core/rulebooks';
import type { Day, DogId, PersonId, RuleBookId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Dog, Held, Leg, ResultRecord, TitleAim, Trial } from '@/data/records';

/** A pass that counts for a title: from a result of the log, or from before. */
export type TitlePass = TitleLeg & {
  readonly book: RuleBookId;
  readonly result: ResultRecord | null;
  readonly leg: Leg | null;
  /** Under whom it was is known by its sheet. */
  readonly judged: boolean;
};

/** An entry for a title: a trial to come, and under whom it is, as far as somebody has said. */
export type TitleTrial = { readonly trial: Trial; readonly judges: readonly PersonId[] };

export type DogTitle = {
  readonly book: RuleBook;
  readonly title: string;
  readonly rule: TitleRule;
  readonly passes: readonly TitlePass[];
  readonly standing: TitleStanding;
  /** What has to be held before, in the book’s own words, and whether it is. */
  readonly before: readonly { readonly what: string; readonly held: Held | null }[];
  /** Months that a dog has to be old; null where none are asked. */
  readonly fromAge: number | null;
  readonly trials: readonly TitleTrial[];
  readonly aim: TitleAim | null;
};

/** What a class earns, as a title’s rule; null where it earns none. */
const titleRule = ({ earns }: Pick<RuleBook, 'earns'>): TitleRule | null =>
  earns ? { passes: earns.passes, judges: earns.judges, months: earns.months ?? null } : null;

/**
 * The titles that a dog can earn: of classes that it trains for, is entered in, or has passed. Passes are results
 * of real trials under that book, and legs from before.
 */
export async function titlesOf({ database }: Kennel, dog: Pick<Dog, 'id'>, today: Day): Promise<DogTitle[]> {
  const of = <N extends 'breakdowns' | 'trials' | 'results' | 'legs' | 'held' | 'titleAims'>(table: N) =>
    database.of(table).where('dogId').equals(dog.id).toArray();
  const [books, breakdowns, trials, results, legs, held, aims, runs, meetings] = await Promise.all([
    database.of('ruleBooks').toArray(),
    of('breakdowns'),
    of('trials'),
    of('results'),
    of('legs'),
    of('held'),
    of('titleAims'),
    database.of('runs').where('dogId').equals(dog.id).toArray(),
    database.of('meetings').toArray(),
  ]);
  const titles = books.flatMap(({ book, putAway }): DogTitle[] => {
    const rule = titleRule(book);
    if (!rule || !book.earns) return [];
    const entered = trials.filter((one) => one.ruleBookId === book.id);
    const ids = new Set(entered.map(({ id }) => id));
    const trained = breakdowns.some((one) => one.ruleBookId === book.id);
    const ran = new Set(results.filter((one) => one.kind === 'trial').map((one) => one.trialId));
    const own = legs.filter((one) => one.book === book.id);
    const aim = aims.find((one) => one.book === book.id) ?? null;
    if (!trained && entered.length === 0 && own.length === 0 && !aim) return [];
    if (putAway && own.length === 0 && !aim) return [];
    const passes = [
      ...results
        .filter((one) => one.kind === 'trial' && one.passed && ids.has(one.trialId))
        .map((result): TitlePass => {
          const run = runs.find(({ id }) => id === result.run);
          const leg = own.find((one) => one.result === result.id) ?? null;
          const bySheet = run?.judges ?? [];
          return {
            book: book.id,
            day: result.day,
            judges: bySheet.length > 0 ? bySheet : (leg?.judges ?? []),
            result,
            leg,
            judged: bySheet.length > 0,
          };
        }),
      ...own
        .filter((one) => one.result === null)
        .map(
          (leg): TitlePass => ({
            book: book.id,
            day: leg.day,
            judges: leg.judges,
            result: null,
            leg,
            judged: false,
          }),
        ),
    ].toSorted((a, b) => (a.day < b.day ? -1 : 1));
    const asked = [...(book.entry?.before ?? []), ...(book.earns.before ?? [])];
    return [
      {
        book,
        title: book.earns.title,
        rule,
        passes,
        standing: titleStanding(rule, passes, today),
        before: [...new Set(asked)].map((what) => ({
          what,
          held: held.find((one) => one.what === what) ?? null,
        })),
        fromAge: book.entry?.months ?? null,
        trials: entered
          .filter((one) => one.day >= today && one.status !== 'withdrawn' && !ran.has(one.id))
          .toSorted((a, b) => (a.day < b.day ? -1 : 1))
          .map((trial) => ({
            trial,
            judges:
              aim?.judges.find((one) => one.trial === trial.id)?.judges ??
              meetings.find(({ id }) => id === trial.meeting)?.classes.find((one) => one.book === book.id)
                ?.judges ??
              [],
          })),
        aim,
      },
    ];
  });
  return titles.toSorted((a, b) => (a.title < b.title ? -1 : 1));
}

/** Under whom an entry is, as it counts for a title: where nobody says, a judge of its own, who has not passed the dog yet. */
export const judgesOf = ({ trial, judges }: TitleTrial): readonly string[] =>
  judges.length > 0 ? judges : [`of ${trial.id}`];

/** The titles of a dog that its weeks are planned for, and that are not complete. */
export async function plannedTitles(kennel: Kennel, dog: DogId, today: Day): Promise<DogTitle[]> {
  return (await titlesOf(kennel, { id: dog }, today)).filter(
    (one) => one.aim?.plans === true && one.standing.done === null,
  );
}

/** Classes beside the titles of a dog: its own whose book says of no title, and others that earn one. */
export type OtherClasses = { readonly untitled: readonly RuleBook[]; readonly earning: readonly RuleBook[] };

export async function otherClasses(kennel: Kennel, dog: Pick<Dog, 'id'>, today: Day): Promise<OtherClasses> {
  const { database } = kennel;
  const [all, breakdowns, trials, titles] = await Promise.all([
    database.of('ruleBooks').toArray(),
    database.of('breakdowns').where('dogId').equals(dog.id).toArray(),
    database.of('trials').where('dogId').equals(dog.id).toArray(),
    titlesOf(kennel, dog, today),
  ]);
  const its = new Set<string | null>([
    ...breakdowns.map((one) => one.ruleBookId),
    ...trials.map((one) => one.ruleBookId),
  ]);
  const books = all.filter((one) => !one.putAway).map(({ book }) => book);
  return {
    untitled: books.filter((book) => !book.earns && its.has(book.id)),
    earning: books.filter((book) => book.earns && !titles.some((one) => one.book.id === book.id)),
  };
}

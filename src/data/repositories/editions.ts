import { demandCriteria } from '@/core/breakdown';
import type { Change, RuleBook } from '@/core/rulebooks';
import { type DogId, fail, ok, type Result } from '@/core/shared';
import type { Breakdown, ElementRecord, Trial } from '@/data/records';
import type { DogWork } from './elements';
import type { Kennel } from './kennel';

/** What of a dog's work stands on a rule book, and what the changes of another edition touch of it. */
export type Touched = {
  readonly breakdowns: readonly Breakdown[];
  readonly elements: readonly ElementRecord[];
  readonly trials: readonly Trial[];
};

export function touchedBy(changes: readonly Change[], book: RuleBook, work: DogWork, trials: readonly Trial[]): Touched {
  const whole = changes.some((change) => change.exercise === null);
  const breakdowns = work.breakdowns.filter(
    (breakdown) => breakdown.ruleBookId === book.id && changes.some((change) => change.exercise === breakdown.exercise),
  );
  const elements = work.elements.filter((element) =>
    work.breakdowns.some(
      (breakdown) =>
        breakdown.ruleBookId === book.id &&
        breakdown.links.some(
          (link) =>
            link.element === element.id &&
            changes.some((change) => change.area === 'demand' && change.exercise === breakdown.exercise && change.element === link.part),
        ),
    ),
  );
  const aimed = trials.filter((trial) => trial.ruleBookId === book.id);
  return { breakdowns, elements, trials: whole || breakdowns.length > 0 ? aimed : [] };
}

export type Moved = { readonly breakdowns: readonly Breakdown[]; readonly elements: readonly ElementRecord[]; readonly trials: readonly Trial[] };

/**
 * Moves a dog's breakdowns and trials from one edition to another, in one transaction. A ladder's demand follows where it was the old
 * edition's; a demand that the person set otherwise stays. Hand-set cells of a ladder that changes are cleared. Gives back what was there, for undo.
 * Exercises that the new edition dropped keep their breakdown under the old one. Fails with `incomplete` when an exercise has a new element that
 * nothing trains yet, or when none is shared; nothing is changed then.
 */
export async function moveToEdition(kennel: Kennel, dog: DogId, from: RuleBook, to: RuleBook): Promise<Result<Moved>> {
  const { database } = kennel;
  return database.transaction('rw', database.breakdowns, database.elements, database.trials, async () => {
    const all = (await database.breakdowns.where('dogId').equals(dog).toArray()).filter((breakdown) => breakdown.ruleBookId === from.id);
    const breakdowns = all.filter((breakdown) => to.exercises.some((exercise) => exercise.id === breakdown.exercise));
    const gap = findGap(breakdowns, from, to);
    if (gap !== null) return fail('incomplete', to.id, gap);
    const elements = await database.elements.where('dogId').equals(dog).toArray();
    const trials = (await database.trials.where('dogId').equals(dog).toArray()).filter((trial) => trial.ruleBookId === from.id);
    const changing = elements.filter((element) => redemanded(element, breakdowns, from, to) !== element);
    await database.breakdowns.bulkPut(breakdowns.map((breakdown) => ({ ...breakdown, ruleBookId: to.id })));
    await database.elements.bulkPut(changing.map((element) => redemanded(element, breakdowns, from, to)));
    await database.trials.bulkPut(trials.map((trial) => ({ ...trial, ruleBookId: to.id })));
    return ok({ breakdowns, elements: changing, trials });
  });
}

export async function undoMove(kennel: Kennel, moved: Moved): Promise<void> {
  const { database } = kennel;
  await database.transaction('rw', database.breakdowns, database.elements, database.trials, async () => {
    await database.breakdowns.bulkPut([...moved.breakdowns]);
    await database.elements.bulkPut([...moved.elements]);
    await database.trials.bulkPut([...moved.trials]);
  });
}

function findGap(breakdowns: readonly Breakdown[], from: RuleBook, to: RuleBook): string | null {
  if (breakdowns.length === 0)
    return `“${to.title}, ${to.edition}” has none of the exercises that are broken down from “${from.title}, ${from.edition}”.`;
  for (const breakdown of breakdowns) {
    const exercise = to.exercises.find((candidate) => candidate.id === breakdown.exercise);
    const missing = exercise?.elements.find((element) => !breakdown.links.some((link) => link.part === element.id));
    if (missing && exercise) return `“${exercise.title}” has a new element, “${missing.title}”, that nothing trains yet. Break it down first.`;
  }
  return null;
}

/** The element with the new edition's demands on the axes whose demand was the old edition's; itself when nothing changes. */
function redemanded(element: ElementRecord, breakdowns: readonly Breakdown[], from: RuleBook, to: RuleBook): ElementRecord {
  const places = breakdowns.flatMap((breakdown) =>
    breakdown.links.filter((link) => link.element === element.id).map((link) => ({ exercise: breakdown.exercise, part: link.part })),
  );
  const demandsIn = (book: RuleBook) =>
    places.map(({ exercise, part }) => {
      const found = book.exercises.find((one) => one.id === exercise)?.elements.find((one) => one.id === part);
      return found ? demandCriteria(found) : {};
    });
  const [old, now] = [demandsIn(from), demandsIn(to)];
  const axes = element.axes.map((axis) => {
    const place = old.findIndex((criteria) => criteria[axis.key] === axis.demand);
    const demand = place < 0 ? undefined : now[place]?.[axis.key];
    return demand === undefined || demand === axis.demand ? axis : { ...axis, demand };
  });
  return axes.every((axis, i) => axis === element.axes[i]) ? element : { ...element, axes, edits: [] };
}

import type { Criteria } from '@/core/breakdown';
import { foldLog } from '@/core/log';
import type { Day, DogId, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout, Dog, ElementRecord } from '@/data/records';
import { boutLog } from './bouts';
import { keptOfDog } from './evidence';
import { openBouts } from './lesson';
import { signsAgainst } from './signs';
import { gapOf, isOffWork, startToday } from './start';
import { activeElements, listDogs, workOf } from './work';

/** One dog of a class, as it comes: read once, since it takes the whole history of the dog. */
export type ClassDog = {
  readonly dog: Dog;
  /** What it can do in a class, the one worked last first. */
  readonly elements: readonly ElementRecord[];
  /** Where each begins today. */
  readonly starts: ReadonlyMap<ElementId, Criteria>;
  /** Elements against which a sign stands, or all of them of a dog that is off work. */
  readonly against: ReadonlySet<ElementId>;
};

/** What one dog does, and how it goes today. */
export type ClassTile = ClassDog & {
  readonly element: ElementRecord | null;
  /** What is asked of it. */
  readonly asked: Criteria;
  readonly bout: Bout | null;
  readonly goes: number;
  readonly clean: number;
  /** Missed in a row, up to now. */
  readonly missed: number;
  /** Off work, or a sign that stands: nothing is begun with it. */
  readonly rests: boolean;
};

/** The dogs of a class of today. */
export async function classDogs(
  kennel: Kennel,
  dogs: readonly DogId[],
  today: Day,
): Promise<readonly ClassDog[]> {
  const all = (await listDogs(kennel)).filter((dog) => dogs.includes(dog.id));
  return Promise.all(
    all.map(async (dog): Promise<ClassDog> => {
      const own = activeElements(await workOf(kennel, dog.id)).filter(
        (one) => one.form.kind === 'piece' && one.articles === null,
      );
      const kept = await keptOfDog(kennel, dog.id);
      const of = new Map(own.map(({ id }) => [id, kept.filter((one) => one.element === id)] as const));
      const last = (id: ElementId) => of.get(id)?.findLast((one) => !one.link);
      const off = isOffWork(dog, today);
      return {
        dog,
        elements: [...own].sort((a, b) => (last(b.id)?.startedAt ?? 0) - (last(a.id)?.startedAt ?? 0)),
        starts: new Map(
          own.map((element) => {
            const mine = of.get(element.id) ?? [];
            const worked = mine.some((one) => one.day === today && one.reps > 0);
            const stands = last(element.id)?.stands ?? null;
            return [element.id, startToday(element, stands, worked, gapOf(mine, dog, today))] as const;
          }),
        ),
        against: new Set(
          own.filter(({ id }) => off || signsAgainst(id, kept, today).length > 0).map(({ id }) => id),
        ),
      };
    }),
  );
}

/** The tiles as they stand now: only what is logged today is read. `chosen` says what a dog does where somebody did. */
export async function classTiles(
  kennel: Kennel,
  dogs: readonly ClassDog[],
  chosen: Readonly<Partial<Record<DogId, ElementId>>>,
  today: Day,
): Promise<readonly ClassTile[]> {
  const open = await openBouts(kennel, today);
  return Promise.all(
    dogs.map(async (one): Promise<ClassTile> => {
      const { dog, elements, starts, against } = one;
      const running = open.find(({ element }) => elements.some(({ id }) => id === element.id));
      const element =
        elements.find(({ id }) => id === chosen[dog.id]) ??
        elements.find(({ id }) => id === running?.element.id) ??
        elements[0] ??
        null;
      const bout = open.find((other) => other.element.id === element?.id)?.bout ?? null;
      const folded = bout ? foldLog(bout.start, await boutLog(kennel, bout.id)) : null;
      const reps = folded?.reps.filter((rep) => !rep.judged.void) ?? [];
      const lastGood = reps.findLastIndex((rep) => rep.judged.outcome !== 'miss');
      return {
        ...one,
        element,
        asked: folded?.stands ?? (element ? (starts.get(element.id) ?? {}) : {}),
        bout,
        goes: reps.length,
        clean: reps.filter((rep) => rep.judged.outcome === 'clean').length,
        missed: reps.length - 1 - lastGood,
        rests: element !== null && against.has(element.id),
      };
    }),
  );
}

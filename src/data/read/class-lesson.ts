import type { Criteria } from '@/core/breakdown';
import { foldLog } from '@/core/log';
import type { Day, DogId, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout, Dog, ElementRecord } from '@/data/records';
import { boutLog } from './bouts';
import { lastKept } from './evidence';
import { openBouts } from './lesson';
import { signsAgainst } from './signs';
import { gapOf, isOffWork, startToday } from './start';
import { activeElements, listDogs, workOf } from './work';

/** One dog of a class: what it does, where it stands, and how it goes today. */
export type ClassTile = {
  readonly dog: Dog;
  /** What it can do in a class, the one worked last first. */
  readonly elements: readonly ElementRecord[];
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

/** The tiles of a class of today; `chosen` says what a dog does where somebody has said it. */
export async function classTiles(
  kennel: Kennel,
  dogs: readonly DogId[],
  chosen: Readonly<Partial<Record<DogId, ElementId>>>,
  today: Day,
): Promise<readonly ClassTile[]> {
  const all = (await listDogs(kennel)).filter((dog) => dogs.includes(dog.id));
  const open = await openBouts(kennel, today);
  return Promise.all(
    all.map(async (dog): Promise<ClassTile> => {
      const work = await workOf(kennel, dog.id);
      const own = activeElements(work).filter((one) => one.form.kind === 'piece' && one.articles === null);
      const last = new Map(
        await Promise.all(own.map(async (one) => [one.id, await lastKept(kennel, one.id)] as const)),
      );
      const elements = [...own].sort(
        (a, b) => (last.get(b.id)?.startedAt ?? 0) - (last.get(a.id)?.startedAt ?? 0),
      );
      const running = open.find((one) => own.some(({ id }) => id === one.element.id));
      const element =
        own.find(({ id }) => id === chosen[dog.id]) ??
        own.find(({ id }) => id === running?.element.id) ??
        elements[0] ??
        null;
      const bout = open.find((one) => one.element.id === element?.id)?.bout ?? null;
      const folded = bout ? foldLog(bout.start, await boutLog(kennel, bout.id)) : null;
      const kept = await kennel.database.kept.where('dogId').equals(dog.id).toArray();
      const mine = element ? kept.filter((one) => one.element === element.id) : [];
      const stands = element ? (last.get(element.id)?.stands ?? null) : null;
      const workedToday = mine.some((one) => one.day === today && one.reps > 0);
      const asked =
        folded?.stands ?? (element ? startToday(element, stands, workedToday, gapOf(mine, dog, today)) : {});
      const reps = folded?.reps.filter((rep) => !rep.judged.void) ?? [];
      const lastGood = reps.findLastIndex((rep) => rep.judged.outcome !== 'miss');
      return {
        dog,
        elements,
        element,
        asked,
        bout,
        goes: reps.length,
        clean: reps.filter((rep) => rep.judged.outcome === 'clean').length,
        missed: reps.length - 1 - lastGood,
        rests:
          isOffWork(dog, today) || (element !== null && signsAgainst(element.id, kept, today).length > 0),
      };
    }),
  );
}

import type { Criteria } from '@/core/breakdown';
import { addDays, type BoutId, type Day, type DogId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { type Clip, type ElementRecord, elementOf } from '@/data/records';
import { lastKept } from './evidence';

/** So many sessions can be commented on, the last first. */
const SESSIONS = 30;

/** What a coach can say something of: elements, the last sessions, clips. */
export async function commentables({ database }: Kennel): Promise<{
  readonly elements: readonly ElementRecord[];
  readonly bouts: readonly {
    readonly id: BoutId;
    readonly dogId: DogId;
    readonly day: Day;
    readonly title: string;
  }[];
  readonly clips: readonly Clip[];
}> {
  const all = (await database.of('elements').toArray()).filter((one) => !one.putAway && one.retired === null);
  const titles = new Map(all.map((one) => [one.id as string, one.title]));
  const outings = await database.of('outings').orderBy('day').reverse().limit(SESSIONS).toArray();
  const days = new Map(outings.map(({ id, day }) => [id as string, day]));
  const bouts = await database
    .of('bouts')
    .where('outingId')
    .anyOf([...days.keys()])
    .toArray();
  const last = bouts.sort((a, b) => b.startedAt - a.startedAt).slice(0, SESSIONS);
  return {
    elements: all.sort((a, b) => a.title.localeCompare(b.title)),
    bouts: last.flatMap((bout) => {
      const [title, day] = [titles.get(elementOf(bout) ?? ''), days.get(bout.outingId)];
      return title && day ? [{ id: bout.id, dogId: bout.dogId, day, title }] : [];
    }),
    clips: await database.of('clips').toArray(),
  };
}

/** What stands on the picture of a dog. */
export type PictureFacts = {
  /** The elements worked last, with where the dog stands. */
  readonly elements: readonly { readonly element: ElementRecord; readonly stands: Criteria | null }[];
  /** Three things for the week: as planned, else what has waited longest (`goes` null). */
  readonly next: readonly { readonly title: string; readonly goes: number | null; readonly times: number }[];
  readonly planned: boolean;
  readonly vet: readonly string[];
};

/** So many elements stand on it: more are not read. */
const SHOWN = 6;
const THINGS = 3;

/** What a picture of a dog says, of the log and the plan as they stand. */
export async function pictureFacts(kennel: Kennel, dogId: DogId, today: Day): Promise<PictureFacts> {
  const { database } = kennel;
  const [dog, elements, slots] = await Promise.all([
    database.of('dogs').get(dogId),
    database.of('elements').where('dogId').equals(dogId).toArray(),
    database.of('slots').where('dogId').equals(dogId).toArray(),
  ]);
  const alive = elements.filter((one) => !one.putAway && one.retired === null);
  const found = await Promise.all(
    alive.map(async ({ id }) => [id as string, await lastKept(kennel, id)] as const),
  );
  const last = new Map(found.flatMap(([id, one]) => (one ? [[id, one] as const] : [])));
  const worked = alive
    .filter((one) => last.has(one.id))
    .sort((a, b) => (last.get(b.id)?.startedAt ?? 0) - (last.get(a.id)?.startedAt ?? 0));
  const week = slots.filter((one) => one.day >= today && one.day < addDays(today, 7));
  const byPiece = new Map<string, { title: string; goes: number; times: number }>();
  for (const slot of week) {
    const id = slot.on.kind === 'element' ? slot.on.element : null;
    const title = alive.find((one) => one.id === id)?.title;
    if (!title) continue;
    const before = byPiece.get(title) ?? { title, goes: slot.goes, times: 0 };
    byPiece.set(title, { ...before, times: before.times + 1 });
  }
  const planned = [...byPiece.values()].sort((a, b) => b.times - a.times).slice(0, THINGS);
  const waited = [...worked]
    .reverse()
    .slice(0, THINGS)
    .map(({ title }) => ({ title, goes: null, times: 0 }));
  return {
    elements: worked
      .slice(0, SHOWN)
      .map((element) => ({ element, stands: last.get(element.id)?.stands ?? null })),
    next: planned.length > 0 ? planned : waited,
    planned: planned.length > 0,
    vet: dog?.vet.map(({ said }) => said) ?? [],
  };
}

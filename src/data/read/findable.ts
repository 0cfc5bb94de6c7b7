import { type Method, methodText } from '@/core/breakdown';
import type { Day } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout } from '@/data/records';
import { listGrounds, listSetOuts } from './set-outs';
import { addressOf, exerciseTitle, wholeId } from './whole';
import { activeElements, listDogs, workOf } from './work';

/** One thing that can be found: what it is called, what else is said of it, and where it is in the kennel. */
export type Findable = {
  readonly kind:
    | 'dog'
    | 'element'
    | 'exercise'
    | 'method'
    | 'drawing'
    | 'ground'
    | 'outing'
    | 'note'
    | 'page';
  /** Unique among all. */
  readonly id: string;
  readonly title: string;
  /** Whose it is, by name; empty for nobody's. */
  readonly dog: string;
  readonly text: string;
  readonly day: Day | null;
  /** The address within the kennel. */
  readonly to: string;
  /** The dog that is taken in hand on the way there, where the address does not say it. */
  readonly dogId: string | null;
};

/** Dogs, elements, exercises, methods, set-outs and grounds: what is there whatever was done. */
export async function findableWork(kennel: Kennel, methods: readonly Method[]): Promise<Findable[]> {
  const found: Findable[] = methods.map((method) => ({
    kind: 'method',
    id: `method ${method.id}`,
    title: method.title,
    dog: '',
    text: [
      methodText(method),
      ...method.advice,
      ...method.trouble.map((one) => one.seen),
      ...method.kit,
    ].join(' '),
    day: null,
    to: `breakdown/methods/${method.id}`,
    dogId: null,
  }));
  for (const dog of await listDogs(kennel)) {
    const work = await workOf(kennel, dog.id);
    const base = { dog: dog.name, day: null } as const;
    found.push({
      ...base,
      kind: 'dog',
      id: dog.id,
      title: dog.name,
      dog: '',
      text: dog.breed,
      to: 'today',
      dogId: dog.id,
    });
    for (const element of activeElements(work)) {
      const text = [
        ...element.axes.map((axis) => axis.title),
        ...element.kit,
        ...element.faults.map((one) => one.label),
      ];
      found.push({
        ...base,
        kind: 'element',
        id: element.id,
        title: element.title,
        text: text.join(' '),
        to: `breakdown/${element.id}`,
        dogId: null,
      });
    }
    for (const breakdown of work.breakdowns)
      found.push({
        ...base,
        kind: 'exercise',
        id: wholeId(breakdown.id),
        title: exerciseTitle(breakdown, work),
        text: breakdown.own?.goal ?? '',
        to: `breakdown#${breakdown.id}`,
        dogId: dog.id,
      });
  }
  for (const one of await listSetOuts(kennel))
    if (!one.putAway)
      found.push({ ...NOBODYS, kind: 'drawing', id: one.id, title: one.title, to: `set-outs/${one.id}` });
  for (const one of await listGrounds(kennel))
    found.push({ ...NOBODYS, kind: 'ground', id: one.id, title: one.name, to: `set-outs/grounds/${one.id}` });
  return found;
}
const NOBODYS = { dog: '', text: '', day: null, dogId: null } as const;

/**
 * Outings, with what was done in them, and what was written of their bouts: lines for next time, and notes.
 * An outing is called by its day, which whoever shows it writes; a bout without a word is left out.
 */
export async function findableNotes(kennel: Kennel): Promise<Findable[]> {
  const { database } = kennel;
  const [bouts, outings, dogs, elements, breakdowns, ruleBooks] = await Promise.all([
    database.of('bouts').toArray(),
    database.of('outings').toArray(),
    database.of('dogs').toArray(),
    database.of('elements').toArray(),
    database.of('breakdowns').toArray(),
    database.of('ruleBooks').toArray(),
  ]);
  const days = new Map(outings.map((one) => [one.id, one.day]));
  const names = new Map(dogs.map((one) => [one.id, one.name]));
  const titles = new Map([
    ...elements.map((one) => [one.id, one.title] as const),
    ...breakdowns.map((one) => [wholeId(one.id), exerciseTitle(one, { ruleBooks })] as const),
  ]);
  const kept = await database.kept.bulkGet(bouts.map((one) => one.id));
  const notes = bouts.flatMap((bout, i): Findable[] => {
    const lines = [bout.debrief?.what ?? '', bout.debrief?.next ?? '', ...(kept[i]?.notes ?? [])].filter(
      Boolean,
    );
    if (lines.length === 0) return [];
    const address = addressOf(bout);
    return [
      {
        kind: 'note',
        id: bout.id,
        title: titles.get(address) ?? '',
        dog: names.get(bout.dogId) ?? '',
        text: lines.join(' · '),
        day: days.get(bout.outingId) ?? null,
        to: `field/${address}/log`,
        dogId: null,
      },
    ];
  });
  const byOuting = new Map<string, Bout[]>();
  for (const bout of bouts) byOuting.set(bout.outingId, [...(byOuting.get(bout.outingId) ?? []), bout]);
  const all = outings.flatMap((outing): Findable[] => {
    const [first, ...rest] = byOuting.get(outing.id) ?? [];
    if (!first) return [];
    const done = [first, ...rest].map((bout) => titles.get(addressOf(bout)) ?? '');
    return [
      {
        kind: 'outing',
        id: outing.id,
        title: '',
        dog: outing.dogs.flatMap((id) => names.get(id) ?? []).join(', '),
        text: [...new Set(done), outing.helpers, outing.note, outing.weather?.words ?? '']
          .filter(Boolean)
          .join(' · '),
        day: outing.day,
        to: `field/${addressOf(first)}/log`,
        dogId: null,
      },
    ];
  });
  return [...notes, ...all];
}

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { foldLog, inOrder, plainRep, type Said } from '@/core/log';
import { asId, type Day, type ElementId, must } from '@/core/shared';
import { CHANGED, DOG, exportTables, kennelWithDog } from '@/data/kennel.test-helper';
import type { Kennel } from '@/data/read';
import { kennelCounts, keptOfDog } from '@/data/read';
import { PLAIN_ELEMENT } from '@/data/records';
import { keptOf } from '@/data/records/kept-evidence';
import {
  addTables,
  assignBout,
  endBout,
  record,
  recordUndo,
  startBout,
  takeBack,
  typeInBout,
  type Undo,
} from '.';
import { renewEvidence } from './keep-evidence';
import { transact } from './transact';

const AXIS = testAxis();
const at = (metres: number) => ({ [AXIS.key]: metres });
const element = {
  ...PLAIN_ELEMENT,
  id: asId<ElementId>('e'),
  dogId: DOG,
  title: 'E',
  axes: [AXIS],
  changed: CHANGED,
};
const DAYS = ['2026-06-01', '2026-06-02', '2026-06-03'] as Day[];

async function kennelWithElement(): Promise<Kennel> {
  const kennel = await kennelWithDog();
  await kennel.database.of('elements').add(element as never);
  return kennel;
}

/** What should be kept: every bout folded anew from its log, past all that is kept. */
async function rebuilt({ database }: Kennel) {
  const bouts = await database.of('bouts').toArray();
  const all = await Promise.all(
    bouts.map(async (bout) => {
      const outing = await database.of('outings').get(bout.outingId);
      const log = await database
        .of('entries')
        .filter((entry) => entry.boutId === bout.id)
        .toArray();
      return outing ? keptOf(bout, outing, inOrder(log)) : [];
    }),
  );
  const [some, byId] = [all.flat(), (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : 1)];
  return [some.map((one) => one.evidence).sort(byId), some.map((one) => one.log).sort(byId)];
}

const kept = async ({ database }: Kennel) => [
  await database.kept.toArray(),
  await database.keptLogs.toArray(),
];

type Step =
  | {
      readonly do: 'rep';
      readonly outcome: 'clean' | 'flawed' | 'miss';
      readonly metres: number;
      readonly aided: boolean;
    }
  | { readonly do: 'amend' | 'undo' | 'end' | 'take-back' | 'merge' | 'paper' | 'move' }
  | { readonly do: 'start' | 'redate'; readonly day: number };

const anyStep: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({
      do: fc.constant('rep' as const),
      outcome: fc.constantFrom('clean' as const, 'flawed' as const, 'miss' as const),
      metres: fc.constantFrom(5, 10),
      aided: fc.boolean(),
    }),
  },
  {
    weight: 5,
    arbitrary: fc.record({
      do: fc.constantFrom(
        'amend' as const,
        'undo' as const,
        'end' as const,
        'take-back' as const,
        'merge' as const,
        'paper' as const,
        'move' as const,
      ),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ do: fc.constantFrom('start' as const, 'redate' as const), day: fc.nat(2) }),
  },
);

/** Does a step as the rooms do; gives what can be taken back. */
async function take(kennel: Kennel, other: Kennel, step: Step, last: Undo | null): Promise<Undo | null> {
  const { database } = kennel;
  const bout = (await database.of('bouts').toArray()).at(-1);
  const done = <T>(result: Awaited<ReturnType<typeof transact<T>>>): Undo | null =>
    result.ok ? result.value : null;
  const say = async (said: Said): Promise<Undo | null> =>
    bout ? done(await record(kennel, bout, said)) : null;
  switch (step.do) {
    case 'start':
      return done(
        await startBout(kennel, element, { day: DAYS[step.day] as Day, away: false, start: at(5) }),
      );
    case 'rep': {
      const { outcome, metres, aided } = step;
      return say({ kind: 'rep', ...plainRep(at(metres), { outcome, ...(aided ? { aids: ['hand'] } : {}) }) });
    }
    case 'move':
      return say({ kind: 'move', to: at(10), because: 'hand' });
    case 'amend': {
      const rep =
        bout &&
        foldLog(
          bout.start,
          inOrder(
            await database
              .of('entries')
              .filter((entry) => entry.boutId === bout.id)
              .toArray(),
          ),
        ).reps[0];
      return rep ? say({ kind: 'amend', of: rep.id, judged: { outcome: 'flawed', cause: 'handler' } }) : null;
    }
    case 'undo':
      return bout ? done(await recordUndo(kennel, bout)) : null;
    case 'end':
      return bout ? done(await endBout(kennel, bout.id)) : null;
    case 'paper':
      return done(
        await typeInBout(kennel, element, { day: DAYS[0] as Day, away: true, start: at(5), noon: 5 }, [
          'clean',
          'miss',
        ]),
      );
    case 'redate': {
      const [outing] = await database.of('outings').toArray();
      if (!outing) return null;
      return done(
        await transact(kennel, ['outings'], (write) =>
          write.put('outings', { ...outing, day: DAYS[step.day] as Day }),
        ),
      );
    }
    case 'take-back':
      return last ? done(await takeBack(kennel, last)) : null;
    case 'merge': {
      must(await addTables(other, await exportTables(kennel)));
      const theirs = (await other.database.of('bouts').toArray()).at(-1);
      if (theirs) must(await record(other, theirs, { kind: 'rep', ...plainRep(at(5), { outcome: 'miss' }) }));
      return done(await addTables(kennel, await exportTables(other)));
    }
  }
}

describe('what is kept of a bout', () => {
  it('equals what its log comes to, after any order of adding, undoing, correcting, back-dating, merging', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyStep, { minLength: 3, maxLength: 14 }), async (steps) => {
        const [kennel, other] = [await kennelWithElement(), await kennelWithElement()];
        let last: Undo | null = null;
        for (const step of [{ do: 'start', day: 0 } as Step, ...steps]) {
          last = (await take(kennel, other, step, last)) ?? last;
          expect(await kept(kennel)).toEqual(await rebuilt(kennel));
          expect(await kept(other)).toEqual(await rebuilt(other));
        }
        for (const one of [kennel, other]) await one.database.delete();
      }),
      { numRuns: 25 },
    );
  });

  it('is made anew where it is missing or has an older meaning, and left alone where all is there', async () => {
    const kennel = await kennelWithElement();
    const bout = must(
      await startBout(kennel, element, { day: DAYS[0] as Day, away: false, start: at(5) }),
    ).made;
    must(await record(kennel, bout, { kind: 'rep', ...plainRep(at(5), { outcome: 'clean' }) }));
    const [whole] = await kennel.database.kept.toArray();
    if (!whole) throw new Error('kept');
    const shares: number[] = [];
    await renewEvidence(kennel.database, (share) => shares.push(share));
    expect(shares).toEqual([]);
    for (const spoil of [
      () => kennel.database.kept.clear(),
      () => kennel.database.kept.put({ ...whole, meaning: 0, counted: 99 }),
      () => kennel.database.kept.put({ ...whole, id: asId('nobody') }),
    ]) {
      await spoil();
      await renewEvidence(kennel.database, (share) => shares.push(share));
      expect(await kept(kennel)).toEqual(await rebuilt(kennel));
      expect(await kennel.database.kept.toArray()).toEqual([whole]);
    }
    expect(shares).toEqual([1, 1, 1]);
  });

  it('counts for what the person has assigned it to, and in the kennel’s numbers', async () => {
    const kennel = await kennelWithElement();
    const bout = must(
      await startBout(kennel, element, { day: DAYS[1] as Day, away: false, start: at(5) }),
    ).made;
    must(await record(kennel, bout, { kind: 'rep', ...plainRep(at(5), { outcome: 'clean' }) }));
    must(await record(kennel, bout, { kind: 'rep', ...plainRep(at(5), { outcome: 'miss' }) }));
    must(await recordUndo(kennel, bout));
    must(await assignBout(kennel, element.id, bout.id, [asId<ElementId>('part')]));
    expect((await keptOfDog(kennel, DOG)).map((one) => [one.reps, one.counted, one.open])).toEqual([
      [1, 1, true],
    ]);
    expect(await kennelCounts(kennel)).toMatchObject({ dogs: ['Wren'], bouts: 1, reps: 1 });
  });
});

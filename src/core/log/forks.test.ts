import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type DeviceId, type EntryId } from '@/core/shared';
import { type Amendment, type Entry, forksOf, inOrder, lastAmendments, plainRep } from '.';

const place = (id: string, by: string, seq: number) => ({
  id: asId<EntryId>(id),
  boutId: asId<never>('b'),
  dogId: asId<never>('d'),
  seq,
  by: asId<DeviceId>(by),
  at: seq,
  timed: true,
});
const rep: Entry = { kind: 'rep', ...plainRep({}, { outcome: 'clean' }), ...place('r', 'a', 0) };
const of = asId<EntryId>('r');

/** A device writes an amendment knowing its own log. */
const write = (log: readonly Entry[], by: string, said: Amendment): Entry[] => [
  ...log,
  {
    kind: 'amend',
    of,
    ...said,
    after: lastAmendments(log, of),
    ...place(`${by}${log.length}`, by, Math.max(...log.map((one) => one.seq)) + 1),
  },
];
const unite = (a: readonly Entry[], b: readonly Entry[]): Entry[] =>
  inOrder([...new Map([...a, ...b].map((one) => [one.id, one])).values()]);
const outcome = (is: 'clean' | 'miss' | 'flawed'): Amendment => ({ judged: { outcome: is } });
const said = (log: readonly Entry[]) =>
  forksOf(log).map((fork) => [fork.path.join('.'), fork.said.map(({ entry, value }) => [entry.by, value])]);

describe('a rep that two devices put right apart', () => {
  it('is a fork where they say otherwise, also where one log is longer', () => {
    const a = write([rep], 'a', outcome('miss'));
    const b = write(write([rep], 'b', { paid: { size: 'small' } as never }), 'b', outcome('flawed'));
    expect(said(unite(a, b))).toEqual([
      [
        'judged.outcome',
        [
          ['a', 'miss'],
          ['b', 'flawed'],
        ],
      ],
    ]);
    expect(said(a)).toEqual([]);
  });

  it('is none where both say the same, or of different things, or one knew of the other', () => {
    const miss = write([rep], 'a', outcome('miss'));
    expect(said(unite(miss, write([rep], 'b', outcome('miss'))))).toEqual([]);
    expect(said(unite(miss, write([rep], 'b', { judged: { cause: 'handler' } })))).toEqual([]);
    expect(said(write(miss, 'b', outcome('flawed')))).toEqual([]);
  });

  it('is decided by one more that has seen both, and is open again where that is taken back', () => {
    const both = unite(write([rep], 'a', outcome('miss')), write([rep], 'b', outcome('flawed')));
    const decided = write(both, 'c', outcome('clean'));
    expect(said(decided)).toEqual([]);
    const last = decided.at(-1)?.id ?? of;
    const open: Entry[] = [...decided, { kind: 'undo', of: last, ...place('u', 'c', 9) }];
    expect(said(open)).toHaveLength(1);
    expect(said(write(open, 'a', outcome('miss')))).toEqual([]);
    expect(said([...both, { kind: 'undo', of, ...place('u', 'c', 9) }])).toEqual([]);
  });

  it('tells measures and chips apart by what they are of', () => {
    const held = { seen: { measured: { held: { value: 2, how: 'tap' } } } } as Amendment;
    const angle = { seen: { measured: { angle: { value: 4, how: 'typed' } } } } as Amendment;
    const longer = { seen: { measured: { held: { value: 5, how: 'typed' } } } } as Amendment;
    const a = write([rep], 'a', held);
    expect(said(unite(a, write([rep], 'b', angle)))).toEqual([]);
    expect(said(unite(a, write([rep], 'b', longer)))).toMatchObject([['seen.measured.held', {}]]);
  });

  it('takes amendments from before `after` was kept as knowing all before them', () => {
    const old = (by: string, seq: number, is: 'miss' | 'flawed'): Entry => ({
      kind: 'amend',
      of,
      ...outcome(is),
      ...place(`${by}${seq}`, by, seq),
    });
    expect(said([rep, old('a', 1, 'miss'), old('b', 2, 'flawed')])).toEqual([]);
  });

  it('is found exactly where the last words of two devices differ and neither had the other’s (any history)', () => {
    const step = fc.record({
      who: fc.constantFrom('a', 'b'),
      does: fc.constantFrom('miss', 'flawed', 'clean', 'meet'),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 10 }), (steps) => {
        let logs: Record<string, readonly Entry[]> = { a: [rep], b: [rep] };
        // An oracle without logs: what each said last that the other does not know.
        let apart: Record<string, string | null> = { a: null, b: null };
        let open: string | null = null;
        for (const { who, does } of steps) {
          if (does === 'meet') {
            const both = unite(logs.a ?? [], logs.b ?? []);
            logs = { a: both, b: both };
            if (apart.a && apart.b && apart.a !== apart.b) open = `${apart.a}/${apart.b}`;
            else if (apart.a || apart.b) open = null;
            apart = { a: null, b: null };
            expect(forksOf(both).length > 0).toBe(open !== null);
          } else {
            logs = { ...logs, [who]: write(logs[who] ?? [], who, outcome(does as 'miss')) };
            apart = { ...apart, [who]: does };
          }
        }
      }),
      { numRuns: 300 },
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildLadder, placeOn } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { type CoachStep, coach, DEFAULT_PACE, type Policy, startCoaching } from '@/core/coaching';
import { asId, type BoutId, type Day, type DeviceId, type EntryId } from '@/core/shared';
import {
  asEvidence,
  countsAsEvidence,
  type Entry,
  foldLog,
  inOrder,
  plainRep,
  type RepSaid,
  replay,
  type Said,
  timelineOf,
} from '.';
import { anyDeeds, at, type Deed, logOf } from './log.test-helper';

const policy: Policy = { rule: { kind: 'run', advanceAfter: 3, dropAfter: 2 }, pace: DEFAULT_PACE };
const ladder = buildLadder({ axes: [testAxis({ step: 1, limit: 1 })] });
const coached = { policy, ladder, start: at(10), facts: {} };
const bout = {
  id: asId<BoutId>('b'),
  day: '2026-06-01' as Day,
  away: false,
  conditions: { Surface: 'grass' },
};

/** One entry after another, by hand. */
const log = (...list: Said[]): Entry[] => {
  const [first] = logOf([{ deed: 'rest' }]);
  return list.map((said, seq) => ({ ...first, ...said, id: asId<EntryId>(`x${seq}`), seq }) as Entry);
};
const id = (seq: number): EntryId => asId<EntryId>(`x${seq}`);

/** The slow, obvious way: the log as if everything undone had never been done. */
function asIfNeverDone(entries: readonly Entry[]): Entry[] {
  const undone = new Set(entries.flatMap((entry) => (entry.kind === 'undo' ? [entry.of] : [])));
  return entries.filter((entry) => entry.kind !== 'undo' && !undone.has(entry.id));
}

/** A rep with everything said of it written into it, key by key, by plain overwriting. */
function spelledOut(entries: readonly Entry[]) {
  const left = asIfNeverDone(entries);
  return left.flatMap((entry) => {
    if (entry.kind !== 'rep') return [];
    const rep = structuredClone(entry) as unknown as Record<string, Record<string, unknown>>;
    for (const said of left) {
      if (said.kind !== 'amend' || said.of !== entry.id) continue;
      for (const part of ['asked', 'seen', 'judged', 'paid'] as const)
        for (const [key, value] of Object.entries(said[part] ?? {})) {
          const deep = key === 'measured' || key === 'calm' || key === 'chips';
          (rep[part] as Record<string, unknown>)[key] = deep
            ? { ...(rep[part]?.[key] as object | undefined), ...(value as object) }
            : value;
        }
    }
    const { purpose, asked, seen, judged, paid } = rep;
    return [{ id: entry.id, purpose, asked, seen, judged, paid }];
  });
}

describe('the fold', () => {
  it('equals a slow one on random logs with undos and amendments of every kind', () => {
    fc.assert(
      fc.property(anyDeeds, (deeds) => {
        const entries = logOf(deeds);
        const { reps, stands, signs, notes, lying } = foldLog(at(10), entries);
        expect(
          reps.map(({ id: rep, purpose, asked, seen, judged, paid }) => ({
            id: rep,
            purpose,
            asked,
            seen,
            judged,
            paid,
          })),
        ).toEqual(spelledOut(entries));
        const left = asIfNeverDone(entries);
        const move = left.findLast((entry) => entry.kind === 'move');
        expect(stands).toEqual(move?.kind === 'move' ? move.to : at(10));
        expect(signs.length).toBe(left.filter((entry) => entry.kind === 'sign').length);
        expect(notes.map((note) => note.id)).toEqual(
          left.filter((entry) => entry.kind === 'note').map((entry) => entry.id),
        );
        const picked = reps.filter((rep) => rep.judged.outcome !== 'miss' && !rep.judged.void).length;
        expect(lying).toBe(left.filter((entry) => entry.kind === 'laid').length - picked);
      }),
      { numRuns: 500 },
    );
  });

  it('undo, repeated, always ends with nothing that was tapped', () => {
    fc.assert(
      fc.property(anyDeeds, (deeds) => {
        const undos = Array.from({ length: deeds.length + 1 }, (): Deed => ({ deed: 'undo' }));
        const { reps, undoTarget, stands, signs, notes } = foldLog(at(10), logOf([...deeds, ...undos]));
        expect([reps, undoTarget, stands, signs, notes]).toEqual([[], null, at(10), [], []]);
      }),
    );
  });

  it('puts entries of two devices in one order, whatever order they come in', () => {
    fc.assert(
      fc.property(
        anyDeeds,
        fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }),
        fc.nat(),
        (deeds, theirs, turn) => {
          const entries = logOf(deeds).map((entry, i) => ({
            ...entry,
            by: theirs[i] ? asId<DeviceId>('there') : entry.by,
            seq: Math.floor(entry.seq / 2),
          }));
          const turned = [
            ...entries.slice(turn % (entries.length + 1)),
            ...entries.slice(0, turn % (entries.length + 1)),
          ];
          expect(inOrder(turned)).toEqual(inOrder(entries));
          expect(foldLog(at(10), inOrder(turned))).toEqual(foldLog(at(10), inOrder(entries)));
        },
      ),
    );
  });

  it('takes an amendment that comes before its rep, a sign that is over, and articles outside a run', () => {
    const rep: Said = { kind: 'rep', ...plainRep(at(5), { outcome: 'clean' }) };
    const early = foldLog(at(5), log({ kind: 'amend', of: id(1), paid: { size: 'jackpot' } }, rep));
    expect(early.reps).toMatchObject([{ paid: { size: 'jackpot' }, corrected: false }]);
    const signs = foldLog(
      at(5),
      log({ kind: 'sign', sign: 'tremor' }, { kind: 'sign-over', of: id(0), why: 'cold only' }),
    );
    expect(signs.signs).toMatchObject([{ sign: 'tremor', over: 'cold only' }]);
    const articles = foldLog(
      at(5),
      log({ kind: 'touched', article: '3' }, { kind: 'out-of-use', article: '2' }, { kind: 'washed' }),
    );
    expect(articles.articles.map((event) => event.kind)).toEqual(['touched', 'out-of-use', 'washed']);
  });
});

describe('as the coach is told', () => {
  it('advice from the log is that of a log in which nothing undone was ever done', () => {
    fc.assert(
      fc.property(anyDeeds, (deeds) => {
        const entries = logOf(deeds);
        const reps = new Map(spelledOut(entries).map((rep) => [rep.id, rep]));
        const rungOf = (metres: ReturnType<typeof at>): number => placeOn(ladder, metres).rung;
        let step: CoachStep = {
          state: startCoaching(policy, { rung: rungOf(at(10)), top: ladder.rungs.length - 1 }),
          advice: [],
        };
        for (const entry of asIfNeverDone(entries)) {
          if (entry.kind === 'rep') {
            const { outcome, cause } = (reps.get(entry.id)?.judged ?? {}) as unknown as Extract<
              Entry,
              { kind: 'rep' }
            >['judged'];
            step = coach(policy, step.state, {
              kind: 'rep',
              id: entry.id,
              outcome: outcome === 'none' ? 'flawed' : outcome,
              counts: outcome !== 'none' && cause === 'dog',
              timing: null,
              grade: null,
              held: (reps.get(entry.id) as unknown as RepSaid | undefined)?.seen.measured.held?.value ?? null,
              drive: null,
              warmUp: false,
            });
          }
          if (entry.kind === 'move')
            step = coach(policy, step.state, { kind: 'moved', id: entry.id, rung: rungOf(entry.to) });
          if (entry.kind === 'rest') step = coach(policy, step.state, { kind: 'rested' });
          if (entry.kind === 'sign')
            step = coach(policy, step.state, { kind: 'sign', id: entry.id, sign: entry.sign });
        }
        expect(replay(coached, entries)).toEqual(step);
      }),
      { numRuns: 300 },
    );
  });

  it('a timeline says of each moment what became of it and what was advised then', () => {
    const rep: Said = { kind: 'rep', ...plainRep(at(10), { outcome: 'clean' }) };
    const moments = timelineOf(
      coached,
      log(
        rep,
        rep,
        { kind: 'undo', of: id(1) },
        { kind: 'amend', of: id(0), judged: { cause: 'handler' } },
        rep,
        rep,
        rep,
      ),
    );
    expect(moments.map((moment) => moment.fate)).toEqual(['amended', 'undone', 'stands', 'stands', 'stands']);
    expect(moments.map((moment) => moment.advice[0]?.kind ?? null)).toEqual([
      'hold',
      null,
      'hold',
      'hold',
      'advance',
    ]);
    expect(moments[0]?.rep?.judged.cause).toBe('handler');
  });
});

describe('as evidence', () => {
  it('is flat, with what the chips say over the bout, and what was neither counts for nothing', () => {
    const said: Said = {
      kind: 'rep',
      ...plainRep(at(10), { outcome: 'none' }),
      asked: {
        criteria: at(10),
        chips: { Surface: 'sand', action: 'walked-off', place: 'away', side: 'left' },
        noted: [],
        call: null,
      },
    };
    const [rep] = asEvidence(bout, foldLog(at(10), log(said)).reps);
    expect(rep).toMatchObject({
      bout: 'b',
      day: '2026-06-01',
      away: true,
      conditions: { Surface: 'sand', side: 'left' },
      did: 'walked-off',
      isVoid: true,
    });
    expect(rep && countsAsEvidence(rep)).toBe(false);
  });

  it('counts a further cue whoever gave it, and tells needed from slipped in the log', () => {
    const rep: Said = { kind: 'rep', ...plainRep(at(10), { outcome: 'clean' }) };
    const folded = foldLog(
      at(10),
      log(rep, { kind: 'amend', of: id(0), seen: { cues: { needed: 1, slip: 2 } } }),
    );
    expect([folded.reps[0]?.seen.cues, asEvidence(bout, folded.reps)[0]?.cues]).toEqual([
      { needed: 1, slip: 2 },
      { needed: 1, slip: 2 },
    ]);
  });
});

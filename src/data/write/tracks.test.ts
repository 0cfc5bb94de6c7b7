import { describe, expect, it } from 'vitest';
import { type Timed, toEarth } from '@/core/geometry';
import { receiverFixes, simulatedRun } from '@/core/learner';
import { asId, must, type SetOutId, seeded } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { DOG, exportTables, kennelWithDog } from '@/data/kennel.test-helper';
import { ENOUGH_RUNS, laidOut, listTracks, repsOfGoes, runsOfDog, trackGoes, trackOf } from '@/data/read';
import { lineSpread } from '@/data/read/tracks';
import { checkReferences } from '@/data/records/references';
import { addSetOut, addTracks, changeTrack, removeTrack, type TrackSaid, takeBack } from '.';

const AT = Date.parse('2026-03-28T23:59:00Z');
const EARTH = { lat: 50, lon: 8 };
const GOAL = { x: 0, y: 60 };
const thing = (key: string, kind: 'dog' | 'blind', x: number, y: number) =>
  ({
    key,
    kind,
    x,
    y,
    turn: 0,
    order: kind === 'blind' ? 1 : null,
    label: '',
    wide: null,
    long: null,
  }) as const;

/** A run every forty seconds, each so many degrees beside its line, without a receiver's error. */
function saidOf(lines: readonly number[], change: Partial<TrackSaid> = {}): TrackSaid {
  const truth = lines.flatMap((line, i) => {
    const run = simulatedRun({ x: 0, y: 0 }, GOAL, { line, speed: 6, hesitates: [], casts: [] });
    return run.truth.map((one): Timed => ({ ...one, t: one.t + 40 * i }));
  });
  const fixes = receiverFixes(truth, seeded(1), { white: 0.01, slow: 0 }).filter(
    ({ t }, i, all) => i === 0 || t > (all[i - 1]?.t ?? 0),
  );
  const earth = fixes.map((one) => toEarth(EARTH, 0, one));
  return {
    dogId: DOG,
    name: 'collar',
    source: 'file',
    startedAt: AT,
    boutId: null,
    setOut: null,
    t: fixes.map(({ t }) => t),
    lat: earth.map(({ lat }) => lat),
    lon: earth.map(({ lon }) => lon),
    marks: [],
    ...change,
  };
}
async function setOutIn(kennel: Kennel): Promise<SetOutId> {
  const made = await addSetOut(kennel, {
    title: 'a blind',
    ground: null,
    asks: null,
    north: 0,
    wind: { from: 90, speed: 4 },
    things: [thing('dog-1', 'dog', 0, 0), thing('blind-1', 'blind', GOAL.x, GOAL.y)],
    spread: null,
  });
  return must(made).made.id;
}
const go = (from: number) => ({ from, to: from + 30, goal: 'blind-1', rep: null, casts: [] });

describe('tracks in the kennel', () => {
  it('are taken in once, whole, and go out with their fixes', async () => {
    const kennel = await kennelWithDog();
    const said = saidOf([0]);
    const [track] = must(await addTracks(kennel, [said])).made;
    const [again] = must(await addTracks(kennel, [said])).made;
    expect(again?.id).toBe(track?.id);
    expect(await listTracks(kennel)).toHaveLength(1);
    expect(checkReferences(await exportTables(kennel))).toBeNull();
    const uneven = await addTracks(kennel, [{ ...saidOf([1]), startedAt: AT + 1, lat: [50] }]);
    expect(uneven).toMatchObject({ ok: false, code: 'record' });
    expect(await listTracks(kennel)).toHaveLength(1);
    const out = must(await removeTrack(kennel, track?.id as never));
    expect((await exportTables(kennel)).trackPoints).toEqual([]);
    must(await takeBack(kennel, out));
    expect((await trackOf(kennel, track?.id as string))?.points.t).toEqual(said.t);
    expect(await changeTrack(kennel, asId('none'), { name: 'x' })).toMatchObject({ ok: false, code: 'gone' });
  });

  it('of another set-out lie nowhere until they are laid again', async () => {
    const kennel = await kennelWithDog();
    const setOut = await setOutIn(kennel);
    const [track] = must(await addTracks(kennel, [saidOf([0], { setOut })])).made;
    const id = track?.id as never;
    const lies = { turn: 0, x: 0, y: 0, by: 'two', off: 0 } as const;
    must(await changeTrack(kennel, id, { lies, goes: [go(0)] }));
    const moved = must(await changeTrack(kennel, id, { setOut: null }));
    expect([moved.made.lies, moved.made.goes]).toEqual([null, []]);
    must(await takeBack(kennel, moved));
    expect((await trackOf(kennel, id))?.track.goes).toEqual([go(0)]);
  });

  it('tell go by go what was run over midnight, and how a dog’s lines scatter once there are five', async () => {
    const kennel = await kennelWithDog();
    const setOut = await setOutIn(kennel);
    const lines = [4, -3, 2, 0, -5];
    const [track] = must(await addTracks(kennel, [saidOf(lines, { setOut })])).made;
    const lies = { turn: 0, x: 0, y: 0, by: 'two', off: 0 } as const;
    const four = [0, 40, 80, 120].map(go);
    must(await changeTrack(kennel, track?.id as never, { lies, goes: four }));
    expect(lineSpread(await runsOfDog(kennel, DOG))).toBeNull();
    must(await changeTrack(kennel, track?.id as never, { goes: [...four, go(160)] }));
    const runs = await runsOfDog(kennel, DOG);
    expect(runs).toHaveLength(lines.length);
    for (const [i, { line }] of runs.entries()) expect(Math.abs(line - (lines[i] ?? 0))).toBeLessThan(1);
    expect(runs[0]?.wind).toEqual({ from: 90, bearing: 0 });
    expect(runs.length).toBe(ENOUGH_RUNS);
    expect(lineSpread(runs)).toBeCloseTo(Math.sqrt((16 + 9 + 4 + 0 + 25) / 5), 0);
    // What a simulated collar ran says nothing of a dog of one's own.
    must(await addTracks(kennel, [saidOf([20, 20], { setOut, source: 'simulated', startedAt: AT + 1 })]));
    const simulated = (await listTracks(kennel)).find(({ source }) => source === 'simulated');
    must(await changeTrack(kennel, simulated?.id as never, { lies, goes: [go(0), go(40)] }));
    expect(await runsOfDog(kennel, DOG)).toEqual(runs);
    expect(await runsOfDog({ ...kennel, name: 'sample' }, DOG)).toHaveLength(runs.length + 2);
    const read = await trackOf(kennel, track?.id as string);
    const goes = read
      ? trackGoes(read, { things: [thing('dog-1', 'dog', 0, 0), thing('blind-1', 'blind', 0, 60)] })
      : [];
    for (const one of goes) expect(Math.abs((one.ran ?? 0) - 60)).toBeLessThan(0.7);
    expect((await laidOut(kennel, setOut, '2026-03-29' as never))?.measured).toBeNull();
  });

  it('are joined to reps by time, none twice, and what was joined by hand stays', () => {
    const reps = [30, 35, 75, 300].map((t, i) => ({
      id: asId<never>(`r${i}`),
      at: AT + t * 1000,
      timed: i !== 1,
    }));
    const goes = [go(0), go(40), go(80), { ...go(120), rep: asId<never>('r3') }];
    expect(repsOfGoes({ startedAt: AT, goes }, reps)).toEqual(['r0', 'r2', null, 'r3']);
    expect(repsOfGoes({ startedAt: AT, goes: [] }, reps)).toEqual([]);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Axis, WORK_TAGS } from '@/core/breakdown';
import { type AxisKey, asId } from '@/core/shared';
import { type Limit, LOADS, type LoadWork, loadsDone, loadsOfWork, loadsToday } from './loads';

const axis = (key: string, quantity: Axis['quantity'], start = 0) => ({
  key: asId<AxisKey>(key),
  quantity,
  start,
});
const jump: LoadWork = { work: [], axes: [axis('height', 'height', 0.1)] };
const beg: LoadWork = { work: ['upright', 'strength'], axes: [axis('time', 'duration', 1)] };
const run: LoadWork = { work: ['run', 'turn'], axes: [axis('distance', 'distance', 5)] };
const hold: LoadWork = { work: ['retrieve'], axes: [axis('time', 'duration')] };
const done = (reps: number, held = 0, criteria = {}) => [{ criteria, reps, held }];
const none = { jumps: 0, 'sharp-turns': 0, 'upright-holds': 0, 'run-metres': 0 };

describe('what adds up in a body', () => {
  it.each([
    ['a jump by its height', jump, ['jumps']],
    ['upright work', beg, ['upright-holds']],
    ['a run with turns', run, ['sharp-turns', 'run-metres']],
    ['a hold: nothing', hold, []],
    ['a run that asks no distance', { work: ['run'] as const, axes: [] }, []],
  ])('%s', (_, work, loads) => expect(loadsOfWork(work)).toEqual(loads));

  it('counts jumps and turns in reps, upright in seconds, runs in metres of what was asked', () => {
    expect(loadsDone(jump, done(7))).toEqual({ ...none, jumps: 7 });
    expect(loadsDone(beg, done(3, 12.5))).toEqual({ ...none, 'upright-holds': 12.5 });
    expect(loadsDone(run, done(2, 0, { distance: 20 }))).toEqual({
      ...none,
      'sharp-turns': 2,
      'run-metres': 40,
    });
    expect(loadsDone(run, done(2))).toEqual({ ...none, 'sharp-turns': 2, 'run-metres': 10 });
    expect(loadsDone(hold, done(9, 90))).toEqual(none);
  });

  it('says what is left of a person’s own number, by day and by week, and assumes none', () => {
    const limits: Limit[] = [
      { of: 'jumps', per: 'day', most: 30, source: 'the vet' },
      { of: 'jumps', per: 'week', most: 60, source: 'me' },
    ];
    const [day, week] = [
      { ...none, jumps: 24 },
      { ...none, jumps: 61 },
    ];
    expect(
      loadsToday(loadsOfWork(jump), limits, day, week).map((one) => [one.per, one.done, one.left]),
    ).toEqual([
      ['day', 24, 6],
      ['week', 61, 0],
    ]);
    expect(loadsToday(loadsOfWork(jump), [], day, week)).toEqual([
      { of: 'jumps', per: 'day', done: 24, limit: null, left: null },
    ]);
    expect(loadsToday(loadsOfWork(hold), limits, day, week)).toEqual([]);
  });

  it('never counts what a piece of work does not load, whatever was done', () => {
    const work = fc.record({
      work: fc.uniqueArray(fc.constantFrom(...WORK_TAGS)),
      axes: fc.constant(run.axes),
    });
    const rep = fc.record({ criteria: fc.constant({}), reps: fc.nat(50), held: fc.nat(500) });
    fc.assert(
      fc.property(work, fc.array(rep), (one, all) => {
        const has = loadsOfWork(one);
        const sum = loadsDone(one, all);
        for (const load of LOADS) if (!has.includes(load)) expect(sum[load]).toBe(0);
        const reps = all.reduce((total, each) => total + each.reps, 0);
        if (has.includes('sharp-turns')) expect(sum['sharp-turns']).toBe(reps);
      }),
    );
  });
});

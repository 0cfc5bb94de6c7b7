import { describe, expect, it } from 'vitest';
import { turned } from '@/core/geometry';
import { must } from '@/core/shared';
import { wordsOf } from '@/words';
import { buildLadder } from '../ladder';
import { type GroundPlan, groundFrom, isRefusedSetOut, layOut, nameOf, type Thing } from '.';

import { axis, checked, codes, DISTANCE, key, ladder, line, plain, thing } from './set-outs.test-helper';

describe('what is said against it', () => {
  const field: GroundPlan = groundFrom('road', 100, 80);
  const onField = (things: readonly Thing[], y: number): Thing[] =>
    things.map((one) => ({ ...one, x: one.x + 50, y: one.y + y }));

  it('a line over the road is refused until it is moved', () => {
    const over = checked(onField(line(75), 10), { plan: field });
    expect(codes(over)[0]).toBe('over-road');
    expect(isRefusedSetOut(over)).toBe(true);
    expect(wordsOf(over[0]?.say)).toBe(
      'The line to the mark goes over the road. It is not sent so: move the mark, or where the dog starts.',
    );
    const moved = checked(onField(line(30), 10), { plan: field });
    expect(isRefusedSetOut(moved)).toBe(false);
  });

  it('says how likely the dog runs on to it, from what, and nothing where it is far', () => {
    const near = checked(onField(line(55), 10), { plan: field });
    // The road begins at 73.5 m, 63.5 m from the dog; straight on alone that is 1 − Φ(ln(63.5/55)/.25) = .28.
    const said = near.find(({ code }) => code === 'near-road');
    expect(wordsOf(said?.say)).toMatch(
      /about 2[5-8] times in 100 \(line 6° to either side, 25 % too far in one run of six: stated by the program/,
    );
    const own = checked(onField(line(55), 10), { plan: field, spread: { line: 2, reach: 0.05 } });
    expect(wordsOf(own.find(({ code }) => code === 'near-road')?.say)).toContain('as you said of this dog');
    expect(codes(checked(onField(line(15), 5), { plan: field }))).not.toContain('near-road');
  });

  it('water is for care, ice is refused, and nobody stands on a road', () => {
    const pond = groundFrom('pond', 100, 80);
    const across = [thing('dog', 60, 45), thing('blind', 95, 45, { order: 1 })];
    expect(codes(checked(across, { plan: pond }))).toContain('over-water');
    expect(isRefusedSetOut(checked(across, { plan: pond }))).toBe(false);
    const frozen = {
      ...pond,
      features: pond.features.map((one) => ({
        ...one,
        kind: one.kind === 'water' ? ('ice' as const) : one.kind,
      })),
    };
    expect(isRefusedSetOut(checked(across, { plan: frozen }))).toBe(true);
    const stands = checked([...onField(line(20), 10), thing('helper', 50, 76)], { plan: field });
    expect(codes(stands)).toContain('in-road');
  });

  it('past a gun, or across where it shoots, is refused; its own fall is not', () => {
    const gun = (x: number, y: number, turn: number): Thing => thing('gun', x, y, { turn });
    const own = [...line(40), gun(15, 30, -56)];
    expect(codes(checked(own))).not.toContain('past-gun');
    expect(codes(checked([...line(40), gun(2, 20, 90)]))).toContain('past-gun');
    expect(codes(checked([...line(40), gun(15, 10, -90)]))).toContain('past-gun');
    expect(codes(checked([...line(40), gun(15, 10, 90)]))).not.toContain('past-gun');
    expect(codes(checked([...line(40), gun(15, 0, -90)]))).toContain('before-gun');
  });

  it('past an old fall of the last three days only', () => {
    const name = nameOf(thing('mark', 0, 0), []);
    const at = { x: 2, y: 25 };
    const fall = (days: number) => checked(line(40), { oldFalls: [{ at, days, name }] });
    expect(wordsOf(fall(1).find(({ code }) => code === 'old-fall')?.say)).toMatch(
      /where the mark lay yesterday/,
    );
    expect(codes(fall(4))).not.toContain('old-fall');
    expect(codes(checked(line(40), { oldFalls: [{ at: { x: 9, y: 25 }, days: 1, name }] }))).not.toContain(
      'old-fall',
    );
  });

  it('into the wind, with it, and across', () => {
    const wind = (from: number) => codes(checked(line(40), { wind: { from, speed: 3 } }));
    expect(wind(10)).toEqual(['upwind']);
    expect(wind(180)).toEqual(['downwind']);
    expect(wind(270)).toEqual(['crosswind']);
    expect(codes(checked(line(40), { wind: { from: 10, speed: 0.2 } }))).toEqual([]);
    const across = checked(line(40), { wind: { from: 270, speed: 3 } }).find(
      ({ code }) => code === 'crosswind',
    );
    expect(wordsOf(across?.say)).toBe(
      'Wind from the left on the way to the mark: dogs drift to the right, and wind it from there.',
    );
  });

  it('a step larger than the ladder’s, with what would be the most', () => {
    const step = { ladder, stands: { [key('distance')]: 10 }, asks: { [key('distance')]: 20 } };
    const found = checked(line(20), { step });
    expect(codes(found)).toEqual(['large-step']);
    expect(plain(found[0]?.say)).toBe(
      'Larger than a step of its ladder: distance from 10 m to 20 m. At most 13.7 m today.',
    );
    // What is said to be the most is not too much itself.
    for (const metres of [12, 13.7])
      expect(
        codes(checked(line(metres), { step: { ...step, asks: { [key('distance')]: metres } } })),
      ).toEqual([]);
  });

  it('two axes up at once is noted', () => {
    const wait = axis({
      key: key('wait'),
      title: 'Wait',
      quantity: 'duration',
      unit: 's',
      start: 1,
      demand: 20,
    });
    const two = buildLadder({ axes: [DISTANCE, wait] });
    const asks = { [key('distance')]: 12, [key('wait')]: 1.2 };
    const stands = { [key('distance')]: 10, [key('wait')]: 1 };
    const found = checked(line(12), { step: { ladder: two, stands, asks } });
    expect(wordsOf(found.find(({ code }) => code === 'several-up')?.say)).toContain('distance and wait');
  });

  it('a blind in the open is in sight, behind cover it is not', () => {
    const blind = [thing('dog', 0, 0), thing('blind', 0, 40, { order: 1 })];
    expect(codes(checked(blind))).toEqual(['in-sight']);
    expect(codes(checked([...blind, thing('cover', 0, 30, { wide: 2, long: 12, turn: 90 })]))).toEqual([]);
  });

  it('another goal beside the line, and whether it is picked up by then', () => {
    const both = must(layOut('memory-and-blind', { 'to-memory': 20, 'to-blind': 60 }));
    const found = checked(both).find(({ code }) => code === 'past-other');
    expect(plain(found?.say)).toMatch(
      /passes the memory, 0 m beside its line\. That one is picked up by then/,
    );
  });

  it('without a ground nobody has looked for roads, and that is said of what is sent out; on one it is not', () => {
    const said = (things: readonly Thing[], plan: GroundPlan | null) =>
      checked(things, { plan }).some(({ code }) => code === 'no-ground');
    expect(said(line(20), null)).toBe(true);
    expect(said(onField(line(20), 10), field)).toBe(false);
    expect(said(must(layOut('stay', { 'to-handler': 15 })), null)).toBe(false);
    expect(said(must(layOut('pole', { 'to-object': 5 })), null)).toBe(false);
  });

  it('without a dog, without anything to run to, off the plan', () => {
    expect(codes(checked([thing('mark', 0, 20)]))).toEqual(['no-dog']);
    expect(codes(checked([thing('dog', 0, 0), thing('handler', 0.6, 0)]))).toEqual(['nothing-to-run-to']);
    expect(codes(checked(line(20), { plan: groundFrom('open', 10, 10) }))).toContain('off-plan');
    expect(codes(checked(must(layOut('stay', { 'to-handler': 15 }))))).toEqual([]);
  });

  it('turning and shifting all of it, ground and wind too, changes nothing that is said', () => {
    const things = [...onField(line(55), 10), thing('gun', 70, 40, { turn: 90 })];
    const before = checked(things, { plan: field, wind: { from: 200, speed: 3 } });
    const about = { x: 50, y: 40 };
    const turn = 37;
    const rotated = {
      ...field,
      features: field.features.map((one) => ({
        ...one,
        points: one.points.map((each) => turned(each, turn, about)),
      })),
      wide: 5000,
      deep: 5000,
    };
    const shift = 300;
    const moved = (one: { x: number; y: number }) => ({ x: one.x + shift, y: one.y + shift });
    const after = checked(
      things.map((one) => ({ ...one, ...moved(turned(one, turn, about)), turn: one.turn + turn })),
      {
        plan: {
          ...rotated,
          features: rotated.features.map((one) => ({ ...one, points: one.points.map(moved) })),
        },
        wind: { from: 237, speed: 3 },
      },
    );
    expect(after.map((one) => wordsOf(one.say))).toEqual(before.map((one) => wordsOf(one.say)));
  });
});

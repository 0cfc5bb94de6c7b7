import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Sentence } from '@/core/shared';
import { asLevel } from '@/core/shared';
import { NO_BREAK, wordsOf } from '@/words';
import { buildLadder, describePlace, placeOn, standingOn, waitingEdits } from '.';
import { testAxis } from './axis.test-helper';
import { atLeastAsHard } from './place';

const distance = testAxis({ start: 5, demand: 40, step: 0.5, limit: 1 });
const stay = testAxis({
  key: 'stay',
  title: 'Stay',
  quantity: 'duration',
  unit: 's',
  start: 2,
  demand: 30,
  step: 1,
  limit: 1.2,
});
const at = (metres: number, seconds: number) => ({ [distance.key]: metres, [stay.key]: seconds });
const plain = (said: Sentence): string => wordsOf(said).replaceAll(NO_BREAK, ' ');

describe('where criteria meet a ladder', () => {
  const ladder = buildLadder({ axes: [distance] });

  it('on the rung that asks them, else on the highest that is harder on no axis, else below the first', () => {
    const [, second, third] = ladder.rungs.map((rung) => rung.criteria[distance.key] as number);
    const between = ((second as number) + (third as number)) / 2;
    expect(placeOn(ladder, { [distance.key]: third as number })).toEqual({ kind: 'on', rung: 2 });
    expect(placeOn(ladder, { [distance.key]: between })).toEqual({ kind: 'between', rung: 1 });
    expect(placeOn(ladder, { [distance.key]: 1 })).toEqual({ kind: 'below', rung: 0 });
    expect(placeOn(ladder, { [distance.key]: 99 }).rung).toBe(ladder.rungs.length - 1);
  });

  it('says it in words', () => {
    const rungs = ladder.rungs.length;
    expect(plain(describePlace(ladder, { [distance.key]: 5 }))).toBe(`1 of ${rungs}: the start`);
    expect(plain(describePlace(ladder, { [distance.key]: 5.5 }))).toBe(
      `between 1 and 2 of ${rungs}: distance 5.5 m`,
    );
    expect(plain(describePlace(ladder, { [distance.key]: 2 }))).toBe(
      `under the first of ${rungs}: distance 2 m`,
    );
    expect(plain(describePlace(ladder, { [distance.key]: 60 }))).toBe(
      `past ${rungs} of ${rungs}: distance 60 m`,
    );
  });

  it('a dog that was never worked stands on the first rung', () => {
    expect(standingOn(ladder, null)).toEqual({
      criteria: { [distance.key]: 5 },
      place: { kind: 'on', rung: 0 },
    });
  });
});

describe('no edit of a ladder moves a dog', () => {
  const change = fc.record({
    step: fc.double({ min: 0.1, max: 1.5, noNaN: true }),
    margin: fc.double({ min: 0, max: 1, noNaN: true }),
    demand: fc.integer({ min: 41, max: 90 }),
    limit: fc.option(fc.integer({ min: 6, max: 80 }), { nil: null }),
    rule: fc.constantFrom('one-axis' as const, 'round-robin' as const),
  });
  const before = buildLadder({ axes: [distance, stay] });

  it('its values stay its own, and the rung that is shown is harder on no axis', () => {
    fc.assert(
      fc.property(fc.nat({ max: before.rungs.length - 1 }), change, (rung, edit) => {
        const stands = before.rungs[rung]?.criteria ?? {};
        const axes = [
          {
            ...distance,
            step: edit.step,
            margin: edit.margin,
            demand: edit.demand,
            safety: edit.limit === null ? null : { value: edit.limit, source: 'the vet' },
          },
          stay,
        ];
        const after = buildLadder({ axes, ladderRule: edit.rule });
        const { criteria, place } = standingOn(after, stands);
        expect(criteria).toEqual(stands);
        const shown = after.rungs[place.rung]?.criteria ?? {};
        if (place.kind !== 'below') expect(atLeastAsHard(axes, stands, shown)).toBe(true);
        const harder = after.rungs
          .slice(place.rung + 1)
          .filter((one) => atLeastAsHard(axes, stands, one.criteria));
        if (place.kind === 'between') expect(harder).toEqual([]);
      }),
    );
  });

  it('halving a step leaves 20 m at 20 m', () => {
    const coarse = buildLadder({ axes: [testAxis({ step: 1, limit: 1 })] });
    const fine = buildLadder({ axes: [testAxis({ step: 0.5, limit: 1 })] });
    const stands = coarse.rungs.at(-1)?.criteria ?? {};
    expect(standingOn(fine, stands)).toMatchObject({
      criteria: stands,
      place: { kind: 'on', rung: fine.rungs.length - 1 },
    });
  });

  it('an axis that is added is at its start, and the steps of a list keep who they are', () => {
    const two = buildLadder({ axes: [distance, stay] });
    expect(standingOn(two, { [distance.key]: 40 }).criteria).toEqual(at(40, 2));
    const names = ['looks', 'touches', 'takes'].map((name, i) => ({ id: asLevel(i), name, anchor: '' }));
    const list = (levels: typeof names) =>
      testAxis({ key: 'l', quantity: 'level', unit: '', levels, start: 0, demand: 2, step: 1, limit: 1 });
    const put = [
      names[0],
      { id: asLevel(7), name: 'sniffs', anchor: '' },
      names[1],
      names[2],
    ] as typeof names;
    const stands = { [list(names).key]: 1 };
    expect(placeOn(buildLadder({ axes: [list(names)] }), stands)).toEqual({ kind: 'on', rung: 1 });
    expect(placeOn(buildLadder({ axes: [list(put)] }), stands)).toEqual({ kind: 'on', rung: 2 });
  });
});

describe('a value set by hand', () => {
  const axes = [distance];
  const rung = buildLadder({ axes }).rungs[2];
  const edits = [{ on: rung?.planned ?? {}, axis: distance.key, value: 13 }];

  it('lies where the plan is what it was set on, waits where it is not, and comes back', () => {
    expect(buildLadder({ axes, edits }).rungs[2]?.criteria[distance.key]).toBe(13);
    expect(waitingEdits({ axes, edits })).toEqual([]);
    const finer = [{ ...distance, step: 0.21 }];
    expect(waitingEdits({ axes: finer, edits })).toEqual(edits);
    expect(buildLadder({ axes: finer, edits })).toEqual(buildLadder({ axes: finer }));
    expect(buildLadder({ axes, edits }).rungs[2]?.planned).toEqual(rung?.planned);
  });
});

import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, must } from '@/core/shared';
import { columnsOf, summarise, targetAt } from '.';
import { designOf, FIXED } from './design';
import { AXIS, boutsOf, many, rep, TODAY } from './evidence.test-helper';

const signed = testAxis({ key: 'angle', quantity: 'angle', unit: '°', harder: 'both', start: 0, demand: 60 });
const axes = [AXIS, signed];
const at = (metres: number, angle: number) => ({ [AXIS.key]: metres, [signed.key]: angle });
const designed = (...reps: (EvidenceRep | EvidenceRep[])[]) =>
  must(designOf(axes, must(summarise(boutsOf(reps.flat()), TODAY)), TODAY));

describe('a design', () => {
  it('has a column for each axis and two for a signed one, filled by the side of the value', () => {
    expect(columnsOf(axes)).toBe(3);
    const { rows, width } = designed(
      ...[rep({ criteria: at(20, -30) }), rep({ criteria: at(5, 60) }), rep({ criteria: at(5, 0) })],
    );
    expect(width).toBe(FIXED + 3);
    const columns = Array.from({ length: rows.length / width }, (_, r) => [
      ...rows.slice(r * width + FIXED, (r + 1) * width),
    ]);
    expect(columns).toEqual(
      expect.arrayContaining([
        [1, 0.5, 0],
        [0, 0, 1],
        [0, 0, 0],
      ]),
    );
  });

  it('takes the day’s first rep into a row of its own, and counts nothing twice', () => {
    const { rows, clean, total, width } = designed(
      many(6, { criteria: at(5, 0) }),
      many(2, { criteria: at(5, 0), outcome: 'miss' }),
    );
    expect([...total].reduce((a, b) => a + b, 0)).toBe(8);
    expect([...clean].reduce((a, b) => a + b, 0)).toBe(6);
    const cold = [...total].filter((_, r) => rows[r * width + 1] === 1);
    expect(cold).toEqual([1]);
  });

  it('numbers sessions by day and id, and weighs them by age', () => {
    const on = (days: number, id: string) =>
      rep({ day: addDays(TODAY, -days), bout: asId<BoutId>(id), criteria: at(5, 0) });
    const { rows, weight, next, width } = designed(...[on(0, 'c'), on(21, 'b'), on(42, 'a'), on(21, 'a')]);
    expect(Array.from({ length: 4 }, (_, r) => rows[r * width + 3])).toEqual([0, 1, 2, 3]);
    expect([...weight]).toEqual([0.25, 0.5, 0.5, 1]);
    expect(next).toBe(4);
  });

  it('marks away reps', () => {
    const { rows } = designed(...[rep({ away: true, criteria: at(5, 0) })]);
    expect([...rows.slice(0, 4)]).toEqual([1, 1, 1, 0]);
  });
});

describe('a target', () => {
  it('asks a signed axis on the side that is said, or on either', () => {
    expect(must(targetAt(axes, at(20, -60), 'as-said'))).toEqual({ columns: [1, 1, 0], either: [] });
    expect(must(targetAt(axes, at(20, -60), 'either'))).toEqual({
      columns: [1, 0, 0],
      either: [{ left: 1, x: 1 }],
    });
    expect(must(targetAt(axes, at(20, 0), 'either')).either).toEqual([]);
  });

  it('fails as the axis does', () => {
    const broken = testAxis({ start: 30 });
    expect(targetAt([broken], { [broken.key]: 20 }, 'either')).toMatchObject({
      ok: false,
      code: 'direction',
    });
  });
});

import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, must } from '@/core/shared';
import { columnsOf, DRAW, summarise, targetAt } from '.';
import { type Design, designOf } from './design';
import { AXIS, boutsOf, many, rep, TODAY } from './evidence.test-helper';

const signed = testAxis({ key: 'angle', quantity: 'angle', unit: '°', harder: 'both', start: 0, demand: 60 });
const axes = [AXIS, signed];
const at = (metres: number, angle: number) => ({ [AXIS.key]: metres, [signed.key]: angle });
const designed = (...reps: (EvidenceRep | EvidenceRep[])[]) =>
  must(designOf(axes, must(summarise(boutsOf(reps.flat()), TODAY)), TODAY));

/** What each row says of one parameter; 0 where none does. */
const column = ({ params, rows, width, total }: Design, place: number): number[] => {
  const at = params.indexOf(place);
  return Array.from(total, (_, r) => (at < 0 ? 0 : (rows[r * width + at] as number)));
};

describe('a design', () => {
  it('has a column for each axis and two for a signed one, filled by the side of the value', () => {
    expect(columnsOf(axes)).toBe(3);
    const design = designed(
      ...[rep({ criteria: at(20, -30) }), rep({ criteria: at(5, 60) }), rep({ criteria: at(5, 0) })],
    );
    const slopes = [0, 1, 2].map((a) => column(design, DRAW.slopes + a));
    expect(design.total.map((_, r) => r).length).toBe(3);
    expect(slopes[0]?.map((_, r) => slopes.map((one) => one[r]))).toEqual(
      expect.arrayContaining([
        [1, 0.5, 0],
        [0, 0, 1],
        [0, 0, 0],
      ]),
    );
  });

  it('takes the day’s first rep into a row of its own, and counts nothing twice', () => {
    const design = designed(
      many(6, { criteria: at(5, 0) }),
      many(2, { criteria: at(5, 0), outcome: 'miss' }),
    );
    expect([...design.total].reduce((a, b) => a + b, 0)).toBe(8);
    expect([...design.clean].reduce((a, b) => a + b, 0)).toBe(6);
    const cold = column(design, DRAW.cold);
    expect([...design.total].filter((_, r) => cold[r] === 1)).toEqual([1]);
  });

  it('numbers sessions by day and id, and weighs them by age', () => {
    const on = (days: number, id: string) =>
      rep({ day: addDays(TODAY, -days), bout: asId<BoutId>(id), criteria: at(5, 0) });
    const design = designed(...[on(0, 'c'), on(21, 'b'), on(42, 'a'), on(21, 'a')]);
    expect(column(design, DRAW.gain)).toEqual([0, 1, 2, 3]);
    expect([...design.weight]).toEqual([0.25, 0.5, 0.5, 1]);
    expect([...design.gap]).toEqual([0, 21, 0, 21]);
    expect([design.next, design.idle]).toEqual([4, 0]);
  });

  it('marks place, handler, pay and kit, and leaves out what no rep speaks of', () => {
    const design = designed(
      rep({ away: true, criteria: at(5, 0) }),
      rep({ pay: 'none', conditions: { handler: 'another' }, criteria: at(5, 0) }),
    );
    expect(column(design, DRAW.away)).toEqual([0, 1]);
    expect([column(design, DRAW.unpaid), column(design, DRAW.handler)]).toEqual([
      [1, 0],
      [1, 0],
    ]);
    expect(design.params).not.toContain(DRAW.worn);
    expect(design.params).not.toContain(DRAW.loss);
  });

  it('places goes by fives, anew after a rest, and what an undo took away is gone', () => {
    const seven = many(7, { criteria: at(5, 0) });
    const design = designed(
      seven,
      rep({ criteria: at(5, 0), rested: true }),
      many(2, { criteria: at(5, 0) }),
    );
    const late = design.linear + design.slopes;
    const found = Array.from(design.total, (n, r) => [
      design.rows[r * design.width + late],
      design.rows[r * design.width + late + 1],
      n,
    ]).sort();
    expect(design.tiring).toBe(2);
    expect(found).toEqual([
      [0, 0, 1],
      [2, 0, 4],
      [2, 7, 3],
      [7, 0, 2],
    ]);
    expect(designed(seven).tiring).toBe(1);
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

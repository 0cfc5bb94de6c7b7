import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, turned } from '@/core/geometry';
import { must } from '@/core/shared';
import { METHODS } from '../methods';
import {
  carried,
  criteriaOf,
  DRAWN_METHODS,
  drawnAs,
  drawnStep,
  drawRung,
  layOut,
  measure,
  NEEDS,
  READINGS,
  readingsFor,
  redrawn,
  snapped,
  TEMPLATES,
  type Thing,
} from '.';

import { axis, DISTANCE, key, ladder, line, plain, READS } from './set-outs.test-helper';

describe('templates', () => {
  const asked = {
    'to-object': 20,
    'to-second': 30,
    'to-memory': 15,
    'to-blind': 40,
    'to-handler': 12,
    'to-toy': 3,
    gap: 1.5,
    count: 7,
    cast: -60,
    angle: 35,
    width: 2,
    side: 6,
  } as const;

  it.each(TEMPLATES)('%s measures what it was asked for', (template) => {
    const things = must(layOut(template, asked));
    for (const reading of NEEDS[template]) expect(measure(things, reading)).toBeCloseTo(asked[reading], 4);
  });

  it.each(TEMPLATES)('%s says what is missing, and refuses what cannot be laid', (template) => {
    expect(layOut(template, {})).toMatchObject({ ok: false, code: 'missing', path: NEEDS[template][0] });
    for (const reading of NEEDS[template])
      expect(layOut(template, { ...asked, [reading]: Number.NaN })).toMatchObject({
        code: 'value',
        path: reading,
      });
    const [first] = NEEDS[template];
    if (first === 'to-object' || first === 'to-handler')
      expect(layOut(template, { ...asked, [first]: 0 })).toMatchObject({ code: 'value', path: first });
  });

  it('lays any count and gap so that no two lie nearer and the nearest lies as far as asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('article-line', 'article-circle', 'article-scatter', 'boxes', 'hides' as const),
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (template, count, gap, far) => {
          const things = must(
            layOut(template as (typeof TEMPLATES)[number], { count, gap, 'to-object': far }),
          );
          expect(measure(things, 'count')).toBe(count);
          if (count > 1) expect(measure(things, 'gap')).toBeCloseTo(gap, 6);
          const lot = things.filter(({ kind }) => ['article', 'box', 'hide'].includes(kind));
          const nearest = Math.min(...lot.map((one) => distance(one, things[0] as Thing)));
          // In a row of an even count the middle of the row is what lies as far as asked.
          if (template !== 'article-line' && template !== 'boxes') expect(nearest).toBeCloseTo(far, 3);
        },
      ),
    );
  });

  it('a count that is not whole, or over thirty, is not laid', () => {
    for (const count of [0, 2.5, 31])
      expect(layOut('article-line', { 'to-object': 5, gap: 1, count })).toMatchObject({
        code: 'value',
        path: 'count',
      });
  });

  it('memory and blind lie on one line; casts are told by the dog’s own right', () => {
    const both = must(layOut('memory-and-blind', { 'to-memory': 20, 'to-blind': 60 }));
    expect(measure(both, 'to-memory')).toBe(20);
    expect(measure(both, 'to-blind')).toBe(60);
    expect(measure(both, 'angle')).toBeCloseTo(0, 9);
    const casts = must(layOut('casts', { 'to-object': 15, 'to-handler': 5, cast: 90 }));
    // The handler stands below and looks up: the right hand of a dog that faces him is his left.
    const right = casts.find(({ order }) => order === 1) as Thing;
    expect([right.x, right.y].map(Math.round)).toEqual([-15, 0]);
  });
});

describe('which axis is what', () => {
  it('is said for elements of methods, by keys and axes that are there', () => {
    for (const [id, { reads }] of Object.entries(DRAWN_METHODS)) {
      const [method = '', element = ''] = id.split('/');
      const found = METHODS.find((one) => one.id === method)?.elements.find((one) => one.key === element);
      expect(found, id).toBeDefined();
      for (const [axisKey, reading] of Object.entries(reads)) {
        const spec = found?.axes.find((one) => one.axis.key === axisKey);
        expect(spec, `${id} ${axisKey}`).toBeDefined();
        if (spec) expect(readingsFor(spec.axis)).toContain(reading);
      }
    }
  });

  it('is taken from what is measured elsewhere, and what a rep measures is never drawn', () => {
    const gap = axis({
      key: key('gap'),
      title: 'Gap',
      quantity: 'offset',
      unit: 'cm',
      harder: 'less',
      start: 1,
      demand: 0.2,
    });
    const beside = axis({ ...gap, key: key('beside'), title: 'Beside', measured: true });
    const count = axis({
      key: key('n'),
      title: 'Articles',
      quantity: 'count',
      unit: '',
      start: 2,
      demand: 6,
      step: 1,
      limit: 2,
    });
    const drawn = drawnAs({ axes: [count, gap, beside], method: null });
    expect(drawn).toEqual({ template: 'article-line', reads: { n: 'count', gap: 'gap' } });
    expect(readingsFor(beside)).toEqual([]);
    expect(drawnAs({ axes: [DISTANCE], method: null }).template).toBe('line');
    expect(drawnAs({ axes: [DISTANCE], method: { id: 'around', element: 'spin' } }).reads).toEqual({});
  });
});

describe('a rung as a drawing, a drawing as a rung', () => {
  it('comes back from its drawing, for every rung', () => {
    for (const [i, rung] of ladder.rungs.entries()) {
      const things = must(drawRung('line', READS, rung.criteria));
      const step = drawnStep(
        ladder,
        criteriaOf(things, READS, rung.criteria),
        ladder.rungs[0]?.criteria ?? {},
      );
      expect(step.place).toEqual({ kind: 'on', rung: i });
      expect(step.up).toHaveLength(i === 0 ? 0 : 1);
    }
  });

  it('dragged further it says between which steps it is, and what went up against where the dog stands', () => {
    const [first, second] = ladder.rungs;
    const metres = ((first?.criteria[key('distance')] ?? 0) + (second?.criteria[key('distance')] ?? 0)) / 2;
    const step = drawnStep(
      ladder,
      criteriaOf(line(metres), READS, first?.criteria ?? {}),
      first?.criteria ?? {},
    );
    expect(step.place.kind).toBe('between');
    expect(step.up.map(plain)).toEqual([expect.stringMatching(/distance 10 → 1\d(\.\d+)? m/)]);
    const easier = drawnStep(ladder, criteriaOf(line(10), READS, {}), ladder.rungs.at(-1)?.criteria ?? {});
    expect(easier.down).toHaveLength(1);
  });

  it('redrawn for another step keeps the direction, wherever it was laid and turned', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -300, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 3, max: 90, noNaN: true }),
        (shift, turn, metres) => {
          const laid = line(20).map((one) => ({ ...one, ...turned({ x: one.x + shift, y: one.y }, turn) }));
          const again = redrawn(laid, READS, { [key('distance')]: metres });
          expect(measure(again, 'to-object')).toBeCloseTo(metres, 6);
          expect(again[0]).toEqual(laid[0]);
        },
      ),
    );
  });

  it('redraws what lies together: more of it, further apart, all of it further away', () => {
    const laid = must(layOut('boxes', { 'to-object': 8, count: 4, gap: 1 }));
    const reads = { [key('n')]: 'count', [key('g')]: 'gap', [key('d')]: 'to-object' } as const;
    const again = redrawn(laid, reads, { [key('n')]: 6, [key('g')]: 2, [key('d')]: 12 });
    expect(measure(again, 'count')).toBe(6);
    expect(measure(again, 'gap')).toBeCloseTo(2, 6);
    expect(measure(again, 'to-object')).toBeCloseTo(12, 6);
    expect(measure(redrawn(again, reads, { [key('n')]: 2 }), 'count')).toBe(2);
    expect(new Set(again.map((one) => one.key)).size).toBe(again.length);
  });

  it('redraws angles, widths and lanes', () => {
    const marks = must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 30 }));
    const wider = redrawn(marks, { [key('a')]: 'angle' }, { [key('a')]: 75 });
    expect(measure(wider, 'angle')).toBeCloseTo(75, 6);
    expect(measure(wider, 'to-second')).toBeCloseTo(50, 6);
    const casts = must(layOut('casts', { 'to-object': 15, 'to-handler': 5, cast: 45 }));
    expect(measure(redrawn(casts, { [key('a')]: 'cast' }, { [key('a')]: -90 }), 'cast')).toBeCloseTo(-90, 6);
    const lane = must(layOut('lane', { 'to-handler': 10, width: 2 }));
    const narrow = redrawn(
      lane,
      { [key('w')]: 'width', [key('d')]: 'to-handler' },
      { [key('w')]: 1, [key('d')]: 20 },
    );
    expect([measure(narrow, 'width'), measure(narrow, 'to-handler')]).toEqual([1, 20]);
    expect(narrow.find(({ kind }) => kind === 'lane')?.long).toBeCloseTo(16, 9);
  });

  it('snaps to what the rung asks when let go near it, and nowhere else', () => {
    const things = line(20);
    const at = (x: number, y: number) => snapped(things, 'mark-1', { x, y }, { 'to-object': 20 });
    expect(
      measure(
        things.map((one) => (one.key === 'mark-1' ? { ...one, ...at(3, 20.4) } : one)),
        'to-object',
      ),
    ).toBeCloseTo(20, 9);
    expect(at(0, 23)).toEqual({ x: 0, y: 23 });
    const marks = must(layOut('marks', { 'to-object': 40, 'to-second': 40, angle: 30 }));
    const second = marks.find((one) => one.key === 'mark-2') as Thing;
    const near = turned(second, 2);
    const put = snapped(marks, 'mark-2', near, { angle: 30 });
    expect(distance(put, second)).toBeLessThan(1e-6);
    // Moving the dog keeps what is asked too.
    const dog = snapped(things, 'dog-1', { x: 0, y: 0.3 }, { 'to-object': 20 });
    expect(dog.y).toBeCloseTo(0, 9);
  });

  it('the dog takes whoever stands at its side along, and nobody further off', () => {
    const heel = carried(line(20), 'dog-1', { x: 3, y: -2 });
    expect(heel.find(({ kind }) => kind === 'handler')).toMatchObject({ x: 3.6, y: -2 });
    expect(heel.find(({ kind }) => kind === 'mark')).toMatchObject({ x: 0, y: 20 });
    const stay = carried(must(layOut('stay', { 'to-handler': 15 })), 'dog-1', { x: 3, y: 0 });
    expect(stay.find(({ kind }) => kind === 'handler')).toMatchObject({ x: 0, y: 15 });
  });

  it('every reading of nothing is null, never a number that is none', () => {
    for (const reading of READINGS) expect(measure([], reading)).toBeNull();
    expect(measure(line(20), 'to-blind')).toBeNull();
    expect(measure(line(20), 'angle')).toBeNull();
  });
});

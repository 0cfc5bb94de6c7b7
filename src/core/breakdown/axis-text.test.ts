import { describe, expect, it } from 'vitest';
import { must, PLAIN_NUMBERS, type Reading } from '@/core/shared';
import { METHODS, readAxis, readSizes, readStep, sizesFit, sizesWritten } from '.';
import { testAxis } from './axis.test-helper';

const YARD = 0.9144;
const spec = METHODS.find((one) => one.id === 'memory-retrieve')?.elements[0]?.axes[0];
if (!spec) throw new Error('the retrieve has a distance');
const inYards: Reading = {
  custom: PLAIN_NUMBERS,
  bareUnit: (quantity) => (quantity === 'distance' ? 'paces' : null),
};
const read = (start: string, demand: string, step = '5 yd', reading?: Reading) =>
  readAxis({ spec, start, demand, step }, reading);

describe('the unit that is typed', () => {
  it.each([
    ['5 yd', '60 yd', 'yd', 5 * YARD],
    ['5', '60 yd', 'yd', 5 * YARD],
    ['5', '60', 'yd', 5 * YARD],
    ['5 m', '60', 'm', 5],
    ['15 ft', '300 feet', 'ft', 15 * 0.3048],
    ['10 Schritte', '80', 'paces', 6 * 0.75],
  ])('%s to %s goes on in %s, its own step as round in it', (start, demand, unit, step) => {
    const { axis, problems } = read(start, demand);
    expect(problems).toEqual({});
    expect(axis).toMatchObject({ unit, equal: true });
    expect(axis?.step).toBeCloseTo(step, 9);
  });

  it('a bare number is what the person chose, unless a unit stands beside it', () => {
    expect(read('5', '60', '5 yd', inYards).axis?.unit).toBe('paces');
    expect(read('5', '60 m', '5 yd', inYards).axis?.unit).toBe('m');
  });

  it('another step is what was written, a share or an amount', () => {
    expect(read('5 yd', '60 yd', '25 %').axis).toMatchObject({ step: 0.25, equal: false });
    expect(read('5 m', '60 m', '+10').axis).toMatchObject({ step: 10, equal: true });
    const distance = testAxis();
    expect(must(readStep(distance, '25'))).toEqual({ step: 0.25, equal: false });
    for (const wrong of ['0 %', '+0', '', '5 s']) expect(readStep(distance, wrong).ok).toBe(false);
    // Of an angle or a height a share means nothing: the example is one that would be taken.
    for (const [axis, example] of [
      [{ quantity: 'angle', unit: '°' }, '5°'],
      [{ quantity: 'height', unit: 'cm' }, '5 cm'],
      [{ quantity: 'height', unit: 'in' }, '1 in'],
    ] as const) {
      for (const wrong of ['', '25 %'])
        expect(readStep(axis, wrong)).toMatchObject({ ok: false, message: { with: { example } } });
      expect(readStep(axis, example).ok).toBe(true);
    }
  });

  it('seconds stay seconds on a way to minutes', () => {
    const time = { ...spec, axis: { ...spec.axis, quantity: 'duration', unit: 's' } } as typeof spec;
    const typed = (start: string) =>
      readAxis({ spec: time, start, demand: '1.5 min', step: '25 %' }).axis?.unit;
    expect([typed('3 s'), typed('1 min')]).toEqual(['s', 'min']);
  });
});

describe('sizes that are owned', () => {
  const tub = testAxis({ quantity: 'volume', unit: 'L', harder: 'less', start: 90, demand: 25 });

  it('are parted by a semicolon, a line, or a comma with a space, and share one unit', () => {
    expect(must(readSizes(tub, '90 l, 65; 40\n25'))).toEqual([90, 65, 40, 25]);
    expect(must(readSizes(tub, '2,5, 1,5'))).toEqual([2.5, 1.5]);
    expect(must(readSizes(tub, '  '))).toEqual([]);
    expect(readSizes(tub, '90 L, big')).toMatchObject({ ok: false, code: 'number' });
  });

  it('of a thing say by their unit what is measured', () => {
    expect(must(sizesWritten('90 L, 65, 40'))).toEqual({
      quantity: 'volume',
      unit: 'L',
      sizes: [90, 65, 40],
    });
    expect(must(sizesWritten('20; 30 cm'))).toMatchObject({ quantity: 'height', sizes: [0.2, 0.3] });
    expect(sizesWritten('three of them')).toMatchObject({ ok: false, code: 'sizes' });
    expect([sizesFit('height', 'offset'), sizesFit('height', 'volume')]).toEqual([true, false]);
  });
});

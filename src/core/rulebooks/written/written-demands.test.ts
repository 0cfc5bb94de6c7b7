import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOOK_NAMES, bookNamed } from '../sample-books.test-helper';
import { readDemand, writeDemand } from './demands';

describe('a demand as it is written', () => {
  it.each<readonly [string, readonly unknown[]]>([
    ['20 m', ['distance', 'more', 20, 'm', '']],
    ['Distance to the square 25 m', ['distance', 'more', 25, 'm', 'Distance to the square']],
    ['at least 40 yd', ['distance', 'more', 40, 'yd', '']],
    ['Width of the lane at most 1,5 m', ['offset', 'less', 1.5, 'm', 'Width of the lane']],
    ['answers within 2 s', ['latency', 'less', 2, 's', 'answers']],
    ['hold 10 s', ['duration', 'more', 10, 's', 'hold']],
    ['stays at least 2 min', ['duration', 'more', 2, 'min', 'stays']],
    ['Höhe 40 cm', ['height', 'more', 40, 'cm', 'Höhe']],
    ['Straightness at most 10°', ['angle', 'less', 10, '°', 'Straightness']],
    ['6 articles', ['count', 'more', 6, '', 'articles']],
    ['far away', ['amount']],
  ])('%s', (written, expected) => {
    const read = readDemand(written, null);
    expect(
      read.ok
        ? [read.value.quantity, read.value.harder, read.value.value, read.value.unit, read.value.title]
        : [read.code],
    ).toEqual(expected);
  });

  it('of every sample book is read back as it was, also with another number', () => {
    const all = BOOK_NAMES.map(bookNamed).flatMap((book) =>
      book.exercises.flatMap((exercise) => exercise.parts.flatMap((part) => part.demands)),
    );
    expect(all.length).toBeGreaterThan(40);
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.integer({ min: 1, max: 999 }), (demand, n) => {
        const { title, quantity, harder, unit } = demand;
        const before = { title, quantity, harder, unit };
        const read = readDemand(writeDemand({ ...before, value: n / 10 }, String), before);
        expect(read.ok && read.value).toEqual({ ...before, value: n / 10 });
      }),
    );
  });
});

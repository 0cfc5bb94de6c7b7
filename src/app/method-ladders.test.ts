import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Axis,
  BASICS,
  buildLadder,
  checkLadder,
  METHODS,
  type MethodAxis,
  type MethodElement,
  stepSize,
} from '@/core/breakdown';
import { fewestToTop } from '@/core/coaching';
import { asId, type DogId, type ElementId } from '@/core/shared';
import type { ElementRecord, New } from '@/data/read';
import { axisDraft } from '@/features/breakdown/axis-draft';
import { type LinkDraft, linksFromMethod, readLinks } from '@/features/breakdown/exercise-draft';
import { fieldText, withField } from '@/features/element/ladder-edit';

const DOG = asId<DogId>('d');
const ELEMENTS = [...METHODS, BASICS].flatMap((method) =>
  method.elements.map((element) => [`${method.id}: ${element.title}`, method, element] as const),
);

/** Ten ways in which a person may begin: how far it is from start to goal, and in which unit it is typed. */
const BEGUN = [1.5, 2, 3, 4, 5, 6, 8, 10, 15, 20].map((times, i) => ({ times, other: i % 2 === 1 }));
const OTHER_UNITS: Readonly<Record<string, string>> = { m: 'yd', yd: 'm', ft: 'm', cm: 'in', L: 'US gal' };

/** What a person types where the method asks: numbers that climb, in the method's unit or another one. */
function answered(spec: MethodAxis, { times, other }: (typeof BEGUN)[number]) {
  const draft = axisDraft(spec);
  const { unit, harder, quantity } = spec.axis;
  const typed = (value: number): string =>
    `${Number(value.toPrecision(3))} ${other ? (OTHER_UNITS[unit] ?? unit) : unit}`;
  const low = quantity === 'count' || quantity === 'duration' || quantity === 'latency' ? 2 : 3;
  const high = quantity === 'angle' ? 60 : low * times;
  const [easy, hard] = harder === 'less' ? [high, low] : [low, high];
  const given = { start: spec.start, demand: spec.demand };
  return {
    ...draft,
    // Where the method gives one end, the other lies beyond it.
    start: draft.start || (given.demand === null ? typed(easy) : draft.demand),
    demand: draft.demand || (given.start === null ? typed(hard) : beyond(spec, times)),
    step: draft.step || (quantity === 'height' ? '5 cm' : '5'),
  };
}
const beyond = ({ axis, start }: MethodAxis, times: number): string => {
  const at = (start ?? 1) * (axis.harder === 'less' ? 1 / times : times);
  return `${Number(at.toPrecision(4))} ${BASE[axis.quantity] ?? ''}`;
};
const BASE: Partial<Record<Axis['quantity'], string>> = { distance: 'm', duration: 's', latency: 's' };

function made(element: MethodElement, method: (typeof METHODS)[number], begun: (typeof BEGUN)[number]) {
  const link = linksFromMethod({ ...method, elements: [element] }, () =>
    asId<ElementId>('e'),
  )[0] as LinkDraft;
  const read = readLinks([{ ...link, axes: element.axes.map((axis) => answered(axis, begun)) }], DOG);
  expect(read.problems).toEqual({});
  return read.plans[0]?.element as New<ElementRecord>;
}

describe.each(ELEMENTS)('%s', (_, method, element) => {
  it('climbs from ten starts: sound, forward, eased once a raise, never under a floor', () => {
    for (const begun of BEGUN) {
      const record = made(element, method, begun);
      const ladder = buildLadder(record);
      // A step between two sizes or heights that a person typed too far apart is said, not wrong.
      expect(checkLadder(ladder).map((one) => one.code)).toEqual([]);
      for (const axis of record.axes) {
        const values = ladder.rungs.map((rung) => rung.criteria[axis.key] ?? axis.start);
        const easier = values.filter(
          (value, i) => i > 0 && stepSize(axis, values[i - 1] as number, value) < -1e-9,
        );
        const raising = record.axes.filter((one) => one.eases.includes(axis.key));
        expect(easier.length).toBeLessThanOrEqual(raising.length);
        const { floor } = axis;
        if (floor !== undefined)
          for (const value of easier) expect(stepSize(axis, floor, value)).toBeGreaterThanOrEqual(-1e-9);
      }
      expect(fewestToTop(record.policy.rule, ladder.rungs.length, 0) ?? 1).toBeGreaterThan(0);
    }
  });

  it('comes back from its fields as it was', () => {
    for (const begun of BEGUN.slice(0, 4))
      for (const axis of made(element, method, begun).axes)
        for (const field of ['start', 'demand', 'step', 'floor'] as const) {
          const again = withField(axis, field, fieldText(axis, field));
          expect(again.ok ? { ...again.value, unit: '' } : again).toEqual(
            expect.objectContaining({
              ...Object.fromEntries(
                Object.entries({ ...axis, unit: '' }).map(([key, value]) => [
                  key,
                  typeof value === 'number' ? expect.closeTo(value, 4) : value,
                ]),
              ),
            }),
          );
        }
  });
});

it('10 yd to 100 yd stay yards, in steps of five', () => {
  const [memory] = METHODS.find((one) => one.id === 'memory-retrieve')?.elements ?? [];
  const method = METHODS.find((one) => one.id === 'memory-retrieve');
  if (!memory || !method) throw new Error('a method');
  fc.assert(
    fc.property(fc.constantFrom('yd', 'm', 'paces'), fc.integer({ min: 2, max: 20 }), (unit, steps) => {
      const [link] = linksFromMethod(method, () => asId<ElementId>('e'));
      const [distance, ...rest] = (link as LinkDraft).axes;
      if (!link || !distance) throw new Error('a link');
      const typed = { ...distance, start: `10 ${unit}`, demand: `${10 + 5 * steps}` };
      const { plans } = readLinks([{ ...link, axes: [typed, ...rest] }], DOG);
      const record = plans[0]?.element as New<ElementRecord>;
      const axis = record.axes[0] as Axis;
      expect(axis.unit).toBe(unit);
      const by = unit === 'paces' ? 6 : 5;
      const shown = buildLadder({ axes: [axis] }).rungs.map((rung) =>
        fieldText({ ...axis, start: rung.criteria[axis.key] as number }, 'start'),
      );
      expect(shown.slice(0, 3)).toEqual(
        [10, 10 + by, Math.min(10 + 2 * by, 10 + 5 * steps)].map((n) => `${n} ${unit}`),
      );
    }),
  );
});

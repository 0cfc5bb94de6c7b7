import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type ExerciseKey, type FaultKey, type MarkId, type PersonId } from '@/core/shared';
import { foldSheet } from './fold-sheet';
import type { MarkSaid } from './mark';
import { type Short, sheetMarks } from './marks.test-helper';

const square = asId<ExerciseKey>('square');
const id = (n: number): MarkId => asId<MarkId>(`k${n}`);
const fault = (key: string): MarkSaid => ({
  kind: 'fault',
  exercise: square,
  part: null,
  time: null,
  fault: asId<FaultKey>(key),
  amount: 1,
});
const faultsOf = (list: readonly Short[]): string[] =>
  foldSheet(sheetMarks(list), null).exercises.flatMap((one) => one.faults.map((mark) => mark.fault));

describe('a judge’s sheet', () => {
  it.each<[string, readonly Short[], string[], string]>([
    ['nothing', [], [], 'open'],
    ['a fault', [[fault('a')]], ['a'], 'going'],
    ['a fault and done', [[fault('a')], [{ kind: 'state', exercise: square, is: 'done' }]], ['a'], 'done'],
    ['one taken back', [[fault('a')], [fault('b')], [{ kind: 'take-back' }, 0]], ['b'], 'going'],
    ['a fault in the place of another', [[fault('a')], [fault('b'), 0]], ['b'], 'going'],
    ['the change taken back', [[fault('a')], [fault('b'), 0], [{ kind: 'take-back' }, 1]], ['a'], 'going'],
    ['a moment that is named', [[{ kind: 'moment', exercise: square }], [fault('a'), 0]], ['a'], 'going'],
    ['run again', [[fault('a')], [{ kind: 're-run', exercise: square }], [fault('b')]], ['b'], 'going'],
    [
      'the re-run taken back',
      [[fault('a')], [{ kind: 're-run', exercise: square }], [{ kind: 'take-back' }, 1]],
      ['a'],
      'going',
    ],
  ])('%s', (_, list, faults, state) => {
    const sheet = foldSheet(sheetMarks(list), null);
    expect(faultsOf(list)).toEqual(faults);
    expect(sheet.exercises.find((one) => one.exercise === square)?.state ?? 'open').toBe(state);
  });

  it('keeps everything in its trace, with what struck it and why', () => {
    const list: Short[] = [[fault('a')], [{ kind: 'take-back' }, 0]];
    const { trace } = foldSheet(sheetMarks(list), null);
    expect(trace.map(({ mark, struckBy }) => [mark.id, struckBy?.id ?? null])).toEqual([
      [id(0), id(1)],
      [id(1), null],
    ]);
  });

  it('undo takes the last thing back that stands, and nothing of a closed sheet', () => {
    const list: Short[] = [[fault('a')], [fault('b')], [{ kind: 'take-back' }, 1]];
    expect(foldSheet(sheetMarks(list), null).last?.id).toBe(id(0));
    const closed = foldSheet(sheetMarks([...list, [{ kind: 'close' }]]), null);
    expect([closed.is, closed.last]).toEqual(['closed', null]);
  });

  it('closes, is signed, and is reopened', () => {
    const is = (list: readonly Short[]) => {
      const { is: state, signedBy } = foldSheet(sheetMarks(list), null);
      return [state, signedBy];
    };
    expect(is([[{ kind: 'close' }]])).toEqual(['closed', null]);
    expect(is([[{ kind: 'close' }], [{ kind: 'sign', name: 'Ada' }]])).toEqual(['signed', 'Ada']);
    expect(is([[{ kind: 'close' }], [{ kind: 'sign', name: 'Ada' }], [{ kind: 'reopen' }]])).toEqual([
      'open',
      null,
    ]);
  });

  it('holds what one judge wrote, and nothing of another', () => {
    const [ada, ben] = [asId<PersonId>('ada'), asId<PersonId>('ben')];
    const marks = [...sheetMarks([[fault('a')]], ada), ...sheetMarks([[fault('b')], [fault('c')]], ben, 10)];
    const of = (judge: PersonId) =>
      foldSheet(marks, judge).exercises.flatMap((one) => one.faults.map((mark) => mark.fault));
    expect([of(ada), of(ben)]).toEqual([['a'], ['b', 'c']]);
  });

  it('is the same in whatever order its marks arrive', () => {
    const step = fc.oneof(
      fc.constantFrom('a', 'b', 'c').map((key) => ({ said: fault(key), back: false })),
      fc.constant({ said: { kind: 're-run', exercise: square } as MarkSaid, back: false }),
      fc.constant({ said: { kind: 'take-back' } as MarkSaid, back: true }),
      fc.constant({ said: { kind: 'state', exercise: square, is: 'done' } as MarkSaid, back: false }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), fc.infiniteStream(fc.nat()), (steps, picks) => {
        const list = steps.flatMap(({ said, back }, i): Short[] => {
          if (!back) return [[said]];
          return i === 0 ? [] : [[said, picks.next().value % i]];
        });
        const marks = sheetMarks(list);
        const sheet = foldSheet(marks, null);
        expect(foldSheet([...marks].reverse(), null)).toEqual(sheet);
        // Whatever happened, undo as often as there are marks leaves an empty sheet.
        let all = marks;
        for (let i = 0; i <= list.length; i++) {
          const { last } = foldSheet(all, null);
          if (!last) break;
          const [mark] = sheetMarks([[{ kind: 'take-back' }]], null, 100 + i);
          if (mark) all = [...all, { ...mark, of: last.id }];
        }
        expect(foldSheet(all, null).last).toBeNull();
      }),
    );
  });
});

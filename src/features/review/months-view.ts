import { type Axis, writeValue } from '@/core/breakdown';
import { coverOf } from '@/core/evidence';
import { type Day, daysBetween, fromBase } from '@/core/shared';
import type { ElementRecord, KeptEvidence } from '@/data/read';
import { wordsOf, writeDay } from '@/words';
import { tell } from './words';

/** Of one bout the hardest value of an axis at which it was clean at least once, and what that rests on. */
export type Reached = {
  readonly day: Day;
  readonly value: number;
  readonly clean: number;
  readonly reps: number;
};

/** Through the months, oldest first; bouts without a clean rep at any value reached nothing. */
export function reachedOn(axis: Axis, bouts: readonly KeptEvidence[]): Reached[] {
  return bouts.flatMap(({ day, cells }): Reached[] => {
    const clean = cells.filter((cell) => cell.clean > 0);
    const value = (cell: (typeof cells)[number]): number => cell.criteria[axis.key] ?? axis.start;
    const harder = (a: number, b: number): boolean =>
      axis.harder === 'less' ? a < b : Math.abs(a) > Math.abs(b);
    const best = clean.reduce<number | null>(
      (most, cell) => (most === null || harder(value(cell), most) ? value(cell) : most),
      null,
    );
    if (best === null) return [];
    const at = cells.filter((cell) => value(cell) === best);
    return [
      {
        day,
        value: best,
        clean: at.reduce((sum, cell) => sum + cell.clean, 0),
        reps: at.reduce((sum, cell) => sum + cell.clean + cell.notClean, 0),
      },
    ];
  });
}

/** A pause of so many days is looked at for what survived it. */
const GAP = 14;

/** What was left after each long gap: the first try of the day it came back, and that bout beside the one before. */
export function survived(bouts: readonly KeptEvidence[]): string[] {
  const worked = bouts.filter((one) => one.counted > 0);
  return worked.flatMap((bout, i): string[] => {
    const before = worked[i - 1];
    const days = before ? daysBetween(before.day, bout.day) : 0;
    if (!before || days < GAP) return [];
    const clean = (one: KeptEvidence): number => one.cells.reduce((sum, cell) => sum + cell.clean, 0);
    return [
      tell('months-view.survived', {
        days,
        day: writeDay(bout.day),
        first: bout.first ? (bout.first.clean ? 'clean' : 'not') : 'none',
        now: clean(bout),
        of: bout.counted,
        last: clean(before),
        ofLast: before.counted,
      }),
    ];
  });
}

/** Sides, handlers, places and pay: how often clean under each, where it was asked. */
export function coverLines(element: ElementRecord, bouts: readonly KeptEvidence[]): string[] {
  return coverOf(bouts, element.conditions).flatMap((row): string[] => {
    const known = row.cells.filter((cell) => cell.reps > 0);
    if (known.length < 2) return [];
    const each = known.map((cell) =>
      tell('months-view.option', { option: wordsOf(cell.option), clean: cell.clean, reps: cell.reps }),
    );
    return [tell('months-view.cover', { condition: wordsOf(row.condition), each: each.join(', ') })];
  });
}

export const valueInWords = (axis: Axis, value: number): string => wordsOf(writeValue(axis, value));

/** A value in the unit in which the axis is said: yards stay yards. */
export function inItsUnit(axis: Axis, value: number): number {
  const shown = fromBase(axis.quantity, value, axis.unit);
  return shown.ok ? shown.value : value;
}

/** From nothing, or the least below it, to a little over the most. */
export function rangeOf(values: readonly number[]): readonly [number, number] {
  const [least, most] = [Math.min(0, ...values), Math.max(0, ...values)];
  return [least, most + 0.1 * (most - least || 1)];
}

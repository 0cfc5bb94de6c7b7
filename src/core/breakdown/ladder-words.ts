import { NO_BREAK, writeAmount, writeNumber } from '@/core/shared';
import { type Axis, isRatioAxis, stepSize, writeValue } from './axis';
import type { Ladder, Rung } from './ladder';
import { type Criteria, placeOn } from './place';

// Relative slack for values that were rounded to be paced out; without it 20 → 25 m would fail a
// limit of 25 %.
export const SLACK = 1e-6;

/**
 * A step as a person reads it: "+25 %" where more is harder, "25 % harder" where less is, "by 5 cm"
 * on even axes.
 */
export function writeStep(axis: Axis, size: number): string {
  if (axis.levels !== null) return `${Math.abs(size)} ${Math.abs(size) === 1 ? 'step' : 'steps'}`;
  if (!isRatioAxis(axis)) return `by ${writeAmount(axis.quantity, Math.abs(size), axis.unit)}`;
  const percent = `${Math.abs(Math.round(size * 100))}${NO_BREAK}%`;
  return axis.harder === 'less' ? `${percent} harder` : `+${percent}`;
}

/**
 * Rung `index` in words: "4 of 9: distance 20 → 25 m, +25 %". The first rung and returns say what
 * they hold.
 */
export function describeRung(ladder: Ladder, index: number): string {
  const rung = ladder.rungs[index] as Rung;
  const below = ladder.rungs[index - 1];
  const head = `${index + 1} of ${ladder.rungs.length}`;
  if (!below) return `${head}: the start`;
  const words = ladder.axes.flatMap((axis) =>
    describeChange(axis, valueAt(below, axis), valueAt(rung, axis)),
  );
  return `${head}: ${words.length > 0 ? words.join('; ') : 'the same again'}`;
}

/**
 * Where standing criteria meet the ladder, in words: a rung as `describeRung` says it, "between 4
 * and 5 of 9: distance 20 m" where no rung asks them, "under the first of 9: …" where all ask more.
 */
export function describePlace(ladder: Ladder, criteria: Criteria): string {
  const place = placeOn(ladder, criteria);
  if (place.kind === 'on') return describeRung(ladder, place.rung);
  const count = ladder.rungs.length;
  const rung = ladder.rungs[place.rung] as Rung;
  const other = ladder.axes.filter(
    (axis) => Math.abs(stepSize(axis, valueAt(rung, axis), on(axis, criteria))) > SLACK,
  );
  const values = other
    .map((axis) => `${axis.title.toLowerCase()} ${write(axis, on(axis, criteria))}`)
    .join('; ');
  if (place.kind === 'below') return `under the first of ${count}: ${values}`;
  const top = place.rung === count - 1;
  const where = top
    ? `past ${count} of ${count}`
    : `between ${place.rung + 1} and ${place.rung + 2} of ${count}`;
  return `${where}: ${values}`;
}

const on = (axis: Axis, criteria: Criteria): number => criteria[axis.key] ?? axis.start;

function describeChange(axis: Axis, from: number, to: number): string[] {
  const size = stepSize(axis, from, to);
  if (axis.harder === 'both' && Math.abs(size) <= SLACK && from !== to)
    return [`${axis.title.toLowerCase()} ${writeChange(axis, from, to)}, the other side`];
  if (Math.abs(size) <= SLACK) return [];
  const words = `${axis.title.toLowerCase()} ${writeChange(axis, from, to)}`;
  return [size > 0 ? `${words}, ${writeStep(axis, size)}` : `${words} (eased)`];
}

/** What a rung asks on an axis: where it does not say, the axis's start. */
export const valueAt = (rung: Rung, axis: Axis): number => rung.criteria[axis.key] ?? axis.start;
const plainNumbers = (axis: Axis): boolean => axis.levels === null && axis.harder !== 'both';
export const writeChange = (axis: Axis, from: number, to: number): string =>
  `${plainNumbers(axis) ? writeNumber(axis.quantity, from, axis.unit) : write(axis, from)}${NO_BREAK}→${NO_BREAK}${write(axis, to)}`;
export const write = (axis: Axis, base: number): string => writeValue(axis, base);

import { type Sentence, say } from '@/core/shared';
import { type Axis, climbsByShares } from './axis';
import { writeValue } from './axis-values';
import type { Ladder, Rung } from './ladder';
import { type Criteria, placeOn } from './place';
import { stepSize, stepTaken } from './scale';

// Relative slack for values that were rounded to be paced out; without it 20 → 25 m would fail a
// limit of 25 %.
export const SLACK = 1e-6;

/**
 * A step as a person reads it: "+25 %" where more is harder, "25 % harder" where less is, "+5 yd" where
 * steps are equal, "by 5 cm" where nothing else is climbed by.
 */
export function writeStep(axis: Axis, size: number): Sentence {
  if (axis.levels !== null) return say('breakdown.ladder-words.steps', { count: Math.abs(size) });
  if (!climbsByShares(axis)) {
    const amount = { quantity: axis.quantity, base: Math.abs(size), unit: axis.unit };
    return axis.equal === true && axis.harder !== 'less'
      ? say('breakdown.ladder-words.plus', { amount })
      : say('breakdown.ladder-words.by', { writeAmount: amount });
  }
  const percent = Math.abs(Math.round(size * 100));
  return axis.harder === 'less'
    ? say('breakdown.ladder-words.harder', { percent })
    : say('breakdown.ladder-words.more', { percent });
}

/**
 * Rung `index` in words: "4 of 9: distance 20 → 25 m, +25 %". The first rung and returns say what
 * they hold.
 */
export function describeRung(ladder: Ladder, index: number): Sentence {
  const head = say('breakdown.ladder-words.of', { index: index + 1, rungsCount: ladder.rungs.length });
  return say('breakdown.ladder-words.rung', { head, changes: changesOf(ladder, index) });
}

/** What rung `index` changes against the one below: "distance 20 → 25 m, +25 %"; "the start" of the first. */
export function changesOf(ladder: Ladder, index: number): Sentence {
  const rung = ladder.rungs[index] as Rung;
  const below = ladder.rungs[index - 1];
  if (!below) return say('breakdown.ladder-words.the-start');
  const changes = ladder.axes.flatMap((axis) =>
    describeChange(axis, valueAt(below, axis), valueAt(rung, axis)),
  );
  return changes.length > 0
    ? say('breakdown.ladder-words.changes', { changes: { list: changes, between: '; ' } })
    : say('breakdown.ladder-words.the-same-again');
}

/**
 * Where standing criteria meet the ladder, in words: a rung as `describeRung` says it, "between 4
 * and 5 of 9: distance 20 m" where no rung asks them, "under the first of 9: …" where all ask more.
 */
export function describePlace(ladder: Ladder, criteria: Criteria): Sentence {
  const place = placeOn(ladder, criteria);
  if (place.kind === 'on') return describeRung(ladder, place.rung);
  const count = ladder.rungs.length;
  const rung = ladder.rungs[place.rung] as Rung;
  const other = ladder.axes.filter(
    (axis) => Math.abs(stepSize(axis, valueAt(rung, axis), on(axis, criteria))) > SLACK,
  );
  const values = {
    list: other.map((axis) =>
      say('breakdown.ladder-words.change', {
        title: axis.title.toLowerCase(),
        change: write(axis, on(axis, criteria)),
      }),
    ),
    between: '; ',
  } as const;
  if (place.kind === 'below') return say('breakdown.ladder-words.under-the-first-of', { count, values });
  const top = place.rung === count - 1;
  const where = top
    ? say('breakdown.ladder-words.past-of', { count })
    : say('breakdown.ladder-words.between-and-of', { rung: place.rung + 1, rung2: place.rung + 2, count });
  return say('breakdown.ladder-words.rung', { head: where, changes: values });
}

const on = (axis: Axis, criteria: Criteria): number => criteria[axis.key] ?? axis.start;

function describeChange(axis: Axis, from: number, to: number): Sentence[] {
  const size = stepSize(axis, from, to);
  if (axis.harder === 'both' && Math.abs(size) <= SLACK && from !== to)
    return [
      say('breakdown.ladder-words.the-other-side', {
        title: axis.title.toLowerCase(),
        writeChange: writeChange(axis, from, to),
      }),
    ];
  if (Math.abs(size) <= SLACK) return [];
  const said = { title: axis.title.toLowerCase(), change: writeChange(axis, from, to) };
  return size > 0
    ? [say('breakdown.ladder-words.change-by', { ...said, step: writeStep(axis, stepTaken(axis, from, to)) })]
    : [say('breakdown.ladder-words.eased', { words: say('breakdown.ladder-words.change', said) })];
}

/** What a rung asks on an axis: where it does not say, the axis's start. */
export const valueAt = (rung: Rung, axis: Axis): number => rung.criteria[axis.key] ?? axis.start;
const plainNumbers = (axis: Axis): boolean => axis.levels === null && axis.harder !== 'both';
export const writeChange = (axis: Axis, from: number, to: number): Sentence =>
  say('breakdown.ladder-words.from-to', {
    from: plainNumbers(axis)
      ? { quantity: axis.quantity, base: from, unit: axis.unit, bare: true }
      : write(axis, from),
    to: write(axis, to),
  });
export const write = (axis: Axis, base: number): Sentence => writeValue(axis, base);

import { type AxisKey, type Failure, fail, NO_BREAK, writeAmount, writeNumber } from '@/core/shared';
import { type Axis, axisScale, isRatioAxis, stepSize, writeValue } from './axis';
import { axisSeries, type Ladder, MAX_STEPS, type Rung } from './ladder';
import { type Criteria, placeOn } from './place';

// Relative slack for values that were rounded to be paced out; without it 20 → 25 m would fail a
// limit of 25 %.
const SLACK = 1e-6;

/**
 * What is wrong with a ladder, as plain sentences; empty when nothing is. Paths are
 * `rungs[i].axisKey` or an axis key. Codes: `two-raised`, `step-too-large`, `easier-unplanned`,
 * `demand-never-reached`, `too-many-steps`, `safety-limit`, and those of `axisScale`.
 */
export function checkLadder(ladder: Ladder): Failure[] {
  const scales = ladder.axes.flatMap((axis) => {
    const scale = axisScale(axis);
    return scale.ok ? [] : [scale];
  });
  if (scales.length > 0) return scales;
  const long = ladder.axes.filter((axis) => axisSeries(axis).length - 1 >= MAX_STEPS);
  return [
    ...long.map((axis) =>
      fail(
        'too-many-steps',
        axis.key,
        `${axis.title}: so small a step needs ${MAX_STEPS} rungs or more. Take a larger one.`,
      ),
    ),
    ...ladder.rungs.flatMap((rung, i) =>
      i === 0 ? [] : checkStep(ladder, ladder.rungs[i - 1] as Rung, rung, i),
    ),
    ...checkDemand(ladder),
    ...ladder.rungs.flatMap((rung, i) => checkSafety(ladder, rung, i)),
  ];
}

function checkSafety(ladder: Ladder, rung: Rung, index: number): Failure[] {
  return ladder.axes.flatMap((axis) => {
    if (axis.safety === null || stepSize(axis, axis.safety.value, valueAt(rung, axis)) <= SLACK) return [];
    const words = `Rung ${index + 1}: ${axis.title.toLowerCase()} ${write(axis, valueAt(rung, axis))} goes beyond ${write(axis, axis.safety.value)}`;
    return [
      fail('safety-limit', pathOf(index, axis), `${words}, the limit for this dog (${axis.safety.source}).`),
    ];
  });
}

/**
 * What a ladder's element needs and the kit list lacks. Code `kit-missing`, the path is the thing.
 * Names are compared without case.
 */
export function checkKit(needs: readonly string[], owned: readonly string[]): Failure[] {
  const have = new Set(owned.map((thing) => thing.trim().toLowerCase()));
  const missing = needs.filter((thing) => !have.has(thing.trim().toLowerCase()));
  return missing.map((thing) =>
    fail(
      'kit-missing',
      thing,
      `“${thing}” is not on your kit list. Add it under Kennel, or train without it on purpose.`,
    ),
  );
}

function checkStep(ladder: Ladder, below: Rung, rung: Rung, index: number): Failure[] {
  const changes = ladder.axes.map((axis) => ({
    axis,
    size: stepSize(axis, valueAt(below, axis), valueAt(rung, axis)),
  }));
  const raised = changes.filter((change) => change.size > SLACK);
  const eased = changes.filter((change) => change.size < -SLACK && !rung.eases.includes(change.axis.key));
  const large = raised.filter(
    (change) => change.size > change.axis.limit * (1 + SLACK) && !met(ladder, index, change.axis),
  );
  const names = raised.map((change) => change.axis.title.toLowerCase()).join(' and ');
  return [
    ...(raised.length > 1
      ? [
          fail(
            'two-raised',
            `rungs[${index}]`,
            `Rung ${index + 1} raises ${names} at once. Raise one, then the other.`,
          ),
        ]
      : []),
    ...large.map((change) =>
      fail(
        'step-too-large',
        pathOf(index, change.axis),
        tooLarge(below, rung, index, change.axis, change.size),
      ),
    ),
    ...eased.map((change) =>
      fail(
        'easier-unplanned',
        pathOf(index, change.axis),
        `Rung ${index + 1} is easier in ${change.axis.title.toLowerCase()} than the one below, without a plan.`,
      ),
    ),
  ];
}

/**
 * An eased axis returns to a value already met; that is not a step into the unknown, however large.
 */
function met(ladder: Ladder, index: number, axis: Axis): boolean {
  const value = valueAt(ladder.rungs[index] as Rung, axis);
  return ladder.rungs.slice(0, index).some((rung) => stepSize(axis, value, valueAt(rung, axis)) >= -SLACK);
}

function tooLarge(below: Rung, rung: Rung, index: number, axis: Axis, size: number): string {
  const step = writeChange(axis, valueAt(below, axis), valueAt(rung, axis));
  return `Rung ${index + 1}: ${axis.title.toLowerCase()} ${step} is ${writeStep(axis, size)}; your limit is ${writeStep(axis, axis.limit)}. Put a rung between.`;
}

function checkDemand(ladder: Ladder): Failure[] {
  const there = (axis: Axis, rung: Rung): boolean =>
    stepSize(axis, axis.demand, valueAt(rung, axis)) >= -SLACK;
  const reached = ladder.rungs.some((rung) => ladder.axes.every((axis) => there(axis, rung)));
  const oneSided = ladder.axes.filter((axis) => {
    const sides = new Set(
      ladder.rungs.filter((rung) => there(axis, rung)).map((rung) => Math.sign(valueAt(rung, axis))),
    );
    return axis.harder === 'both' && axis.demand > 0 && sides.size < 2;
  });
  if (reached && oneSided.length === 0) return [];
  if (reached)
    return oneSided.map((axis) =>
      fail(
        'demand-never-reached',
        axis.key,
        `${axis.title}: ${write({ ...axis, harder: 'more' }, axis.demand)} is reached on one side only.`,
      ),
    );
  const best = ladder.rungs.at(-1);
  const short = ladder.axes.filter(
    (axis) => best && stepSize(axis, axis.demand, valueAt(best, axis)) < -SLACK,
  );
  const names = short
    .map((axis) => `${axis.title.toLowerCase()} (${write(axis, axis.demand)})`)
    .join(' and ');
  return [
    fail(
      'demand-never-reached',
      short[0]?.key ?? '',
      `No rung asks all that is demanded${names ? `: the last is short of ${names}` : ' at once'}.`,
    ),
  ];
}

/**
 * A step as a person reads it: "+25 %" where more is harder, "25 % harder" where less is, "by 5 cm"
 * on even axes.
 */
function writeStep(axis: Axis, size: number): string {
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

const valueAt = (rung: Rung, axis: Axis): number => rung.criteria[axis.key] ?? axis.start;
const plainNumbers = (axis: Axis): boolean => axis.levels === null && axis.harder !== 'both';
const writeChange = (axis: Axis, from: number, to: number): string =>
  `${plainNumbers(axis) ? writeNumber(axis.quantity, from, axis.unit) : write(axis, from)}${NO_BREAK}→${NO_BREAK}${write(axis, to)}`;
const write = (axis: Axis, base: number): string => writeValue(axis, base);
const pathOf = (index: number, axis: { readonly key: AxisKey }): string => `rungs[${index}].${axis.key}`;

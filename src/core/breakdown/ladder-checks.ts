import { type AxisKey, type Failure, fail, type Sentence, say } from '@/core/shared';
import { type Axis, axisScale, stepSize } from './axis';
import { axisSeries, type Ladder, MAX_STEPS, type Rung } from './ladder';
import { SLACK, valueAt, write, writeChange, writeStep } from './ladder-words';

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
        say('breakdown.ladder-checks.so-small-a-step-needs-rungs-or', {
          title: axis.title,
          MAXSTEPS: MAX_STEPS,
        }),
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
    const words = say('breakdown.ladder-checks.rung-goes-beyond', {
      index: index + 1,
      title: axis.title.toLowerCase(),
      write: write(axis, valueAt(rung, axis)),
      write2: write(axis, axis.safety.value),
    });
    return [
      fail(
        'safety-limit',
        pathOf(index, axis),
        say('breakdown.ladder-checks.the-limit-for-this-dog', { words, source: axis.safety.source }),
      ),
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
    fail('kit-missing', thing, say('breakdown.ladder-checks.is-not-on-your-kit-list-add-it', { thing })),
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
            say('breakdown.ladder-checks.rung-raises-at-once-raise-one-then', { index: index + 1, names }),
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
        say('breakdown.ladder-checks.rung-is-easier-in-than-the-one', {
          index: index + 1,
          title: change.axis.title.toLowerCase(),
        }),
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

function tooLarge(below: Rung, rung: Rung, index: number, axis: Axis, size: number): Sentence {
  const step = writeChange(axis, valueAt(below, axis), valueAt(rung, axis));
  return say('breakdown.ladder-checks.rung-is-your-limit-is-put-a-rung', {
    index: index + 1,
    title: axis.title.toLowerCase(),
    step,
    writeStep: writeStep(axis, size),
    writeStep2: writeStep(axis, axis.limit),
  });
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
        say('breakdown.ladder-checks.is-reached-on-one-side-only', {
          title: axis.title,
          write: write({ ...axis, harder: 'more' }, axis.demand),
        }),
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
      say('breakdown.ladder-checks.no-rung-asks-all-that-is-demanded', {
        names: names
          ? say('breakdown.ladder-checks.the-last-is-short-of', { names })
          : say('breakdown.ladder-checks.at-once'),
      }),
    ),
  ];
}

const pathOf = (index: number, axis: { readonly key: AxisKey }): string => `rungs[${index}].${axis.key}`;

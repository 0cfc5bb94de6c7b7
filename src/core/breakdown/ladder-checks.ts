import { type AxisKey, type Failure, fail, type Sentence, say } from '@/core/shared';
import type { Axis } from './axis';
import type { Ladder, Rung } from './ladder';
import { SLACK, valueAt, write, writeChange, writeStep } from './ladder-words';
import { axisScale, stepSize, stepTaken } from './scale';
import { axisSeries, MAX_STEPS } from './series';

/**
 * What is wrong with a ladder, as plain sentences; empty when nothing is. Paths are
 * `rungs[i].axisKey` or an axis key. Codes: `two-raised`, `step-too-large`, `easier-unplanned`,
 * `demand-never-reached`, `too-many-steps`, `size-missing`, `safety-limit`, and those of `axisScale`.
 */
export function checkLadder(ladder: Ladder): Failure[] {
  const { axes, rungs } = ladder;
  const broken = axes.map(axisScale).filter((scale) => !scale.ok);
  if (broken.length > 0) return broken;
  return [
    ...axes.flatMap(checkLength),
    ...axes.flatMap(checkSizes),
    ...rungs.slice(1).flatMap((_, i) => checkStep(ladder, i + 1)),
    ...checkDemand(ladder),
    ...rungs.flatMap((rung, i) => axes.flatMap((axis) => checkSafety(axis, rung, i))),
  ];
}

/**
 * Axes whose start is their demand already: they are held, not climbed, and a ladder of nothing else has
 * one rung. Said, never silent.
 */
export const heldAxes = (axes: readonly Axis[]): readonly Axis[] =>
  axes.filter((axis) => {
    const scale = axisScale(axis);
    return scale.ok && scale.value.held;
  });

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

function checkLength(axis: Axis): Failure[] {
  if (axisSeries(axis).length - 1 < MAX_STEPS) return [];
  const said = { title: axis.title, MAXSTEPS: MAX_STEPS };
  return [
    fail('too-many-steps', axis.key, say('breakdown.ladder-checks.so-small-a-step-needs-rungs-or', said)),
  ];
}

/** Where owned sizes leave too large a step, the size to get is named; and a demand that nobody has. */
function checkSizes(axis: Axis): Failure[] {
  const { sizes = [] } = axis;
  if (sizes.length === 0) return [];
  const series = axisSeries(axis);
  const gaps = series.slice(1).flatMap((to, i) => {
    const from = series[i] as number;
    if (stepTaken(axis, from, to) <= axis.limit * (1 + SLACK)) return [];
    const said = { title: axis.title, from: write(axis, from), to: write(axis, to) };
    return [fail('size-missing', axis.key, say('breakdown.ladder-checks.a-size-between-is-missing', said))];
  });
  const has = sizes.some((size) => Math.abs(stepSize(axis, size, axis.demand)) <= SLACK);
  if (has) return gaps;
  const said = { title: axis.title, size: write(axis, axis.demand) };
  return [
    ...gaps,
    fail('size-missing', axis.key, say('breakdown.ladder-checks.the-wanted-size-is-not-yours-yet', said)),
  ];
}

function checkStep({ axes, rungs }: Ladder, index: number): Failure[] {
  const [below, rung] = [rungs[index - 1] as Rung, rungs[index] as Rung];
  const sizes = axes.map((axis) => ({
    axis,
    size: stepSize(axis, valueAt(below, axis), valueAt(rung, axis)),
  }));
  const raised = sizes.filter(({ size }) => size > SLACK).map(({ axis }) => axis);
  const easier = sizes.filter(({ axis, size }) => size < -SLACK && !rung.eases.includes(axis.key));
  const large = raised.filter((axis) => isTooLarge(axis, rungs, index));
  const said = { index: index + 1 };
  return [
    ...(raised.length > 1
      ? [
          fail(
            'two-raised',
            `rungs[${index}]`,
            say('breakdown.ladder-checks.rung-raises-at-once-raise-one-then', {
              ...said,
              names: names(raised),
            }),
          ),
        ]
      : []),
    ...large.map((axis) => fail('step-too-large', pathOf(index, axis), tooLarge(axis, below, rung, index))),
    ...easier.map(({ axis }) =>
      fail(
        'easier-unplanned',
        pathOf(index, axis),
        say('breakdown.ladder-checks.rung-is-easier-in-than-the-one', {
          ...said,
          title: axis.title.toLowerCase(),
        }),
      ),
    ),
  ];
}

/**
 * Larger than the person's limit. Not where an eased axis returns to a value already met, where rungs are
 * skipped on purpose, or between two sizes that are owned (`checkSizes` says which one is missing).
 */
function isTooLarge(axis: Axis, rungs: readonly Rung[], index: number): boolean {
  const [below, rung] = [rungs[index - 1] as Rung, rungs[index] as Rung];
  if (rung.skipped > 0 || (axis.sizes ?? []).length > 0) return false;
  const value = valueAt(rung, axis);
  if (stepTaken(axis, valueAt(below, axis), value) <= axis.limit * (1 + SLACK)) return false;
  return !rungs.slice(0, index).some((one) => stepSize(axis, value, valueAt(one, axis)) >= -SLACK);
}

function tooLarge(axis: Axis, below: Rung, rung: Rung, index: number): Sentence {
  const [from, to] = [valueAt(below, axis), valueAt(rung, axis)];
  return say('breakdown.ladder-checks.rung-is-your-limit-is-put-a-rung', {
    index: index + 1,
    title: axis.title.toLowerCase(),
    step: writeChange(axis, from, to),
    writeStep: writeStep(axis, stepTaken(axis, from, to)),
    writeStep2: writeStep(axis, axis.limit),
  });
}

const there = (axis: Axis, rung: Rung): boolean => stepSize(axis, axis.demand, valueAt(rung, axis)) >= -SLACK;

/** Some rung has to ask all that is demanded at once, and a signed axis on both of its sides. */
function checkDemand({ axes, rungs }: Ladder): Failure[] {
  if (rungs.some((rung) => axes.every((axis) => there(axis, rung))))
    return axes.filter((axis) => isOneSided(axis, rungs)).map(oneSided);
  const last = rungs.at(-1);
  const short = axes.filter((axis) => last && !there(axis, last));
  const what = short.map((axis) => `${axis.title.toLowerCase()} (${write(axis, axis.demand)})`).join(' and ');
  return [
    fail(
      'demand-never-reached',
      short[0]?.key ?? '',
      say('breakdown.ladder-checks.no-rung-asks-all-that-is-demanded', {
        names: what
          ? say('breakdown.ladder-checks.the-last-is-short-of', { names: what })
          : say('breakdown.ladder-checks.at-once'),
      }),
    ),
  ];
}

function isOneSided(axis: Axis, rungs: readonly Rung[]): boolean {
  if (axis.harder !== 'both' || axis.demand === 0) return false;
  const sides = rungs.filter((rung) => there(axis, rung)).map((rung) => Math.sign(valueAt(rung, axis)));
  return new Set(sides).size < 2;
}

const oneSided = (axis: Axis): Failure =>
  fail(
    'demand-never-reached',
    axis.key,
    say('breakdown.ladder-checks.is-reached-on-one-side-only', {
      title: axis.title,
      write: write({ ...axis, harder: 'more' }, axis.demand),
    }),
  );

function checkSafety(axis: Axis, rung: Rung, index: number): Failure[] {
  const value = valueAt(rung, axis);
  if (axis.safety === null || stepSize(axis, axis.safety.value, value) <= SLACK) return [];
  const words = say('breakdown.ladder-checks.rung-goes-beyond', {
    index: index + 1,
    title: axis.title.toLowerCase(),
    write: write(axis, value),
    write2: write(axis, axis.safety.value),
  });
  return [
    fail(
      'safety-limit',
      pathOf(index, axis),
      say('breakdown.ladder-checks.the-limit-for-this-dog', { words, source: axis.safety.source }),
    ),
  ];
}

const names = (axes: readonly Axis[]): string => axes.map((axis) => axis.title.toLowerCase()).join(' and ');
const pathOf = (index: number, axis: { readonly key: AxisKey }): string => `rungs[${index}].${axis.key}`;

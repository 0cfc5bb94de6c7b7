import {
  fail,
  fromBase,
  must,
  type NumberCustom,
  ok,
  PLAIN_NUMBERS,
  PLAIN_READING,
  parseOne,
  type Quantity,
  type Reading,
  type Result,
  type Sentence,
  say,
  toBase,
  unitWritten,
} from '@/core/shared';
import type { Axis } from './axis';
import { parseValue } from './axis-values';
import type { MethodAxis } from './method-file';
import { axisFrom } from './methods';
import { axisScale } from './scale';
import { readStep, stepText } from './step-text';

/**
 * Sizes that a person owns, as written: "90 L, 65, 40" → three volumes. A bare one has the unit of the others,
 * else the axis's. Fails as `parseOne` does, with what is wrong in words; nothing written is no size.
 */
export function readSizes(
  axis: Pick<Axis, 'quantity' | 'unit'>,
  text: string,
  custom: NumberCustom = PLAIN_NUMBERS,
): Result<number[]> {
  // A comma with a space after it parts sizes; one without stands before a fraction.
  const written = text
    .split(/[;\n]|,(?=\s|$)/)
    .map((one) => one.replaceAll('\u00a0', ' ').trim())
    .filter(Boolean);
  const unit = written.map((one) => unitWritten(one, axis.quantity)).find((one) => one !== null);
  const sizes: number[] = [];
  for (const one of written) {
    const size = parseOne(one, axis.quantity, unit ?? axis.unit, custom);
    if (!size.ok) return size;
    sizes.push(size.value);
  }
  return ok(sizes);
}

/** What a size can be a size of, in the order in which a unit is looked for: a length is taken for a height. */
const SIZED = ['volume', 'height', 'mass', 'area'] as const;
export type Sized = {
  readonly quantity: (typeof SIZED)[number];
  readonly unit: string;
  readonly sizes: readonly number[];
};

/**
 * Sizes of a thing of which nobody has said what is measured: the unit tells. "90 L, 65 L" → volumes,
 * "20, 30 cm" → heights. Fails with `sizes` where no unit is written, or they do not go together.
 */
export function sizesWritten(text: string, custom: NumberCustom = PLAIN_NUMBERS): Result<Sized> {
  for (const quantity of SIZED) {
    const unit = text.split(/[;,\s]+/).flatMap((one) => unitWritten(`1 ${one}`, quantity) ?? [])[0];
    const sizes = unit === undefined ? null : readSizes({ quantity, unit }, text, custom);
    if (sizes?.ok && unit !== undefined && sizes.value.length > 0)
      return ok({ quantity, unit, sizes: sizes.value });
  }
  return fail('sizes', 'sizes', say('breakdown.axis-text.these-are-no-sizes', { text }));
}

/** Whether sizes of one quantity can be those of another: heights, gaps and distances are all lengths. */
export const sizesFit = (one: Quantity, other: Quantity): boolean =>
  one === other || (LENGTHS.has(one) && LENGTHS.has(other));
const LENGTHS: ReadonlySet<Quantity> = new Set(['height', 'offset', 'distance'] as const);

/** An axis of a method with the three values as they stand in their fields, and the sizes that are owned. */
export type AxisText = {
  readonly spec: MethodAxis;
  readonly start: string;
  readonly demand: string;
  readonly step: string;
  readonly sizes?: string;
};

/**
 * The unit of an axis whose start and demand are typed so: the one that was written and is not the method's
 * own; else the method's, where it is written; else what a bare number means to this person. "10 yd" and
 * "100" on an axis in metres → yd.
 */
export function unitOf(draft: AxisText, { bareUnit }: Pick<Reading, 'bareUnit'>): string {
  const { spec, start, demand, sizes = '' } = draft;
  const { quantity, unit } = spec.axis;
  const written = [start, demand, sizes.split(/[;,]/)[0] ?? ''].flatMap(
    (text) => unitWritten(text, quantity) ?? [],
  );
  const found = written.find((one) => one !== unit) ?? written[0] ?? bareUnit(quantity) ?? unit;
  return found === 'min' && [start, demand].some(isShort) ? 's' : found;
}

/** Under a minute: 3 s of a way to 1.5 min stay 3 s, not 0.05 min. */
function isShort(text: string): boolean {
  const time = parseOne(text, 'duration', 's');
  return time.ok && time.value > 0 && time.value < MINUTE;
}
const MINUTE = 60;

/** The unit of an axis of which a value was typed anew: the one that was written, but never minutes of seconds. */
export function unitTyped(axis: Pick<Axis, 'quantity' | 'unit' | 'start' | 'demand'>, text: string): string {
  const written = unitWritten(text, axis.quantity) ?? axis.unit;
  return written === 'min' && Math.min(axis.start, axis.demand) < MINUTE ? axis.unit : written;
}

/**
 * A method's axis in another unit of its quantity. Equal steps stay round in it: 5 yd become 5 m, 15 ft or
 * 6 paces.
 */
export function inUnit(spec: MethodAxis, unit: string): MethodAxis {
  const axis = { ...spec.axis, unit };
  if (unit === spec.axis.unit || spec.axis.equal !== true || spec.step === null) return { ...spec, axis };
  const shown = must(fromBase(axis.quantity, spec.step, unit));
  const round = Number(shown.toPrecision(2)) === shown ? shown : Number(shown.toPrecision(1));
  return { ...spec, axis, step: must(toBase(axis.quantity, round, unit)) };
}

/**
 * A draft in the unit in which it is typed. The method's own step, where nobody wrote another one, becomes as
 * round in it: "5 yd" is "5 m" once the start is typed in metres.
 */
export function inTypedUnit<T extends AxisText>(draft: T, reading: Pick<Reading, 'bareUnit'>): T {
  const { spec } = draft;
  const here = inUnit(spec, unitOf(draft, reading));
  const own = spec.step === null ? null : stepText(spec.axis, spec.step);
  const isOwn = own !== null && draft.step.replace(',', '.').trim() === own;
  return {
    ...draft,
    spec: here,
    ...(isOwn && here.step !== null ? { step: stepText(here.axis, here.step) } : {}),
  };
}

/**
 * Reads the fields into an axis, with what is wrong beside each field; the axis is null where they do not
 * make one. Values stay in the unit in which they were typed. Start "5 yd", demand "40", step "+5 yd" → an
 * axis in yards from 5 to 40 in equal steps.
 */
export function readAxis(
  draft: AxisText,
  reading: Reading = PLAIN_READING,
): {
  readonly axis: Axis | null;
  readonly problems: Readonly<Record<string, Sentence>>;
} {
  const { custom } = reading;
  const typed = inTypedUnit(draft, reading);
  const shape = typed.spec.axis;
  const plain = shape.harder === 'both' ? { ...shape, harder: 'more' as const } : shape;
  const fields = {
    start: parseValue(plain, draft.start, custom),
    demand: parseValue(plain, draft.demand, custom),
    step: readStep(shape, typed.step, custom),
    sizes: readSizes(shape, draft.sizes ?? '', custom),
  };
  const problems = Object.fromEntries(
    Object.entries(fields).flatMap(([field, value]) => (value.ok ? [] : [[field, value.message]])),
  );
  const { start, demand, step, sizes } = fields;
  if (!start.ok || !demand.ok || !step.ok || !sizes.ok) return { axis: null, problems };
  const spec = {
    ...typed.spec,
    axis: {
      ...shape,
      ...(step.value.equal || shape.equal ? { equal: step.value.equal } : {}),
      ...(sizes.value.length > 0 ? { sizes: sizes.value } : {}),
    },
  };
  const axis = axisFrom(spec, { start: start.value, demand: demand.value, step: step.value.step });
  if (!axis.ok) return { axis: null, problems: { start: axis.message } };
  const scale = axisScale(axis.value);
  return scale.ok ? { axis: axis.value, problems } : { axis: null, problems: { start: scale.message } };
}

/**
 * A single axis from its fields, for an element that is there. Fails with `kind` or `axis` and the
 * first problem. An empty step is the usual one of its kind.
 */
export function readNewAxis(
  spec: MethodAxis | undefined,
  text: { readonly title: string; readonly start: string; readonly demand: string; readonly step: string },
  reading: Reading = PLAIN_READING,
): Result<Axis> {
  if (!spec) return fail('kind', '', say('breakdown.axis-text.choose-a-kind-of-criterion'));
  const named = text.title === '' ? spec : { ...spec, axis: { ...spec.axis, title: text.title } };
  const step = text.step.trim() === '' && spec.step !== null ? stepText(spec.axis, spec.step) : text.step;
  const read = readAxis({ spec: named, start: text.start, demand: text.demand, step }, reading);
  return read.axis
    ? ok(read.axis)
    : fail(
        'axis',
        '',
        Object.values(read.problems)[0] ?? say('breakdown.axis-text.these-values-do-not-fit-together'),
      );
}

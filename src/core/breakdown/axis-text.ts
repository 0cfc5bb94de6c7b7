import { fail, fromBase, must, ok, parseOne, type Result, type Sentence, say } from '@/core/shared';
import { type Axis, axisScale, isRatioAxis, parseValue } from './axis';
import { axisFrom, type MethodAxis } from './methods';

/**
 * A step as a person reads and types it: a share in percent where lengths and times are climbed, an
 * amount elsewhere. A step of .25 on distance → "25 %", of 1 on choices → "1".
 */
export function stepText(axis: Pick<Axis, 'quantity' | 'unit' | 'levels'>, step: number): string {
  return isRatioAxis(axis) ? `${Number((step * 100).toPrecision(3))} %` : amountText(axis, step);
}

/**
 * An amount in the axis's unit with six figures, so that what was typed comes back as it was typed;
 * `writeAmount` would round it for reading. 9.144 in yards → "10 yd".
 */
export function amountText(axis: Pick<Axis, 'quantity' | 'unit'>, base: number): string {
  const shown = must(fromBase(axis.quantity, base, axis.unit));
  return `${Number(shown.toPrecision(6))}${axis.unit === '°' || axis.unit === '' ? '' : ' '}${axis.unit}`;
}

/**
 * A step: a share where lengths and times are climbed, an amount elsewhere. Fails with `step`, or
 * as `parseOne` does.
 */
export function readStep(axis: Pick<Axis, 'quantity' | 'unit'>, text: string): Result<number> {
  if (isRatioAxis(axis)) {
    const match = /^\+?\s*(\d+(?:[.,]\d+)?)\s*%?$/.exec(text.trim());
    const percent = match ? Number((match[1] ?? '').replace(',', '.')) : Number.NaN;
    return percent > 0
      ? ok(percent / 100)
      : fail('step', '', say('breakdown.axis-text.is-not-a-step-here-a-step-is-a', { text }));
  }
  const value = parseOne(text, axis.quantity, axis.unit);
  if (value.ok && !(value.value > 0))
    return fail('step', '', say('breakdown.axis-text.a-step-is-more-than-0'));
  return value;
}

/** An axis of a method with the three values as they stand in their fields. */
export type AxisText = {
  readonly spec: MethodAxis;
  readonly start: string;
  readonly demand: string;
  readonly step: string;
};

/**
 * Reads the three fields into an axis, with what is wrong beside each field; the axis is null where
 * they do not make one. Start "5 m", demand "40 m", step "25 %" → an axis from 5 to 40.
 */
export function readAxis(draft: AxisText): {
  readonly axis: Axis | null;
  readonly problems: Readonly<Record<string, Sentence>>;
} {
  const shape = draft.spec.axis;
  const plain = shape.harder === 'both' ? { ...shape, harder: 'more' as const } : shape;
  const fields: Readonly<Record<'start' | 'demand' | 'step', Result<number>>> = {
    start: parseValue(plain, draft.start),
    demand: parseValue(plain, draft.demand),
    step: readStep(shape, draft.step),
  };
  const problems = Object.fromEntries(
    Object.entries(fields).flatMap(([field, value]) => (value.ok ? [] : [[field, value.message]])),
  );
  if (!fields.start.ok || !fields.demand.ok || !fields.step.ok) return { axis: null, problems };
  const axis = axisFrom(draft.spec, {
    start: fields.start.value,
    demand: fields.demand.value,
    step: fields.step.value,
  });
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
): Result<Axis> {
  if (!spec) return fail('kind', '', say('breakdown.axis-text.choose-a-kind-of-criterion'));
  const named = text.title === '' ? spec : { ...spec, axis: { ...spec.axis, title: text.title } };
  const step = text.step.trim() === '' && spec.step !== null ? stepText(spec.axis, spec.step) : text.step;
  const read = readAxis({ spec: named, start: text.start, demand: text.demand, step });
  return read.axis
    ? ok(read.axis)
    : fail(
        'axis',
        '',
        Object.values(read.problems)[0] ?? say('breakdown.axis-text.these-values-do-not-fit-together'),
      );
}

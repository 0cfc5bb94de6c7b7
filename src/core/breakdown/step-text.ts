import {
  fail,
  fromBase,
  must,
  type NumberCustom,
  ok,
  PLAIN_NUMBERS,
  parseOne,
  type Result,
  say,
} from '@/core/shared';
import { type Axis, climbsByShares, isRatioAxis } from './axis';

/**
 * A step as a person reads and types it: a share in percent, an amount where steps are equal or nothing
 * else is climbed by. A step of .25 on distance → "25 %", of 4.572 in equal steps of yards → "5 yd".
 */
export function stepText(axis: Pick<Axis, 'quantity' | 'unit' | 'levels' | 'equal'>, step: number): string {
  return climbsByShares(axis) ? `${Number((step * 100).toPrecision(3))} %` : amountText(axis, step);
}

/**
 * An amount in the axis's unit with six figures, so that what was typed comes back as it was typed;
 * `writeAmount` would round it for reading. 9.144 in yards → "10 yd".
 */
export function amountText(axis: Pick<Axis, 'quantity' | 'unit'>, base: number): string {
  const shown = must(fromBase(axis.quantity, base, axis.unit));
  return `${Number(shown.toPrecision(6))}${axis.unit === '°' || axis.unit === '' ? '' : ' '}${axis.unit}`;
}

/** A step as one might write it, where a share of what stands means nothing: "5°", "5 cm". */
const exampleOf = ({ quantity, unit }: Pick<Axis, 'quantity' | 'unit'>): string =>
  quantity === 'angle' ? '5°' : quantity === 'height' && unit === 'cm' ? '5 cm' : `1 ${unit}`.trim();

/** A step that was read: its size, and whether every step is of this one amount. */
export type Step = { readonly step: number; readonly equal: boolean };

/**
 * A step: a share ("25 %", or a bare "25" on an axis of lengths and times), or an amount ("5 yd", "+5"). Fails
 * with `step`, or as `parseOne` does. Of 10 to 100 yd "+5 yd" → `{ step: 4.572, equal: true }`.
 */
export function readStep(
  axis: Pick<Axis, 'quantity' | 'unit'>,
  text: string,
  custom: NumberCustom = PLAIN_NUMBERS,
): Result<Step> {
  const written = text.trim().replace(/^\+\s*/, '');
  const amount = text.trim().startsWith('+') && !written.endsWith('%');
  const share = /^(\d+(?:[.,]\d+)?)\s*(%?)$/.exec(written);
  if (isRatioAxis(axis) && share && !amount) {
    const percent = Number((share[1] ?? '').replace(',', '.'));
    return percent > 0
      ? ok({ step: percent / 100, equal: false })
      : fail('step', '', say('breakdown.axis-text.a-step-is-more-than-0'));
  }
  if (share?.[2] === '%' || written === '')
    return fail(
      'step',
      '',
      isRatioAxis(axis)
        ? say('breakdown.axis-text.is-not-a-step-here-a-step-is-a', { text })
        : say('breakdown.axis-text.say-how-large-a-step', { example: exampleOf(axis) }),
    );
  const value = parseOne(written, axis.quantity, axis.unit, custom);
  if (!value.ok) return value;
  return value.value > 0
    ? ok({ step: value.value, equal: isRatioAxis(axis) })
    : fail('step', '', say('breakdown.axis-text.a-step-is-more-than-0'));
}

import {
  fail,
  type NumberCustom,
  ok,
  PLAIN_NUMBERS,
  parseOne,
  type Result,
  type Sentence,
  say,
} from '@/core/shared';
import type { Axis } from './axis';
import { measuredAs } from './measured';

const levelNamed = (name: string | undefined): Sentence =>
  name === undefined ? say('breakdown.axis.a-step-that-is-gone') : say('shared.name', { name });

/** A value of this axis as it is read: "20 m", "30° left", or the name of a step. */
export function writeValue(
  axis: Pick<Axis, 'quantity' | 'unit' | 'levels' | 'harder'>,
  base: number,
): Sentence {
  if (axis.levels !== null) return levelNamed(axis.levels.find((level) => level.id === base)?.name);
  const { quantity, unit } = axis;
  const amount = { quantity, base: axis.harder === 'both' ? Math.abs(base) : base, unit };
  return axis.harder !== 'both' || base === 0
    ? say('shared.amount', { amount })
    : say('breakdown.axis.to-a-side', { amount, right: base > 0 });
}

/**
 * Reads a value of this axis: a quantity, a quantity with a side, or the name or number (from 1) of
 * a step. Fails as `parseOne` does, and with `level` for a step that is not on the list.
 * `parseValue(angle, '30° left')` → −30.
 */
export function parseValue(
  axis: Pick<Axis, 'title' | 'quantity' | 'unit' | 'levels' | 'harder'>,
  text: string,
  custom: NumberCustom = PLAIN_NUMBERS,
): Result<number> {
  if (axis.levels !== null) {
    const wanted = text.trim().toLowerCase();
    const place = axis.levels.findIndex(
      (level, i) => level.name.toLowerCase() === wanted || String(i + 1) === wanted,
    );
    const names = axis.levels.map((level, i) => `${i + 1} ${level.name}`).join(', ');
    return place >= 0
      ? ok(axis.levels[place]?.id as number)
      : fail(
          'level',
          '',
          say('breakdown.axis.is-not-a-step-of-these-are', {
            text: text.trim(),
            title: axis.title.toLowerCase(),
            names,
          }),
        );
  }
  const side =
    axis.harder === 'both'
      ? /^(.*?)\s*(left|right|links|rechts|gauche|droite|l|r)$/i.exec(text.trim())
      : null;
  const amount = parseOne(side?.[1] ?? text, axis.quantity, axis.unit, custom);
  if (!amount.ok || !side) return amount;
  return ok(/^[lg]/i.test(side[2] ?? '') ? -Math.abs(amount.value) : Math.abs(amount.value));
}

/**
 * What a rung asks on one axis, in words: `askedOf(latency, 2)` → "at most 2 s" where it is measured and the
 * dog may stay below it; what is set out (a tub of 65 L, a gap of 20 cm) is the value alone.
 */
export function askedOf(axis: Axis, value: number): Sentence {
  return axis.harder === 'less' && measuredAs(axis) !== null
    ? say('breakdown.axis.at-most', { writeValue: writeValue(axis, value) })
    : writeValue(axis, value);
}

/** The same with the axis's name: "Distance to you 15 m". */
export function axisInWords(axis: Axis, value: number): Sentence {
  return say('breakdown.axis.in-words', { title: axis.title, asked: askedOf(axis, value) });
}

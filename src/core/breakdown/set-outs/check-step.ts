import { fromBase, must, say, toBase } from '@/core/shared';
import { type Axis, climbsByShares } from '../axis';
import { writeValue } from '../axis-values';
import type { Ladder } from '../ladder';
import { type Criteria, completed } from '../place';
import { stepTaken } from '../scale';
import { type Check, care, note } from './check';

/** What a drawing asks on a ladder, and where the dog stands on it. */
export type AskedStep = { readonly ladder: Ladder; readonly stands: Criteria; readonly asks: Criteria };

/**
 * What a drawing asks against where the dog stands: a step larger than its ladder's, and what goes up at once. Null,
 * of a set-out that is laid for nothing, says nothing.
 */
export function checkStep(step: AskedStep | null): Check[] {
  if (!step) return [];
  const { ladder, stands, asks } = step;
  const [from, to] = [completed(ladder.axes, stands), completed(ladder.axes, asks)];
  const up = ladder.axes.filter(
    (axis) => axis.role !== 'pay' && stepTaken(axis, from[axis.key] as number, to[axis.key] as number) > 1e-6,
  );
  const large = up.flatMap((axis) => {
    const [a, b] = [from[axis.key] as number, to[axis.key] as number];
    if (axis.levels !== null || stepTaken(axis, a, b) <= axis.limit * (1 + 1e-6)) return [];
    // Where the axis has steps of one amount from 0, there is no share to go by.
    const grows = climbsByShares(axis) ? 1 + axis.limit : null;
    const reach =
      axis.harder === 'less'
        ? grows
          ? a / grows
          : a - axis.limit
        : grows
          ? a * grows
          : Math.abs(a) + axis.limit;
    return [
      care(
        'large-step',
        say('set-outs.large-step', {
          title: axis.title.toLowerCase(),
          from: writeValue(axis, a),
          to: writeValue(axis, b),
          most: writeValue(axis, withinShown(axis, reach)),
          less: axis.harder === 'less',
        }),
      ),
    ];
  });
  const several =
    up.length > 1
      ? [
          note(
            'several-up',
            say('set-outs.several-up', {
              titles: { list: up.map((axis) => axis.title.toLowerCase()), between: ' and ' },
            }),
          ),
        ]
      : [];
  return [...large, ...several];
}

/** Rounded as it is written, to the side that is no harder: laid so it is not too much. */
function withinShown({ quantity, unit, harder }: Axis, base: number): number {
  const shown = must(fromBase(quantity, base, unit));
  const least = 10 ** (Math.floor(Math.log10(Math.abs(shown) || 1)) - 2);
  const rounded = (harder === 'less' ? Math.ceil(shown / least) : Math.floor(shown / least)) * least;
  return must(toBase(quantity, rounded, unit));
}

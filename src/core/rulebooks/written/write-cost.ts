import { unreachable } from '@/core/shared';
import type { Acting, Cost } from '../families/fault-schema';

/** How numbers are written: with a point or with a comma. */
type Writer = (value: number) => string;

/**
 * A price as it can be typed again: what `readCost` reads back as the same price. What one line does not
 * hold (other limits for other sizes) stays beside it. `writeCost({ kind: 'each', points: 2, cap: 6 }, {},
 * String)` → "2 each, at most 6".
 */
export function writeCost(
  cost: Cost,
  more: {
    readonly warnings?: number | undefined;
    readonly nth?: { readonly at: number; readonly does: Acting } | undefined;
  },
  number: Writer,
): string {
  return [
    ...(more.warnings === undefined
      ? []
      : [more.warnings === 1 ? 'first only a warning' : `first ${more.warnings} are only warnings`]),
    ...clausesFor(cost, number),
    ...(more.nth ? [`${more.nth.at}${ending(more.nth.at)} time ${doing(more.nth.does)}`] : []),
  ].join(', ');
}

const doing = (does: Acting): string => (does === 'zero' ? 'zero' : 'out');
const ending = (n: number): string =>
  n % 100 > 10 && n % 100 < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
const spaced = (unit: string): string => (unit === '°' ? unit : ` ${unit}`);

function clausesFor(cost: Cost, number: Writer): string[] {
  const cap = 'cap' in cost && cost.cap !== undefined ? [`at most ${number(cost.cap)}`] : [];
  switch (cost.kind) {
    case 'each':
      return cap.length > 0 ? [`${number(cost.points)} each`, ...cap] : [number(cost.points)];
    case 'bonus':
      return [`+${number(cost.points)}`, ...cap];
    case 'per-extra-cue':
      return [
        `${number(cost.points)} per extra cue`,
        ...(cost.usual === 1 ? [] : [`usually ${number(cost.usual)}`]),
        ...cap,
      ];
    case 'per-second':
    case 'per-metre': {
      const unit = cost.kind === 'per-second' ? 's' : 'm';
      const each = cost.kind === 'per-second' ? 'second' : 'metre';
      const past = cost.beyond === 0 ? '' : ` over ${number(cost.beyond)} ${unit}`;
      return [
        `${number(cost.points)} per ${each}${past}`,
        ...(cost.usual === 1 ? [] : [`usually ${number(cost.usual)} ${unit}`]),
        ...cap,
        ...(cost.acts ? [`over ${number(cost.acts.over)} ${unit} ${doing(cost.acts.does)}`] : []),
      ];
    }
    case 'band':
      return [
        ...cost.bands.map((band) => `over ${number(band.over)}${spaced(cost.unit)} ${number(band.points)}`),
        ...(cost.acts ? [`over ${number(cost.acts.over)}${spaced(cost.unit)} ${doing(cost.acts.does)}`] : []),
      ];
    case 'discretion':
      return cost.low === cost.high
        ? [`up to ${number(cost.high)}`, `usually ${number(cost.usual)}`]
        : [`${number(cost.low)}–${number(cost.high)}`, `usually ${number(cost.usual)}`];
    case 'zero':
      return ['zero'];
    case 'end-run':
      return ['out'];
    case 'major':
      return ['major fault'];
    case 'attempt':
      return ['an attempt'];
    case 'cue':
      return ['an extra cue'];
    default:
      return unreachable(cost);
  }
}

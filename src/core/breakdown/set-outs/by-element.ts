import { type AxisKey, asId } from '@/core/shared';
import type { Axis } from '../axis';
import { type Reading, type Reads, readingsFor } from './readings';
import type { Template } from './templates';

type Drawn = { readonly template: Template; readonly reads: Readonly<Record<string, Reading>> };

/** How the elements of the methods are set out, and which of their axes is what on the drawing. */
const BY_METHOD: Readonly<Record<string, Drawn>> = {
  'memory-retrieve/memory': { template: 'line', reads: { distance: 'to-object' } },
  'memory-retrieve/blind': { template: 'memory-and-blind', reads: { distance: 'to-blind' } },
  'memory-retrieve/steady': { template: 'line', reads: {} },
  'field-season/mark': { template: 'marks', reads: {} },
  'field-season/blind': { template: 'memory-and-blind', reads: {} },
  'directional-casts/chain': { template: 'platform', reads: {} },
  'directional-casts/cast': { template: 'casts', reads: { distance: 'to-object', angle: 'cast' } },
  'around/round': { template: 'pole', reads: { distance: 'to-object' } },
  'platform/sent': { template: 'platform', reads: { distance: 'to-object' } },
  'recall-lane/fast': { template: 'lane', reads: { distance: 'to-handler' } },
  'recall-lane/lane': { template: 'lane', reads: { width: 'width' } },
  'wait-come-finish/come': { template: 'stay', reads: { distance: 'to-handler' } },
  'positions-at-a-distance/position': { template: 'stay', reads: { distance: 'to-handler' } },
  'positions-at-a-distance/mixed': { template: 'stay', reads: { distance: 'to-handler' } },
  'stays/away': { template: 'stay', reads: { distance: 'to-handler' } },
  'stays/near': { template: 'toy', reads: { near: 'to-toy' } },
  'nose-to-hand/away': { template: 'stay', reads: { distance: 'to-handler' } },
  'upright/away': { template: 'stay', reads: { distance: 'to-handler' } },
  'scent-discrimination/deliver': { template: 'line', reads: { distance: 'to-object' } },
  'scent-discrimination/choose': { template: 'article-line', reads: { choices: 'count' } },
  'scent-discrimination/near': { template: 'article-line', reads: { gap: 'gap' } },
  'search/food': { template: 'hides', reads: {} },
  'search/odour': { template: 'boxes', reads: { area: 'count' } },
  'props/run-up': { template: 'hurdle', reads: { run: 'to-object' } },
  'reward-behind/run': { template: 'line', reads: { distance: 'to-object' } },
};
/** @internal */
export const DRAWN_METHODS = BY_METHOD;

/**
 * How an element is set out to begin with, and which axis is what on the drawing: as its method says (nothing
 * of it, where the method does not); else by what its axes measure. A distance is taken for that to what the dog goes to, a set-up offset for a gap. All of
 * it can be said otherwise on the set-out itself.
 */
export function drawnAs(element: {
  readonly axes: readonly Axis[];
  readonly method: { readonly id: string; readonly element: string } | null;
}): { readonly template: Template; readonly reads: Reads } {
  const { axes, method } = element;
  const known = method
    ? (BY_METHOD[`${method.id}/${method.element}`] ?? { template: 'stay' as const, reads: {} })
    : undefined;
  const reads: Record<AxisKey, Reading> = {};
  const taken = new Set<Reading>();
  for (const axis of axes) {
    const said = known?.reads[axis.key];
    const first = readingsFor(axis).find((one) => !taken.has(one) && !(known && said === undefined));
    const reading = said ?? first;
    if (reading === undefined || !readingsFor(axis).includes(reading)) continue;
    reads[asId<AxisKey>(axis.key)] = reading;
    taken.add(reading);
  }
  return { template: known?.template ?? templateFor(taken), reads };
}

function templateFor(readings: ReadonlySet<Reading>): Template {
  if (readings.has('cast')) return 'casts';
  if (readings.has('count')) return 'article-line';
  if (readings.has('width')) return 'lane';
  return 'line';
}

import type { Axis } from './axis';
import type { WorkTag } from './work-tags';

/** What of a rep can be measured against an axis. */
export type MeasuredAs = 'held' | 'latency' | 'angle' | 'offset' | 'count';

/**
 * What a rep's measured value is held against this axis: a time that is harder the longer must be held,
 * one that is harder the shorter is an answer or a run, an angle that is harder the smaller is
 * straightness. An offset is measured only where the axis says so: a gap or a lane is set up, not
 * measured. So is a count (paws on it), not one that is set up. Null for what is set up. Duration, harder more → 'held'.
 */
export function measuredAs(axis: Pick<Axis, 'quantity' | 'harder' | 'role' | 'measured'>): MeasuredAs | null {
  if (axis.role !== 'criterion') return null;
  switch (axis.quantity) {
    case 'duration':
      return axis.harder === 'more' ? 'held' : 'latency';
    case 'latency':
      return 'latency';
    case 'angle':
      return axis.harder === 'less' ? 'angle' : null;
    case 'offset':
      return axis.measured === true && axis.harder === 'less' ? 'offset' : null;
    case 'count':
      return axis.measured === true && axis.harder === 'more' ? 'count' : null;
    default:
      return null;
  }
}

/** The list of responses of an element that is judged by grades; undefined where it has none. */
export const gradeAxis = <A extends Pick<Axis, 'levels' | 'role'>>(axes: readonly A[]): A | undefined =>
  axes.find((axis) => axis.levels !== null && axis.role === 'criterion');

/** How many cues a rung allows where that is an axis of help (3, 2, 1); null where none says. */
export function cuesAxis<A extends Pick<Axis, 'key' | 'quantity' | 'role'>>(axes: readonly A[]): A | null {
  return (
    axes.find((axis) => axis.role === 'help' && axis.quantity === 'count' && /cue/.test(axis.key)) ?? null
  );
}

const BODY: readonly WorkTag[] = ['jump', 'turn', 'run', 'pull', 'tug', 'upright', 'strength'];

/**
 * Whether the body has to be warm and built up for it: after a gap no old height, hold, pull or run is
 * asked of it, not even once.
 */
export const isBodyWork = (work: readonly WorkTag[]): boolean => work.some((tag) => BODY.includes(tag));

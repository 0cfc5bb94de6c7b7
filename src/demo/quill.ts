import type { Skill, Temperament } from '@/core/learner';

/**
 * How Quill, an invented Shetland Sheepdog, trains one element: where it started, and what the
 * simulated dog is like at it.
 */
export type ElementSpec = {
  readonly exercise: string;
  readonly part: string;
  /**
   * For each axis of the rule book's element, in its order. Values in the demand's unit; steps as
   * `Axis.step`.
   */
  readonly axes: readonly {
    readonly start: number;
    readonly step: number;
    readonly limit: number;
    readonly eases?: readonly string[];
    readonly zeroScale?: number;
  }[];
  readonly skill: Skill;
  /**
   * Which faults spoil a rep, by key (and `:step`) and weight; what is missed altogether is the rule
   * book's own fault for it.
   */
  readonly flaws: Readonly<Record<string, number>>;
  /** Share of reps that the handler spoils, and how. */
  readonly slip?: { readonly fault: string; readonly share: number };
  /** Seconds from cue to response, and how much that varies (log scale). */
  readonly latency: number;
};

const axis = (start: number, step: number, limit: number, eases: readonly string[] = []) => ({
  start,
  step,
  limit,
  eases,
});

/**
 * Trouble on purpose: the stop at a distance is stuck (a wall), the front stays crooked, and the
 * handler repeats the stop cue.
 */
export const QUILL: readonly ElementSpec[] = [
  {
    exercise: 'square',
    part: 'set-up',
    axes: [axis(30, 5, 8)],
    skill: { level: 2.2, slopes: [1.6] },
    flaws: { 'crooked-start:0': 5, 'crooked-start:1': 1 },
    latency: 1.4,
  },
  {
    exercise: 'square',
    part: 'run-out',
    axes: [axis(6, 0.3, 0.45), axis(4, 0.4, 0.6, ['distance'])],
    skill: { level: 2.4, slopes: [1.5, 0.9] },
    flaws: { 'off-line': 4, 'slow-out': 3 },
    latency: 0.9,
  },
  {
    exercise: 'square',
    part: 'stop-down',
    axes: [axis(3, 0.3, 0.45), axis(4, 0.3, 0.45, ['distance'])],
    skill: { level: 1.9, slopes: [2.6, 0.8] },
    flaws: { 'slow-down': 6, 'over-tape': 2 },
    slip: { fault: 'extra-cue', share: 0.09 },
    latency: 1.6,
  },
  {
    exercise: 'square',
    part: 'wait',
    axes: [axis(3, 0.5, 0.8), axis(5, 0.4, 0.6, ['duration'])],
    skill: { level: 2.1, slopes: [1.4, 0.8] },
    flaws: { creeps: 3, restless: 2 },
    latency: 0.8,
  },
  {
    exercise: 'square',
    part: 'back-to-heel',
    axes: [axis(5, 0.4, 0.6), axis(30, 7, 10, ['distance'])],
    skill: { level: 2.5, slopes: [0.8, 1.3] },
    flaws: { 'crooked-finish:0': 5, 'crooked-finish:1': 1, 'slow-return': 2 },
    latency: 1.1,
  },
  {
    exercise: 'hurdle',
    part: 'send',
    axes: [axis(1, 0.5, 0.8)],
    skill: { level: 1.9, slopes: [1.5] },
    flaws: { 'goes-early': 5 },
    latency: 0.6,
  },
  {
    exercise: 'hurdle',
    part: 'jump-out',
    axes: [axis(15, 5, 8), axis(2, 0.4, 0.6, ['height'])],
    skill: { level: 2.6, slopes: [1.2, 0.6] },
    flaws: { 'touch-out': 4 },
    latency: 0.7,
  },
  {
    exercise: 'hurdle',
    part: 'pick-up',
    axes: [axis(4, 0.25, 0.4)],
    skill: { level: 2.3, slopes: [1.2] },
    flaws: { mouths: 3, 'slow-pick-up': 3 },
    latency: 1.5,
  },
  {
    exercise: 'hurdle',
    part: 'jump-back',
    axes: [axis(15, 5, 8), { ...axis(0, 0.6, 0.9, ['height']), zeroScale: 0.5 }],
    skill: { level: 2.2, slopes: [1.1, 1.3] },
    flaws: { 'touch-back': 4 },
    latency: 0.8,
  },
  {
    exercise: 'hurdle',
    part: 'present',
    axes: [axis(45, 7, 10)],
    skill: { level: 1.7, slopes: [2.5] },
    flaws: { 'crooked-front:0': 9, 'crooked-front:1': 3 },
    latency: 1.2,
  },
  {
    exercise: 'hurdle',
    part: 'give',
    axes: [axis(1, 0.35, 0.5)],
    skill: { level: 2.2, slopes: [1.1] },
    flaws: { 'holds-on': 4, 'mouthing-front': 3 },
    latency: 0.6,
  },
];

export const TEMPERAMENT: Temperament = {
  daySd: 0.35,
  away: -0.5,
  cold: -0.3,
  learning: 0.026,
  forgetting: 0.012,
  fatigue: 0.08,
  dismay: 0,
  rightward: 0,
};

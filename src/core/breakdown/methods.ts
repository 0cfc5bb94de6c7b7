import { type AxisKey, asId } from '@/core/shared';
import type { Axis } from './axis';

/** A fault to watch for, in a person's own element, where no rule book prices it. */
export type WatchedFault = { readonly key: string; readonly label: string; readonly by: 'dog' | 'handler'; readonly miss: boolean };

/** A ready way to teach one element: what is asked of the person (start and goal) and what the trade usually does. */
export type Method = {
  readonly id: string;
  readonly title: string;
  readonly teaches: string;
  readonly axis: Omit<Axis, 'start' | 'demand'>;
  readonly startHint: string;
  readonly goalHint: string;
  readonly run: { readonly advanceAfter: number; readonly dropAfter: number };
  readonly faults: readonly WatchedFault[];
  readonly kit: string;
  readonly caution: string;
  readonly advice: string;
};

const dog = (key: string, label: string): WatchedFault => ({ key, label, by: 'dog', miss: false });
const handler = (key: string, label: string): WatchedFault => ({ key, label, by: 'handler', miss: false });

/**
 * Three small methods for a first evening without a rule book. Steps are usual ones and editable; start and goal are
 * always the person's own.
 */
export const METHODS: readonly Method[] = [
  {
    id: 'positions-at-a-distance',
    title: 'Position at a distance',
    teaches: 'The dog takes sit, stand or down on one cue, away from you, without creeping in.',
    axis: {
      key: asId<AxisKey>('distance'),
      title: 'Distance to you',
      quantity: 'distance',
      unit: 'm',
      harder: 'more',
      step: 0.35,
      limit: 0.6,
      zeroScale: null,
      margin: 0.2,
      eases: [],
    },
    startHint: 'how far away it works now, e.g. 1 m',
    goalHint: 'how far away you want it, e.g. 15 m',
    run: { advanceAfter: 5, dropAfter: 2 },
    faults: [
      dog('crept', 'Crept towards you'),
      dog('late', 'Late'),
      dog('anticipated', 'Before the cue'),
      handler('second-cue', 'You gave a second cue'),
    ],
    kit: 'A mark on the ground where the dog stood, and a reward that can be thrown.',
    caution: 'Panting, circling or slow downs mean tired: end there.',
    advice: 'Let the reward land where the dog was, behind it rather than in front. Mix in other words, so that the dog listens.',
  },
  {
    id: 'memory-retrieve',
    title: 'Memory retrieve',
    teaches: 'The dog sees the dummy lie, walks away with you, and goes straight back for it.',
    axis: {
      key: asId<AxisKey>('distance'),
      title: 'Distance to the dummy',
      quantity: 'distance',
      unit: 'm',
      harder: 'more',
      step: 0.35,
      limit: 0.6,
      zeroScale: null,
      margin: 0.2,
      eases: [],
    },
    startHint: 'a send that is sure today, e.g. 5 m',
    goalHint: 'the send you want, e.g. 60 m',
    run: { advanceAfter: 5, dropAfter: 2 },
    faults: [
      dog('hesitated', 'Hesitated'),
      dog('left-line', 'Left the line'),
      dog('dropped', 'Dropped it'),
      handler('early-send', 'You sent too early'),
    ],
    kit: 'Dummies. Be sure that one lies there: never send for nothing.',
    caution: 'Keep dummies away from roads and water you do not know. Soft ground, short sets.',
    advice: 'A refusal usually means too far: shorten before you help. Add a little over weeks rather than much in an evening.',
  },
  {
    id: 'formal-hold',
    title: 'Hold, still and light',
    teaches: 'The dog holds the object with a quiet mouth and the head up until you take it.',
    axis: {
      key: asId<AxisKey>('duration'),
      title: 'Time held',
      quantity: 'duration',
      unit: 's',
      harder: 'more',
      step: 0.5,
      limit: 1,
      zeroScale: null,
      margin: 0.2,
      eases: [],
    },
    startHint: 'a hold that is sure today, e.g. 1 s',
    goalHint: 'the hold you want, e.g. 20 s',
    run: { advanceAfter: 5, dropAfter: 2 },
    faults: [dog('mouthed', 'Mouthed it'), dog('spat', 'Spat it out'), dog('head-drop', 'Head dropped'), handler('late-mark', 'You marked late')],
    kit: 'A thin dowel or the object itself.',
    caution: 'Yawning or lip licking is stress: shorten and stop early. A sore mouth is for a veterinary surgeon.',
    advice: 'Mark only a still mouth with light pressure and the head up. A few good ones beat a long warm-up.',
  },
];

import type { TourFacts } from '@/data/read';
import { tell } from './words';

export type TourStep = {
  readonly id: string;
  /** The room in which it is done, within the sample kennel. */
  readonly to: string;
  readonly title: string;
  readonly what: string;
  readonly isDone: (facts: TourFacts, path: string) => boolean;
};

/** Six things to try, in the order of the work. The first three are done when the log says so. */
export const STEPS: readonly TourStep[] = [
  {
    id: 'begin',
    to: 'today',
    title: tell('tour.begin'),
    what: tell('tour.begin-what'),
    isDone: ({ begun }) => begun,
  },
  {
    id: 'log',
    to: 'field',
    title: tell('tour.log'),
    what: tell('tour.log-what'),
    isDone: ({ reps, undone }) => reps >= 3 && undone,
  },
  {
    id: 'end',
    to: 'field',
    title: tell('tour.end'),
    what: tell('tour.end-what'),
    isDone: ({ ended }) => ended,
  },
  {
    id: 'chain',
    to: 'breakdown',
    title: tell('tour.chain'),
    what: tell('tour.chain-what'),
    isDone: (_, path) => /^breakdown\/(?!new|methods|class|prerequisites)[^/]+/.test(path),
  },
  {
    id: 'forecast',
    to: 'readiness',
    title: tell('tour.forecast'),
    what: tell('tour.forecast-what'),
    isDone: (_, path) => path.startsWith('readiness'),
  },
  {
    id: 'weeks',
    to: 'plan',
    title: tell('tour.weeks'),
    what: tell('tour.weeks-what'),
    isDone: (_, path) => path.startsWith('plan'),
  },
];

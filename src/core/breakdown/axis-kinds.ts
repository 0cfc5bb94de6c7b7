import { type AxisKey, asId, asLevel, type Sentence, say } from '@/core/shared';
import type { MethodAxis } from './method-file';
import { GENERAL_STEP } from './usual-step';

type Shape = Pick<MethodAxis['axis'], 'quantity' | 'unit' | 'harder'> & {
  readonly title: Sentence;
} & Partial<Pick<MethodAxis['axis'], 'levels' | 'role' | 'zeroScale' | 'measured'>>;

const kind = (id: string, shape: Shape, step: number | null, askStart: Sentence, askDemand: Sentence) => ({
  id,
  /** An axis of this kind, under the name that somebody gives it. */
  make: (key: AxisKey, title: string): MethodAxis => ({
    axis: {
      key,
      role: 'criterion',
      levels: null,
      zeroScale: null,
      margin: 0.2,
      eases: [],
      safety: null,
      ...shape,
      title,
    },
    start: null,
    demand: null,
    step,
    stepFrom: 'program',
    askStart,
    askDemand,
  }),
  title: shape.title,
});

/** The criteria that a person can begin with by hand. Lists are written out, easiest first. */
export const AXIS_KINDS = [
  kind(
    'distance',
    { title: say('breakdown.axis-kinds.distance'), quantity: 'distance', unit: 'm', harder: 'more' },
    GENERAL_STEP.ratio,
    say('breakdown.axis-kinds.e-g-5-m'),
    say('breakdown.axis-kinds.e-g-40-m'),
  ),
  kind(
    'time',
    { title: say('breakdown.axis-kinds.time'), quantity: 'duration', unit: 's', harder: 'more' },
    GENERAL_STEP.ratio,
    say('breakdown.axis-kinds.e-g-2-s'),
    say('breakdown.axis-kinds.e-g-1-min'),
  ),
  kind(
    'latency',
    { title: say('breakdown.axis-kinds.time-to-answer'), quantity: 'latency', unit: 's', harder: 'less' },
    GENERAL_STEP.ratio,
    say('breakdown.axis-kinds.e-g-4-s'),
    say('breakdown.axis-kinds.e-g-1-5-s'),
  ),
  kind(
    'height',
    { title: say('breakdown.axis-kinds.height'), quantity: 'height', unit: 'cm', harder: 'more' },
    null,
    say('breakdown.axis-kinds.e-g-10-cm'),
    say('breakdown.axis-kinds.e-g-40-cm'),
  ),
  kind(
    'crooked',
    { title: say('breakdown.axis-kinds.how-crooked-at-most'), quantity: 'angle', unit: '°', harder: 'less' },
    null,
    say('breakdown.axis-kinds.e-g-30'),
    say('breakdown.axis-kinds.e-g-5'),
  ),
  kind(
    'sides',
    { title: say('breakdown.axis-kinds.angle-to-either-side'), quantity: 'angle', unit: '°', harder: 'both' },
    null,
    say('breakdown.axis-kinds.e-g-0'),
    say('breakdown.axis-kinds.e-g-60'),
  ),
  kind(
    'gap',
    { title: say('breakdown.axis-kinds.gap'), quantity: 'offset', unit: 'cm', harder: 'less' },
    GENERAL_STEP.ratio,
    say('breakdown.axis-kinds.e-g-100-cm'),
    say('breakdown.axis-kinds.e-g-20-cm'),
  ),
  kind(
    'size',
    { title: say('breakdown.axis-kinds.size'), quantity: 'area', unit: 'cm²', harder: 'less' },
    GENERAL_STEP.ratio,
    say('breakdown.axis-kinds.e-g-2500-cm'),
    say('breakdown.axis-kinds.e-g-900-cm'),
  ),
  kind(
    'choices',
    { title: say('breakdown.axis-kinds.choices'), quantity: 'count', unit: '', harder: 'more' },
    GENERAL_STEP.whole,
    say('breakdown.axis-kinds.e-g-2'),
    say('breakdown.axis-kinds.e-g-6'),
  ),
  kind(
    'place',
    {
      title: say('breakdown.axis-kinds.distance-to-the-place'),
      quantity: 'offset',
      unit: 'cm',
      harder: 'less',
      measured: true,
    },
    GENERAL_STEP.ratio,
    say('breakdown.axis-kinds.e-g-200-cm'),
    say('breakdown.axis-kinds.e-g-30-cm'),
  ),
  kind(
    'cues',
    {
      title: say('breakdown.axis-kinds.cues-allowed'),
      quantity: 'count',
      unit: '',
      harder: 'less',
      role: 'help',
    },
    GENERAL_STEP.whole,
    say('breakdown.axis-kinds.e-g-3'),
    say('breakdown.axis-kinds.e-g-1'),
  ),
  kind(
    'distracts',
    {
      title: say('breakdown.axis-kinds.distance-to-what-distracts'),
      quantity: 'distance',
      unit: 'm',
      harder: 'less',
    },
    GENERAL_STEP.ratio,
    say('breakdown.axis-kinds.e-g-20-m'),
    say('breakdown.axis-kinds.e-g-2-m'),
  ),
] as const;

const ready = (
  id: string,
  role: 'criterion' | 'help' | 'pay',
  title: Sentence,
  ...levels: readonly Sentence[]
) => ({ id, role, title, levels });

/** Lists that come back in many practices, easiest first; what a person takes of them can be renamed. */
export const READY_LISTS = [
  ready(
    'help',
    'help',
    say('breakdown.axis-kinds.help'),
    say('breakdown.axis-kinds.food-in-the-hand'),
    say('breakdown.axis-kinds.empty-hand'),
    say('breakdown.axis-kinds.small-signal'),
    say('breakdown.axis-kinds.word-alone'),
  ),
  ready(
    'guide',
    'help',
    say('breakdown.axis-kinds.guide'),
    say('breakdown.axis-kinds.all-along'),
    say('breakdown.axis-kinds.half-the-way'),
    say('breakdown.axis-kinds.none'),
  ),
  ready(
    'you-stand',
    'criterion',
    say('breakdown.axis-kinds.how-you-stand'),
    say('breakdown.axis-kinds.kneeling'),
    say('breakdown.axis-kinds.crouching'),
    say('breakdown.axis-kinds.standing'),
  ),
  ready(
    'you-move',
    'criterion',
    say('breakdown.axis-kinds.how-you-move'),
    say('breakdown.axis-kinds.moving-away'),
    say('breakdown.axis-kinds.moving-across'),
    say('breakdown.axis-kinds.still'),
  ),
  ready(
    'tempts',
    'criterion',
    say('breakdown.axis-kinds.what-you-do'),
    say('breakdown.axis-kinds.one-step'),
    say('breakdown.axis-kinds.walk-round-it'),
    say('breakdown.axis-kinds.a-jig'),
    say('breakdown.axis-kinds.hand-in-the-pocket'),
    say('breakdown.axis-kinds.toy-shown'),
  ),
  ready(
    'where',
    'criterion',
    say('breakdown.axis-kinds.place'),
    say('breakdown.axis-kinds.where-you-always-train'),
    say('breakdown.axis-kinds.outside'),
    say('breakdown.axis-kinds.where-it-counts'),
  ),
  ready(
    'pay',
    'pay',
    say('breakdown.axis-kinds.pay'),
    say('breakdown.axis-kinds.every-go'),
    say('breakdown.axis-kinds.most-goes'),
    say('breakdown.axis-kinds.the-best'),
    say('breakdown.axis-kinds.none'),
  ),
] as const;

/**
 * A list of a person's own: "whole hand, half, none" from the easiest on. Null where there are not
 * two steps.
 */
export function listAxis(
  key: string,
  title: string,
  written: string,
  role: 'criterion' | 'help' | 'pay',
): MethodAxis | null {
  const names = written
    .split(/[,;\n]/)
    .map((name) => name.trim())
    .filter(Boolean);
  const [first] = names;
  if (
    names.length < 2 ||
    first === undefined ||
    new Set(names.map((name) => name.toLowerCase())).size < names.length
  )
    return null;
  const levels = names.map((name, place) => ({ id: asLevel(place), name, anchor: '' }));
  const axis = {
    key: asId<AxisKey>(key),
    title,
    quantity: 'level',
    unit: '',
    harder: 'more',
    role,
    levels,
    zeroScale: null,
    margin: 0,
    eases: [],
    safety: null,
  } as const;
  return {
    axis: { ...axis, levels, eases: [] },
    start: 0,
    demand: names.length - 1,
    step: GENERAL_STEP.whole,
    stepFrom: 'program',
    askStart: first,
    askDemand: names.at(-1) ?? '',
  };
}

import { type AxisKey, asId, asLevel } from '@/core/shared';
import { GENERAL_STEP, type MethodAxis } from './methods';

type Shape = Pick<MethodAxis['axis'], 'title' | 'quantity' | 'unit' | 'harder'> &
  Partial<Pick<MethodAxis['axis'], 'levels' | 'role' | 'zeroScale' | 'measured'>>;

const kind = (id: string, shape: Shape, step: number | null, askStart: string, askDemand: string) => ({
  id,
  make: (key: AxisKey): MethodAxis => ({
    axis: {
      key,
      role: 'criterion',
      levels: null,
      zeroScale: null,
      margin: 0.2,
      eases: [],
      safety: null,
      ...shape,
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
    { title: 'Distance', quantity: 'distance', unit: 'm', harder: 'more' },
    GENERAL_STEP.ratio,
    'e.g. 5 m',
    'e.g. 40 m',
  ),
  kind(
    'time',
    { title: 'Time', quantity: 'duration', unit: 's', harder: 'more' },
    GENERAL_STEP.ratio,
    'e.g. 2 s',
    'e.g. 1 min',
  ),
  kind(
    'latency',
    { title: 'Time to answer', quantity: 'latency', unit: 's', harder: 'less' },
    GENERAL_STEP.ratio,
    'e.g. 4 s',
    'e.g. 1.5 s',
  ),
  kind(
    'height',
    { title: 'Height', quantity: 'height', unit: 'cm', harder: 'more' },
    null,
    'e.g. 10 cm',
    'e.g. 40 cm',
  ),
  kind(
    'crooked',
    { title: 'How crooked at most', quantity: 'angle', unit: '°', harder: 'less' },
    null,
    'e.g. 30°',
    'e.g. 5°',
  ),
  kind(
    'sides',
    { title: 'Angle to either side', quantity: 'angle', unit: '°', harder: 'both' },
    null,
    'e.g. 0°',
    'e.g. 60°',
  ),
  kind(
    'gap',
    { title: 'Gap', quantity: 'offset', unit: 'cm', harder: 'less' },
    GENERAL_STEP.ratio,
    'e.g. 100 cm',
    'e.g. 20 cm',
  ),
  kind(
    'size',
    { title: 'Size', quantity: 'area', unit: 'cm²', harder: 'less' },
    GENERAL_STEP.ratio,
    'e.g. 2500 cm²',
    'e.g. 900 cm²',
  ),
  kind(
    'choices',
    { title: 'Choices', quantity: 'count', unit: '', harder: 'more' },
    GENERAL_STEP.whole,
    'e.g. 2',
    'e.g. 6',
  ),
  kind(
    'place',
    { title: 'Distance to the place', quantity: 'offset', unit: 'cm', harder: 'less', measured: true },
    GENERAL_STEP.ratio,
    'e.g. 200 cm',
    'e.g. 30 cm',
  ),
  kind(
    'cues',
    { title: 'Cues allowed', quantity: 'count', unit: '', harder: 'less', role: 'help' },
    GENERAL_STEP.whole,
    'e.g. 3',
    'e.g. 1',
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

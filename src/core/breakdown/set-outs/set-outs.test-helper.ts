import { type AxisKey, asId, must } from '@/core/shared';
import { wordsOf } from '@/words';
import type { Axis } from '../axis';
import { buildLadder } from '../ladder';
import { type Check, type CheckedSetOut, checkSetOut, type Lengths, layOut, type Thing } from '.';

export const YARD = 0.9144;
export const METRES: Lengths = { unit: 'm', pace: 0.75 };
export const key = (text: string): AxisKey => asId<AxisKey>(text);
export const axis = (more: Partial<Axis> & Pick<Axis, 'key' | 'title'>): Axis => ({
  quantity: 'distance',
  unit: 'm',
  harder: 'more',
  role: 'criterion',
  levels: null,
  start: 10,
  demand: 60,
  step: 0.25,
  limit: 0.375,
  zeroScale: null,
  margin: 0.2,
  eases: [],
  safety: null,
  ...more,
});
export const DISTANCE = axis({ key: key('distance'), title: 'Distance' });
export const ladder = buildLadder({ axes: [DISTANCE] });
export const READS = { [key('distance')]: 'to-object' } as const;
export const line = (metres: number): Thing[] => must(layOut('line', { 'to-object': metres }));
export const checked = (things: readonly Thing[], more: Partial<CheckedSetOut> = {}): Check[] =>
  checkSetOut({
    things,
    plan: null,
    wind: null,
    oldFalls: [],
    spread: null,
    runs: null,
    lengths: METRES,
    step: null,
    ...more,
  });
/** As it is read, with plain spaces. */
export const plain = (said: Parameters<typeof wordsOf>[0]): string => wordsOf(said).replaceAll('\u00a0', ' ');
/** What is said, but that no ground is drawn: most drawings here stand on none. */
export const codes = (checks: readonly Check[]): string[] =>
  checks.map(({ code }) => code).filter((code) => code !== 'no-ground');
export const thing = (kind: Thing['kind'], x: number, y: number, more: Partial<Thing> = {}): Thing => ({
  key: `${kind}-${x}-${y}`,
  kind,
  x,
  y,
  turn: 0,
  order: null,
  label: '',
  wide: null,
  long: null,
  ...more,
});

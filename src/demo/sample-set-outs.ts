import { drawnAs, drawRung, type GroundPlan, groundFrom, layOut, type Thing } from '@/core/breakdown';
import { type Entry, foldLog } from '@/core/log';
import { asId, type GroundId, must, type SetOutId } from '@/core/shared';
import type { Bout, Changed, ElementRecord, SetOut, Tables } from '@/data/records';

const YARD = 0.9144;

/** A field with a hedge and a lane behind it, and what was and is laid on it. */
export function sampleSetOuts(
  elements: readonly ElementRecord[],
  bouts: readonly Bout[],
  entries: readonly Entry[],
  changed: Changed,
): Pick<Tables, 'grounds' | 'setOuts'> {
  const ground = asId<GroundId>('sample-ground');
  const setOut = (n: number, title: string, things: readonly Thing[], asks: SetOut['asks']): SetOut => ({
    id: asId<SetOutId>(`sample-set-out-${n}`),
    title,
    ground,
    asks,
    north: 0,
    wind: { from: 250, speed: 3 },
    things: [...things],
    spread: null,
    putAway: false,
    changed,
  });
  const laidFor = (method: string): SetOut[] => {
    const element = elements.find((one) => `${one.method?.id}/${one.method?.element}` === method);
    if (!element) return [];
    const last = bouts.filter((one) => one.on.kind === 'element' && one.on.element === element.id).at(-1);
    const own = entries.filter((one) => one.boutId === last?.id);
    const criteria = last ? foldLog(last.start, own).stands : null;
    if (!criteria) return [];
    const { template, reads } = drawnAs(element);
    const drawn = must(drawRung(template, reads, criteria));
    return [setOut(2, 'Memory along the hedge', at(drawn, 14, 8), { element: element.id, criteria, reads })];
  };
  const marks = must(layOut('marks', { 'to-object': 45 * YARD, 'to-second': 60 * YARD, angle: 40 }));
  const square = must(layOut('square', { 'to-object': 25, side: 5 }));
  return {
    grounds: [
      {
        id: ground,
        name: 'The lower field',
        usualFor: [],
        surface: 'grass',
        hazards: [],
        plan: PLAN,
        putAway: false,
        changed,
      },
    ],
    setOuts: [
      setOut(1, 'Two marks, forty degrees apart', at(marks, 60, 10), null),
      ...laidFor('memory-retrieve/memory'),
      { ...setOut(3, 'Square on the club lawn', square, null), ground: null, wind: null },
    ],
  };
}

const at = (things: readonly Thing[], x: number, y: number): Thing[] =>
  things.map((one) => ({ ...one, x: one.x + x, y: one.y + y }));

const PLAN: GroundPlan = {
  ...groundFrom('road', 120, 100),
  north: 20,
  wind: { from: 250, speed: 3 },
};

import { type Axis, type Criteria, measuredAs, type WorkTag } from '@/core/breakdown';

/** What a body does that adds up over all elements and runs of a day. */
export const LOADS = ['jumps', 'sharp-turns', 'upright-holds', 'run-metres'] as const;
export type Load = (typeof LOADS)[number];

/** What was done of one element, whatever came of it: how often at which values, and seconds held (s). */
export type Done = { readonly criteria: Criteria; readonly reps: number; readonly held: number };

export type LoadWork = {
  readonly work: readonly WorkTag[];
  readonly axes: readonly Pick<Axis, 'key' | 'quantity' | 'start'>[];
};

/** Which loads a piece of work has: heights are jumped, and a catch or a vault off a person is a jump. */
export function loadsOfWork({ work, axes }: LoadWork): Load[] {
  const found: Load[] = [];
  if (work.includes('jump') || work.includes('catch') || axes.some((axis) => axis.quantity === 'height'))
    found.push('jumps');
  if (work.includes('turn')) found.push('sharp-turns');
  if (work.includes('upright')) found.push('upright-holds');
  if (work.includes('run') && axes.some((axis) => axis.quantity === 'distance')) found.push('run-metres');
  return found;
}

/**
 * What was done of an element in loads: jumps and turns in number, one a rep; upright in seconds held; runs
 * in metres of the first distance asked. Two reps of a jump and one of 20 m at a run → `{ jumps: 2,
 * 'run-metres': 0, … }` and `{ 'run-metres': 20, … }`. A rep upright of which no time was kept adds none.
 */
export function loadsDone(element: LoadWork, done: readonly Done[]): Record<Load, number> {
  const has = new Set(loadsOfWork(element));
  const length = element.axes.find((axis) => axis.quantity === 'distance');
  const sum = { jumps: 0, 'sharp-turns': 0, 'upright-holds': 0, 'run-metres': 0 };
  for (const { criteria, reps, held } of done) {
    if (has.has('jumps')) sum.jumps += reps;
    if (has.has('sharp-turns')) sum['sharp-turns'] += reps;
    if (has.has('upright-holds')) sum['upright-holds'] += held;
    if (has.has('run-metres') && length) sum['run-metres'] += reps * (criteria[length.key] ?? length.start);
  }
  return sum;
}

/**
 * What one go of an element will add to each load at these criteria: as `loadsDone`, an upright one for the
 * seconds that are asked. A jump of 30 cm → `{ jumps: 1, … }`; an upright hold of 8 s → `{ 'upright-holds': 8, … }`.
 */
export function loadsAhead(
  element: { readonly work: readonly WorkTag[]; readonly axes: readonly Axis[] },
  criteria: Criteria,
): Record<Load, number> {
  const hold = element.axes.find((axis) => measuredAs(axis) === 'held');
  const held = hold ? (criteria[hold.key] ?? hold.start) : 0;
  return loadsDone(element, [{ criteria, reps: 1, held }]);
}

export type Limit = {
  readonly of: Load;
  readonly per: 'day' | 'week';
  readonly most: number;
  readonly source: string;
};

/** A load against a person's number: `left` is what may still be done, 0 where it is reached. */
export type LoadToday = {
  readonly of: Load;
  readonly per: 'day' | 'week';
  readonly done: number;
  readonly limit: Limit | null;
  readonly left: number | null;
};

/**
 * Loads, each with what was done in the day (and in the week where a number says so), over all elements: 24 of 30 jumps → `{ of: 'jumps', done: 24, left: 6, … }`. Without a number
 * `limit` and `left` are null: none is assumed.
 */
export function loadsToday(
  loads: readonly Load[],
  limits: readonly Limit[],
  day: Readonly<Record<Load, number>>,
  week: Readonly<Record<Load, number>>,
): LoadToday[] {
  return loads.flatMap((of): LoadToday[] => {
    const mine = limits.filter((one) => one.of === of);
    if (mine.length === 0) return [{ of, per: 'day', done: day[of], limit: null, left: null }];
    return mine.map((limit) => {
      const done = limit.per === 'day' ? day[of] : week[of];
      return { of, per: limit.per, done, limit, left: Math.max(0, limit.most - done) };
    });
  });
}

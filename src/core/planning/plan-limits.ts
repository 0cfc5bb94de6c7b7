import { addDays, type Day, type DogId, dayNumber, type ElementId } from '@/core/shared';
import { LOADS, type Load } from './loads';
import type { PlanDay, PlanDog, PlanFrame, PlannedBout, PlanPiece } from './plan-frame';

/** A limit that a bout would break. Those of `SAFETY` are not broken by hand either. */
export type Broken = {
  readonly code:
    | 'no-day'
    | 'minutes'
    | 'load-day'
    | 'load-week'
    | 'off-work'
    | 'trial-day'
    | 'days-a-week'
    | 'twice'
    | 'rest-days'
    | 'not-before'
    | 'hot'
    | 'helper'
    | 'need'
    | 'whole';
  readonly day: Day;
  readonly dog: DogId;
  readonly piece: ElementId;
  /** Of a load: which one, how much the bout would make it, and the number that it breaks. */
  readonly load: { readonly of: Load; readonly would: number; readonly most: number } | null;
  /** Of a need: what it waits for. */
  readonly other: ElementId | null;
};

const SAFETY: ReadonlySet<Broken['code']> = new Set([
  'load-day',
  'load-week',
  'off-work',
  'rest-days',
  'not-before',
  'hot',
]);
export const isAboutSafety = ({ code }: Pick<Broken, 'code'>): boolean => SAFETY.has(code);

/** Days over which a number "in a week" looks. */
const WEEK = 7;
/** An exercise is run whole after so many separate bouts on its pieces. */
const SEPARATE = 5;

/** What of a load is left to a dog by day: its own number, else its heaviest week or one bout. */
export function mostOf(dog: PlanDog, of: Load, per: 'day' | 'week', oneBout: number): number {
  const own = dog.limits.filter((one) => one.of === of && one.per === per).map((one) => one.most);
  if (own.length > 0) return Math.min(...own);
  const any = dog.limits.some((one) => one.of === of);
  return per === 'day' || any ? Number.POSITIVE_INFINITY : Math.max(dog.heaviest[of], oneBout);
}

/** Goes of a bout on a rung: as usual, or as many as a number for a day leaves; 0 where it leaves none. */
export function goesOn(piece: PlanPiece, rung: number, dog: PlanDog): number {
  const perGo = piece.rungs[rung]?.perGo;
  if (!perGo) return 0;
  const most = LOADS.flatMap((of) => {
    const own = dog.limits.filter((one) => one.of === of).map((one) => one.most);
    return perGo[of] > 0 && own.length > 0 ? [Math.floor(Math.min(...own) / perGo[of] + 1e-9)] : [];
  });
  return Math.max(0, Math.min(piece.goes, ...most));
}

/**
 * A book of what is planned, against which a bout more is looked at. All bouts that were entered count;
 * `problems` of a bout that is not entered says what it would break, in the order of `Broken`'s codes.
 */
export function openBook(frame: PlanFrame) {
  const days = new Map(frame.days.map((one) => [one.day, one]));
  const dogs = new Map(frame.dogs.map((one) => [one.id, one]));
  const pieces = new Map(frame.pieces.map((one) => [one.id, one]));
  const byDay = new Map<Day, Set<PlannedBout>>();
  const byPiece = new Map<ElementId, Set<PlannedBout>>();
  const put = <K>(map: Map<K, Set<PlannedBout>>, key: K, bout: PlannedBout): void => {
    const list = map.get(key);
    if (list) list.add(bout);
    else map.set(key, new Set([bout]));
  };
  const on = (day: Day, dog: DogId): PlannedBout[] =>
    [...(byDay.get(day) ?? [])].filter((one) => one.dog === dog);
  const loadOf = (bout: PlannedBout, of: Load): number =>
    bout.goes * (pieces.get(bout.piece)?.rungs[bout.rung]?.perGo[of] ?? 0);
  const loadOn = (dog: PlanDog, day: Day, of: Load): number =>
    on(day, dog.id).reduce((sum, one) => sum + loadOf(one, of), 0) +
    dog.done.filter((one) => one.day === day).reduce((sum, one) => sum + one.loads[of], 0);
  /** The heaviest seven days that a day lies in. */
  const weekAround = (dog: PlanDog, day: Day, of: Load): number => {
    let most = 0;
    for (let first = 1 - WEEK; first <= 0; first++) {
      let sum = 0;
      for (let i = 0; i < WEEK; i++) sum += loadOn(dog, addDays(day, first + i), of);
      most = Math.max(most, sum);
    }
    return most;
  };
  const isWorked = (dog: PlanDog, day: Day): boolean =>
    on(day, dog.id).length > 0 || dog.done.some((one) => one.day === day);
  const daysAround = (dog: PlanDog, day: Day): number => {
    let most = 0;
    for (let first = 1 - WEEK; first <= 0; first++) {
      let count = 0;
      for (let i = 0; i < WEEK; i++) {
        const one = addDays(day, first + i);
        if (one === day || isWorked(dog, one)) count++;
      }
      most = Math.max(most, count);
    }
    return most;
  };
  const minutesOf = (bouts: readonly PlannedBout[]): number => {
    let sum = 0;
    const warm = new Set<DogId>();
    for (const one of bouts) {
      sum += one.minutes;
      if (pieces.get(one.piece)?.bodily) warm.add(one.dog);
    }
    for (const id of warm) sum += dogs.get(id)?.warmUp ?? 0;
    return sum;
  };
  const daysOf = (piece: PlanPiece): Day[] => [
    ...piece.worked,
    ...[...(byPiece.get(piece.id) ?? [])].map((one) => one.day),
  ];

  function problems(bout: PlannedBout): Broken[] {
    const [day, dog, piece] = [days.get(bout.day), dogs.get(bout.dog), pieces.get(bout.piece)];
    const found: Broken[] = [];
    const broken = (code: Broken['code'], more: Partial<Broken> = {}): void => {
      found.push({ code, day: bout.day, dog: bout.dog, piece: bout.piece, load: null, other: null, ...more });
    };
    if (!day || !dog || !piece || day.minutes <= 0) broken('no-day');
    if (!day || !dog || !piece) return found;
    if (minutesOf([...(byDay.get(bout.day) ?? []), bout]) > Math.max(day.minutes, 0) && day.minutes > 0)
      broken('minutes');
    if (dog.from === null || bout.day < dog.from) broken('off-work');
    if (dog.trialDays.includes(bout.day)) broken('trial-day');
    if (!isWorked(dog, bout.day) && daysAround(dog, bout.day) > dog.daysAWeek) broken('days-a-week');
    for (const of of LOADS) {
      const more = loadOf(bout, of);
      if (more <= 0) continue;
      const inDay = loadOn(dog, bout.day, of) + more;
      const mostDay = mostOf(dog, of, 'day', more);
      if (inDay > mostDay + 1e-9) broken('load-day', { load: { of, would: inDay, most: mostDay } });
      const inWeek = weekAround(dog, bout.day, of) + more;
      const mostWeek = mostOf(dog, of, 'week', more);
      if (inWeek > mostWeek + 1e-9) broken('load-week', { load: { of, would: inWeek, most: mostWeek } });
    }
    for (const code of ofThePiece(bout, piece, day)) broken(code);
    for (const need of piece.needs) {
      const isMet = [...(byPiece.get(need.piece) ?? [])].some(
        (one) => one.day < bout.day && one.rung >= need.rung,
      );
      if (!isMet) broken('need', { other: need.piece });
    }
    return found;
  }

  /** What hangs on the piece and the day alone. */
  function ofThePiece(bout: PlannedBout, piece: PlanPiece, day: PlanDay): Broken['code'][] {
    const found: Broken['code'][] = [];
    const at = dayNumber(bout.day);
    const apart = daysOf(piece).map((one) => Math.abs(dayNumber(one) - at));
    if ([...(byPiece.get(piece.id) ?? [])].some((one) => one.day === bout.day)) found.push('twice');
    if (piece.restDays > 0 && apart.some((gap) => gap <= piece.restDays)) found.push('rest-days');
    const isWhole = bout.rung === piece.rungs.length - 1;
    if (piece.notBefore !== null && isWhole && bout.day < piece.notBefore) found.push('not-before');
    if (day.hot && piece.bodily) found.push('hot');
    if (piece.needsHelper && !day.helper) found.push('helper');
    if (piece.links.length > 0 && !isSpaced(bout, piece)) found.push('whole');
    return found;
  }

  /** Five separate bouts on its pieces between two whole runs of an exercise. */
  function isSpaced(bout: PlannedBout, piece: PlanPiece): boolean {
    const runs = daysOf(piece).filter((one) => one !== bout.day);
    const between = (from: Day | null, to: Day | null): number =>
      piece.links.reduce((sum, link) => {
        const other = pieces.get(link);
        const all = other ? daysOf(other) : [];
        return sum + all.filter((one) => (from === null || one > from) && (to === null || one < to)).length;
      }, 0);
    const before =
      runs
        .filter((one) => one < bout.day)
        .sort()
        .at(-1) ?? null;
    const after = runs.filter((one) => one > bout.day).sort()[0] ?? null;
    return between(before, bout.day) >= SEPARATE && (after === null || between(bout.day, after) >= SEPARATE);
  }

  return {
    enter: (bout: PlannedBout): void => {
      put(byDay, bout.day, bout);
      put(byPiece, bout.piece, bout);
    },
    strike: (bout: PlannedBout): void => {
      byDay.get(bout.day)?.delete(bout);
      byPiece.get(bout.piece)?.delete(bout);
    },
    problems,
    on: (day: Day): PlannedBout[] => [...(byDay.get(day) ?? [])],
    ofPiece: (piece: ElementId): PlannedBout[] => [...(byPiece.get(piece) ?? [])],
    minutesOn: (day: Day): number => minutesOf([...(byDay.get(day) ?? [])]),
    loadOn,
    weekAround,
  };
}
export type PlanBook = ReturnType<typeof openBook>;

/**
 * Every limit that a whole plan breaks, bout by bout in the order of days. A plan of the planner has none.
 * @internal
 */
export function brokenIn(frame: PlanFrame, bouts: readonly PlannedBout[]): Broken[] {
  const book = openBook(frame);
  for (const bout of bouts) book.enter(bout);
  return [...bouts]
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
    .flatMap((bout) => {
      book.strike(bout);
      const found = book.problems(bout);
      book.enter(bout);
      return found;
    });
}

import type { Interval } from '@/core/evidence';
import {
  addDays,
  type Day,
  daysBetween,
  type ElementId,
  type Sentence,
  type Steps,
  say,
} from '@/core/shared';
import type { Assumptions } from './assumptions';
import { passOf } from './forecast';
import { simulateTrials } from './simulate';
import type { SimulationSize, TrialClass } from './trial-class';

/** The chance of passing on a day to come, if training goes on as it does. */
export type OutlookPoint = { readonly day: Day; readonly pass: Interval };

/**
 * Days asked on the way to the trial, both ends and the closing day besides; and the size of each
 * simulation.
 */
const POINTS = 5;
const SIZE: SimulationSize = { groups: 200, runs: 25 };

/**
 * Forecast from today to the trial: every element gains by its own learning rate for the sessions
 * that `perWeek` promises, and drifts with the days, so that the fan widens. Same random numbers on
 * all days. Empty when the trial is over.
 */
export function* outlookOf(
  input: TrialClass,
  assumptions: Assumptions,
  seed: number,
  today: Day,
  trialDay: Day,
  closes: Day | null,
  perWeek: ReadonlyMap<ElementId, number>,
): Steps<OutlookPoint[], null> {
  const ahead = daysBetween(today, trialDay);
  if (ahead < 0) return [];
  const even = Array.from({ length: POINTS }, (_, i) => Math.round((ahead * i) / (POINTS - 1)));
  const closing =
    closes === null ? [] : [daysBetween(today, closes)].filter((days) => days >= 0 && days <= ahead);
  const days = [...new Set([...even, ...closing])].sort((a, b) => a - b);
  const elements = input.exercises.flatMap((exercise) => exercise.elements);
  const points: OutlookPoint[] = [];
  for (const away of days) {
    const sessionsOf = elements.map((element) => ((perWeek.get(element.id) ?? 0) * away) / 7);
    const pass = passOf(simulateTrials(input, assumptions, seed, SIZE, { sessionsOf, days: away }));
    points.push({ day: addDays(today, away), pass });
    yield null;
  }
  return points;
}

/** Sessions a week on each element: what the person has said, or what the last four weeks show. */
export function sessionsPerWeek(
  elements: readonly {
    readonly id: ElementId;
    readonly bouts: readonly { readonly day: Day; readonly reps: number }[];
  }[],
  assumptions: Assumptions,
  today: Day,
): Map<ElementId, number> {
  return new Map(
    elements.map(({ id, bouts }) => {
      const recent = bouts.filter((one) => one.reps > 0 && daysBetween(one.day, today) < 28).length;
      return [id, assumptions.sessionsPerWeek ?? recent / 4];
    }),
  );
}

export type Advice = { readonly what: 'enter' | 'wait' | 'unsure' | 'over'; readonly reason: Sentence };

/**
 * From this chance on entering is worth it, and below the other it is not: declared judgement, said
 * with the advice.
 */
const ENTRY = { enter: 0.7, wait: 0.4 } as const;

/** Enter or wait, from the outlook's last day; the interval decides where the middle cannot. */
export function entryAdvice(outlook: readonly OutlookPoint[]): Advice {
  const last = outlook.at(-1);
  const first = outlook[0];
  if (!last || !first) return { what: 'over', reason: say('readiness.outlook.the-trial-is-over') };
  const at = (share: number): Sentence => say('readiness.outlook.in-100', { round: Math.round(share * 100) });
  const range = say('readiness.outlook.on-the-day-to', {
    at: at(last.pass.mid),
    at2: at(last.pass.low),
    at3: at(last.pass.high),
  });
  if (last.pass.mid >= ENTRY.enter)
    return {
      what: 'enter',
      reason: say('readiness.outlook.or-more-is-worth-the-entry', { range, at: at(ENTRY.enter) }),
    };
  if (last.pass.high < ENTRY.wait)
    return {
      what: 'wait',
      reason: say('readiness.outlook.even-the-upper-end-is-under', { range, at: at(ENTRY.wait) }),
    };
  if (last.pass.mid < ENTRY.wait)
    return {
      what: 'wait',
      reason: say('readiness.outlook.under-in-the-middle', { range, at: at(ENTRY.wait) }),
    };
  return {
    what: 'unsure',
    reason: say('readiness.outlook.between-and-so-decide-by-what-an', {
      range,
      at: at(ENTRY.wait),
      at2: at(ENTRY.enter),
    }),
  };
}

/**
 * The first day of the outlook on which the middle reaches the entry line, by interpolation; null
 * when none does.
 */
export function readyBy(outlook: readonly OutlookPoint[]): Day | null {
  const reached = outlook.findIndex((point) => point.pass.mid >= ENTRY.enter);
  const [before, point] = [outlook[reached - 1], outlook[reached]];
  if (!point) return null;
  if (!before) return point.day;
  const share = (ENTRY.enter - before.pass.mid) / (point.pass.mid - before.pass.mid);
  return addDays(before.day, Math.ceil(share * daysBetween(before.day, point.day)));
}

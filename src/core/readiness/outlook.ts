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
import { passOf, sureOf } from './forecast';
import { simulateTrials } from './simulate';
import type { SimulationSize, TrialClass } from './trial-class';

/**
 * The chance of passing on a day to come, if training goes on as it does, and how sure it is that this is
 * at least the chance from which the person would go.
 */
export type OutlookPoint = { readonly day: Day; readonly pass: Interval; readonly go: number };

/**
 * Days asked on the way to the trial, both ends and the closing day besides. All by as many runs as the
 * forecast, so that today is the forecast.
 */
const POINTS = 5;

/**
 * Forecast from today to the trial: every element gains by its own learning rate for the sessions
 * that `perWeek` promises, forgets where it promises none, and drifts with the days, so that the fan
 * widens. Same random numbers on all days. Empty when the trial is over.
 */
export function* outlookOf(
  input: TrialClass,
  assumptions: Assumptions,
  seed: number,
  today: Day,
  trialDay: Day,
  closes: Day | null,
  perWeek: ReadonlyMap<ElementId, number>,
  size: SimulationSize,
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
    const weekly = elements.map((element) => perWeek.get(element.id) ?? 0);
    const sessionsOf = weekly.map((sessions) => (sessions * away) / 7);
    const change = { sessionsOf, days: away, perWeek: weekly };
    const runs = simulateTrials(input, assumptions, seed, size, change);
    points.push({ day: addDays(today, away), pass: passOf(runs), go: sureOf(runs, assumptions.goFrom) });
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

/** So sure it must be one way or the other before it is said without a doubt. */
const SURE = 0.8;

/**
 * Enter or wait, by the chance from which the person would go: go where the outlook’s last day reaches it
 * (cost ÷ worth, in whatever both are measured), with how sure that is. Between one in five and four in
 * five it is said to be open.
 */
export function entryAdvice(outlook: readonly OutlookPoint[], goFrom: number): Advice {
  const last = outlook.at(-1);
  if (!last) return { what: 'over', reason: say('readiness.outlook.the-trial-is-over') };
  const what = last.go >= SURE ? 'enter' : last.go <= 1 - SURE ? 'wait' : 'unsure';
  const said = {
    low: Math.round(last.pass.low * 100),
    high: Math.round(last.pass.high * 100),
    from: Math.round(goFrom * 100),
    sure: Math.round(last.go * 10),
  };
  const reason = isOneFigure(last.pass)
    ? say('readiness.outlook.you-would-go-from', { mid: Math.round(last.pass.mid * 100), ...said })
    : say('readiness.outlook.anywhere-from', said);
  return { what, reason };
}

/** An interval wider than this has no middle that is worth a word. */
const WIDE = 0.5;

/**
 * Whether a chance of passing may be said as one figure: where its interval is at most 0.5 wide. Else its two
 * ends are said, by the headline and by the advice under the outlook. .12 to .65 → false; .4 to .76 → true.
 */
export const isOneFigure = ({ low, high }: Pick<Interval, 'low' | 'high'>): boolean => high - low <= WIDE;

/**
 * The first day of the outlook on which the middle reaches the chance from which the person would go, by
 * interpolation; null when none does.
 */
export function readyBy(outlook: readonly OutlookPoint[], goFrom: number): Day | null {
  const reached = outlook.findIndex((point) => point.pass.mid >= goFrom);
  const [before, point] = [outlook[reached - 1], outlook[reached]];
  if (!point) return null;
  if (!before) return point.day;
  const share = (goFrom - before.pass.mid) / (point.pass.mid - before.pass.mid);
  return addDays(before.day, Math.ceil(share * daysBetween(before.day, point.day)));
}

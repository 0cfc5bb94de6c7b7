import type { Axis, Criteria } from '@/core/breakdown';
import { countsAsEvidence, type EvidenceRep } from '@/core/log';
import { type Day, ok, type Result } from '@/core/shared';
import { type Assessed, assessElement, type Question } from './assess';
import { type CoverRow, coverOf } from './cover';
import { type Habits, habitsOf } from './habits';
import { type Lasting, lastingOf } from './holding';
import { type Quickness, quicknessOf, type Timed } from './latency';
import { byEye, type Deviation, type Precision, precisionOf } from './precision';
import { type Retention, retentionOf } from './retention';
import { type Wall, wallOf } from './wall';

/** Everything that one element's reps can be asked. */
export type StudyQuestion = Question & {
  readonly conditions: readonly { readonly title: string; readonly options: readonly string[] }[];
  /**
   * The ends of the rule book's bands for crookedness, degrees; the eye's own words where it has
   * none.
   */
  readonly bands: readonly number[];
};

export type Studied = Assessed & {
  readonly holding: Lasting | null;
  /** `asked`: the limit is a criterion's; otherwise a usual one, and said to be. */
  readonly latency: (Quickness & { readonly limit: number; readonly asked: boolean }) | null;
  readonly precision: Precision | null;
  readonly cover: readonly CoverRow[];
  readonly habits: Habits;
  readonly retention: Retention | null;
  readonly wall: Wall | null;
};

/** One element from every side. What nobody logged is null. Fails as `assessElement` does. */
export function studyElement(question: StudyQuestion, today: Day): Result<Studied> {
  const assessed = assessElement(question, today);
  if (!assessed.ok) return assessed;
  const { id, axes, reps, here, at, conditions, bands } = question;
  const wall = wallOf(id, axes, reps, here, today);
  if (!wall.ok) return wall;
  const counted = reps.filter(countsAsEvidence);
  const holdAxis = axes.find(
    (axis) => axis.quantity === 'duration' && axis.harder === 'more' && axis.role === 'criterion',
  );
  const limit = limitOf(axes, at);
  const holds = counted.flatMap((rep) =>
    rep.held === undefined
      ? []
      : [{ seconds: rep.held, endedBy: rep.outcome === 'clean' ? ('handler' as const) : ('dog' as const) }],
  );
  const quickness = quicknessOf(timesOf(counted, limit), limit);
  return ok({
    ...assessed.value,
    holding: holdAxis && holds.length > 0 ? lastingOf(holds, at[holdAxis.key] ?? holdAxis.demand) : null,
    latency: quickness && { ...quickness, limit, asked: axes.some((axis) => axis.quantity === 'latency') },
    precision: precisionOf(counted.flatMap(deviationOf), bands),
    cover: coverOf(reps, conditions),
    habits: habitsOf(reps),
    retention: retentionOf(reps, today),
    wall: wall.value,
  });
}

/** Seconds in which an answer is wanted where no axis says so. */
const USUAL_LIMIT = 3;

function limitOf(axes: readonly Axis[], at: Criteria): number {
  const axis = axes.find((one) => one.quantity === 'latency');
  return axis ? (at[axis.key] ?? axis.demand) : USUAL_LIMIT;
}

/**
 * Stamped answers, and those that a protocol waited for in vain. A plain miss is no late answer:
 * refusals belong to the chance of a clean rep, and counted here too they would be counted twice.
 */
export function timesOf(reps: readonly EvidenceRep[], limit: number): Timed[] {
  const stamped = reps.flatMap((rep): Timed[] =>
    typeof rep.latency === 'number' ? [{ seconds: rep.latency, came: true }] : [],
  );
  if (stamped.length === 0) return [];
  const waited = reps.filter((rep) => rep.timing === 'none' && typeof rep.latency !== 'number');
  return [...stamped, ...waited.map(() => ({ seconds: Math.max(limit, 0.1), came: false }))];
}

/**
 * How far a rep deviated, degrees: as measured, else by eye, else nothing (an empty list).
 * Measured −3 → `[{ from: −3, to: −3 }]`.
 */
export function deviationOf(rep: EvidenceRep): Deviation[] {
  if (rep.measured !== undefined) return [{ from: rep.measured, to: rep.measured }];
  return rep.crooked === undefined ? [] : [byEye(rep.crooked)];
}

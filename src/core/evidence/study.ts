import { type Axis, type Criteria, measuredAs } from '@/core/breakdown';
import { type Day, ok, type Result } from '@/core/shared';
import { type Assessed, assessElement, type Question, type Weigh, weighElement } from './assess';
import { type BoutEvidence, tallyAt } from './bout-evidence';
import { type CoverRow, coverOf } from './cover';
import { type FairVerdict, fairVerdicts } from './fair-trial';
import { type Habits, habitsOf } from './habits';
import { type Lasting, lastingOf } from './holding';
import { type Quickness, quicknessOf, type Timed } from './latency';
import { type Precision, precisionOf } from './precision';
import { type SideChange, sideWatch } from './side-watch';
import { bySession, type Measured } from './swaying';
import { type WordReach, wordReach } from './word-reach';

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
  /** Counted reps where the dog stands, and how many of them were clean. */
  readonly here: { readonly reps: number; readonly clean: number };
  readonly habits: Habits;
  /** Fair trials on this dog, as far as they are. */
  readonly trials: readonly FairVerdict[];
  readonly side: SideChange | null;
  /** How far each word of a mix is answered, along the first length; empty where no words were called. */
  readonly words: readonly WordReach[];
};

/** One element from every side. What nobody logged is null. Fails as `assessElement` does. */
export function studyElement(
  question: StudyQuestion,
  today: Day,
  weigh: Weigh = weighElement,
): Result<Studied> {
  const assessed = assessElement(question, today, weigh);
  if (!assessed.ok) return assessed;
  const { axes, bouts, here, at, conditions, bands } = question;
  const holdAxis = axes.find((axis) => measuredAs(axis) === 'held');
  const length = axes.find((axis) => axis.quantity === 'distance');
  const limit = limitOf(axes, at);
  const holds = bySession(bouts, today, (one) => one.holds);
  const quickness = quicknessOf(timesOf(bouts, today, limit), limit);
  return ok({
    ...assessed.value,
    holding: holdAxis && holds.length > 0 ? lastingOf(holds, at[holdAxis.key] ?? holdAxis.demand) : null,
    latency: quickness && { ...quickness, limit, asked: axes.some((axis) => measuredAs(axis) === 'latency') },
    precision: precisionOf(
      bySession(bouts, today, (one) => one.turns),
      bands,
    ),
    cover: coverOf(bouts, conditions),
    here: tallyAt(bouts, axes, here),
    habits: habitsOf(bouts),
    trials: fairVerdicts(bouts),
    side: sideWatch(bouts, axes, today),
    words: length ? wordReach(bouts, length) : [],
  });
}

/** Seconds in which an answer is wanted where no axis says so. */
const USUAL_LIMIT = 3;

function limitOf(axes: readonly Axis[], at: Criteria): number {
  const axis = axes.find((one) => measuredAs(one) === 'latency');
  return axis ? (at[axis.key] ?? axis.demand) : USUAL_LIMIT;
}

/**
 * Stamped answers session by session, and those that a protocol waited for in vain, censored at `limit`
 * seconds; none where no answer was stamped. Times 1 and 2, one waited for, limit 3 → 1 and 2 that came, 3
 * that did not.
 */
export function timesOf(bouts: readonly BoutEvidence[], today: Day, limit: number): Measured<Timed>[] {
  if (bouts.every(({ times }) => times.length === 0)) return [];
  const late: Timed = { seconds: Math.max(limit, 0.1), came: false };
  return bySession(bouts, today, ({ times, waited }) => [
    ...times.map((seconds): Timed => ({ seconds, came: true })),
    ...Array.from({ length: waited }, () => late),
  ]);
}

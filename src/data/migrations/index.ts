import { fail, ok, type Result, say } from '@/core/shared';

import { aSeasonIsKept } from './a-season-is-kept';
import { clipsAreMeasured } from './clips-are-measured';
import { coachesComment } from './coaches-comment';
import { elementsGrowUp } from './elements-grow-up';
import { forecastsAreKept } from './forecasts-are-kept';
import { laddersTeachForward } from './ladders-teach-forward';
import type { AnyTables, Migration } from './migration';
import { outingsAndBouts } from './outings-and-bouts';
import { ruleBooksHoldRealRules } from './rule-books-hold-real-rules';
import { runsTeach } from './runs-teach';
import { thingsLieToScale } from './things-lie-to-scale';
import { tracksAreKept } from './tracks-are-kept';
import { trialsAreJudged } from './trials-are-judged';
import { trialsAskForConditions } from './trials-ask-for-conditions';
import { newerMessage } from './version';
import { weeksArePlanned } from './weeks-are-planned';
import { whatARepSays } from './what-a-rep-says';
import { wordsOfAPerson } from './words-of-a-person';

export type { Migration } from './migration';
export { CURRENT_VERSION } from './version';

/** @internal */
export const FIRST_VERSION = 1;

/**
 * In order, without gaps: the first leads to version 2. Version 1 is where the kennel begins.
 * @internal
 */
export const MIGRATIONS: readonly Migration[] = [
  elementsGrowUp,
  forecastsAreKept,
  outingsAndBouts,
  whatARepSays,
  wordsOfAPerson,
  laddersTeachForward,
  ruleBooksHoldRealRules,
  trialsAskForConditions,
  weeksArePlanned,
  trialsAreJudged,
  thingsLieToScale,
  aSeasonIsKept,
  clipsAreMeasured,
  tracksAreKept,
  runsTeach,
  coachesComment,
];

/**
 * Carries tables of `version` to the newest version. Fails with `newer` (nothing is touched) or
 * `version` (no version that ever was), and with `migrate` where a record is not what its version
 * promised. A gap in the list of migrations is a bug and throws.
 */
export function migrateTables(
  tables: AnyTables,
  version: number,
  migrations: readonly Migration[] = MIGRATIONS,
): Result<AnyTables> {
  const gap = migrations.findIndex((migration, i) => migration.to !== FIRST_VERSION + i + 1);
  if (gap >= 0) throw new Error(`migration ${gap} should lead to version ${FIRST_VERSION + gap + 1}`);
  const newest = FIRST_VERSION + migrations.length;
  if (!Number.isInteger(version) || version < FIRST_VERSION)
    return fail('version', 'version', say('data.migrations.never', { version }));
  if (version > newest) return fail('newer', 'version', newerMessage(version, newest));
  try {
    return ok(
      migrations
        .slice(version - FIRST_VERSION)
        .reduce((state, migration) => migration.migrate(state), tables),
    );
  } catch {
    // Migrations take what their version promised: where that is not there, they cannot go on.
    return fail('migrate', 'tables', say('data.migrations.not-as-written', { version }));
  }
}

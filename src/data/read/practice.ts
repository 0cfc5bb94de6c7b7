import type { RunId } from '@/core/shared';
import { foldSheet, type JudgeSheet } from '@/core/trials';
import type { Kennel } from '@/data/kennel';
import type { Run } from '@/data/records';
import { runWithMarks } from './runs';

/** A practice run with its sheet, and which written-out run it is. */
export type JudgedPractice = { readonly run: Run; readonly script: string; readonly sheet: JudgeSheet };

/** All practice runs that are not put away, the first first. */
export async function listPractice(kennel: Kennel): Promise<JudgedPractice[]> {
  const all = await kennel.database.of('practices').toArray();
  const found = await Promise.all(
    all.map(async ({ id, script }): Promise<JudgedPractice[]> => {
      const one = await runWithMarks(kennel, id);
      return one && !one.run.putAway ? [{ run: one.run, script, sheet: foldSheet(one.marks, null) }] : [];
    }),
  );
  return found.flat().toSorted((a, b) => startedAt(a) - startedAt(b));
}

const startedAt = ({ run, sheet }: JudgedPractice): number => sheet.trace[0]?.mark.at ?? run.changed.at;

/** Which written-out run a practice run is; null where it is none. */
export async function practiceOf({ database }: Kennel, run: RunId): Promise<string | null> {
  return (await database.of('practices').get(run))?.script ?? null;
}

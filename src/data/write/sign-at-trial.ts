import type { BodySign } from '@/core/coaching';
import type { Day, ExerciseKey, Result } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { wholeId } from '@/data/read/whole';
import type { Run } from '@/data/records';
import { endBout, startBout } from './bouts';
import { record } from './log';
import { writeMark } from './runs';

/**
 * A sign of the body that was seen in a run: on the person’s own sheet, whatever judges it has, and in the dog’s own log, where it stands until
 * somebody says why not, as every sign does. A dog whose exercise is not broken down has it on another one;
 * a dog without any only on the sheet. `inLog` says which.
 */
export async function signSeenAtRun(
  kennel: Kennel,
  run: Run,
  exercise: ExerciseKey,
  sign: BodySign,
  today: Day,
): Promise<Result<{ readonly inLog: boolean }>> {
  const marked = await writeMark(kennel, run, null, { kind: 'sign-seen', exercise, sign });
  if (!marked.ok) return marked;
  const on = run.dogId === null ? null : await worksOn(kennel, run, exercise);
  if (!on) return { ok: true, value: { inLog: false } };
  const bout = await startBout(kennel, on, { day: today, away: true, start: {}, kind: 'mock' });
  if (!bout.ok) return bout;
  const logged = await record(kennel, bout.value.made, { kind: 'sign', sign });
  if (!logged.ok) return logged;
  const ended = await endBout(kennel, bout.value.made.id);
  return ended.ok ? { ok: true, value: { inLog: true } } : ended;
}

async function worksOn({ database }: Kennel, run: Run, exercise: ExerciseKey) {
  const { dogId } = run;
  if (dogId === null) return null;
  const breakdowns = await database.of('breakdowns').where('dogId').equals(dogId).toArray();
  const whole =
    breakdowns.find((one) => one.ruleBookId === run.book && one.exercise === exercise) ?? breakdowns[0];
  return whole ? { id: wholeId(whole.id), dogId, axes: [] } : null;
}

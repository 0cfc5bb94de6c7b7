import type { Judging, StandingRep } from '@/core/log';
import type { BoutId, DogId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord } from '@/data/records';
import { boutsOn, type DatedBout, logged } from './bouts';
import { addressOf, trainableIn } from './whole';
import { judgingOf, namedFaults, workOf } from './work';

/** A bout with its reps and how they are judged: what is measured afterwards is laid beside it. */
export type JudgedBout = {
  readonly bout: DatedBout;
  readonly element: ElementRecord;
  readonly reps: readonly StandingRep[];
  readonly judging: Judging;
};

/** Null where there is no such bout, or its dog does not train that work any more. */
export async function judgedBout(
  kennel: Kennel,
  boutId: BoutId | null,
  dogId: DogId | null,
): Promise<JudgedBout | null> {
  if (boutId === null || dogId === null) return null;
  const stored = await kennel.database.of('bouts').get(boutId);
  if (!stored) return null;
  const work = await workOf(kennel, dogId);
  const element = trainableIn(work, addressOf(stored));
  const bout = element && (await boutsOn(kennel, element.id)).find((one) => one.id === boutId);
  if (!element || !bout) return null;
  const { folded } = await logged(kennel, bout);
  return { bout, element, reps: folded.reps, judging: judgingOf(element, namedFaults(element, work)) };
}

import type { FaultRef } from '@/core/rulebooks';
import { faultText } from '@/core/rulebooks';
import { type Failure, fail, say } from '@/core/shared';
import type { NamedFault } from '@/data/read';
import type { SetItem } from '@/data/write';
import { judgement, judgementFor } from './judgements';
import type { PadView } from './pad-view';

/** What somebody counted of one game, in the rest after it: how often it was done, and each fault's times. */
export type GameTally = { readonly times: number; readonly faults: Readonly<Record<string, number>> };
export const NO_GAME: GameTally = { times: 0, faults: {} };

export const countOf = (tally: GameTally, ref: FaultRef): number => tally.faults[faultText(ref)] ?? 0;

/** One more or one less, never below none. */
export function counted(tally: GameTally, of: FaultRef | 'times', by: -1 | 1): GameTally {
  if (of === 'times') return { ...tally, times: Math.max(0, tally.times + by) };
  const count = Math.max(0, countOf(tally, of) + by);
  const faults = { ...tally.faults, [faultText(of)]: count };
  // What went wrong was done too.
  const wrong = Object.values(faults).reduce((sum, one) => sum + one, 0);
  return { times: by > 0 ? Math.max(tally.times, Math.min(wrong, tally.times + 1)) : tally.times, faults };
}

/**
 * A game as the reps that it was: those with a fault of the dog's, those that you spoiled by being slow (the
 * dog did them clean all the same), and the clean rest. Fails with `more` where more went wrong than was
 * done.
 */
export function gameReps(
  tally: GameTally,
  view: Pick<PadView, 'flaws' | 'misses' | 'noted'>,
): SetItem[] | Failure {
  const named = [...view.flaws, ...view.misses];
  const dogs = named.filter((fault) => fault.by !== 'handler');
  const wrong = dogs.flatMap((fault) => repeated(fault, countOf(tally, fault.ref), view));
  const yours = named
    .filter((fault) => fault.by === 'handler')
    .flatMap((fault) => Array.from({ length: countOf(tally, fault.ref) }, () => fault.ref));
  const rest = tally.times - wrong.length;
  if (rest < 0 || yours.length > tally.times)
    return fail(
      'more',
      'times',
      say('game.more-went-wrong-than-was-done', {
        wrong: Math.max(wrong.length, yours.length),
        times: tally.times,
      }),
    );
  const clean = Array.from(
    { length: rest },
    (): SetItem => ({ kind: 'rep', judged: judgement('clean', []) }),
  );
  return [...wrong, ...clean].map((item, i): SetItem => {
    const mine = yours[tally.times - 1 - i];
    return mine && item.kind === 'rep'
      ? { kind: 'rep', judged: { ...item.judged, faults: [...(item.judged.faults ?? []), mine] } }
      : item;
  });
}

const repeated = (fault: NamedFault, count: number, { noted }: Pick<PadView, 'noted'>): SetItem[] =>
  Array.from({ length: count }, () => ({
    kind: 'rep',
    judged: judgementFor(fault.miss ? 'miss' : 'flawed', fault, noted),
  }));

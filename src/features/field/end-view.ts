import { type Criteria, describePlace } from '@/core/breakdown';
import { faultText, sameFault } from '@/core/rulebooks';
import type { NamedFault } from '@/data/read';
import { wordsOf } from '@/words';
import { adviceLines } from './advice-lines';
import type { PadView } from './pad-view';

export type FaultSeen = { readonly label: string; readonly count: number };

/** What a session comes to once it is over: what somebody takes home and begins with next time. */
export type EndView = {
  readonly tally: string;
  /** The dog's faults and the handler's, the most frequent first. */
  readonly dogs: readonly FaultSeen[];
  readonly handlers: readonly FaultSeen[];
  readonly stands: string;
  /** A step that was advised at the end and not taken, with why; null where the dog goes on where it is. */
  readonly step: { readonly to: Criteria; readonly place: string; readonly why: string } | null;
  /** What ended or stops the work, in the coach's words; null where nothing does. */
  readonly halt: string | null;
};

/** From the pad as it was left: nothing is worked out a second time. */
export function endOf(view: PadView): EndView {
  const { signs, main, end } = adviceLines(view.advice);
  const halt = [...signs, end].find((line) => line?.kind === 'stop' || line?.kind === 'end') ?? null;
  const to = halt === null && main && 'to' in main ? view.ladder.rungs[main.to]?.criteria : undefined;
  return {
    tally: view.tally,
    dogs: timesOf(view, (fault) => fault.by !== 'handler'),
    handlers: timesOf(view, (fault) => fault.by === 'handler'),
    stands: wordsOf(describePlace(view.ladder, view.criteria)),
    step:
      main && to ? { to, place: wordsOf(describePlace(view.ladder, to)), why: wordsOf(main.reason) } : null,
    halt: wordsOf(halt?.reason ?? null),
  };
}

function timesOf({ flaws, misses, reps }: PadView, whose: (fault: NamedFault) => boolean): FaultSeen[] {
  const named = new Map([...flaws, ...misses].filter(whose).map((fault) => [faultText(fault.ref), fault]));
  return [...named.values()]
    .map(({ label, ref }) => ({
      label: wordsOf(label),
      count: reps.filter(({ judged }) => judged.faults.some((one) => sameFault(one, ref))).length,
    }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count);
}

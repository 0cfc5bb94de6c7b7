import { type Criteria, describePlace, placeOn } from '@/core/breakdown';
import { type Entry, repCounts, type StandingRep } from '@/core/log';
import { BACKS_AWAY, faultText, ownFault, sameFault } from '@/core/rulebooks';
import { chanceAbove } from '@/core/statistics';
import type { NamedFault } from '@/data/read';
import { wordsOf } from '@/words';
import { adviceLines } from './advice-lines';
import { tell } from './later-words';
import type { PadView } from './pad-view';

export type FaultSeen = { readonly label: string; readonly count: number };

/** One row of chips: how often each of its options was clean, and the one that was clean least. */
export type SidesSeen = {
  readonly title: string;
  readonly options: readonly { readonly words: string; readonly clean: number; readonly of: number }[];
  readonly weaker: string | null;
};

/** What a session comes to once it is over: what somebody takes home and begins with next time. */
export type EndView = {
  readonly tally: string;
  /** The dog's faults and the handler's, the most frequent first. */
  readonly dogs: readonly FaultSeen[];
  readonly handlers: readonly FaultSeen[];
  /** What was said to be one of a few (side, hand, way in), and how each of them went. */
  readonly sides: readonly SidesSeen[];
  readonly stands: string;
  /** What ended or stops the work, in the coach's words; null where nothing does. */
  readonly halt: string | null;
};

/** From the pad as it was left: nothing is worked out a second time. */
export function endOf(view: PadView): EndView {
  const { signs, end } = adviceLines(view.advice);
  const halt = [...signs, end].find((line) => line?.kind === 'stop' || line?.kind === 'end') ?? null;
  return {
    tally: view.tally,
    dogs: timesOf(view, (fault, rep) => fault.by !== 'handler' && rep.judged.cause === 'dog'),
    handlers: timesOf(view, (fault, rep) => fault.by === 'handler' || rep.judged.cause === 'handler'),
    sides: [...sidesOf(view), ...aroundTheRest(view)],
    stands: wordsOf(describePlace(view.ladder, view.criteria)),
    halt: halt ? wordsOf(halt.reason) : null,
  };
}

/** Where the next time can begin, one tap each; `why` where it was advised. */
export type Choice = {
  readonly kind: 'advised' | 'same' | 'easier';
  readonly to: Criteria;
  readonly place: string;
  /** The step of today's ladder, from 1. */
  readonly step: number;
  readonly why: string | null;
};

/**
 * A step that was advised and not taken, the same again for this one, and a step easier: what somebody says
 * of one dog and not of the next. Nothing that stops the work advises a step.
 */
export function choicesOf(view: PadView): Choice[] {
  const { main } = adviceLines(view.advice);
  const { halt } = endOf(view);
  const advised = halt === null && main && 'to' in main ? view.ladder.rungs[main.to]?.criteria : undefined;
  const choice = (
    kind: Choice['kind'],
    to: Criteria | null | undefined,
    why: string | null = null,
  ): Choice[] => {
    if (!to) return [];
    const step = placeOn(view.ladder, to).rung + 1;
    return [{ kind, to, place: wordsOf(describePlace(view.ladder, to)), step, why }];
  };
  return [
    ...choice('advised', advised, main && wordsOf(main.reason)),
    ...choice('same', view.criteria),
    ...choice('easier', view.easier),
  ];
}

/** Seconds of each clock, and how many easy ones, of what stands in these logs. */
export function clocksOf(entries: readonly Entry[]): {
  readonly sums: Readonly<Record<'warm-up' | 'work' | 'rest', number>>;
  readonly easy: number;
} {
  const undone = new Set(entries.flatMap((entry) => (entry.kind === 'undo' ? [entry.of] : [])));
  const sums = { 'warm-up': 0, work: 0, rest: 0 };
  let easy = 0;
  for (const entry of entries) {
    if (undone.has(entry.id)) continue;
    if (entry.kind === 'clock') sums[entry.what] += entry.seconds;
    if (entry.kind === 'easy') easy += 1;
  }
  return { sums, easy };
}

/** Where a response is graded, the tap below its list is a fault that no list of faults has. */
const BACKED = { ref: ownFault(BACKS_AWAY.key), label: BACKS_AWAY.label, by: 'dog' } as const;

/** An option counts from so many goes on; below it, one go would name the weak side. */
const GOES_OF_A_SIDE = 2;
/** The chance that it is truly the weaker one from which it is named: 2 of 2 against 1 of 2 is not. */
const SURELY_WEAKER = 0.85;

/** How it went before the first rest and after it, where there are goes enough of both. */
function aroundTheRest({ reps }: PadView): SidesSeen[] {
  const at = reps.findIndex((rep) => rep.rested);
  if (at < 0) return [];
  const side = (words: string, some: readonly StandingRep[]) => {
    const counted = some.filter(repCounts);
    return { words, clean: counted.filter(isClean).length, of: counted.length };
  };
  const options = [
    side(tell('end-page.before-it'), reps.slice(0, at)),
    side(tell('end-page.after-it'), reps.slice(at)),
  ];
  if (options.some(({ of }) => of < GOES_OF_A_SIDE)) return [];
  return [{ title: tell('end-page.the-rest'), options, weaker: null }];
}

const isClean = ({ judged }: StandingRep): boolean => judged.outcome === 'clean';

function sidesOf({ chips, reps }: PadView): SidesSeen[] {
  const counted = reps.filter(repCounts);
  return chips
    .filter((row) => row.named)
    .flatMap((row) => {
      const options = row.options
        .map(({ value, words }) => {
          const of = counted.filter((rep) => rep.asked.chips[row.key] === value);
          return { words, clean: of.filter(isClean).length, of: of.length };
        })
        .filter(({ of }) => of >= GOES_OF_A_SIDE);
      if (options.length < 2) return [];
      const [least, next] = options.toSorted((a, b) => a.clean / a.of - b.clean / b.of);
      const apart = least && next && chanceAbove(next, least) >= SURELY_WEAKER;
      return [{ title: row.title, options, weaker: apart ? least.words : null }];
    });
}

function timesOf(
  { flaws, misses, reps }: PadView,
  counts: (fault: Pick<NamedFault, 'by'>, rep: StandingRep) => boolean,
): FaultSeen[] {
  const named = new Map([...flaws, ...misses, BACKED].map((fault) => [faultText(fault.ref), fault]));
  return [...named.values()]
    .map((fault) => ({
      label: wordsOf(fault.label),
      count: reps.filter(
        (rep) => counts(fault, rep) && rep.judged.faults.some((one) => sameFault(one, fault.ref)),
      ).length,
    }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count);
}

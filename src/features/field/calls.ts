import { type Axis, type Criteria, writeValue } from '@/core/breakdown';
import { CALLS, CALLS_AHEAD, type CallKind, callOrder } from '@/core/coaching';
import type { WordReach } from '@/core/evidence';
import type { Call, Paid, StandingRep } from '@/core/log';
import { mixSeed, type Result, seeded, seedFromText } from '@/core/shared';
import { wordsOf } from '@/words';
import type { ChipRow } from './chips';
import { tell } from './words';

/** What is called next, and the one after it. */
export type Called = {
  readonly call: Call;
  /** The word alone, and as it is shown, with the wait that was drawn. */
  readonly said: string;
  readonly words: string;
  readonly after: string | null;
  /** What is asked of this one otherwise than the rung asks: a word of a mix at its own distance. */
  readonly asks: Criteria;
  /** Every word that can come. */
  readonly all: readonly string[];
};

type Question = {
  readonly kind: CallKind;
  readonly bout: string;
  readonly repCount: number;
  readonly words: readonly string[];
  /** The longest wait that the rung asks, seconds; null where none is asked. */
  readonly longest: number | null;
  /** Words that were taken for others in this bout: they are drawn more often. */
  readonly confused: readonly string[];
  /** How far each word reaches by itself, and the axis that says so; null where none does. */
  readonly reach: {
    readonly axis: Axis;
    readonly words: readonly WordReach[];
    readonly asked: number;
  } | null;
};

/**
 * The next call, from an order that cannot be foreseen and belongs to the bout: a reload shows the same
 * one. Fails as `callOrder` does.
 */
export function nextCall(question: Question): Result<Called> {
  const { kind, bout, repCount, words, longest, confused } = question;
  const round = Math.floor(repCount / CALLS_AHEAD);
  const seed = (kindAt: number): number => mixSeed(seedFromText(bout), kindAt, round);
  const order = callOrder(kind, words, seeded(seed(CALLS.indexOf(kind))), { longest, confused });
  if (!order.ok) return order;
  const at = repCount % CALLS_AHEAD;
  const said = order.value[at] as string;
  const delays =
    (kind === 'return-or-call' || kind === 'false-move') && longest !== null
      ? callOrder('delay', words, seeded(seed(CALLS.indexOf('delay'))), { longest, confused })
      : null;
  const delay = kind === 'delay' ? seconds(said) : delays?.ok ? seconds(delays.value[at] as string) : null;
  const far = kind === 'cues' ? ownReach(question, said) : null;
  const shown = far
    ? `${said}, ${far.words}`
    : delay !== null && kind !== 'delay'
      ? tell('calls.after-s', { said, delay })
      : said;
  return {
    ok: true,
    value: {
      call: asCall(kind, said, delay, longest !== null),
      said,
      words: shown,
      after: order.value[at + 1] ?? null,
      asks: far?.asks ?? {},
      all: [...new Set(order.value)],
    },
  };
}

/** A word whose own reach is short of what the rung asks is called at its own. */
function ownReach(
  { reach }: Question,
  word: string,
): { readonly asks: Criteria; readonly words: string } | null {
  const own = reach?.words.find((one) => one.word === word);
  if (!reach || !own || own.value >= reach.asked) return null;
  return { asks: { [reach.axis.key]: own.value }, words: wordsOf(writeValue(reach.axis, own.value)) };
}

const seconds = (words: string): number => Number.parseFloat(words);

/**
 * A dog that is gone back to says nothing of a recall; where the wait itself is what is trained (`waits`), it
 * is the wait that is judged, however it ends.
 */
function asCall(kind: CallKind, word: string, delay: number | null, waits: boolean): Call {
  switch (kind) {
    case 'cues':
      return { kind: 'cue', word, delay };
    case 'left-right':
      return { kind: 'side', word, delay };
    case 'return-or-call':
      return { kind: word === 'call it' || waits ? 'call' : 'return', word, delay };
    case 'delay':
      return { kind: 'call', word: '', delay };
    case 'reward':
      return { kind: 'reward', word, delay };
    case 'false-move':
      return { kind: 'false-move', word, delay };
  }
}

/** The chips that a call fills: the word, the side by whatever row has both, what you do. */
export function filledBy(call: Call | null, rows: readonly ChipRow[]): Record<string, string> {
  if (!call) return {};
  switch (call.kind) {
    case 'cue':
      return { word: call.word };
    case 'side': {
      const row = rows.find(({ options }) =>
        ['left', 'right'].every((side) => options.some((one) => one.value.startsWith(side))),
      );
      const option = row?.options.find(({ value }) => value.startsWith(call.word));
      return row && option ? { [row.key]: option.value } : { side: call.word };
    }
    case 'false-move':
      return call.word === 'none' ? {} : { action: call.word };
    default:
      return {};
  }
}

/** The pay that a call settles. */
export const paidBy = (call: Call | null): Paid =>
  call?.kind === 'reward' ? { size: call.word === 'large' ? 'large' : 'small', by: 'schedule' } : {};

/** Words that were asked or given in the place of each other. */
export const confusedIn = (reps: readonly StandingRep[]): string[] => [
  ...new Set(
    reps.flatMap(({ asked, seen }) => {
      const word = asked.chips.word ?? (asked.call?.kind === 'cue' ? asked.call.word : undefined);
      return seen.instead === undefined || word === undefined ? [] : [word, seen.instead];
    }),
  ),
];

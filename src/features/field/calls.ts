import { CALLS, CALLS_AHEAD, type CallKind, callOrder } from '@/core/coaching';
import type { Call, Paid, StandingRep } from '@/core/log';
import { mixSeed, type Result, seeded, seedFromText } from '@/core/shared';
import type { ChipRow } from './chips';

/** What is called next, and the one after it. */
export type Called = {
  readonly call: Call;
  /** The word alone, and as it is shown, with the wait that was drawn. */
  readonly said: string;
  readonly words: string;
  readonly after: string | null;
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
  const shown = delay !== null && kind !== 'delay' ? `${said}, after ${delay} s` : said;
  return {
    ok: true,
    value: {
      call: asCall(kind, said, delay),
      said,
      words: shown,
      after: order.value[at + 1] ?? null,
      all: [...new Set(order.value)],
    },
  };
}

const seconds = (words: string): number => Number.parseFloat(words);

function asCall(kind: CallKind, word: string, delay: number | null): Call {
  switch (kind) {
    case 'cues':
      return { kind: 'cue', word, delay };
    case 'left-right':
      return { kind: 'side', word, delay };
    case 'return-or-call':
      return { kind: word === 'call it' ? 'call' : 'return', word, delay };
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

import {
  type Cost,
  describeCost,
  type Fault,
  faultRulesInWords,
  faultSteps,
  faultText,
  type PreparedRules,
  prepareRules,
  type RuleBook,
} from '@/core/rulebooks';
import { type ExerciseKey, type FaultKey, type MarkId, parseOne, type Result } from '@/core/shared';
import type { ExerciseSheet } from '@/core/trials';
import { numberCustom, wordsOf, writeNumber } from '@/words';
import { tell } from './words';

export type FaultButton = {
  readonly fault: Fault;
  readonly label: string;
  readonly cost: string;
  /** How it is put on the sheet: a tap each with its amount, or a measured value that is typed. */
  readonly taps: readonly { readonly key: string; readonly label: string; readonly amount: number }[];
  readonly more: string;
  readonly measured: {
    readonly quantity: 'duration' | 'distance' | 'angle' | 'offset' | 'latency';
    readonly unit: string;
  } | null;
  readonly times: number;
  /** What stands of it, each to be taken off singly. */
  readonly marks: readonly { readonly id: MarkId; readonly words: string }[];
};

export function faultButton(
  book: RuleBook,
  fault: Fault,
  prepared: PreparedRules['exercises'][number],
  word: PreparedRules['word'],
  { faults }: ExerciseSheet,
): FaultButton {
  const mine = faults.filter((mark) => mark.fault === fault.id);
  const taps = tapsOf(fault, prepared);
  return {
    fault,
    label: fault.title,
    cost: wordsOf(describeCost(fault.cost, word)),
    more: faultRulesInWords(book, fault).map(wordsOf).join('; '),
    taps: isMeasured(fault.cost) && fault.cost.kind !== 'band' ? [] : taps,
    measured: isMeasured(fault.cost),
    times: mine.length,
    marks: mine.map(({ id, amount }) => ({ id, words: amountWords(fault, amount, taps) })),
  };
}

function tapsOf(fault: Fault, prepared: PreparedRules['exercises'][number]): FaultButton['taps'] {
  const steps = faultSteps(prepared).filter((step) => step.ref.key === fault.id);
  return steps.map((step) => ({
    key: faultText(step.ref),
    label:
      step.label === fault.title
        ? tell('fault-buttons.add')
        : wordsOf(step.label).slice(fault.title.length + 2),
    amount: step.amount,
  }));
}

/** An amount as it was tapped or typed: its step, its measure, or nothing where it is a time that it happened. */
function amountWords(fault: Fault, amount: number, taps: FaultButton['taps']): string {
  const measured = isMeasured(fault.cost);
  const step = taps.find((tap) => tap.amount === amount);
  if (step && taps.length > 1) return step.label;
  if (!measured) return '';
  return wordsOf({ quantity: measured.quantity, base: amount, unit: measured.unit });
}

/** A fault of a mark by its name, and its amount in words; null where it says nothing more. */
export function faultWords(
  book: RuleBook,
  mark: { readonly exercise: ExerciseKey; readonly fault: FaultKey; readonly amount: number },
): { readonly fault: string; readonly amount: string | null } {
  const prepared = prepareRules(book).exercises.find((one) => one.exercise === mark.exercise);
  const found = prepared?.faults.find((one) => one.fault.id === mark.fault)?.fault;
  if (!prepared || !found) return { fault: mark.fault, amount: writeNumber(mark.amount) };
  const words = amountWords(found, mark.amount, tapsOf(found, prepared));
  return { fault: found.title, amount: words === '' ? null : words };
}

function isMeasured(cost: Cost): FaultButton['measured'] {
  if (cost.kind === 'per-second') return { quantity: 'duration', unit: 's' };
  if (cost.kind === 'per-metre') return { quantity: 'distance', unit: 'm' };
  return cost.kind === 'band' ? { quantity: cost.quantity, unit: cost.unit } : null;
}

/** A typed measure → the amount of a mark, in base units. */
export function readMeasure(measured: NonNullable<FaultButton['measured']>, text: string): Result<number> {
  return parseOne(text, measured.quantity, measured.unit, numberCustom());
}

import type { FaultCount } from '@/core/evidence';
import { ACTION_CHIP, type StandingRep } from '@/core/log';
import { sameFault } from '@/core/rulebooks';
import { type ElementRecord, faultLabel, type NamedFault } from '@/data/read';
import { wordsOf } from '@/words';

/**
 * What was said by the chips of the last rep. What the handler did is not taken along to another step that asks
 * for it by its list: a ladder of actions would be worked at its first one.
 */
export function lastSaid(
  { axes }: ElementRecord,
  last: StandingRep | null,
  moved: boolean,
): Readonly<Record<string, string>> {
  const { [ACTION_CHIP]: _did, ...others } = last?.asked.chips ?? {};
  const isAsked = axes.some((axis) => axis.key === ACTION_CHIP && axis.levels !== null);
  return moved && isAsked ? others : (last?.asked.chips ?? {});
}

/**
 * The dog's most frequent faults come first; the others keep the order of the rule book. By the bouts
 * before this one: within a lesson no fault changes its place under the thumb, or its number.
 */
export function byFrequency(faults: readonly NamedFault[], seen: readonly FaultCount[]): NamedFault[] {
  const times = ({ ref }: NamedFault): number =>
    seen.find(({ fault }) => fault !== null && sameFault(fault, ref))?.count ?? 0;
  return [...faults].sort((a, b) => times(b) - times(a));
}

export function faultsInWords({ judged }: StandingRep, faults: readonly NamedFault[]): string | null {
  const names = judged.faults.flatMap((fault) => faultLabel(faults, fault) ?? []).map(wordsOf);
  const [first, ...others] = names;
  if (first === undefined) return null;
  const said = [first, ...others.map(inSentence)];
  const last = said.pop() ?? first;
  if (said.length === 0) return last;
  return wordsOf({ list: [{ list: said, between: ', ' }, last], between: ' and ' });
}

/** A label within a sentence: its first letter is small, where it is no abbreviation. */
function inSentence(label: string): string {
  return /^\p{Lu}\p{Ll}/u.test(label) ? label.charAt(0).toLowerCase() + label.slice(1) : label;
}

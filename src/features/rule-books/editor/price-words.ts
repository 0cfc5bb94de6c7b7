import { describeCost, faultRulesInWords, type Rules } from '@/core/rulebooks';
import { wordsOf } from '@/words';
import { at, type Draft, isTyped, type Json, textAt } from './draft';
import { demandsOf, familyIn, numbersIn, readTypedCost, smallestOf, unfolded } from './typed-values';
import { tell } from './words';

const WORDS: Readonly<Record<Rules['family'], Parameters<typeof describeCost>[1]>> = {
  'points-off': 'point',
  'weighted-marks': 'mark',
  abilities: 'mark',
  retrieves: 'point',
  checklist: 'item',
  'time-and-faults': 'fault',
  measured: 'point',
};

/** How a row is understood, or why it is not; empty where nothing is written yet. */
export type Understood = { readonly words: string; readonly wrong: boolean };
const NOTHING: Understood = { words: '', wrong: false };

/** A fault's price as the table understands it, with what it took where nothing was written. */
export function priceInWords(draft: Draft, fault: Json): Understood {
  const smallest = smallestOf(draft);
  const cost = at(fault, ['cost']);
  const read = readTypedCost(cost, smallest);
  if (read && !read.ok)
    return textAt(fault, ['cost']).trim() === '' ? NOTHING : { words: wordsOf(read.message), wrong: true };
  const whole = numbersIn(unfolded(fault, smallest) ?? fault);
  // A number that is half typed in a field of its own is said there.
  if (JSON.stringify(at(whole, ['cost']) ?? null).includes('"typed"')) return NOTHING;
  const price = at(whole, ['cost']) as unknown as Parameters<typeof describeCost>[0];
  const others = {
    warnings: at(whole, ['warnings']),
    nth: at(whole, ['nth']),
    again: at(whole, ['again']),
  } as Parameters<typeof faultRulesInWords>[1];
  const nth = at(whole, ['nth']);
  const rules = isTyped(at(nth ?? null, ['at'])) ? [] : faultRulesInWords({}, others).map(wordsOf);
  const assumed = read?.ok ? read.value.assumed.map(wordsOf) : [];
  return {
    words: [wordsOf(describeCost(price, WORDS[familyIn(draft)])), ...rules, ...assumed].join('; '),
    wrong: false,
  };
}

/** What a part's demands are understood as. */
export function demandsInWords(draft: Draft, part: Json): Understood {
  if (!isTyped(at(part, ['demands']))) return NOTHING;
  const { demands, wrong } = demandsOf(part, draft);
  if (wrong && !wrong.ok) return { words: wordsOf(wrong.message), wrong: true };
  const words = demands.map((demand) =>
    tell('book-row.understood-demand', {
      title: textAt(demand, ['title']),
      quantity: textAt(demand, ['quantity']),
      harder: textAt(demand, ['harder']),
      value: Number(textAt(demand, ['value'])),
      unit: textAt(demand, ['unit']),
    }),
  );
  return { words: words.join('; '), wrong: false };
}

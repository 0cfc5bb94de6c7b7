import type { Day } from './days';
import type { Quantity } from './quantities';

/**
 * A sentence as data: which one, and what is in it. The words are in a catalogue outside the core, so
 * that what the core concludes is a code and its values in every language.
 */
export type Sentence = { readonly say: string; readonly with?: Values };

/** An amount of a quantity, base units, and the unit in which it is shown. */
export type Measured = { readonly quantity: Quantity; readonly base: number; readonly unit: string };

/**
 * What a sentence can hold: numbers and amounts, which are written as the person's language writes them;
 * days; yes or no; a name that somebody gave; another sentence, or several of them in a row.
 */
export type Value =
  | string
  | number
  | boolean
  | null
  | undefined
  | Sentence
  | Measured
  | { readonly day: Day }
  | { readonly list: readonly Value[]; readonly between: ', ' | '; ' | ' and ' | ' ' };
export type Values = Readonly<Record<string, Value>>;

/** A sentence. `say('runs.clean', { run: 3 })` → `{ say: 'runs.clean', with: { run: 3 } }`. */
export function say(key: string, values?: Values): Sentence {
  return values ? { say: key, with: values } : { say: key };
}

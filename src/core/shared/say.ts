import type { Day } from './days';
import type { Quantity } from './quantities';

/**
 * A sentence as data: which one, and what is in it. The words are in a catalogue outside the core, so
 * that what the core concludes is a code and its values in every language.
 */
export type Sentence = { readonly say: string; readonly with?: Values };

/** An amount of a quantity, base units, and the unit in which it is shown; `bare`: without that unit. */
export type Measured = {
  readonly quantity: Quantity;
  readonly base: number;
  readonly unit: string;
  readonly bare?: true;
};

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
  /** With so many digits after the point, noughts too. */
  | { readonly number: number; readonly digits: number }
  | { readonly day: Day }
  /** Milliseconds since 1970, as day and hour. */
  | { readonly instant: number }
  | { readonly list: readonly Value[]; readonly between: ', ' | '; ' | ' and ' | ' or ' | ' ' };
/** A name that somebody gave, or one that the program has words for. */
export type Name = string | Sentence;
export type Values = Readonly<Record<string, Value>>;

/** A sentence. `say('runs.clean', { run: 3 })` → `{ say: 'runs.clean', with: { run: 3 } }`. */
export function say(key: string, values?: Values): Sentence {
  return values ? { say: key, with: values } : { say: key };
}

/** The key of a sentence that a schema says of a wrong value: `schemaSays('axis.two-steps')`. */
export const schemaSays = (key: string): string => key;

/**
 * What a schema says of a wrong value: its own sentence, or what would fit as the schema writes it.
 * `saidBySchema({ message: 'Invalid type: …', expected: 'string' })` → "string is wanted".
 */
export function saidBySchema(issue: {
  readonly message: string;
  readonly expected?: string | null;
}): Sentence {
  return issue.message.startsWith('Invalid ')
    ? say('shared.say.is-wanted', { expected: issue.expected ?? '' })
    : say(issue.message);
}

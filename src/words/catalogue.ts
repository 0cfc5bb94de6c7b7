import { createIntl, createIntlCache, type IntlShape } from 'react-intl';
import type { Sentence, Value, Values } from '@/core/shared';
import core from './en/core.json';
import { inWordsHere } from './region';
import { writeValue } from './values';

type Words = Readonly<Record<string, string>>;

/** Messages in the words of the region. */
function regional(words: Words): Record<string, string> {
  return Object.fromEntries(Object.entries(words).map(([key, message]) => [key, inWordsHere(message)]));
}

/** What is said so far: the core's sentences, and those of every room that was entered. */
const messages: Record<string, string> = regional(core);

/**
 * With `pseudo` every message comes in brackets, so that a word that is not from the catalogue shows: for
 * tests of the whole page.
 */
const bracketed = (): boolean => globalThis.localStorage?.getItem('regulon-words') === 'pseudo';

const intl: IntlShape = createIntl(
  {
    locale: 'en',
    messages,
    onError: (error) => {
      throw error;
    },
  },
  createIntlCache(),
);

/** Tells a message by its key, or a sentence that the core has made. */
type Teller<K extends string> = {
  (key: K, values?: Values): string;
  (sentence: Sentence): string;
};

/**
 * Takes the messages of a room in, and gives the function that tells them. Keys are those of its file:
 * another is a type error. A message that is missing, or a value that it wants, throws.
 */
export function tellerOf<W extends Words>(words: W): Teller<keyof W & string> {
  Object.assign(messages, regional(words));
  return (said: string | Sentence, values?: Values) =>
    typeof said === 'string' ? told(said, values) : toldSentence(said);
}

const toldSentence = ({ say, with: values }: Sentence): string => told(say, values);

/** A value of a sentence, or a name, as it is read. */
export const wordsOf = (value: Value): string => writeValue(value, toldSentence);

function told(key: string, values: Values = {}): string {
  const message = messages[key];
  if (message === undefined) throw new Error(`no words for ${key}`);
  const shown = Object.fromEntries(
    Object.entries(values).map(([name, value]) => [name, shownIn(message, name, value)]),
  );
  const words = intl.formatMessage({ id: key }, shown, { ignoreTag: true });
  return bracketed() ? `⟦${words}⟧` : words;
}

/** What decides between words stays as it is; what is shown is written as the person reads it. */
function shownIn(message: string, name: string, value: Value): string | number {
  const decides = message.includes(`{${name}, `);
  if (decides) return typeof value === 'number' ? value : String(value);
  return writeValue(value, toldSentence);
}

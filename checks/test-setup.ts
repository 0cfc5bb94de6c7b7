import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { expect } from 'vitest';
import type { Sentence } from '@/core/shared';
import { tellerOf, wordsOf } from '@/words';
import clips from '@/words/en/core-clips.json';
import making from '@/words/en/core-making.json';
import rules from '@/words/en/core-rules.json';
import season from '@/words/en/core-season.json';
import setOuts from '@/words/en/core-set-outs.json';

// Rooms take these in where they need them; tests of the core have no room.
tellerOf({ ...making, ...rules, ...setOuts, ...season, ...clips });

/**
 * Property tests draw the same cases on every run, so that what lands has been tested.
 * `PROPERTY_SEED=7 npm run unit` draws others; a case that fails there is written into its test as
 * an example.
 */
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 20_260_615) });

/** A sentence that the core makes equals the words that are told of it, so that tests can say either. */
const isSentence = (value: unknown): value is Sentence =>
  typeof value === 'object' && value !== null && 'say' in value && typeof value.say === 'string';
expect.addEqualityTesters([
  (a, b) => {
    if (isSentence(a) && typeof b === 'string') return wordsOf(a) === b;
    return isSentence(b) && typeof a === 'string' ? wordsOf(b) === a : undefined;
  },
]);

expect.extend({
  /** A sentence that says these words, or words like these. */
  saying: (received: unknown, words: string | RegExp) => {
    const said = typeof received === 'string' ? received : wordsOf(received as Sentence);
    const pass = typeof words === 'string' ? said.includes(words) : words.test(said);
    return { pass, message: () => `“${said}” ${pass ? 'says' : 'does not say'} ${words}` };
  },
});

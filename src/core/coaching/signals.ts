/** What a word or gesture of a person's is for: each of these is a different word. */
export const SIGNAL_KINDS = ['cue', 'marker', 'keep-going', 'error', 'release', 'end'] as const;
export type SignalKind = (typeof SIGNAL_KINDS)[number];

/** A word as far as it can be taken for another: whose it is, what for, and how it sounds or is written. */
export type HeardSignal = {
  readonly id: string;
  readonly kind: SignalKind;
  readonly word: string;
  /** The one dog that it is for; null where it is for all. */
  readonly dogId: string | null;
};

/** Two words that one dog may take for each other. `same`: it is one word for two things. */
export type Confusable = {
  readonly first: string;
  readonly second: string;
  readonly how: 'same' | 'alike';
};

/**
 * Pairs of words that one dog hears and may take for each other: the same word twice, or two that differ
 * by little. Alike is: one begins as the other does, to three letters and half of the longer one; or an
 * edit distance (Levenshtein 1966) of at most a quarter of the longer one's letters, at least 1, where
 * both have three letters or more. "sit" and "Sit" → same; "down" and "dow" → alike; "sit" and "stay" →
 * none. Words of different dogs are not compared. Letters only: how it sounds in a language is not known.
 */
export function confusables(signals: readonly HeardSignal[]): Confusable[] {
  return signals.flatMap((first, i) =>
    signals.slice(i + 1).flatMap((second): Confusable[] => {
      if (first.dogId !== null && second.dogId !== null && first.dogId !== second.dogId) return [];
      const how = likeness(plain(first.word), plain(second.word));
      return how === null ? [] : [{ first: first.id, second: second.id, how }];
    }),
  );
}

/** As it is heard: no capitals, marks or spaces. */
const plain = (word: string): string =>
  word
    .normalize('NFD')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]/gu, '');

function likeness(a: string, b: string): Confusable['how'] | null {
  if (a === '' || b === '') return null;
  if (a === b) return 'same';
  const [shorter, longer] = a.length < b.length ? [a, b] : [b, a];
  if (shorter.length < 3) return null;
  if (distance(a, b) <= Math.max(1, Math.floor(longer.length / 4))) return 'alike';
  let begin = 0;
  while (begin < shorter.length && shorter[begin] === longer[begin]) begin += 1;
  return begin >= 3 && begin * 2 >= longer.length ? 'alike' : null;
}

/** How many letters have to be put in, left out or changed. "sit", "sat" → 1. */
function distance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const change = (row[j - 1] as number) + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min((row[j] as number) + 1, (next[j - 1] as number) + 1, change));
    }
    row = next;
  }
  return row[b.length] as number;
}

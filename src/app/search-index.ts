import MiniSearch from 'minisearch';
import { sameWords } from '@/core/breakdown';
import type { Findable } from '@/data/read';

/** So many answers are shown; more words find fewer. */
const SHOWN = 12;

/**
 * Finds by the words of a question, each of them or another word for it, at the beginning of words; with a
 * letter wrong only where nothing is spelt so. What is called so comes before what only says so.
 */
export function searcher(things: readonly Findable[]): (question: string) => Findable[] {
  const index = new MiniSearch<Findable>({
    fields: ['title', 'dog', 'text'],
  });
  index.addAll(things);
  const byId = new Map(things.map((one) => [one.id, one]));
  return (question) => {
    const words = question.trim().split(/\s+/).filter(Boolean);
    if (words.length === 0) return [];
    const ask = (fuzzy: boolean) =>
      index.search(
        {
          combineWith: 'AND',
          queries: words.map((word) => ({
            combineWith: 'OR',
            queries: sameWords(word).map((term, i) => ({
              queries: [term],
              boost: { title: i === 0 ? 8 : 4, dog: 2, text: 1 },
            })),
          })),
        },
        { prefix: true, fuzzy: (term) => (fuzzy && term.length > 4 ? 0.25 : false) },
      );
    const exact = ask(false);
    const found = exact.length > 0 ? exact : ask(true);
    return found.slice(0, SHOWN).flatMap(({ id }) => byId.get(String(id)) ?? []);
  };
}

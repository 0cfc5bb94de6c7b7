import { type Method, type MethodElement, sameWords } from '@/core/breakdown';

export type MethodPiece = { readonly method: Method; readonly element: MethodElement };

/** Words too common to tell what is trained. */
const COMMON = new Set(['the', 'and', 'with', 'from', 'for', 'dog', 'you', 'your', 'back', 'over', 'into']);
const MOST = 8;

/**
 * Pieces of methods that train what a part is called: those that share most words with its title, or words
 * that mean the same. “Recall over a hurdle” → pieces of jumping and of coming.
 */
export function methodPieces(title: string, methods: readonly Method[]): MethodPiece[] {
  const wanted = wordsOf(title).map(sameWords);
  if (wanted.length === 0) return [];
  const scored = methods.flatMap((method) =>
    method.elements.map((element) => {
      const words = new Set(wordsOf(`${element.title} ${method.title}`).flatMap(sameWords));
      return { method, element, shared: wanted.filter((same) => same.some((one) => words.has(one))).length };
    }),
  );
  return scored
    .filter((one) => one.shared > 0)
    .sort((a, b) => b.shared - a.shared)
    .slice(0, MOST)
    .map(({ method, element }) => ({ method, element }));
}

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 2 && !COMMON.has(word));

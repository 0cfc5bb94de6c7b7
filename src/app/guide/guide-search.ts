import { searcher } from '../search-index';
import { GUIDE, type GuidePage } from './pages';

export type FoundPage = { readonly page: GuidePage; readonly line: string };

const PLAIN = /\*\*|`|\[|\]\([^)]*\)|^#+ |^[-\d.]+ /gm;
const find = searcher(
  GUIDE.map((page) => ({
    kind: 'page',
    id: page.id,
    title: page.title,
    dog: '',
    text: page.text.replace(PLAIN, ''),
    day: null,
    to: `guide/${page.id}`,
    dogId: null,
  })),
);

/** The pages that say what is asked for, each with the line that says most of it. */
export function findInGuide(question: string): readonly FoundPage[] {
  const words = question.toLowerCase().split(/\s+/).filter(Boolean);
  const says = (line: string): number => words.filter((word) => line.toLowerCase().includes(word)).length;
  return find(question).flatMap(({ id }) => {
    const page = GUIDE.find((one) => one.id === id);
    if (!page) return [];
    const lines = page.text
      .split('\n')
      .filter((line) => line.trim() !== '')
      .map((line) => line.replace(PLAIN, ''));
    const line = lines.toSorted((a, b) => says(b) - says(a))[0] ?? '';
    return [{ page, line }];
  });
}

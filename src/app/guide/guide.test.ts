import { describe, expect, test } from 'vitest';
import { findInGuide } from './guide-search';
import { GUIDE, pageFor } from './pages';

const catalogues = import.meta.glob('/src/words/en/*.json', { eager: true, import: 'default' }) as Record<
  string,
  Record<string, string>
>;
const SAID = new Set(Object.values(catalogues).flatMap((words) => Object.values(words)));

describe('the guide', () => {
  test('is there, page by page, each with a title and something to say', () => {
    for (const page of GUIDE) {
      expect(page.title.length, page.id).toBeGreaterThan(3);
      expect(page.text.length, page.id).toBeGreaterThan(300);
    }
    const files = Object.keys(import.meta.glob('/docs/guide/*.md'));
    expect(files.map((file) => file.replace(/.*\/(.*)\.md$/, '$1')).sort()).toEqual(
      GUIDE.map(({ id }) => id).sort(),
    );
  });

  test('what it sets in bold stands on a screen in these words', () => {
    const bold = GUIDE.flatMap(({ id, text }) =>
      [...text.matchAll(/\*\*([^*]+)\*\*/g)].map(([, label = '']) => [id, label] as const),
    );
    expect(bold.length).toBeGreaterThan(60);
    expect(bold.filter(([, label]) => !SAID.has(label))).toEqual([]);
  });

  test('a link in it leads to a page of it', () => {
    const links = GUIDE.flatMap(({ id, text }) =>
      [...text.matchAll(/\]\(([^)]+)\)/g)].map(([, to = '']) => [id, to] as const),
    );
    expect(links.length).toBeGreaterThan(10);
    expect(
      links.filter(([, to]) => !GUIDE.some((page) => `${page.id}.md` === to)).map((one) => one.join(' → ')),
    ).toEqual([]);
  });

  test.each([
    ['/own/today', 'Today'],
    ['/own/field/some-element', 'Field'],
    ['/own/field/class', 'Field'],
    ['/sample/breakdown/x/evidence', 'Breakdown'],
    ['/own/season/day', 'Live days'],
    ['/own/tracks/walk', 'Clips and tracks'],
    ['/own/clips', 'Clips and tracks'],
    ['/own/files/coach', 'Files'],
    ['/own/start', 'The first ten minutes'],
    ['/own/settings', 'Settings'],
    ['/own/words', 'Settings'],
    ['/own/nowhere', 'The first ten minutes'],
  ])('help at %s is %s', (path, title) => {
    expect(pageFor(path).title).toBe(title);
  });

  test.each([
    ['spreadsheet', 'files'],
    ['limping', 'staying-safe'],
    ['home screen', 'on-the-phone'],
    ['which fault', 'field'],
    ['calendar', 'plan'],
    ['steward', 'trials'],
    ['left hand', 'settings'],
  ])('a search for “%s” finds it', (question, id) => {
    const found = findInGuide(question);
    expect(found.map(({ page }) => page.id)).toContain(id);
    const line = found.find(({ page }) => page.id === id)?.line ?? '';
    expect(line.toLowerCase()).toContain(question.split(' ')[0]);
    expect(line).not.toMatch(/\*\*|\]\(/);
  });

  test('what nobody wrote is not found', () => {
    expect(findInGuide('zeppelin')).toEqual([]);
    expect(findInGuide('  ')).toEqual([]);
  });
});

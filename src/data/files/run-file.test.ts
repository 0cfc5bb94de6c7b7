import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { sampleState } from '@/demo/sample-state.test-helper';
import { type Gathered, piecesOf, textOf, withPiece } from './code-pieces';
import { readRunFile, runText } from './run-file';

const book = sampleState().work.ruleBooks[0]?.book;
if (!book) throw new Error('the sample has rule books');
const changed = { at: 0, by: 'phone', seen: { phone: 1 } };
const run = {
  id: 'r',
  meeting: null,
  starter: null,
  trial: null,
  dogId: null,
  name: 'Wren',
  number: 4,
  book: book.id,
  kind: 'mock',
  turn: 0,
  size: null,
  day: '2026-06-01',
  judges: [],
  putAway: false,
  changed,
};
const mark = {
  id: 'k',
  runId: 'r',
  judge: null,
  seq: 0,
  by: 'phone',
  at: 5,
  of: null,
  reason: '',
  changed,
  kind: 'close',
};
const text = (more = {}): string =>
  runText({ run, people: [], book, marks: [mark], script: null, calling: null, ...more } as never);

const gather = (pieces: readonly string[]): Gathered | null =>
  pieces.reduce<Gathered | null>((all, piece) => withPiece(all, piece) ?? all, null);

describe('a run file', () => {
  it('is read as it was written', () => {
    expect(must(readRunFile(text()))).toMatchObject({ run, marks: [mark], book: { id: book.id } });
  });

  it.each([
    ['cut off', text().slice(0, 80), 'json', ''],
    ['of something else', '{"format":"regulon-kennel"}', 'foreign', 'format'],
    ['of another version', JSON.stringify({ ...JSON.parse(text()), version: 2 }), 'version', 'version'],
    [
      'with a mark that says nothing',
      text({ marks: [{ ...mark, kind: 'shout' }] }),
      'record',
      'marks[0].kind',
    ],
    ['with a mark of another run', text({ marks: [{ ...mark, runId: 'x' }] }), 'reference', 'marks[0]'],
    [
      'with a script upside down',
      text({ script: { steps: [{ key: '' }], draws: [] } }),
      'record',
      'script.steps[0].key',
    ],
    ['of another class', text({ run: { ...run, book: 'other' } }), 'reference', 'book'],
    [
      'with a rule book that is not sound',
      text({ book: { ...book, exercises: book.exercises.slice(1) } }),
      'rule-book',
      null,
    ],
  ])('%s is refused with its reason', (_, given, code, path) => {
    const read = readRunFile(given);
    expect(read).toMatchObject({ ok: false, code, ...(path === null ? {} : { path }) });
  });
});

describe('codes on a screen', () => {
  it('a run of a whole rule book goes over in a few, in any order and twice', async () => {
    const pieces = await piecesOf(text());
    expect(pieces.length).toBeGreaterThan(1);
    expect(pieces.length).toBeLessThan(14);
    expect(Math.max(...pieces.map((piece) => piece.length))).toBeLessThan(600);
    const found = gather([...pieces].reverse().concat(pieces));
    expect(found && must(await textOf(found))).toBe(text());
  });

  it('says how many are missing, and what does not fit', async () => {
    const pieces = await piecesOf(text());
    const half = gather(pieces.slice(1));
    expect(half && (await textOf(half))).toMatchObject({ ok: false, code: 'pieces' });
    const [first = '', ...rest] = pieces;
    const bent = gather([`${first.slice(0, -9)}AAAAAAAAA`, ...rest]);
    expect(bent && (await textOf(bent))).toMatchObject({ ok: false, code: 'damaged' });
    for (const stray of [
      '',
      'https://a.example/x',
      'RG1.abc.0.2.x',
      'RG1.abc.3.2.x',
      'RG2.abc.1.1.x',
      'RG1.abc.1.1',
    ])
      expect(withPiece(null, stray)).toBeNull();
  });

  it('another text begins anew', async () => {
    const [one, other] = [await piecesOf(text()), await piecesOf(text({ marks: [] }))];
    const found = gather([...one.slice(1), ...other]);
    expect(found && must(await textOf(found))).toBe(text({ marks: [] }));
  });

  it('brings any text over', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'grapheme', maxLength: 3000 }), async (said) => {
        const found = gather(await piecesOf(said));
        expect(found && must(await textOf(found))).toBe(said);
      }),
      { numRuns: 40 },
    );
  });
});

import { describe, expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { wordsOf } from '@/words';
import { ageInMonths, type CautionContext, cautionsFor } from '.';

const context = (
  change: Partial<Omit<CautionContext, 'dog'>> & { readonly dog?: Partial<CautionContext['dog']> } = {},
): CautionContext => ({
  today: '2026-06-30' as Day,
  work: [],
  axes: [],
  jumpsToday: null,
  lastStrengthDay: null,
  surface: null,
  temperature: null,
  ...change,
  dog: { name: 'Otto', born: '2025-05-20' as Day, shortNosed: null, vet: [], ...change.dog },
});
const ids = (change: Parameters<typeof context>[0]): string[] =>
  cautionsFor(context(change)).map((one) => one.id);
const one = (id: string, change: Parameters<typeof context>[0]) =>
  cautionsFor(context(change)).find((caution) => caution.id === id);

describe('cautions', () => {
  it.each([
    ['nothing risky: signs of pain only', { work: [] }, ['pain']],
    [
      'a height is a jump',
      { axes: [{ quantity: 'height' }] },
      ['ground', 'growth', 'jumps', 'warm-up', 'pain'],
    ],
    ['upright', { work: ['upright', 'strength'] }, ['growth', 'ground', 'strength-days', 'pain']],
    ['tug', { work: ['tug'] }, ['growth', 'warm-up', 'heat', 'tug', 'swallow', 'pain']],
    ['fingers, on a table', { work: ['fingers', 'table'] }, ['fingers', 'table', 'pain']],
    [
      'a catch is a jump',
      { work: ['catch'] },
      ['ground', 'growth', 'jumps', 'catch', 'warm-up', 'swallow', 'pain'],
    ],
    [
      'a jump on concrete',
      { work: ['jump'], surface: 'concrete' },
      ['ground', 'hard-ground', 'growth', 'jumps', 'warm-up', 'pain'],
    ],
    ['harness', { work: ['pull', 'tether'] }, ['tether', 'growth', 'warm-up', 'heat', 'pain']],
    ['a muzzle', { work: ['worn-kit'] }, ['worn-kit', 'heat', 'pain']],
    ['a dog that may bite', { work: ['biter'] }, ['biter', 'pain']],
    [
      'birds',
      { work: ['birds', 'retrieve', 'run', 'water'] },
      ['retrieve', 'birds', 'water', 'ground', 'warm-up', 'heat', 'swallow', 'pain'],
    ],
    ['a short nose, whatever it does', { dog: { shortNosed: true } }, ['heat', 'pain']],
  ] as const)('%s', (_, change, expected) => expect(ids(change)).toEqual(expected));

  it('asks the vet about growth, says the age, and then repeats the vet', () => {
    expect(one('growth', { work: ['jump'] })).toMatchObject({ ask: 'growth', why: 'Otto is 13 months old.' });
    expect(wordsOf(one('growth', { work: ['jump'], dog: { born: null } })?.why)).toContain(
      'not been written down',
    );
    expect(
      one('growth', {
        work: ['jump'],
        dog: { vet: [{ about: 'growth', said: 'grown, jumps up to 30 cm' }] },
      }),
    ).toMatchObject({
      ask: null,
      text: 'Your vet said: grown, jumps up to 30 cm.',
    });
  });

  it('asks about growth of a puppy and of one whose age nobody wrote, about age of an old dog, never both', () => {
    const asked = (born: string | null, work: CautionContext['work'] = ['jump']) =>
      ids({ work, dog: { born: born as Day | null } }).filter((id) =>
        ['growth', 'age', 'attention'].includes(id),
      );
    expect(asked('2025-12-20')).toEqual(['growth', 'attention']);
    expect(asked('2024-12-20')).toEqual(['growth']);
    expect(asked(null)).toEqual(['growth']);
    expect(asked('2021-12-20')).toEqual([]);
    expect(asked('2016-06-20')).toEqual(['age']);
    expect(asked('2016-06-20', ['scent'])).toEqual([]);
    const told = [{ about: 'age' as const, said: 'no more than two jumps' }];
    expect(wordsOf(one('age', { work: ['jump'], dog: { born: '2016-06-20' as Day, vet: told } })?.text)).toBe(
      'Your vet said: no more than two jumps.',
    );
  });

  it('says what ends it on the spot', () => {
    const ends = cautionsFor(context({ work: ['tug', 'tether', 'strength'] })).flatMap((found) =>
      found.ends ? [wordsOf(found.ends)] : [],
    );
    expect(ends).toEqual([
      expect.stringContaining('No screen while it is tied to you'),
      expect.stringContaining('Trembling'),
      'A caught hand ends the game.',
    ]);
  });

  it('counts what was done, without a limit of its own', () => {
    expect(wordsOf(one('jumps', { work: ['jump'], jumpsToday: 1 })?.why)).toBe('1 jump logged today.');
    expect(
      wordsOf(one('strength-days', { work: ['strength'], lastStrengthDay: '2026-06-29' as Day })?.why),
    ).toBe('Last strength work: yesterday.');
    expect(wordsOf(one('heat', { work: ['run'], temperature: 27.4 })?.why)).toContain('27 °C');
    const numbers = cautionsFor(
      context({ work: ['jump', 'upright', 'strength', 'tug', 'run', 'worn-kit', 'pull', 'birds'] }),
    ).map((caution) => caution.text);
    expect(numbers.map(wordsOf).filter((text) => /\d/.test(text))).toEqual([]);
  });

  it('tells the age in months', () => expect(ageInMonths('2024-04-30' as Day, '2026-06-30' as Day)).toBe(25));
});

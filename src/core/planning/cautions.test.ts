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
  dog: { name: 'Otto', born: '2025-10-20' as Day, shortNosed: null, vet: [], ...change.dog },
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
    ['tug', { work: ['tug'] }, ['warm-up', 'heat', 'tug', 'pain']],
    ['harness', { work: ['pull', 'tether'] }, ['tether', 'growth', 'warm-up', 'heat', 'pain']],
    ['a muzzle', { work: ['worn-kit'] }, ['worn-kit', 'heat', 'pain']],
    ['a dog that may bite', { work: ['biter'] }, ['biter', 'pain']],
    [
      'birds',
      { work: ['birds', 'retrieve', 'run', 'water'] },
      ['retrieve', 'birds', 'water', 'ground', 'warm-up', 'heat', 'pain'],
    ],
    ['a short nose, whatever it does', { dog: { shortNosed: true } }, ['heat', 'pain']],
  ] as const)('%s', (_, change, expected) => expect(ids(change)).toEqual(expected));

  it('asks the vet about growth, says the age, and then repeats the vet', () => {
    expect(one('growth', { work: ['jump'] })).toMatchObject({ ask: 'growth', why: 'Otto is 8 months old.' });
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

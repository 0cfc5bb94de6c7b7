import { describe, expect, it } from 'vitest';
import { asId, type RuleBookId } from '@/core/shared';
import { wordsOf } from '@/words';
import { classesAround, type RuleBook, structuresInWords } from '.';
import { bookNamed } from './sample-books.test-helper';

const two = bookNamed('vellmoor-obedience-two');
const three = bookNamed('vellmoor-obedience-three');
const edition = bookNamed('vellmoor-obedience-two-e2');
const other = bookNamed('ravenholt-course');
const one: RuleBook = { ...two, id: asId<RuleBookId>('one'), series: { of: 'Vellmoor Obedience', place: 1 } };
const all = [three, other, one, edition, two];
const ids = (books: readonly RuleBook[]) => books.map(({ id }) => id);

describe('classes of one row', () => {
  it('know which come before and after, the nearest first; another edition is neither', () => {
    expect(ids(classesAround(three, all).below)).toEqual([edition.id, two.id, one.id]);
    expect(ids(classesAround(two, all).below)).toEqual([one.id]);
    expect(ids(classesAround(two, all).above)).toEqual([three.id]);
    expect(classesAround(other, all)).toEqual({ below: [], above: [] });
  });

  it('are said in words', () => {
    expect(structuresInWords(two).map(wordsOf)).toContain('Class 2 of Vellmoor Obedience.');
  });
});

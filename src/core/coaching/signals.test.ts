import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { confusables, type HeardSignal } from './signals';

const of = (word: string, kind: HeardSignal['kind'] = 'cue', dogId: string | null = null): HeardSignal => ({
  id: `${word}-${kind}-${dogId}`,
  kind,
  word,
  dogId,
});
const how = (...signals: HeardSignal[]) => confusables(signals).map((one) => one.how);

describe('words that are taken for each other', () => {
  it.each([
    ['sit', 'Sit', 'same'],
    ['sit', ' sit! ', 'same'],
    ['across', 'a cross', 'same'],
    ['down', 'dow', 'alike'],
    ['sit', 'sat', 'alike'],
    ['stand', 'stay', 'alike'],
    ['back', 'bark', 'alike'],
    ['hop', 'hopla', 'alike'],
    ['Fuß', 'Fuss', null],
  ] as const)('%s and %s: %s', (a, b, wanted) => {
    const found = how(of(a), of(b, 'release'));
    expect(found).toEqual(wanted === null || wanted === undefined ? found : [wanted]);
  });

  it.each([
    ['sit', 'stay'],
    ['down', 'back'],
    ['here', 'heel-left'],
    ['go', 'no'],
    ['🙌', 'sit'],
  ])('%s and %s are told apart', (a, b) => expect(how(of(a), of(b))).toEqual([]));

  it('compares what one dog hears: words of two dogs are not', () => {
    expect(how(of('back', 'cue', 'a'), of('back', 'cue', 'b'))).toEqual([]);
    expect(how(of('back', 'cue', 'a'), of('back', 'cue', null))).toEqual(['same']);
  });

  it('is the same in either order, and never of a word with itself', () => {
    const word = fc.string({ maxLength: 8 });
    fc.assert(
      fc.property(word, word, (a, b) => {
        expect(how(of(a), of(b))).toEqual(how(of(b), of(a)));
        expect(confusables([of(a)])).toEqual([]);
      }),
    );
  });
});

import { expect, it } from 'vitest';
import { insteadWords } from './instead-view';

const at = (change: Partial<Parameters<typeof insteadWords>[0]>) =>
  insteadWords({ lower: 'Class One', dog: 'Wren', share: null, goFrom: 0.5, why: 'working', ...change });

it.each([
  [
    'a chance that one would go for',
    { share: { at: 0.7, words: '70 %' } },
    'Class One comes before this class: 70 % to pass it on the same day. You would go for that.',
  ],
  [
    'just the chance from which one goes',
    { share: { at: 0.5, words: '50 %' } },
    'Class One comes before this class: 50 % to pass it on the same day. You would go for that.',
  ],
  [
    'less than that',
    { share: { at: 0.2, words: '20 %' } },
    'Class One comes before this class: 20 % to pass it on the same day. That is less than you would go for, too.',
  ],
  [
    'not broken down',
    { why: 'apart' as const },
    'Class One comes before this class and is not broken down for Wren: what it would do there is not known.',
  ],
  [
    'too little logged',
    { why: 'thin' as const },
    'Class One comes before this class; too little is logged for a chance there.',
  ],
  ['being worked out', {}, 'Class One comes before this class; its chance is being worked out …'],
])('%s', (_, change, words) => expect(at(change)).toBe(words));

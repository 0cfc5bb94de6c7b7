import { describe, expect, it } from 'vitest';
import { USUAL_RULES } from '@/core/coaching';
import { must } from '@/core/shared';
import { wordsOf } from '@/words';
import { readRule, ruleTexts } from './rule-texts';

describe('numbers of a rule', () => {
  it.each(
    Object.values(USUAL_RULES).map((rule) => [rule.kind, rule] as const),
  )('%s comes back as it was written', (kind, rule) => {
    expect(must(readRule(kind, ruleTexts(rule)))).toEqual(rule);
  });
  it.each([
    ['run', { advanceAfter: 'many' }, 'write a number'],
    ['run', { advanceAfter: '0' }, 'Clean in a row to go up'],
    ['block', { pass: '9' }, 'more clean reps'],
    ['sequential', { p0: '95' }, 'above'],
  ] as const)('%s with %j is refused', (kind, change, words) => {
    const read = readRule(kind, { ...ruleTexts(USUAL_RULES[kind]), ...change });
    expect(wordsOf(read.ok ? '' : read.message)).toContain(words);
  });
});

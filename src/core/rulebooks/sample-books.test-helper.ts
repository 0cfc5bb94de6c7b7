import { readdirSync, readFileSync } from 'node:fs';
import { asId, type FaultKey, must } from '@/core/shared';
import { wordsOf } from '@/words';
import {
  familyOf,
  type Mark,
  type PreparedRules,
  prepareRules,
  type RuleBook,
  readRuleBook,
  type Score,
  type ScoreSheet,
  scoreSheet,
} from '.';

const FOLDER = 'src/demo/rule-books';
export const BOOK_NAMES = readdirSync(FOLDER).map((name) => name.replace('.json', ''));
export const bookText = (name: string): string => readFileSync(`${FOLDER}/${name}.json`, 'utf8');

export function bookNamed(name: string): RuleBook {
  const read = readRuleBook(bookText(name));
  if (!read.ok) throw new Error(JSON.stringify(read.problems, null, 1));
  return read.value;
}

export const preparedNamed = (name: string): PreparedRules => {
  const book = bookNamed(name);
  return prepareRules(book);
};

/**
 * A sheet in short: { square: ['slow-out', ['off-line', 9]] }; exercises that are not named were
 * faultless, 'exercise: null' is still open.
 */
export type ShortSheet = Readonly<
  Record<
    string,
    readonly (string | readonly [string, number])[] | { readonly given: readonly number[] } | null
  >
>;

function sheetOf(rules: PreparedRules, short: ShortSheet): ScoreSheet {
  return rules.exercises.flatMap(({ exercise }): ScoreSheet => {
    const line = short[exercise];
    if (line === null) return [];
    if (line && 'given' in line) return [{ exercise, marks: [], given: line.given }];
    return [{ exercise, marks: (line ?? []).map(markOf) }];
  });
}

const markOf = (mark: string | readonly [string, number]): Mark =>
  typeof mark === 'string'
    ? { fault: asId<FaultKey>(mark), amount: 1 }
    : { fault: asId<FaultKey>(mark[0]), amount: mark[1] };

/** What a run scores in the family's own words, whether it passes, and the codes of the reasons. */
export function run(
  name: string,
  short: ShortSheet,
): { readonly said: string; readonly passed: boolean; readonly why: string[]; readonly score: Score } {
  const book = bookNamed(name);
  const rules = prepareRules(book);
  const score = must(scoreSheet(rules, sheetOf(rules, short)));
  return {
    said: wordsOf(familyOf(book.rules).say(rules, score.units)),
    passed: score.passed,
    why: score.reasons.map((reason) => reason.code),
    score,
  };
}

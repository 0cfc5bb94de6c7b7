import {
  checkRuleBook,
  familyOf,
  faultSteps,
  prepareRules,
  type RuleBook,
  scoreSheet,
} from '@/core/rulebooks';
import type { Failure, Value } from '@/core/shared';
import { wordsOf } from '@/words';
import { type Draft, type Json, listAt, type Path, textAt } from './draft';
import { isEmptyExercise, made, parsed } from './made';
import { placeInWords } from './place-words';
import { tell } from './words';

/** Something to mend, in words, and the cell in which it is. */
export type Problem = { readonly at: Path; readonly where: string; readonly words: string };
export type Checked = {
  readonly problems: readonly Problem[];
  readonly book: RuleBook | null;
  readonly worked: string | null;
};

/**
 * What is wrong with the draft, each with its cell, and, when nothing is, the book and what a usual run scores
 * under it. `books`: ids of the books that are there already.
 */
export function checkDraft(draft: Draft, books: readonly string[] = []): Checked {
  const { file, problems: untold, placeOf } = made(draft, books);
  const read = checkRuleBook(JSON.parse(JSON.stringify(file)));
  const own = untold
    .filter(({ path }) => !inEmptyRow(draft, parsed(path)))
    .map((one) => ({ ...one, at: parsed(one.path) }));
  const others = (read.ok ? [] : read.problems)
    .map((one) => ({ ...one, at: placeOf(parsed(one.path)) }))
    .filter((one) => !own.some((other) => isWithin(one.at, other.at)));
  const seen = new Set<string>();
  const problems = [...own, ...others].flatMap((failure): Problem[] => {
    const problem = {
      at: cellOf(failure.at),
      where: placeInWords(draft, failure.at),
      words: told(failure, file),
    };
    const key = `${problem.where} ${problem.words}`;
    if (seen.has(key)) return [];
    seen.add(key);
    return [problem];
  });
  return read.ok && problems.length === 0
    ? { problems, book: read.value, worked: workedScore(read.value) }
    : { problems, book: null, worked: null };
}

/** A price and demands stand in one cell each; only values by size have fields of their own. */
function cellOf(path: Path): Path {
  const i = path.findIndex((key) => key === 'cost' || key === 'demands');
  return i < 0 || path.includes('bySize') ? path : path.slice(0, i + 1);
}

/** Whether a place is at or within another. */
export const isWithin = (path: Path, of: Path): boolean => of.every((key, i) => path[i] === key);

const inEmptyRow = (draft: Draft, path: Path): boolean => {
  const e =
    path[0] === 'rules' && path[1] === 'exercises' ? path[2] : path[0] === 'exercises' ? path[1] : undefined;
  return typeof e === 'number' && listAt(draft, ['exercises']).length > 1 && isEmptyExercise(draft, e);
};

/** Problems of a file that the table has its own words for. */
const WORDS: Readonly<Record<string, string>> = {
  'no-miss': tell('book-check.no-miss'),
  unowned: tell('book-check.unowned'),
  'unknown-part': tell('book-check.unowned'),
  unscored: tell('book-check.two-lists'),
  'unknown-exercise': tell('book-check.two-lists'),
  order: tell('book-check.two-lists'),
};

function told(failure: Failure, file: Draft): string {
  const own = WORDS[failure.code];
  if (own !== undefined) return own;
  if (failure.code === 'duplicate') return tell('book-check.duplicate');
  if (failure.code === 'shape') return shapeInWords(failure);
  return wordsOf(withTitles(failure.message, titlesIn(file)));
}

/** What the shape of a file wants, as somebody at a table would say it. */
function shapeInWords(failure: Failure): string {
  const { message: said, received: found } = failure.message.with ?? {};
  const received = String(found ?? '');
  const sentence = typeof said === 'object' && said !== null && 'say' in said ? said : null;
  if (sentence?.say.endsWith('must-not-be-empty') || ['""', 'undefined', 'null', ''].includes(received))
    return tell('book-check.not-filled-in');
  const expected = sentence?.with?.expected;
  if (expected === undefined)
    return tell('book-check.here', { message: sentence ? wordsOf(sentence) : '', received });
  const bound = /^(>=|<=|>|<)(-?\d+(?:\.\d+)?)$/.exec(String(expected));
  if (bound)
    return tell('book-check.bound', {
      sign: BOUNDS[bound[1] ?? ''] ?? '',
      limit: Number(bound[2]),
      received,
    });
  if (expected === '') return tell('book-check.whole', { received });
  return expected === 'number'
    ? tell('book-check.number', { received })
    : tell('book-check.cannot-stand-here', { received });
}
const BOUNDS: Readonly<Record<string, string>> = { '>=': 'least', '<=': 'most', '>': 'over', '<': 'under' };

/** A sentence with names of things where it has their hidden ids. */
function withTitles(message: Failure['message'], titles: ReadonlyMap<string, string>): Failure['message'] {
  if (!message.with) return message;
  const named = (value: Value): Value => {
    if (typeof value !== 'string') return value;
    return value
      .split(', ')
      .map((one) => titles.get(one) ?? one)
      .join(', ');
  };
  return {
    ...message,
    with: Object.fromEntries(Object.entries(message.with).map(([key, value]) => [key, named(value)])),
  };
}

function titlesIn(node: Json): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  const walk = (one: Json): void => {
    if (Array.isArray(one)) for (const item of one) walk(item);
    else if (typeof one === 'object' && one !== null) {
      const [id, title] = [textAt(one, ['id']) || textAt(one, ['axis']), textAt(one, ['title'])];
      if (id !== '' && title !== '') found.set(id, title);
      for (const item of Object.values(one)) walk(item);
    }
  };
  walk(node);
  return found;
}

/** A worked score: one run with the first fault of each exercise that is no miss, at its usual amount. */
function workedScore(book: RuleBook): string | null {
  const rules = prepareRules(book);
  const family = familyOf(book.rules);
  const sheet = rules.exercises.map((exercise) => {
    const fault = faultSteps(exercise).find((step) => !step.miss && !step.stops);
    return {
      exercise: exercise.exercise,
      marks: fault ? [{ fault: fault.ref.key, amount: fault.amount }] : [],
    };
  });
  const score = scoreSheet(rules, sheet);
  if (!score.ok) return null;
  const verdict = score.value.passed
    ? tell('book-check.and-passes')
    : tell('book-check.and-does-not-pass', {
        reasons: score.value.reasons.map((reason) => wordsOf(reason.message)).join(', '),
      });
  return tell('book-check.a-run-with-one-small-fault-in-each', {
    say: family.say(rules, score.value.units),
    say2: family.say(rules, score.value.maximum),
    verdict,
  });
}

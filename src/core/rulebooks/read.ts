import * as v from 'valibot';
import { type Failure, fail, findUnit, ok, type Success, saidBySchema, say } from '@/core/shared';
import { familyOf } from './families';
import { repeated } from './families/checks';
import { upgraded } from './older-files';
import { RULE_BOOK_FORMAT, RULE_BOOK_VERSION, type RuleBook, ruleBookSchema } from './schema';
import { checkStructures } from './structure-checks';

export type ReadRuleBook = Success<RuleBook> | { readonly ok: false; readonly problems: readonly Failure[] };

/**
 * Reads a rule-book file (JSON text). Every problem is reported at once, each with its path, the
 * value and the fix. Codes: `json`, `foreign`, `newer`, `shape`, and those of the family's checks.
 * Nothing is repaired in silence.
 */
export function readRuleBook(text: string): ReadRuleBook {
  const parsed = parseJson(text);
  if (!parsed.ok) return { ok: false, problems: [parsed] };
  return checkRuleBook(parsed.value);
}

/** The same for a value that is already parsed, such as a record of an archive. */
export function checkRuleBook(value: unknown): ReadRuleBook {
  const stamp = checkStamp(value);
  if (stamp) return { ok: false, problems: [stamp] };
  const shaped = v.safeParse(ruleBookSchema, upgraded(value));
  if (!shaped.success) return { ok: false, problems: shaped.issues.map(shapeProblem) };
  const problems = [
    ...checkOutline(shaped.output),
    ...familyProblems(shaped.output),
    ...checkStructures(shaped.output),
  ];
  return problems.length === 0 ? ok(shaped.output) : { ok: false, problems };
}

function parseJson(text: string): Success<unknown> | Failure {
  try {
    return ok(JSON.parse(text) as unknown);
  } catch (error) {
    return fail(
      'json',
      '',
      say('rulebooks.read.this-is-not-a-json-file-or-it-is', {
        error: error instanceof Error ? error.message : String(error),
      }),
    );
  }
}

function checkStamp(value: unknown): Failure | null {
  const stamp = value as { format?: unknown; version?: unknown } | null;
  if (typeof value !== 'object' || stamp === null || stamp.format !== RULE_BOOK_FORMAT) {
    return fail(
      'foreign',
      'format',
      say('rulebooks.read.this-is-not-a-rule-book-file-it', { RULEBOOKFORMAT: RULE_BOOK_FORMAT }),
    );
  }
  if (typeof stamp.version === 'number' && stamp.version > RULE_BOOK_VERSION) {
    return fail(
      'newer',
      'version',
      say('rulebooks.read.this-file-is-version-this-program', {
        version: stamp.version,
        RULEBOOKVERSION: RULE_BOOK_VERSION,
      }),
    );
  }
  return null;
}

function shapeProblem(issue: v.BaseIssue<unknown>): Failure {
  const path = (issue.path ?? [])
    .map((item) => (typeof item.key === 'number' ? `[${item.key}]` : `.${String(item.key)}`))
    .join('');
  return fail(
    'shape',
    path.replace(/^\./, ''),
    say('rulebooks.read.here', { message: saidBySchema(issue), received: issue.received }),
  );
}

function checkOutline(book: RuleBook): Failure[] {
  const ids = book.exercises.map((exercise) => exercise.id);
  const twice = ids.filter((id, i) => ids.indexOf(id) !== i);
  return [
    ...twice.map((id) =>
      fail('duplicate', 'exercises', say('rulebooks.read.two-exercises-are-called-rename', { id })),
    ),
    ...book.exercises.flatMap((exercise, i) => checkParts(exercise, `exercises[${i}].parts`)),
  ];
}

function checkParts(exercise: RuleBook['exercises'][number], path: string): Failure[] {
  const ids = exercise.parts.map((part) => part.id);
  const twice = ids.filter((id, i) => ids.indexOf(id) !== i);
  const units = exercise.parts.flatMap((part, i) =>
    part.demands.flatMap((demand, j) => {
      const unit = findUnit(demand.quantity, demand.unit);
      return unit.ok ? [] : [fail(unit.code, `${path}[${i}].demands[${j}].unit`, unit.message)];
    }),
  );
  const axes = exercise.parts.flatMap((part, i) =>
    repeated(part.demands.map((demand) => demand.axis)).map((axis) =>
      fail('duplicate', `${path}[${i}].demands`, say('rulebooks.read.two-demands-rename-one', { axis })),
    ),
  );
  return [
    ...twice.map((id) =>
      fail('duplicate', path, say('rulebooks.read.two-parts-are-called-rename-one', { id })),
    ),
    ...units,
    ...axes,
  ];
}

function familyProblems(book: RuleBook): Failure[] {
  return familyOf(book.rules)
    .check(book.rules, book.exercises)
    .map((problem) => ({ ...problem, path: `rules.${problem.path}` }));
}

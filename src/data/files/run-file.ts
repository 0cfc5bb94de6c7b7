import * as v from 'valibot';
import { checkRuleBook, ruleBookSchema } from '@/core/rulebooks';
import { fail, ok, type Result, say } from '@/core/shared';
import { callingSchema, scriptEntries } from '@/data/records/calling';
import { markSchema } from '@/data/records/mark';
import { personSchema } from '@/data/records/person';
import { runSchema } from '@/data/records/run';
import { issuesInWords, placeOf } from '@/data/records/words';

const RUN_FORMAT = 'regulon-run';
const RUN_VERSION = 1;

const runFileSchema = v.strictObject({
  format: v.literal(RUN_FORMAT),
  version: v.literal(RUN_VERSION),
  run: runSchema,
  /** A pace was not known in files of kennel version 11. */
  people: v.array(
    v.strictObject({ ...personSchema.entries, pace: v.optional(personSchema.entries.pace, null) }),
  ),
  /** Left out on the way back: whoever asked has it. */
  book: v.nullable(ruleBookSchema),
  /** Of sheets that are closed, and of nobody else’s. */
  marks: v.array(markSchema),
  /** For whoever calls: what is called, without a draw. */
  script: v.nullable(v.strictObject(scriptEntries)),
  /** What was called, with its seed: only after it was. */
  calling: v.nullable(callingSchema),
});
export type RunFile = v.InferOutput<typeof runFileSchema>;

/** A run on its way to another device, or back. */
export function runText(file: Omit<RunFile, 'format' | 'version'>): string {
  return JSON.stringify({ format: RUN_FORMAT, version: RUN_VERSION, ...file });
}

/**
 * Reads a run of another device in stages, as a kennel file is read: `json`, `foreign`, `version`, `record`,
 * `rule-book`, and `reference` where a mark is of another run.
 */
export function readRunFile(text: string): Result<RunFile> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return fail(
      'json',
      '',
      say('data.kennel-file.this-file-is-damaged-or-cut-off-it', {
        error: error instanceof Error ? error.message : String(error),
      }),
    );
  }
  const { format, version } = (value ?? {}) as { format?: unknown; version?: unknown };
  if (format !== RUN_FORMAT)
    return fail('foreign', 'format', say('data.run-file.this-is-no-run', { RUNFORMAT: RUN_FORMAT }));
  if (version !== RUN_VERSION)
    return fail('version', 'version', say('data.run-file.another-version', { version: String(version) }));
  const read = v.safeParse(runFileSchema, value);
  if (!read.success) return fail('record', placeOf(read.issues[0]), issuesInWords(read.issues));
  const { book, run, marks } = read.output;
  if (book) {
    const checked = checkRuleBook(book);
    const first = checked.ok ? undefined : checked.problems[0];
    if (first) return fail('rule-book', `book.${first.path}`, first.message);
    if (book.id !== run.book)
      return fail('reference', 'book', say('data.run-file.another-book', { title: book.title }));
  }
  const stray = marks.findIndex((mark) => mark.runId !== run.id);
  return stray < 0
    ? ok(read.output)
    : fail('reference', `marks[${stray}]`, say('data.run-file.a-mark-of-another-run'));
}

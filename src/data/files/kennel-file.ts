import * as v from 'valibot';
import {
  type DeviceId,
  type ExchangeId,
  type Failure,
  fail,
  ok,
  type Result,
  type Sentence,
  say,
  type Value,
} from '@/core/shared';
import { CURRENT_VERSION, migrateTables } from '@/data/migrations';
import { TABLE_NAMES, type Tables } from '@/data/records';
import { idField, instantField } from '@/data/records/fields';
import { checkReferences } from '@/data/records/references';
import { tablesSchema } from '@/data/records/tables';
import { issuesInWords, placeOf } from '@/data/records/words';
import type { SetAside } from './set-aside';

export const KENNEL_FORMAT = 'regulon-kennel';

const exchangeSchema = v.strictObject({
  /** This file among all. */
  id: idField<ExchangeId>(),
  from: idField<DeviceId>(),
  /** The file from which it goes on: what that one told is not in this one. Null: everything is in it. */
  after: v.nullable(v.strictObject({ id: idField<ExchangeId>(), at: instantField })),
});
export type Exchange = v.InferOutput<typeof exchangeSchema>;

/**
 * What stands around the tables of a file.
 * @internal
 */
export const envelopeOf = <T extends v.GenericSchema>(tables: T) =>
  v.strictObject({
    format: v.literal(KENNEL_FORMAT),
    version: v.number(),
    savedAt: v.string(),
    /** Version 17: since it is part of an exchange between devices. */
    exchange: v.optional(exchangeSchema),
    /** Version 17: a part of a kennel for somebody who coaches its dogs; `by` is who sends it, `weeks` how far back. */
    packet: v.optional(
      v.strictObject({ by: v.string(), dogs: v.array(v.string()), weeks: v.nullable(v.number()) }),
    ),
    /** Version 17: what a coach sends back of a packet: comments, and changes as proposals. */
    answer: v.optional(v.strictObject({ by: v.string() })),
    /** How many records each table has, so that a list that lost its tail is noticed. */
    counts: v.record(v.string(), v.number()),
    tables,
    /** Records that could not be read back when it was saved: kept for whoever can mend them. */
    setAside: v.optional(v.array(v.unknown())),
  });
const envelopeSchema = envelopeOf(v.record(v.string(), v.array(v.unknown())));

/** Tables at hand as a kennel file, with what else is said of them. */
export function kennelText(
  tables: Tables,
  savedAt: string,
  more: {
    readonly setAside?: readonly SetAside[];
    readonly exchange?: Exchange;
    readonly packet?: Packet;
  } = {},
): string {
  const counts = Object.fromEntries(TABLE_NAMES.map((name) => [name, tables[name].length]));
  return JSON.stringify({
    format: KENNEL_FORMAT,
    version: CURRENT_VERSION,
    savedAt,
    ...more,
    counts,
    tables,
  });
}

export type KennelFile = {
  readonly savedAt: string;
  readonly tables: Tables;
  /** Null where it was saved before files were told apart. */
  readonly exchange: Exchange | null;
  readonly packet: Packet | null;
  readonly answer: Answer | null;
};
/** Whose dogs a packet holds, and how far back. */
export type Packet = { readonly by: string; readonly dogs: readonly string[]; readonly weeks: number | null };
export type Answer = { readonly by: string };

/**
 * Reads a kennel file in stages: JSON → shape → version → migrate → validate → references. The
 * first stage that fails gives its own code (`json`, `foreign`, `newer`, `version`, `shape`, `cut`,
 * `record`, `reference`, `rule-book`) and the file is refused as a whole. One that goes on from another file is not
 * checked for references here.
 */
export function readKennelFile(text: string): Result<KennelFile> {
  const read = readStages(text);
  return read.ok ? read : { ...read, path: withShortWords(read.path), message: shortenedIn(read.message) };
}

/** What a file holds may be long beyond reading; it is named by its beginning. */
const withShortWords = (text: string): string =>
  text.replaceAll(/[^\s]{60,}/g, (word) => `${word.slice(0, 40)}…`);

function shortenedIn({ say: key, with: values = {} }: Sentence): Sentence {
  const short = (value: Value): Value => {
    if (typeof value === 'string') return withShortWords(value);
    if (typeof value !== 'object' || value === null) return value;
    if ('say' in value) return shortenedIn(value);
    return 'list' in value ? { ...value, list: value.list.map(short) } : value;
  };
  return say(key, Object.fromEntries(Object.entries(values).map(([name, value]) => [name, short(value)])));
}

function readStages(text: string): Result<KennelFile> {
  const parsed = parse(text);
  if (!parsed.ok) return parsed;
  const format = (parsed.value as { format?: unknown } | null)?.format;
  if (format !== KENNEL_FORMAT)
    return fail(
      'foreign',
      'format',
      say('data.kennel-file.this-file-was-not-saved-by-regulon', { KENNELFORMAT: KENNEL_FORMAT }),
    );
  const version = (parsed.value as { version?: unknown }).version;
  if (typeof version !== 'number')
    return fail('version', 'version', say('data.kennel-file.the-file-does-not-say-which'));
  const known = migrateTables({}, version);
  if (!known.ok) return known;
  const shaped = v.safeParse(envelopeSchema, parsed.value);
  if (!shaped.success) return issuesFail('shape', shaped.issues);
  const cut = checkCounts(shaped.output.counts, shaped.output.tables);
  if (cut) return cut;
  const migrated = migrateTables(shaped.output.tables, shaped.output.version);
  if (!migrated.ok) return migrated;
  const tables = v.safeParse(v.object({ tables: tablesSchema }), { tables: migrated.value });
  if (!tables.success) return issuesFail('record', tables.issues);
  const { savedAt, exchange = null, packet = null, answer = null } = shaped.output;
  // What goes on from another file points at what that one told: it is checked where both come together.
  const dangling = exchange?.after ? null : checkReferences(tables.output.tables);
  return dangling ?? ok({ savedAt, tables: tables.output.tables, exchange, packet, answer });
}

function parse(text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text) as unknown);
  } catch (error) {
    return fail(
      'json',
      '',
      say('data.kennel-file.this-file-is-damaged-or-cut-off-it', {
        error: error instanceof Error ? error.message : String(error),
      }),
    );
  }
}

function checkCounts(
  counts: Readonly<Record<string, number>>,
  tables: Readonly<Record<string, readonly unknown[]>>,
): Failure | null {
  const wrong = Object.entries(counts).find(([name, count]) => tables[name]?.length !== count);
  if (!wrong) return null;
  const [name, count] = wrong;
  return fail(
    'cut',
    `tables.${name}`,
    say('data.kennel-file.the-file-says-and-holds-part-of-it', {
      count,
      name,
      nameCount: tables[name]?.length ?? 0,
    }),
  );
}

function issuesFail(
  code: string,
  issues: readonly [v.BaseIssue<unknown>, ...v.BaseIssue<unknown>[]],
): Failure {
  return fail(code, placeOf(issues[0]), issuesInWords(issues));
}

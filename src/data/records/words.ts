import type * as v from 'valibot';
import { type Name, type Sentence, say, type Value } from '@/core/shared';

/** A value as it is named in a message: a long one by its beginning. */
export function shortened(text: string): string {
  return text.length <= 40 ? text : `${text.slice(0, 40)}…`;
}

const KINDS: Readonly<Record<string, Sentence>> = {
  string: say('data.words.a-text'),
  number: say('data.words.a-number'),
  boolean: say('data.words.true-or-false'),
  array: say('data.words.a-list'),
  object: say('data.words.a-record'),
  strict_object: say('data.words.a-record'),
  record: say('data.words.a-record'),
  picklist: say('data.words.one-of-a-few-words'),
  literal: say('data.words.one-certain-word'),
  nullable: say('data.words.a-value'),
  variant: say('data.words.a-record-of-a-known-kind'),
};

/** What stands there, in a few words. */
function foundIn(issue: v.BaseIssue<unknown>): Name {
  const { input } = issue;
  if (input === undefined) return say('data.words.nothing');
  if (input === null) return 'null';
  if (typeof input === 'number' && Number.isNaN(input)) return say('data.words.no-number');
  if (Array.isArray(input)) return say('data.words.a-list');
  if (typeof input === 'object') return say('data.words.a-record');
  return typeof input === 'string' ? `“${shortened(input)}”` : shortened(String(input));
}

/** What would fit, in words: the requirement where the schema has one. */
function wantedBy(issue: v.BaseIssue<unknown>): Value {
  const { requirement } = issue;
  switch (issue.type) {
    case 'min_value':
    case 'gt_value':
      return say('data.words.a-number-of-or-more', { requirement: String(requirement) });
    case 'max_value':
      return say('data.words.a-number-of-at-most', { requirement: String(requirement) });
    case 'min_length':
      return typeof issue.input === 'string'
        ? say('data.words.some-letters')
        : say('data.words.of-them-at-least', { requirement: String(requirement) });
    case 'max_length':
      return say('data.words.letters-at-most', { requirement: String(requirement) });
    case 'integer':
      return say('data.words.a-whole-number');
    case 'finite':
      return say('data.words.a-number-that-ends');
    case 'picklist':
    case 'literal':
    case 'variant': {
      const fits = issue.expected ?? '';
      const words = [...fits.matchAll(/"([^"]*)"/g)].map((match) => `“${match[1]}”`);
      return words.length > 0 && words.length <= 12
        ? { list: words, between: ' or ' }
        : (KINDS[issue.type] ?? say('data.words.something-else'));
    }
    default:
      return KINDS[issue.type] ?? say('data.words.something-else');
  }
}

/** Where it is, as `tables.dogs[2].name`. */
export function placeOf(issue: v.BaseIssue<unknown>): string {
  return (issue.path ?? [])
    .map((item) => (typeof item.key === 'number' ? `[${item.key}]` : `.${shortened(String(item.key))}`))
    .join('')
    .replace(/^\./, '');
}

/**
 * One problem of a record in a sentence: "outings[3].weather.temperature is 99; a number of 60 at most
 * is wanted." A sentence that a schema brings of its own is kept.
 */
function issueInWords(issue: v.BaseIssue<unknown>): Sentence {
  const place = placeOf(issue) || say('data.words.it');
  const own = !/^Invalid /.test(issue.message);
  if (own)
    return say('data.words.is', {
      place,
      foundIn: foundIn(issue),
      message: say(issue.message),
    });
  if (issue.type === 'strict_object' && issue.expected === 'never')
    return say('data.words.is-not-known-here-was-it-written', { place });
  // A key that is not there is said by the record around it, which does not know what it should be.
  if (issue.type === 'strict_object' && issue.expected?.startsWith('"'))
    return say('data.words.is-missing', { place });
  if (issue.input === undefined)
    return say('data.words.is-missing-is-wanted', { place, wantedBy: wantedBy(issue) });
  return say('data.words.is-is-wanted', { place, foundIn: foundIn(issue), wantedBy: wantedBy(issue) });
}

/** So many problems are said; the others are counted. */
const SAID = 5;

/** All problems at once, the first few in sentences. */
export function issuesInWords(issues: readonly v.BaseIssue<unknown>[]): Sentence {
  const said = { list: issues.slice(0, SAID).map(issueInWords), between: ' ' } as const;
  const more = issues.length - SAID;
  return more > 0 ? say('data.words.and-more', { said, more }) : say('data.words.all', { said });
}

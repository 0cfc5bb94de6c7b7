import type * as v from 'valibot';

/** A value as it is named in a message: a long one by its beginning. */
export function shortened(text: string): string {
  return text.length <= 40 ? text : `${text.slice(0, 40)}…`;
}

const KINDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a record',
  strict_object: 'a record',
  record: 'a record',
  picklist: 'one of a few words',
  literal: 'one certain word',
  nullable: 'a value',
  variant: 'a record of a known kind',
};

/** What stands there, in a few words. */
function foundIn(issue: v.BaseIssue<unknown>): string {
  const { input } = issue;
  if (input === undefined) return 'nothing';
  if (input === null) return 'null';
  if (typeof input === 'number' && Number.isNaN(input)) return 'no number';
  if (Array.isArray(input)) return 'a list';
  if (typeof input === 'object') return 'a record';
  return typeof input === 'string' ? `“${shortened(input)}”` : shortened(String(input));
}

/** What would fit, in words: the requirement where the schema has one. */
function wantedBy(issue: v.BaseIssue<unknown>): string {
  const { requirement } = issue;
  switch (issue.type) {
    case 'min_value':
    case 'gt_value':
      return `a number of ${String(requirement)} or more`;
    case 'max_value':
      return `a number of ${String(requirement)} at most`;
    case 'min_length':
      return typeof issue.input === 'string' ? 'some letters' : `${String(requirement)} of them at least`;
    case 'max_length':
      return `${String(requirement)} letters at most`;
    case 'integer':
      return 'a whole number';
    case 'finite':
      return 'a number that ends';
    case 'picklist':
    case 'literal':
    case 'variant': {
      const fits = issue.expected ?? '';
      const words = [...fits.matchAll(/"([^"]*)"/g)].map((match) => `“${match[1]}”`);
      return words.length > 0 && words.length <= 12
        ? words.join(' or ')
        : (KINDS[issue.type] ?? 'something else');
    }
    default:
      return KINDS[issue.type] ?? 'something else';
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
function issueInWords(issue: v.BaseIssue<unknown>): string {
  const place = placeOf(issue) || 'It';
  const own = !/^Invalid /.test(issue.message);
  if (own) return `${place} is ${foundIn(issue)}: ${issue.message.replace(/\.$/, '')}.`;
  if (issue.type === 'strict_object' && issue.expected === 'never')
    return `${place} is not known here. Was it written by another program, or by hand?`;
  // A key that is not there is said by the record around it, which does not know what it should be.
  if (issue.type === 'strict_object' && issue.expected?.startsWith('"')) return `${place} is missing.`;
  if (issue.input === undefined) return `${place} is missing; ${wantedBy(issue)} is wanted.`;
  return `${place} is ${foundIn(issue)}; ${wantedBy(issue)} is wanted.`;
}

/** So many problems are said; the others are counted. */
const SAID = 5;

/** All problems at once, the first few in sentences. */
export function issuesInWords(issues: readonly v.BaseIssue<unknown>[]): string {
  const said = issues.slice(0, SAID).map(issueInWords).join(' ');
  return issues.length > SAID ? `${said} And ${issues.length - SAID} more.` : said;
}

import { axisScale, findCircle } from '@/core/breakdown';
import type { Entry } from '@/core/log';
import { checkRuleBook } from '@/core/rulebooks';
import { type Failure, fail, say } from '@/core/shared';
import type { Tables } from '.';
import { type Link, linksOf } from './links';
import { shortened } from './words';

/**
 * Finds a record that points at nothing, an id used twice, or a log that takes back what it has not;
 * null when all is sound. A reference to something that was removed is sound.
 */
export function checkReferences(tables: Tables): Failure | null {
  return (
    checkIds(tables) ??
    checkLinks(tables) ??
    checkLadders(tables) ??
    checkPrerequisites(tables) ??
    checkRuleBooks(tables) ??
    checkLog(tables.entries)
  );
}

function checkIds(tables: Tables): Failure | null {
  for (const [name, records] of Object.entries(tables)) {
    const seen = new Set<string>();
    for (const [i, { id }] of records.entries()) {
      if (seen.has(id))
        return fail(
          'reference',
          `tables.${name}[${i}]`,
          say('data.references.the-id-is-used-twice-in', { shortened: shortened(id), name }),
        );
      seen.add(id);
    }
  }
  return null;
}

/** What the pages compute from must be computable: every axis climbs from its start to its demand. */
function checkLadders({ elements }: Tables): Failure | null {
  for (const [i, element] of elements.entries())
    for (const [a, axis] of element.axes.entries()) {
      const scale = axisScale(axis);
      if (!scale.ok)
        return fail(
          'ladder',
          `tables.elements[${i}].axes[${a}]`,
          say('data.references.ladder', {
            element: shortened(element.title),
            axis: shortened(axis.title),
            problem: scale.message,
          }),
        );
    }
  return null;
}

/** A rule book in a kennel must be as sound as one that is read from its own file. */
function checkRuleBooks(tables: Tables): Failure | null {
  for (const [i, record] of tables.ruleBooks.entries()) {
    const at = `tables.ruleBooks[${i}]`;
    if (record.id !== record.book.id)
      return fail(
        'reference',
        `${at}.id`,
        say('data.references.the-record-is-called-and-its-rule', { id: record.id, id2: record.book.id }),
      );
    const checked = checkRuleBook(record.book);
    const first = checked.ok ? undefined : checked.problems[0];
    if (first)
      return fail(
        'rule-book',
        `${at}.book.${first.path}`,
        say('data.references.the-rule-book-is-not-sound', {
          title: record.book.title,
          message: first.message,
        }),
      );
  }
  return null;
}

function checkPrerequisites(tables: Tables): Failure | null {
  const circle = findCircle(tables.elements);
  if (circle === null) return null;
  const titles = circle.map((id) => `“${tables.elements.find((element) => element.id === id)?.title ?? id}”`);
  return fail(
    'reference',
    'tables.elements',
    say('data.references.prerequisites-go-round-in-a-circle', { titles: titles.join(' needs ') }),
  );
}

function checkLinks(tables: Tables): Failure | null {
  const ids = new Map(
    Object.entries(tables).map(([name, list]) => [name, new Set<string>(list.map((one) => one.id))]),
  );
  const gone = ids.get('gone');
  const lost = ({ to, id }: Pick<Link, 'to' | 'id'>): boolean =>
    !ids.get(to)?.has(id) && gone?.has(`${to}/${id}`) !== true;
  const found = linksOf(tables).find(lost);
  if (found)
    return fail(
      'reference',
      `tables.${found.at}`,
      say('data.references.it-points-at-which-is-not-among', {
        shortened: shortened(found.id),
        to: found.to,
      }),
    );
  const entry = tables.entries.findIndex((one) => lost({ to: 'bouts', id: one.boutId }));
  return entry < 0
    ? null
    : fail(
        'reference',
        `tables.entries[${entry}].boutId`,
        say('data.references.it-points-at-which-is-not-among-2', {
          shortened: shortened(tables.entries[entry]?.boutId ?? ''),
        }),
      );
}

function checkLog(entries: readonly Entry[]): Failure | null {
  const bouts = new Map(entries.map((entry) => [entry.id, entry.boutId]));
  const stray = entries.findIndex((entry) => 'of' in entry && bouts.get(entry.of) !== entry.boutId);
  return stray < 0
    ? null
    : fail(
        'reference',
        `tables.entries[${stray}]`,
        say('data.references.entry-names-something-that-is-not', {
          shortened: shortened(entries[stray]?.id ?? ''),
        }),
      );
}

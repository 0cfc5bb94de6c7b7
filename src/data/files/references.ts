import { findCircle } from '@/core/breakdown';
import { checkRuleBook } from '@/core/rulebooks';
import { type Failure, fail } from '@/core/shared';
import type { Entry, Tables } from '@/data/records';

/** Finds a record that points at nothing, an id used twice, or a log with a gap; null when all is sound. */
export function checkReferences(tables: Tables): Failure | null {
  return checkIds(tables) ?? checkLinks(tables) ?? checkPrerequisites(tables) ?? checkRuleBooks(tables) ?? checkLog(tables.entries);
}

function checkIds(tables: Tables): Failure | null {
  for (const [name, records] of Object.entries(tables)) {
    const ids = records.map((record) => record.id as string);
    if (new Set(ids).size === ids.length) continue;
    const twice = ids.findIndex((id, i) => ids.indexOf(id) !== i);
    return fail('reference', `tables.${name}[${twice}]`, `The id “${ids[twice]}” is used twice in ${name}.`);
  }
  return null;
}

/** A rule book in a kennel must be as sound as one that is read from its own file. */
function checkRuleBooks(tables: Tables): Failure | null {
  for (const [i, record] of tables.ruleBooks.entries()) {
    const at = `tables.ruleBooks[${i}]`;
    if (record.id !== record.book.id)
      return fail('reference', `${at}.id`, `The record is called “${record.id}” and its rule book “${record.book.id}”.`);
    const checked = checkRuleBook(record.book);
    const first = checked.ok ? undefined : checked.problems[0];
    if (first) return fail('rule-book', `${at}.book.${first.path}`, `The rule book “${record.book.title}” is not sound: ${first.message}`);
  }
  return null;
}

function checkPrerequisites(tables: Tables): Failure | null {
  const circle = findCircle(tables.elements);
  if (!circle) return null;
  const titles = circle.map((id) => `“${tables.elements.find((element) => element.id === id)?.title ?? id}”`);
  return fail('reference', 'tables.elements', `Prerequisites go round in a circle: ${titles.join(' needs ')}.`);
}

function checkLinks(tables: Tables): Failure | null {
  const ids = Object.fromEntries(Object.entries(tables).map(([name, records]) => [name, new Set<string>(records.map((record) => record.id))]));
  const links = [
    ...tables.elements.flatMap((record, i) => [
      { at: `elements[${i}].dogId`, to: 'dogs', id: record.dogId },
      ...record.needs.map((need) => ({ at: `elements[${i}].needs`, to: 'elements', id: need.element })),
      ...(record.form.kind === 'chain' ? record.form.links.map((id) => ({ at: `elements[${i}].form.links`, to: 'elements', id })) : []),
      ...(record.retired?.into ?? []).map((id) => ({ at: `elements[${i}].retired.into`, to: 'elements', id })),
      ...record.assigned.map((one) => ({ at: `elements[${i}].assigned`, to: 'sessions', id: one.session })),
    ]),
    ...tables.breakdowns.flatMap((record, i) => [
      { at: `breakdowns[${i}].dogId`, to: 'dogs', id: record.dogId },
      ...(record.ruleBookId === null ? [] : [{ at: `breakdowns[${i}].ruleBookId`, to: 'ruleBooks', id: record.ruleBookId }]),
      ...record.links.map((link, j) => ({ at: `breakdowns[${i}].links[${j}].element`, to: 'elements', id: link.element })),
    ]),
    ...tables.sessions.flatMap((record, i) => [
      { at: `sessions[${i}].dogId`, to: 'dogs', id: record.dogId },
      { at: `sessions[${i}].elementId`, to: 'elements', id: record.elementId },
    ]),
    ...tables.entries.map((record, i) => ({ at: `entries[${i}].sessionId`, to: 'sessions', id: record.sessionId })),
    ...tables.trials.flatMap((record, i) => [
      { at: `trials[${i}].dogId`, to: 'dogs', id: record.dogId },
      { at: `trials[${i}].ruleBookId`, to: 'ruleBooks', id: record.ruleBookId },
    ]),
    ...(['forecasts', 'results'] as const).flatMap((name) =>
      tables[name].flatMap((record, i) => [
        { at: `${name}[${i}].dogId`, to: 'dogs', id: record.dogId },
        { at: `${name}[${i}].trialId`, to: 'trials', id: record.trialId },
      ]),
    ),
    ...tables.results.flatMap((record, i) =>
      record.forecastId === null ? [] : [{ at: `results[${i}].forecastId`, to: 'forecasts', id: record.forecastId }],
    ),
  ];
  const lost = links.find((link) => !ids[link.to]?.has(link.id));
  return lost ? fail('reference', `tables.${lost.at}`, `It points at “${lost.id}”, which is not among the ${lost.to} of this file.`) : null;
}

function checkLog(entries: readonly Entry[]): Failure | null {
  const bySession = new Map<string, Entry[]>();
  for (const entry of entries) {
    const list = bySession.get(entry.sessionId);
    if (list) list.push(entry);
    else bySession.set(entry.sessionId, [entry]);
  }
  for (const [session, log] of bySession) {
    log.sort((a, b) => a.seq - b.seq);
    const gap = log.findIndex((entry, i) => entry.seq !== i);
    if (gap >= 0) return fail('reference', 'tables.entries', `The log of session “${session}” has a gap at entry ${gap}.`);
    const known = new Set<string>(log.map((entry) => entry.id));
    const stray = log.find((entry) => 'supersedes' in entry && !known.has(entry.supersedes));
    if (stray) return fail('reference', 'tables.entries', `Entry “${stray.id}” takes back something that is not in its session.`);
  }
  return null;
}

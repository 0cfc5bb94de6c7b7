import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Version 5: by element whether a measure decides or is only noted, and whether one cue only is wanted
 * (until now nobody could say so: the rule book says it); the person's own names for articles, and
 * whether one that was helped with may be laid again; rest days of strength work, and where a silent test
 * that failed leads to.
 */
export const whatARepSays: Migration = {
  to: 5,
  name: 'what a rep says',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    elements: eachRow(tables.elements, (one) => ({
      ...one,
      measured: 'decides',
      cues: one.cues === 'repeat' ? 'by-rules' : one.cues,
      articles: isRow(one.articles) ? { ...one.articles, names: [], aidedAgain: false } : one.articles,
      policy: policyOf(one.policy),
    })),
  }),
};

function policyOf(policy: unknown): unknown {
  if (!isRow(policy) || !isRow(policy.rule)) return policy;
  return { ...policy, rule: { ...policy.rule, ...added(policy.rule) } };
}

function added({ kind }: Loose): Loose {
  if (kind === 'strength') return { restDays: 1 };
  return kind === 'cue-transfer' ? { failed: 'first' } : {};
}

import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Version 3: forecasts and results, the marker's stamp, set-outs in words, and how articles are
 * laid (in a line and hidden, as all were before).
 */
export const forecastsAreKept: Migration = {
  to: 3,
  name: 'forecasts are kept',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    elements: eachRow(tables.elements, (one) => ({ ...one, setOut: '', articles: articlesOf(one.articles) })),
    entries: eachRow(tables.entries, withMarker),
    sessions: eachRow(tables.sessions, (one) => ({ ...one, runsFixed: null })),
    trials: eachRow(tables.trials, (one) => ({
      ...one,
      assumptions: isRow(one.assumptions) ? assumed(one.assumptions) : one.assumptions,
    })),
    forecasts: [],
    results: [],
  }),
};

const articlesOf = (count: unknown): unknown =>
  typeof count === 'number' ? { count, shape: 'line', laid: 'hidden', nearer: false } : count;

function withMarker(entry: Loose): Loose {
  const { details } = entry;
  const run = isRow(details) ? details.articles : undefined;
  const shaped =
    isRow(details) && isRow(run)
      ? { details: { ...details, articles: { ...run, shape: 'line', seen: false, nearer: null } } }
      : {};
  return { ...entry, ...shaped, ...(entry.kind === 'rep' ? { marker: null } : {}) };
}

/**
 * The swing from session to session and the gain are measured from now on; place and first try were
 * fixed numbers of the program.
 */
function assumed({ sessionSd: _swing, gainPerSession: _gain, ...kept }: Loose): Loose {
  return { ...kept, place: { mean: -0.5, sd: 0.5 }, cold: { mean: -0.3, sd: 0.4 }, sessionsPerWeek: null };
}

import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Version 9: what a trial asks besides its rule book (handler, pay, kit), and from what chance the person
 * would go. A forecast that was given before knew nothing of pay: it was one of a dog that is paid.
 */
export const trialsAskForConditions: Migration = {
  to: 9,
  name: 'trials ask for conditions',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    trials: eachRow(tables.trials, (one) => withAsked(one, false)),
    forecasts: eachRow(tables.forecasts, (one) => withAsked(one, true)),
    apart: eachRow(tables.apart, (one) => {
      const table = String(one.id).split('/')[0];
      const paid = table === 'forecasts';
      return paid || table === 'trials'
        ? {
            ...one,
            versions: eachRow(one.versions, (version) =>
              isRow(version.record) ? { ...version, record: withAsked(version.record, paid) } : version,
            ),
          }
        : one;
    }),
  }),
};

const withAsked = (record: Loose, paid: boolean): Loose => ({
  ...record,
  assumptions: isRow(record.assumptions)
    ? { ...record.assumptions, asked: { handler: 'usual', paid, kit: 'usual' }, goFrom: 0.5 }
    : record.assumptions,
});

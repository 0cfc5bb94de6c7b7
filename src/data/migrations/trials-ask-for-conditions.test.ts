import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { trialsAskForConditions } from './trials-ask-for-conditions';

type Loose = { readonly tables: Record<string, Record<string, unknown>[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v8.json', 'utf8')) as Loose;

describe('“trials ask for conditions”', () => {
  it('asks of a trial what trials ask, changes nothing else, and reads', () => {
    const now = trialsAskForConditions.migrate(old.tables) as Loose['tables'];
    const [was, is] = [old.tables.trials?.[0], now.trials?.[0]];
    expect(is).toEqual({
      ...was,
      assumptions: {
        ...(was?.assumptions as object),
        asked: { handler: 'usual', paid: false, kit: 'usual' },
        goFrom: 0.5,
      },
    });
    const read = must(readKennelFile(JSON.stringify(old))).tables;
    expect(read.trials[0]?.assumptions.asked.paid).toBe(false);
  });

  it('leaves a given forecast one of a paid dog, which it was, also where two devices differ', () => {
    const given = { id: 'f', assumptions: { nervesSd: 0.4 } };
    const apart = [
      { id: 'forecasts/f', versions: [{ record: given }, { record: null }] },
      { id: 'trials/t', versions: [{ record: given }] },
      { id: 'dogs/d', versions: [{ record: { name: 'x' } }] },
    ];
    const now = trialsAskForConditions.migrate({ forecasts: [given], apart }) as Loose['tables'];
    const paid = (record: unknown) =>
      (record as { assumptions: { asked: { paid: boolean } } }).assumptions.asked.paid;
    expect(paid(now.forecasts?.[0])).toBe(true);
    const versions = now.apart?.map((one) => one.versions as { record: unknown }[]);
    expect([paid(versions?.[0]?.[0]?.record), versions?.[0]?.[1]?.record]).toEqual([true, null]);
    expect(paid(versions?.[1]?.[0]?.record)).toBe(false);
    expect(versions?.[2]?.[0]?.record).toEqual({ name: 'x' });
  });
});

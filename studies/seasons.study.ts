import { it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { USUAL_PLAN } from './known-dogs';
import { LOOKS, seasonCalibration } from './seasons';

const SEASONS = Number(process.env.SEASONS ?? 20);
const PLAN = { ...USUAL_PLAN, axes: [testAxis()], everyDays: 5, longGapEvery: 13 };

/** Dogs that are not as the program expects them; what they learn more is in logits a session. */
const OTHERS: readonly (readonly [string, Partial<typeof PLAN>])[] = [
  ['all, of dogs alike in each piece', { alike: true }],
  ['all, of dogs that learn .1 more', { faster: 0.1 }],
  ['all, of dogs that learn .2 more', { faster: 0.2 }],
];

it('forecasts of twenty seasons against the dogs', () => {
  const percent = (share: number): string => `${Math.round(100 * share)} %`;
  const row = (what: string, looks: typeof LOOKS, change: Partial<typeof PLAN> = {}): string => {
    const plan = { ...PLAN, ...change };
    const { forecasts, said, truth, covered, brier } = seasonCalibration(plan, looks, SEASONS, 31);
    return `| ${what} | ${forecasts} | ${percent(said)} | ${percent(truth)} | ${percent(covered)} | ${brier.said.toFixed(3)} | ${brier.truth.toFixed(3)} | ${brier.rate.toFixed(3)} |`;
  };
  const lines = [
    ...LOOKS.map((look) => row(look.what, [look])),
    row('all', LOOKS),
    ...OTHERS.map(([what, change]) => row(what, LOOKS, change)),
  ];
  process.stdout.write(
    `\n| | forecasts | said | truth | 80 % range held it | Brier said | Brier truth | Brier rate |\n|---|---|---|---|---|---|---|---|\n${lines.join('\n')}\n`,
  );
});

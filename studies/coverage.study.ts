import { it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { type AxisKey, asId } from '@/core/shared';
import { elementCoverage, passCoverage } from './coverage';
import type { StudyPlan } from './known-dogs';

const DOGS = 300;
const one = [testAxis()];
const two = [
  testAxis(),
  testAxis({
    key: asId<AxisKey>('second'),
    title: 'Second',
    quantity: 'duration',
    unit: 's',
    start: 2,
    demand: 30,
  }),
];
const USUAL: StudyPlan = {
  axes: one,
  sessions: 24,
  reps: 12,
  everyDays: 3,
  swing: 0.6,
  drift: 0.005,
  rungs: 'fixed',
  away: 0.15,
};

const PLANS: readonly (readonly [string, StudyPlan])[] = [
  ['fixed, one axis', USUAL],
  ['staircase, one axis', { ...USUAL, rungs: 'staircase' }],
  ['fixed, two axes', { ...USUAL, axes: two }],
  ['staircase, two axes', { ...USUAL, axes: two, rungs: 'staircase' }],
  ['static dogs, fixed', { ...USUAL, drift: 0 }],
  ['fast drift (.02 a day), fixed', { ...USUAL, drift: 0.02 }],
  ['fast drift (.02 a day), staircase', { ...USUAL, drift: 0.02, rungs: 'staircase' }],
  ['demand only, 10 × 20, swing .8', { ...USUAL, sessions: 10, reps: 20, swing: 0.8, rungs: 'demand' }],
];

const percent = (share: number): string => `${Math.round(share * 100)} %`;

it('80 % intervals against the truth', () => {
  const lines = PLANS.map(([name, plan]) => {
    const { clean, reach, naive, effective } = elementCoverage(plan, DOGS, 11);
    return `| ${name} | ${percent(clean.covered)} | ${clean.width.toFixed(2)} | ${clean.bias.toFixed(3)} | ${percent(reach.covered)} | ${reach.width.toFixed(2)} | ${reach.bias.toFixed(2)} | ${percent(naive.covered)} | ${effective.mean.toFixed(0)} (${effective.least.toFixed(0)}) |`;
  });
  process.stdout.write(
    `\n| dogs | clean covered | width | bias | reach covered | width | bias | naive covered | draws worth |\n|---|---|---|---|---|---|---|---|---|\n${lines.join('\n')}\n`,
  );
});

it('the chance of passing against the truth', () => {
  const lines = (['fixed', 'staircase'] as const).map((rungs) => {
    const { covered, width, bias } = passCoverage({ ...USUAL, rungs }, DOGS, 12);
    return `| ${rungs} | ${percent(covered)} | ${width.toFixed(2)} | ${bias.toFixed(3)} |`;
  });
  process.stdout.write(
    `\n| rungs | P(pass) covered | width | bias |\n|---|---|---|---|\n${lines.join('\n')}\n`,
  );
});

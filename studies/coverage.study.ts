import { it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { type AxisKey, asId } from '@/core/shared';
import { type Coverage, elementCoverage } from './coverage';
import { type StudyPlan, USUAL_PLAN } from './known-dogs';
import {
  holdingCoverage,
  neverForgetting,
  precisionCoverage,
  quicknessCoverage,
  wallsSaid,
} from './measures';

const DOGS = Number(process.env.DOGS ?? 200);
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
const USUAL: StudyPlan = { ...USUAL_PLAN, axes: one };

const PLANS: readonly (readonly [string, StudyPlan])[] = [
  ['fixed, one axis', { ...USUAL, rungs: 'fixed' }],
  ['staircase, one axis', USUAL],
  ['fixed, two axes', { ...USUAL, axes: two, rungs: 'fixed' }],
  ['staircase, two axes', { ...USUAL, axes: two }],
  ['static dogs, fixed', { ...USUAL, drift: 0, rungs: 'fixed' }],
  ['fast drift (.02 a day), staircase', { ...USUAL, drift: 0.02 }],
  ['demand only, 10 × 20, swing .8', { ...USUAL, sessions: 10, reps: 20, swing: 0.8, rungs: 'demand' }],
];

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const row = (name: string, { covered, width, bias }: Coverage): string =>
  `| ${name} | ${percent(covered)} | ${width.toFixed(2)} | ${bias.toFixed(3)} |`;

it('80 % intervals against the truth', () => {
  const lines = PLANS.map(([name, plan]) => {
    const { clean, reach, naive, effective } = elementCoverage(plan, DOGS, 11);
    return `| ${name} | ${percent(clean.covered)} | ${clean.width.toFixed(2)} | ${clean.bias.toFixed(3)} | ${percent(reach.covered)} | ${reach.width.toFixed(2)} | ${reach.bias.toFixed(2)} | ${percent(naive.covered)} | ${effective.mean.toFixed(0)} (${effective.least.toFixed(0)}) |`;
  });
  process.stdout.write(
    `\n| dogs | clean covered | width | bias | reach covered | width | bias | naive covered | draws worth |\n|---|---|---|---|---|---|---|---|---|\n${lines.join('\n')}\n`,
  );
});

it('measures against the truth', () => {
  const shape = { sessions: 8, reps: 10 };
  const [median, within] = quicknessCoverage(DOGS, 21, shape);
  const [bias, spread] = precisionCoverage(DOGS, 22, shape, false);
  const [seenBias, seenSpread] = precisionCoverage(DOGS, 23, shape, true);
  process.stdout.write(
    `\n| measure, sway of a session | covered | width | bias |\n|---|---|---|---|\n${[
      row('middle answer, s (.2)', median),
      row('in time (.2)', within),
      row('bias, degrees (3)', bias),
      row('spread, degrees (3)', spread),
      row('bias by eye (3)', seenBias),
      row('spread by eye (3)', seenSpread),
      row('lasts the demand (.2)', holdingCoverage(DOGS, 24, shape)),
    ].join('\n')}\n`,
  );
});

it('walls, and dogs that never forget', () => {
  const rows = [0.1, 0.05, 0, -0.05].map(
    (gain) => `| ${gain} | ${percent(wallsSaid(USUAL, gain, DOGS, 31))} |`,
  );
  const { loss, halfLives } = neverForgetting({ ...USUAL, longGapEvery: 4, sessions: 28 }, DOGS, 32);
  process.stdout.write(
    `\n| learns a session | a wall is said |\n|---|---|\n${rows.join('\n')}\n\nNever forgetting, six gaps of 30 days: 30-day loss in the middle ${loss.toFixed(2)} logits; half-lives shown ${halfLives} of ${DOGS}.\n`,
  );
});

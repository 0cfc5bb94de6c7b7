import { it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { type Asked, PLAIN, passCoverage } from './coverage';
import { type StudyPlan, USUAL_PLAN } from './known-dogs';

const DOGS = Number(process.env.DOGS ?? 200);
const USUAL: StudyPlan = { ...USUAL_PLAN, axes: [testAxis()] };

/** Written down before the first table: 75–90 % and a bias of .03 for dogs of the model; 70 % and .06 outside. */
const ROWS: readonly (readonly [string, StudyPlan, Asked])[] = [
  ['of the model, trained today', { ...USUAL, idle: 0 }, PLAIN],
  ['14 idle days', { ...USUAL, idle: 14 }, PLAIN],
  ['42 idle days', { ...USUAL, idle: 42 }, PLAIN],
  ['long sessions (24 goes)', { ...USUAL, reps: 24 }, PLAIN],
  ['two handlers, the other at the trial', { ...USUAL, another: 0.3 }, { ...PLAIN, handler: 'another' }],
  ['unpaid ring, both sides logged', { ...USUAL, unpaid: 0.3 }, { ...PLAIN, paid: false }],
  ['fixed rungs', { ...USUAL, rungs: 'fixed' }, PLAIN],
  ['streaks within a session (.6), outside', { ...USUAL, streaks: 0.6 }, PLAIN],
  ['another handler never seen, outside', USUAL, { ...PLAIN, handler: 'another' }],
  ['unpaid never seen, outside', USUAL, { ...PLAIN, paid: false }],
  ['half of the bad sessions not logged, stated only', { ...USUAL, hidden: 0.5 }, PLAIN],
];

it('the chance of passing against the truth', () => {
  const lines = ROWS.map(([name, plan, asked]) => {
    const { covered, width, bias } = passCoverage(plan, DOGS, 12, asked);
    const line = `| ${name} | ${Math.round(covered * 100)} % | ${width.toFixed(2)} | ${bias.toFixed(3)} |`;
    process.stdout.write(`${line}\n`);
    return line;
  });
  process.stdout.write(
    `\n| dogs | P(pass) covered | width | bias |\n|---|---|---|---|\n${lines.join('\n')}\n`,
  );
});

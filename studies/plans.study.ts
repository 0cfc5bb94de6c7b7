import { it } from 'vitest';
import type { PlannedBout } from '@/core/planning';
import { choosePlan } from '@/core/planning/plan-weeks';
import { mixSeed, seeded } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { byRule, replanned } from './plan-rules';
import { AHEAD, type Belief, beliefOf, frameOf, modelsFrom, trulyPasses, truthOf } from './plans';

const DOGS = Number(process.env.DOGS ?? 60);

type Row = {
  readonly name: string;
  readonly learning: number;
  readonly dogs: 1 | 2;
  readonly skip: number;
  readonly alike?: boolean;
};
const ROWS: readonly Row[] = [
  { name: 'one dog, learning as believed', learning: 1, dogs: 1, skip: 0 },
  { name: 'one dog, it learns half of what is believed', learning: 2, dogs: 1, skip: 0 },
  { name: 'one dog, it learns double', learning: 0.5, dogs: 1, skip: 0 },
  { name: 'two dogs, one handler’s hours', learning: 1, dogs: 2, skip: 0 },
  { name: 'three lessons in ten skipped, replanned', learning: 1, dogs: 1, skip: 0.3 },
  { name: 'one dog, it learns alike on every step', learning: 1, dogs: 1, skip: 0, alike: true },
];
const FROM = Number(process.env.FROM ?? 0);

it('the planner against rotation, weakest first and Today’s list', () => {
  process.stdout.write(
    '| | no training | weakest first | rotation | points at risk | planner | over rotation |\n',
  );
  for (const [r, row] of ROWS.entries()) {
    if (r < FROM) continue;
    const sums = { none: 0, weakest: 0, rotation: 0, risk: 0, planner: 0 };
    const over: number[] = [];
    for (let d = 0; d < DOGS; d++) {
      const random = seeded(mixSeed(r, d, 77));
      const names = Array.from({ length: row.dogs }, (_, n) => `d${n}`);
      const truths = names.map((name) => truthOf(name, random));
      const beliefs = truths.map((truth): Belief[] => beliefOf(truth, random, row.learning));
      const frame = frameOf(names, beliefs);
      const models = modelsFrom(frame, beliefs, mixSeed(r, d));
      const passes = (done: readonly PlannedBout[]): number =>
        truths.reduce((sum, truth) => sum + trulyPasses(truth, done, mixSeed(d, 5), row.alike === true), 0) /
        truths.length;
      const chosen = (days: typeof frame, done: readonly PlannedBout[]) =>
        finish(choosePlan(days, models, done)).bouts;
      const of = {
        none: passes([]),
        weakest: passes(replanned(frame, byRule('weakest', models, beliefs), row.skip, mixSeed(d, 9))),
        rotation: passes(replanned(frame, byRule('rotation', models, beliefs), row.skip, mixSeed(d, 9))),
        risk: passes(replanned(frame, byRule('risk', models, beliefs), row.skip, mixSeed(d, 9))),
        planner: passes(replanned(frame, chosen, row.skip, mixSeed(d, 9))),
      };
      for (const key of Object.keys(sums) as (keyof typeof sums)[]) sums[key] += of[key] / DOGS;
      over.push(of.planner - of.rotation);
    }
    const mean = over.reduce((a, b) => a + b, 0) / DOGS;
    const sd = Math.sqrt(over.reduce((a, b) => a + (b - mean) ** 2, 0) / (DOGS - 1) / DOGS);
    const figures = [sums.none, sums.weakest, sums.rotation, sums.risk, sums.planner];
    process.stdout.write(
      `| ${row.name} | ${figures.map((one) => one.toFixed(3)).join(' | ')} | ${mean.toFixed(3)} ± ${sd.toFixed(3)} |\n`,
    );
  }
  process.stdout.write(`${DOGS} dogs a row, ${AHEAD} days\n`);
}, 3_600_000);

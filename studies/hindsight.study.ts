import { it } from 'vitest';
import { seeded } from '@/core/shared';
import { told } from './hindsight';

const COUNT = Number(process.env.BOUTS ?? 4000);

it('how often a bout is given a point: steady dogs, and falls by their size', () => {
  process.stdout.write('| usual | reps | sway | steady | a third of the odds | a sixth | a twelfth |\n');
  for (const usual of [0.6, 0.7, 0.8, 0.9, 0.95])
    for (const [reps, sway] of [
      [10, 0.6],
      [15, 0.6],
      [25, 0.6],
      [25, 1],
      [40, 0.6],
    ] as const) {
      const random = seeded(reps * 100 + usual * 10);
      const bout = { usual, sway, reps, known: 30 };
      const from = Math.floor(reps * 0.6);
      const cells = [null, 3, 6, 12].map((odds) =>
        told({ ...bout, falls: odds === null ? null : { from, odds } }, COUNT, random),
      );
      const words = cells.map(({ share, near }, i) =>
        i === 0
          ? `${(100 * share).toFixed(1)} %`
          : `${Math.round(100 * share)} % (${Math.round(100 * near)} near)`,
      );
      process.stdout.write(`| ${usual} | ${reps} | ${sway} | ${words.join(' | ')} |\n`);
    }
});

import { it } from 'vitest';
import { distances, season } from './run-days';

const SEASONS = Number(process.env.DOGS ?? 200);

it('place and nerves after four and eight runs, and the chances given before each', () => {
  const seasons = Array.from({ length: SEASONS }, (_, i) => season(i + 1, 8, [4, 8], true));
  const out = (line: string): void => void process.stdout.write(`${line}\n`);
  out(
    '\n| runs | place off by | assumed off by | 80 % covered | nerves off by | assumed off by |\n|---|---|---|---|---|---|',
  );
  for (const after of [4, 8]) {
    const one = distances(seasons, after);
    out(
      `| ${after} | ${one.place.toFixed(3)} | ${one.placeAssumed.toFixed(3)} | ${Math.round(one.covered * 100)} % | ${one.nerves.toFixed(3)} | ${one.nervesAssumed.toFixed(3)} |`,
    );
  }
  const said = seasons.flatMap((one) => one.said);
  const brier = (of: (one: (typeof said)[number]) => number): string =>
    (said.reduce((sum, one) => sum + (of(one) - (one.passed ? 1 : 0)) ** 2, 0) / said.length).toFixed(4);
  const rate = said.filter((one) => one.passed).length / said.length;
  out(
    `\n${said.length} runs, ${Math.round(rate * 100)} % passed. Brier: taught ${brier((one) => one.taught)}, as assumed ${brier((one) => one.assumed)}, the pass rate ${(rate * (1 - rate)).toFixed(4)}`,
  );
  out('\n| said | runs | passed |\n|---|---|---|');
  for (let low = 0; low < 10; low += 2) {
    const here = said.filter(
      ({ taught }) => taught >= low / 10 && taught < (low + 2) / 10 + (low === 8 ? 1 : 0),
    );
    if (here.length > 0)
      out(
        `| ${low * 10}–${low * 10 + 20} %, mean ${Math.round((here.reduce((sum, one) => sum + one.taught, 0) / here.length) * 100)} % | ${here.length} | ${Math.round((here.filter((one) => one.passed).length / here.length) * 100)} % |`,
      );
  }
});

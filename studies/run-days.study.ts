import { it } from 'vitest';
import { distances, season } from './run-days';

const SEASONS = Number(process.env.DOGS ?? 200);
/** A forecast is a fit of eight pieces and four thousand trials: fewer seasons. */
const FORECAST = Math.round(SEASONS * 0.4);
const HOUR = 3_600_000;
const out = (line: string): void => void process.stdout.write(`${line}\n`);
const many = (count: number, more: Parameters<typeof season>[3]) =>
  Array.from({ length: count }, (_, i) => season(i + 1, 8, [4, 8], more));

it(
  'place and nerves after four and eight runs',
  () => {
    out(
      '\n| at home | runs | place off by | assumed | 80 % covered | nerves off by | assumed |\n|---|---|---|---|---|---|---|',
    );
    for (const unpaidAtHome of [0, 0.3]) {
      const seasons = many(SEASONS, { unpaidAtHome });
      for (const after of [4, 8]) {
        const one = distances(seasons, after);
        const figures = [one.place, one.placeAssumed, one.covered, one.nerves, one.nervesAssumed];
        out(
          `| ${unpaidAtHome * 100} % unpaid | ${after} | ${figures.map((figure) => figure.toFixed(3)).join(' | ')} |`,
        );
      }
    }
  },
  HOUR,
);

it(
  'the chances given before each run, with what the runs before taught and without',
  () => {
    const said = many(FORECAST, { forecasts: true }).flatMap((one) => one.said);
    const rate = said.filter((one) => one.passed).length / said.length;
    const brier = (of: (one: (typeof said)[number]) => number): string =>
      (said.reduce((sum, one) => sum + (of(one) - (one.passed ? 1 : 0)) ** 2, 0) / said.length).toFixed(4);
    out(
      `\n${said.length} runs, ${Math.round(rate * 100)} % passed. Brier: taught ${brier((one) => one.taught)}, as assumed ${brier((one) => one.assumed)}, the pass rate ${(rate * (1 - rate)).toFixed(4)}`,
    );
    out('\n| said | runs | mean said | passed |\n|---|---|---|---|');
    for (let low = 0; low < 10; low += 2) {
      const here = said.filter(
        ({ taught }) => taught >= low / 10 && taught < (low + 2) / 10 + (low === 8 ? 1 : 0),
      );
      if (here.length === 0) continue;
      const mean = here.reduce((sum, one) => sum + one.taught, 0) / here.length;
      const passed = here.filter((one) => one.passed).length / here.length;
      out(
        `| ${low * 10}–${low * 10 + 20} % | ${here.length} | ${Math.round(mean * 100)} % | ${Math.round(passed * 100)} % |`,
      );
    }
  },
  HOUR,
);

import { describe, expect, it } from 'vitest';
import { type PreparedRules, type ScoreSheet, scoreRuns, scoreSheet } from '@/core/rulebooks';
import {
  abilitiesBook,
  catchesBook,
  checklistBook,
  courseBook,
  pointsOffBook,
  retrievesBook,
  weightedBook,
} from '@/core/rulebooks/structured-books.test-helper';
import { must, type Random } from '@/core/shared';
import { normalBelow } from '@/core/statistics';
import { DEFAULT_ASSUMPTIONS } from '.';
import { classOf, type Truth } from './brute-classes.test-helper';
import { type BruteScorer, type BruteSheet, bruteForce } from './brute-force.test-helper';
import { simulateTrials } from './simulate';

/** Of the readable scorer what a bystander asks. */
function scorerOf(rules: PreparedRules): BruteScorer {
  const asSheet = (sheet: BruteSheet): ScoreSheet => sheet as unknown as ScoreSheet;
  return {
    ofRuns: (sheets) => {
      // What was never begun because the run had ended is not open but lost, as the scorer has it.
      const { units, passed } = must(scoreRuns(rules, sheets.map(asSheet)));
      return { units, passed };
    },
    isOver: (sheet, exercise) => {
      const score = must(scoreSheet(rules, asSheet(sheet)));
      return {
        exercise: score.exercises.find((one) => one.exercise === exercise)?.state === 'zeroed',
        run: score.reasons.some((reason) => reason.code === 'ended'),
      };
    },
  };
}

const normal = (mean: number, sd: number) => ({
  draw: (random: Random) => mean + sd * random.normal(),
  beyond: (limit: number) => 1 - normalBelow((limit - mean) / sd) + normalBelow((-limit - mean) / sd),
});
const logNormal = (median: number, sd: number) => ({
  draw: (random: Random) => median * Math.exp(sd * random.normal()),
  beyond: (limit: number) => 1 - normalBelow(Math.log(limit / median) / sd),
});

/** Six positions, a long down, heeling; several faults in one go, extra cues, a barking that is first warned of. */
const POINTS_OFF = classOf(pointsOffBook, [
  [
    {
      eta: 1.4,
      tau: 0.8,
      faults: { none: 0.4, slow: 0.2, creeps: 0.4 },
      further: [0.25],
      cues: [0.06, 0.03],
      measured: { key: 'slow', limits: [2, 3, 4, 5, 6, 7, 8, 9, 10], begun: true, ...logNormal(1.6, 0.5) },
    },
  ],
  [
    {
      eta: 0.8,
      tau: 0.5,
      faults: { leaves: 0.05, wide: 0.4, lags: 0.35, barks: 0.2 },
      further: [0.4, 0.3],
      noted: { wide: 0.15 },
    },
    {
      eta: 2,
      tau: 0.5,
      faults: { 'no-sit': 1 },
      measured: { key: 'crooked', limits: [10, 20], begun: false, ...normal(-6, 8) },
    },
  ],
  [{ eta: 1, tau: 1, faults: { 'gets-up': 0.4, whines: 0.6 }, slips: ['helps', 0.08] }],
]);

/** Two panels, weights by halves, a floor for one, and out for a zero by all. */
const WEIGHTED = classOf(weightedBook, [
  [{ eta: 0.7, tau: 0.9, faults: { 'no-turn': 0.6, 'slow-turn': 0.4 }, further: [0.2] }],
  [
    { eta: 0.5, faults: { 'no-weave': 0.5, touches: 0.5 }, cues: [0.2, 0.1] },
    { eta: 0.9, faults: { 'no-back': 0.3, 'crooked:0': 0.2, 'crooked:1': 0.3, 'crooked:2': 0.2 } },
  ],
]);

/** Three series judged by abilities; an automatic fail. */
const ABILITIES = classOf(
  abilitiesBook,
  ['one', 'two', 'three'].map((): Truth[] => [
    { id: 'retrieve', eta: 0.8, tau: 1, faults: { blinks: 0.4, 'runs-in': 0.1, hard: 0.5 }, further: [0.2] },
  ]),
);

/** Retrieves with a major fault, an eliminating one, an own least and a phase. */
const RETRIEVES = classOf(
  retrievesBook,
  ['mark', 'blind', 'water'].map((_, i): Truth[] => [
    {
      id: `go-${i}`,
      eta: 1.2 - 0.4 * i,
      tau: 0.5,
      faults: { 'not-found': 0.45, wide: 0.3, 'ran-in': 0.25 },
      further: [0.1],
      measured: {
        key: 'wide',
        limits: [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
        begun: true,
        ...logNormal(1.5, 0.8),
      },
    },
    { id: 'give', eta: 2.2, tau: 1, faults: { keeps: 0.1, drops: 0.9 } },
  ]),
);

/** Items with three tries, and cues that are used up. */
const CHECKLIST = classOf(
  checklistBook,
  [0.2, -0.5, -0.3, 0.4].map((eta): Truth[] => [
    { eta, tau: 1, faults: { failed: 0.7, half: 0.3 }, further: [0.3], cues: [0.1, 0.1] },
  ]),
);

/** Refusals are tried again, the third ends the run; the clock is measured; the better of two runs counts. */
const COURSE = classOf(courseBook, [
  [{ eta: 1, tau: 0.7, faults: { refuses: 0.5, knocks: 0.5 } }],
  [{ eta: 0.5, tau: 0.7, faults: { refuses: 1 } }],
  [
    {
      eta: 3,
      faults: { stands: 1 },
      measured: {
        key: 'over',
        limits: Array.from({ length: 20 }, (_, i) => 40 + i),
        begun: true,
        ...normal(41, 5),
      },
    },
  ],
]);

/** Catches by zone of five throws: what is thrown is one go each. */
const CATCHES = classOf(catchesBook, [[{ eta: 0.3, tau: 0.6, faults: { dropped: 0.5, near: 0.5 } }]]);

const CLASSES = {
  'points off': POINTS_OFF,
  'weighted marks': WEIGHTED,
  abilities: ABILITIES,
  retrieves: RETRIEVES,
  checklist: CHECKLIST,
  'time and faults': COURSE,
  'measured scores': CATCHES,
};

/** Trials of the slow simulator; more by the environment for a study. */
const TRIALS = Number(process.env.TRIALS ?? 6000);

describe('the forecast against trials that are played out one by one', () => {
  const assumptions = { ...DEFAULT_ASSUMPTIONS, handlerRate: 0 };
  it.each(Object.entries(CLASSES))(
    '%s',
    (_, { trial, brute }) => {
      const slow = bruteForce(brute, scorerOf(trial.rules), assumptions, 7, TRIALS);
      const fast = simulateTrials(trial, assumptions, 3);
      const count = fast.size.groups * fast.size.runs;
      const sum = (values: ArrayLike<number>) => Array.from(values).reduce((all, one) => all + one, 0);
      const pass = sum(fast.passesByGroup) / count;
      const units = sum(fast.unitsByGroup) / count;
      // A class that always or never passes would prove nothing.
      expect(pass).toBeGreaterThan(0.05);
      expect(pass).toBeLessThan(0.95);
      const errors = Math.sqrt(1 + TRIALS / count);
      expect(Math.abs(pass - slow.pass) / (slow.passError * errors)).toBeLessThan(3.5);
      expect(Math.abs(units - slow.units) / (slow.unitsError * errors)).toBeLessThan(3.5);
      // All that is not scored was lost by somebody.
      expect(units + (sum(fast.lostByElement) + sum(fast.lostByHandler)) / count).toBeCloseTo(fast.total, 6);
    },
    60_000,
  );
});

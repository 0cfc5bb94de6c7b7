import {
  type Cost,
  cellTotal,
  describeCost,
  type Fault,
  familyOf,
  faultRulesInWords,
  faultSteps,
  faultText,
  type PreparedRules,
  pointsOf,
  prepareRules,
  type RuleBook,
  type Score,
  type ScoreSheet,
  scoreRuns,
  scoreSheet,
} from '@/core/rulebooks';
import { type ExerciseKey, fail, ok, parseOne, type Result, type SizeKey, say } from '@/core/shared';
import { numberCustom, wordsOf, writeNumber } from '@/words';
import type { Lines } from './sheet-store';
import { tell } from './words';

export type FaultButton = {
  readonly fault: Fault;
  readonly label: string;
  readonly cost: string;
  /** How it is put on the sheet: a tap each with its amount, or a measured value that is typed. */
  readonly taps: readonly { readonly key: string; readonly label: string; readonly amount: number }[];
  readonly more: string;
  readonly measured: {
    readonly quantity: 'duration' | 'distance' | 'angle' | 'offset' | 'latency';
    readonly unit: string;
  } | null;
  readonly times: number;
};
export type SheetExercise = {
  readonly key: ExerciseKey;
  readonly title: string;
  readonly maximum: string;
  readonly kept: string;
  readonly state: Score['exercises'][number]['state'];
  readonly groups: readonly {
    readonly key: string;
    readonly title: string;
    readonly faults: readonly FaultButton[];
  }[];
  readonly cells: readonly { readonly key: string; readonly title: string; readonly kept: string }[];
};
export type SheetView = {
  readonly rules: PreparedRules;
  readonly score: Score;
  readonly said: string;
  readonly full: string;
  readonly sure: string;
  readonly open: string | null;
  /** Exercises still to come, where faults or seconds are counted: points that are not lost yet say nothing there. */
  readonly toCome: number | null;
  readonly verdict: string;
  readonly reasons: readonly string[];
  readonly exercises: readonly SheetExercise[];
  readonly deductions: readonly {
    readonly key: string;
    readonly exercise: string;
    readonly title: string;
    readonly rule: string;
    readonly units: string;
  }[];
};

/**
 * Everything a score sheet shows, from the rule book and what is written so far. Fails as
 * `scoreSheet` does.
 */
export function sheetView(book: RuleBook, lines: Lines, size: SizeKey | null = null): Result<SheetView> {
  const rules = prepareRules(book, size);
  const family = familyOf(book.rules);
  const sheet = sheetOf(rules, lines);
  const scored = scoreSheet(rules, sheet);
  if (!scored.ok) return scored;
  const score = scored.value;
  const title = (key: ExerciseKey): string =>
    book.exercises.find((exercise) => exercise.id === key)?.title ?? key;
  const written = (units: number): string => writeNumber(pointsOf(rules, units));
  return ok({
    rules,
    score,
    said: wordsOf(family.say(rules, score.units)),
    full: wordsOf(family.say(rules, score.maximum)),
    sure: written(score.units - score.open),
    open: score.open > 0 ? written(score.open) : null,
    toCome:
      rules.word === 'fault' || rules.word === 'second'
        ? score.exercises.filter((exercise) => exercise.state === 'open').length
        : null,
    verdict: verdictOf(score),
    reasons: score.reasons.map((reason) => wordsOf(reason.message)),
    exercises: rules.exercises.map((exercise, e) =>
      sheetExercise(book, rules, score, lines, exercise.exercise, e),
    ),
    deductions: score.exercises.flatMap((exercise) =>
      exercise.deductions.map((deduction, i) => ({
        key: `${exercise.exercise}${i}`,
        exercise: title(exercise.exercise),
        title: deduction.title,
        rule: wordsOf(deduction.rule),
        units: signed(rules, deduction.units),
      })),
    ),
  });
}

export type RunsView = {
  /** Each run, with its score where something stands on its sheet. */
  readonly runs: readonly { readonly run: number; readonly said: string | null }[];
  /** The score of the run that counts, and whether it passes; null before there is any. */
  readonly counts: string | null;
};

/**
 * The runs of a class that is run several times, and what they come to; null where it is run once. A run
 * of which nothing is written has not been run yet.
 */
export function runsView(
  book: RuleBook,
  sheets: readonly Lines[],
  size: SizeKey | null = null,
): RunsView | null {
  const rules = prepareRules(book, size);
  if (!book.runs) return null;
  const said = (units: number): string => wordsOf(familyOf(book.rules).say(rules, units));
  const lines = Array.from({ length: book.runs.count }, (_, run) => sheetOf(rules, sheets[run] ?? {}));
  const written = lines.filter((sheet) => sheet.length > 0);
  const all = written.length === 0 ? null : scoreRuns(rules, written);
  return {
    runs: lines.map((sheet, run) => {
      const score = sheet.length === 0 ? null : scoreSheet(rules, sheet);
      return { run, said: score?.ok ? said(score.value.units) : null };
    }),
    counts: all?.ok
      ? tell('sheet-view.run-that-counts', {
          counts: book.runs.counts,
          said: said(all.value.units),
          passed: all.value.passed,
        })
      : null,
  };
}

const sheetOf = (rules: PreparedRules, lines: Lines): ScoreSheet =>
  rules.exercises.flatMap(({ exercise }) => lines[exercise] ?? []);

/** What a mark took, or gave; beside a number that a judge gave it does neither. */
function signed(rules: PreparedRules, units: number): string {
  const amount = writeNumber(pointsOf(rules, Math.abs(units)));
  return units === 0 ? amount : `${units < 0 ? '+' : '−'}${amount}`;
}

function verdictOf(score: Score): string {
  if (!score.passed) return tell('sheet-view.does-not-pass');
  if (score.open > 0) return tell('sheet-view.can-still-pass');
  return score.award ? tell('sheet-view.passes', { award: score.award }) : tell('sheet-view.passes-2');
}

function sheetExercise(
  book: RuleBook,
  rules: PreparedRules,
  score: Score,
  lines: Lines,
  key: ExerciseKey,
  e: number,
): SheetExercise {
  const prepared = rules.exercises[e] as PreparedRules['exercises'][number];
  const outline = book.exercises.find((exercise) => exercise.id === key);
  const found = score.exercises[e] as Score['exercises'][number];
  const written = (units: number): string => writeNumber(pointsOf(rules, units));
  const { word } = rules;
  const button = (fault: Fault): FaultButton =>
    faultButton(
      book,
      fault,
      prepared,
      word,
      lines[key]?.marks.filter((mark) => mark.fault === fault.id).length ?? 0,
    );
  const of = (part: Fault['part']): FaultButton[] =>
    prepared.faults.filter(({ fault }) => fault.part === part).map(({ fault }) => button(fault));
  const groups = [
    ...(outline?.parts ?? []).map((part) => ({
      key: part.id as string,
      title: part.title,
      faults: of(part.id),
    })),
    { key: 'anywhere', title: tell('sheet-view.anywhere'), faults: of(null) },
  ];
  return {
    key,
    title: outline?.title ?? key,
    maximum: written(cellTotal(prepared)),
    kept: written(rules.word === 'second' ? cellTotal(prepared) - found.units : found.units),
    state: found.state,
    groups: groups.filter((group) => group.faults.length > 0),
    cells:
      prepared.cells.length < 2
        ? []
        : prepared.cells.map((cell, c) => ({
            key: cell.key,
            title: cell.title,
            kept: written(found.kept[c] ?? 0),
          })),
  };
}

function faultButton(
  book: RuleBook,
  fault: Fault,
  prepared: PreparedRules['exercises'][number],
  word: PreparedRules['word'],
  times: number,
): FaultButton {
  const steps = faultSteps(prepared).filter((step) => step.ref.key === fault.id);
  const taps = steps.map((step) => ({
    key: faultText(step.ref),
    label:
      step.label === fault.title ? tell('sheet-view.add') : wordsOf(step.label).slice(fault.title.length + 2),
    amount: step.amount,
  }));
  return {
    fault,
    label: fault.title,
    cost: wordsOf(describeCost(fault.cost, word)),
    more: faultRulesInWords(book, fault).map(wordsOf).join('; '),
    taps: isMeasured(fault.cost) && fault.cost.kind !== 'band' ? [] : taps,
    measured: isMeasured(fault.cost),
    times,
  };
}

function isMeasured(cost: Cost): FaultButton['measured'] {
  if (cost.kind === 'per-second') return { quantity: 'duration', unit: 's' };
  if (cost.kind === 'per-metre') return { quantity: 'distance', unit: 'm' };
  return cost.kind === 'band' ? { quantity: cost.quantity, unit: cost.unit } : null;
}

/** A typed measure → the amount of a mark, in base units. */
export function readMeasure(measured: NonNullable<FaultButton['measured']>, text: string): Result<number> {
  return parseOne(text, measured.quantity, measured.unit, numberCustom());
}

/**
 * Marks that judges gave outright, as typed: "8, 8.5", or a letter where the rules know letters.
 */
export function readGiven(book: RuleBook, text: string): Result<readonly number[]> {
  const { rules } = book;
  const letter =
    rules.family === 'retrieves'
      ? rules.letters.find((one) => one.letter.toLowerCase() === text.trim().toLowerCase())
      : undefined;
  if (letter) return ok([letter.points]);
  const marks = text
    .split(/[;\s]+|,\s+/)
    .filter((part) => part !== '')
    .map((part) => Number(part.replace(',', '.')));
  return marks.length > 0 && marks.every(Number.isFinite)
    ? ok(marks)
    : fail('given', '', say('sheet-view.is-not-a-list-of-marks-such-as-8-8', { text }));
}

/** Whether a family knows marks that are given outright, and how to ask for them. */
export function givenLabel(book: RuleBook, exercise: ExerciseKey): string | null {
  const { rules } = book;
  const scored = rules.exercises.find((one) => one.exercise === exercise);
  if (rules.family === 'weighted-marks')
    return rules.categories
      ? tell('sheet-view.or-the-marks-of-panels', {
          panels: rules.categories.map(({ title, judges }) => `${title} × ${judges}`).join(', '),
        })
      : tell('sheet-view.or-the-marks-of-judges', { judges: rules.judges });
  if (rules.family === 'points-off') return tell('sheet-view.or-its-points');
  if (rules.family === 'measured' && scored && 'tries' in scored)
    return tell('sheet-view.or-what-was-measured', { tries: scored.tries, measure: rules.measure });
  if (rules.family === 'retrieves')
    return rules.letters.length > 0
      ? tell('sheet-view.or-its-points-or-letter')
      : tell('sheet-view.or-its-points');
  if (rules.family !== 'abilities') return null;
  const judged = rules.exercises.find((series) => series.exercise === exercise)?.judges ?? [];
  return tell('sheet-view.or-the-marks-for', { judged: judged.join(', ') });
}

/**
 * The sheet as rows for a table file: one for each deduction, and one for each exercise with what
 * it kept.
 */
export function sheetRows(view: SheetView): string[][] {
  const { rules, score } = view;
  // A point and no thousands, whatever the screen shows: a spreadsheet reads it anywhere.
  const raw = (units: number): string => String(pointsOf(rules, units));
  const head = ['exercise', 'fault', 'rule', rules.word, 'kept', 'maximum'];
  const rows = view.exercises.flatMap((exercise, e) => {
    const found = score.exercises[e];
    if (!found) return [];
    return [
      ...found.deductions.map((deduction) => [
        exercise.title,
        deduction.title,
        wordsOf(deduction.rule),
        raw(-deduction.units),
        '',
        '',
      ]),
      [
        exercise.title,
        exercise.state === 'open' ? tell('sheet-view.not-run-yet') : '',
        '',
        '',
        raw(found.units),
        raw(found.maximum),
      ],
    ];
  });
  return [
    head,
    ...rows,
    [view.verdict, view.reasons.join('; '), '', '', raw(score.units), raw(score.maximum)],
  ];
}

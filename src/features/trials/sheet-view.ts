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
  scoreRuns,
  scoreSheet,
} from '@/core/rulebooks';
import {
  type ExerciseKey,
  type FaultKey,
  fail,
  type MarkId,
  ok,
  parseOne,
  type Result,
  type SizeKey,
  say,
} from '@/core/shared';
import {
  type ExerciseSheet,
  emptyExercise,
  type GivenSlot,
  type Joined,
  type JudgeSheet,
  scoreOne,
  slotsOf,
} from '@/core/trials';
import { numberCustom, wordsOf, writeNumber } from '@/words';
import { tell } from './words';

/** What a sheet shows is worked out from this. */
export type Written = Pick<JudgeSheet, 'exercises'>;

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
  /** What stands of it, each to be taken off singly. */
  readonly marks: readonly { readonly id: MarkId; readonly words: string }[];
};
/** A number that can be given outright: for the whole, or for each ability, panel or try. */
export type SlotView = {
  readonly slot: GivenSlot;
  readonly label: string;
  readonly value: number | null;
  readonly id: MarkId | null;
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
  readonly slots: readonly SlotView[];
  readonly written: ExerciseSheet;
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
 * Everything a judge’s sheet shows, from the rule book and what is written so far, as one judge scores by
 * it. Fails as `scoreSheet` does.
 */
export function sheetView(book: RuleBook, sheet: Written, size: SizeKey | null = null): Result<SheetView> {
  const scored = scoreOne(book, size, sheet);
  if (!scored.ok) return scored;
  const { rules, score } = scored.value;
  return ok(viewOf(book, rules, score, sheet));
}

/** A score in words, with the exercises as they are written on a sheet. */
export function viewOf(book: RuleBook, rules: PreparedRules, score: Score, sheet: Written): SheetView {
  const family = familyOf(book.rules);
  const title = (key: ExerciseKey): string =>
    book.exercises.find((exercise) => exercise.id === key)?.title ?? key;
  const written = (units: number): string => writeNumber(pointsOf(rules, units));
  return {
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
      sheetExercise(book, rules, score, sheet, exercise.exercise, e),
    ),
    deductions: score.exercises.flatMap((exercise) =>
      exercise.deductions.map((deduction, i) => ({
        key: `${exercise.exercise}${i}`,
        exercise: title(exercise.exercise),
        title: wordsOf(deduction.title),
        rule: wordsOf(deduction.rule),
        units: signed(rules, deduction.units),
      })),
    ),
  };
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
  sheets: readonly Written[],
  size: SizeKey | null = null,
): RunsView | null {
  if (!book.runs) return null;
  const rules = prepareRules(book, size);
  const said = (units: number): string => wordsOf(familyOf(book.rules).say(rules, units));
  const lines = Array.from({ length: book.runs.count }, (_, run) => {
    const one = scoreOne(book, size, sheets[run] ?? NOTHING);
    return one.ok ? one.value.sheet : [];
  });
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

export const NOTHING: Written = { exercises: [] };

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
  sheet: Written,
  key: ExerciseKey,
  e: number,
): SheetExercise {
  const onSheet = sheet.exercises.find((one) => one.exercise === key) ?? emptyExercise(key);
  const prepared = rules.exercises[e] as PreparedRules['exercises'][number];
  const outline = book.exercises.find((exercise) => exercise.id === key);
  const found = score.exercises[e] as Score['exercises'][number];
  const written = (units: number): string => writeNumber(pointsOf(rules, units));
  const { word } = rules;
  const button = (fault: Fault): FaultButton => faultButton(book, fault, prepared, word, onSheet);
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
    slots: slotsOf(book, key).map((slot): SlotView => {
      const given = onSheet.given.find((one) => one.slot === slot.key);
      return { slot, label: slotLabel(book, slot), value: given?.value ?? null, id: given?.id ?? null };
    }),
    written: onSheet,
  };
}

function faultButton(
  book: RuleBook,
  fault: Fault,
  prepared: PreparedRules['exercises'][number],
  word: PreparedRules['word'],
  { faults }: ExerciseSheet,
): FaultButton {
  const mine = faults.filter((mark) => mark.fault === fault.id);
  const taps = tapsOf(fault, prepared);
  return {
    fault,
    label: fault.title,
    cost: wordsOf(describeCost(fault.cost, word)),
    more: faultRulesInWords(book, fault).map(wordsOf).join('; '),
    taps: isMeasured(fault.cost) && fault.cost.kind !== 'band' ? [] : taps,
    measured: isMeasured(fault.cost),
    times: mine.length,
    marks: mine.map(({ id, amount }) => ({ id, words: amountWords(fault, amount, taps) })),
  };
}

function tapsOf(fault: Fault, prepared: PreparedRules['exercises'][number]): FaultButton['taps'] {
  const steps = faultSteps(prepared).filter((step) => step.ref.key === fault.id);
  return steps.map((step) => ({
    key: faultText(step.ref),
    label:
      step.label === fault.title ? tell('sheet-view.add') : wordsOf(step.label).slice(fault.title.length + 2),
    amount: step.amount,
  }));
}

/** An amount as it was tapped or typed: its step, its measure, or nothing where it is a time that it happened. */
function amountWords(fault: Fault, amount: number, taps: FaultButton['taps']): string {
  const measured = isMeasured(fault.cost);
  const step = taps.find((tap) => tap.amount === amount);
  if (step && taps.length > 1) return step.label;
  if (!measured) return '';
  return wordsOf({ quantity: measured.quantity, base: amount, unit: measured.unit });
}

/** A fault of a mark by its name, and its amount in words; null where it says nothing more. */
export function faultWords(
  book: RuleBook,
  mark: { readonly exercise: ExerciseKey; readonly fault: FaultKey; readonly amount: number },
): { readonly fault: string; readonly amount: string | null } {
  const prepared = prepareRules(book).exercises.find((one) => one.exercise === mark.exercise);
  const found = prepared?.faults.find((one) => one.fault.id === mark.fault)?.fault;
  if (!prepared || !found) return { fault: mark.fault, amount: writeNumber(mark.amount) };
  const words = amountWords(found, mark.amount, tapsOf(found, prepared));
  return { fault: found.title, amount: words === '' ? null : words };
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
 * A number given outright, as typed: “8,5”, or a letter where the exercise knows letters. Fails with `given`
 * where it is none of the slot’s steps.
 */
export function readGiven(slot: GivenSlot, text: string): Result<number> {
  const clean = text.trim();
  const letter = slot.letters.find((one) => one.letter.toLowerCase() === clean.toLowerCase());
  if (letter) return ok(letter.points);
  const value = Number(clean.replace(',', '.'));
  const steps = value / slot.step;
  const known = !slot.only || value === 0 || slot.letters.some(({ points }) => points === value);
  const fits =
    clean !== '' && known && value >= 0 && value <= slot.most && Math.abs(steps - Math.round(steps)) < 1e-9;
  return fits
    ? ok(value)
    : fail(
        'given',
        '',
        say('sheet-view.is-no-number-of-this', { text: clean, most: slot.most, step: slot.step }),
      );
}

/** How a number of an exercise is asked for. */
function slotLabel({ rules }: RuleBook, slot: GivenSlot): string {
  const title = slot.title === null ? null : wordsOf(slot.title);
  switch (rules.family) {
    case 'time-and-faults':
      return tell('sheet-view.or-its-faults');
    case 'checklist':
      return tell('sheet-view.or-done');
    case 'measured':
      return tell('sheet-view.what-was-measured', { title, measure: rules.measure });
    case 'weighted-marks':
    case 'abilities':
      return title === null ? tell('sheet-view.or-its-mark') : tell('sheet-view.or-the-mark-for', { title });
    default:
      return slot.letters.length > 0
        ? tell('sheet-view.or-its-points-or-letter')
        : tell('sheet-view.or-its-points');
  }
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
        wordsOf(deduction.title),
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

/** Points as a result keeps them; a class of faults or seconds keeps those. */
export const pointsOfJoined = ({ rules, score }: Pick<Joined, 'rules' | 'score'>): number =>
  rules.word === 'fault' || rules.word === 'second'
    ? pointsOf(rules, score.maximum - score.units)
    : pointsOf(rules, score.units);

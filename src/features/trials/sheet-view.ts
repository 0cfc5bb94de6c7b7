import {
  cellTotal,
  type Fault,
  familyOf,
  type PreparedRules,
  pointsOf,
  prepareRules,
  type RuleBook,
  type Score,
  scoreRuns,
  scoreSheet,
} from '@/core/rulebooks';
import { type ExerciseKey, ok, type Result, type SizeKey } from '@/core/shared';
import {
  type ExerciseSheet,
  emptyExercise,
  type Joined,
  type JudgeSheet,
  scoreOne,
  slotsOf,
} from '@/core/trials';
import { wordsOf, writeNumber } from '@/words';
import { type FaultButton, faultButton } from './fault-buttons';
import { type SlotView, slotLabel } from './given-slots';
import { tell } from './words';

/** What a sheet shows is worked out from this. */
export type Written = Pick<JudgeSheet, 'exercises'>;
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

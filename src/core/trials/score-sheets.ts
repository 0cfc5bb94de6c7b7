import {
  type PreparedRules,
  pointsOf,
  prepareRules,
  type RuleBook,
  type Score,
  type ScoreSheet,
  type SheetLine,
  scoreSheet,
} from '@/core/rulebooks';
import { type ExerciseKey, ok, type PersonId, type Result, type SizeKey } from '@/core/shared';
import type { ExerciseSheet, JudgeSheet } from './fold-sheet';
import { type GivenSlot, slotsOf } from './slots';

/**
 * A rule book as so many judges score by it: where it asks for a panel, every panel has this many, and the
 * highest and lowest mark go only where three or more are left to choose from. Other books are as they are.
 */
function bookForJudges(book: RuleBook, judges: number): RuleBook {
  const { rules } = book;
  if (rules.family !== 'weighted-marks') return book;
  const categories = rules.categories?.map((one) => ({ ...one, judges }));
  return {
    ...book,
    rules: {
      ...rules,
      judges,
      dropExtremes: rules.dropExtremes && judges > 2,
      ...(categories ? { categories } : {}),
    },
  };
}

/** How many judges mark an exercise by the book. Weighted marks of three judges → 3; most books → 1. */
const judgesAsked = ({ rules }: Pick<RuleBook, 'rules'>): number =>
  rules.family !== 'weighted-marks'
    ? 1
    : rules.categories
      ? Math.max(...rules.categories.map((one) => one.judges))
      : rules.judges;

export type OneScore = { readonly rules: PreparedRules; readonly sheet: ScoreSheet; readonly score: Score };

/**
 * The score of one judge’s sheet, as if there were no other. Where some numbers of an exercise are given and
 * some not (two of three abilities), the others are what the faults leave. Fails as `scoreSheet` does.
 */
export function scoreOne(
  book: RuleBook,
  size: SizeKey | null,
  sheet: Pick<JudgeSheet, 'exercises'>,
): Result<OneScore> {
  const own = bookForJudges(book, 1);
  const rules = prepareRules(own, size);
  const charged = linesInOrder(rules, sheet).map((one) => lineOf(one));
  const plain = scoreSheet(rules, charged);
  if (!plain.ok) return plain;
  const lines = linesInOrder(rules, sheet).map((one, i): SheetLine => {
    const slots = slotsOf(own, one.exercise);
    if (one.given.length === 0) return charged[i] as SheetLine;
    const kept = plain.value.exercises.find((found) => found.exercise === one.exercise)?.kept ?? [];
    return { ...(charged[i] as SheetLine), given: filled(rules, one, slots, kept) };
  });
  const score = scoreSheet(rules, lines);
  return score.ok ? ok({ rules, sheet: lines, score: score.value }) : score;
}

/** The exercises that are on the sheet, as they are run: by the book, or as they were written where that is drawn. */
function linesInOrder(rules: PreparedRules, sheet: Pick<JudgeSheet, 'exercises'>): readonly ExerciseSheet[] {
  const written = sheet.exercises.filter((one) => one.state !== 'open');
  if (rules.drawsOrder) return written;
  return rules.exercises.flatMap(({ exercise }) => written.find((one) => one.exercise === exercise) ?? []);
}

function lineOf({ exercise, faults, state }: ExerciseSheet): SheetLine {
  const marks = faults.map(({ fault, amount }) => ({ fault, amount }));
  return state === 'open' || state === 'going' || state === 'done'
    ? { exercise, marks }
    : { exercise, marks, closes: state };
}

/** All numbers of an exercise: what was given, and where nothing was, what the faults leave (of tries: none yet). */
function filled(
  rules: PreparedRules,
  { exercise, given }: ExerciseSheet,
  slots: readonly GivenSlot[],
  kept: readonly number[],
): number[] {
  const cells = rules.exercises.find((one) => one.exercise === exercise)?.cells ?? [];
  return slots.map((slot, i) => {
    const found = given.find((one) => one.slot === slot.key);
    if (found) return found.value;
    return cells.length === slots.length ? asMark(slot, kept[i] ?? 0, cells[i]?.maximum ?? 1) : slot.none;
  });
}

/** Units that a cell keeps → the mark that they stand for, in whole steps. */
const asMark = (slot: GivenSlot, kept: number, maximum: number): number =>
  Number((Math.round(((kept / maximum) * slot.most) / slot.step) * slot.step).toFixed(4));

/** Sheets of several judges, brought together. */
export type Joined = {
  readonly rules: PreparedRules;
  readonly score: Score;
  /** `mean`: the book joins the marks of its judges. `first`: it knows one judge, whose sheet counts. */
  readonly by: 'mean' | 'first';
  /** Fewer or more judges than the book asks. */
  readonly asked: number;
  readonly each: readonly { readonly judge: PersonId | null; readonly one: OneScore }[];
  /** Where they differ, in points, by exercise: one number for each judge, in their order. */
  readonly differences: readonly { readonly exercise: ExerciseKey; readonly points: readonly number[] }[];
};

/**
 * Brings the sheets of the judges of one run together, in the order in which the run names them, so that
 * it does not matter whose came first. Weighted marks are joined as the book says; of other books the first
 * judge’s sheet counts and the others stand beside it. Stopped or excused by one is stopped. Fails as
 * `scoreSheet` does. Marks of 8 and 8.5 at coefficient 3 → 24.75.
 */
export function joinSheets(
  book: RuleBook,
  size: SizeKey | null,
  sheets: readonly [JudgeSheet, ...JudgeSheet[]],
): Result<Joined> {
  const each: { judge: PersonId | null; one: OneScore }[] = [];
  for (const sheet of sheets) {
    const one = scoreOne(book, size, sheet);
    if (!one.ok) return one;
    each.push({ judge: sheet.judge, one: one.value });
  }
  const [first] = each as [(typeof each)[number]];
  const base = { asked: judgesAsked(book), each, differences: differencesOf(each.map(({ one }) => one)) };
  if (book.rules.family !== 'weighted-marks' || each.length === 1) {
    const { rules, score } = first.one;
    return ok({ ...base, rules, score, by: book.rules.family === 'weighted-marks' ? 'mean' : 'first' });
  }
  const shared = bookForJudges(book, sheets.length);
  const rules = prepareRules(shared, size);
  const score = scoreSheet(
    rules,
    joinedLines(
      shared,
      first.one.rules,
      each.map(({ one }) => one),
    ),
  );
  return score.ok ? ok({ ...base, rules, score: score.value, by: 'mean' }) : score;
}

/** For each exercise that every judge has, the marks of panel after panel. */
function joinedLines(book: RuleBook, rules: PreparedRules, each: readonly OneScore[]): ScoreSheet {
  const order = each[0]?.sheet.map((line) => line.exercise) ?? [];
  return order.flatMap((exercise): SheetLine[] => {
    const lines = each.flatMap(({ sheet }) => sheet.find((line) => line.exercise === exercise) ?? []);
    if (lines.length < each.length) return [];
    const closes = lines.find((line) => line.closes === 'stopped' || line.closes === 'excused')?.closes;
    const cells = rules.exercises.find((one) => one.exercise === exercise)?.cells ?? [];
    const given = slotsOf(book, exercise).flatMap((slot, p) =>
      each.map(({ score }) => {
        const kept = score.exercises.find((one) => one.exercise === exercise)?.kept[p] ?? 0;
        return asMark(slot, kept, cells[p]?.maximum ?? 1);
      }),
    );
    // A fault that ends the run ends it, whoever wrote it; what others cost is in the marks.
    const ending = rules.exercises
      .find((one) => one.exercise === exercise)
      ?.faults.filter((one) => one.fault.cost.kind === 'end-run')
      .map((one) => one.fault.id);
    const marks = lines
      .flatMap((line) => line.marks.filter((mark) => ending?.includes(mark.fault)))
      .slice(0, 1);
    return [{ exercise, marks, given, ...(closes ? { closes } : {}) }];
  });
}

function differencesOf(each: readonly OneScore[]): Joined['differences'] {
  const [first] = each;
  if (!first || each.length < 2) return [];
  return first.score.exercises.flatMap(({ exercise }, e) => {
    const points = each.map(({ rules, score }) => pointsOf(rules, score.exercises[e]?.units ?? 0));
    return points.some((one) => one !== points[0]) ? [{ exercise, points }] : [];
  });
}

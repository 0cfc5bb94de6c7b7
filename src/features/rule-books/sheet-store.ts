import { create } from 'zustand';
import type { SheetLine } from '@/core/rulebooks';
import type { ExerciseKey, FaultKey, RuleBookId, SizeKey } from '@/core/shared';

/**
 * What is being written on the sheet: lines by exercise. An exercise that has no line has not been
 * run yet.
 */
export type Lines = Readonly<Record<ExerciseKey, SheetLine>>;
type SheetState = {
  readonly book: RuleBookId | null;
  /** The size of dog whose values go; null for the book’s own. */
  readonly size: SizeKey | null;
  readonly chooseSize: (size: SizeKey | null) => void;
  /** The run of a class that is run several times, from 0, and what the other runs say. */
  readonly at: number;
  readonly others: Readonly<Record<number, Lines>>;
  readonly turnTo: (run: number) => void;
  readonly lines: Lines;
  readonly before: readonly Lines[];
  readonly openBook: (book: RuleBookId) => void;
  readonly add: (exercise: ExerciseKey, fault: FaultKey, amount: number) => void;
  readonly run: (exercise: ExerciseKey) => void;
  readonly give: (exercise: ExerciseKey, given: readonly number[] | null) => void;
  readonly undo: () => void;
  readonly clear: () => void;
};

const lineOf = (lines: Lines, exercise: ExerciseKey): SheetLine => lines[exercise] ?? { exercise, marks: [] };

export const useSheet = create<SheetState>((set) => {
  const change = (next: (lines: Lines) => Lines): void =>
    set((state) => ({ lines: next(state.lines), before: [...state.before, state.lines] }));
  return {
    book: null,
    size: null,
    lines: {},
    before: [],
    chooseSize: (size) => set({ size }),
    at: 0,
    others: {},
    turnTo: (run) =>
      set(({ at, lines, others }) =>
        run === at
          ? {}
          : { at: run, others: { ...others, [at]: lines }, lines: others[run] ?? {}, before: [] },
      ),
    openBook: (book) =>
      set((state) => (state.book === book ? state : { book, at: 0, others: {}, lines: {}, before: [] })),
    add: (exercise, fault, amount) =>
      change((lines) => ({
        ...lines,
        [exercise]: {
          ...lineOf(lines, exercise),
          marks: [...lineOf(lines, exercise).marks, { fault, amount }],
        },
      })),
    // A faultless exercise is a line without marks; run again, it is taken off the sheet.
    run: (exercise) =>
      change((lines) => {
        const { [exercise]: line, ...others } = lines;
        return line && line.marks.length === 0 && !line.given
          ? others
          : { ...lines, [exercise]: lineOf(lines, exercise) };
      }),
    give: (exercise, given) =>
      change((lines) => ({
        ...lines,
        // Faults beside a number explain it.
        [exercise]: given
          ? { ...lineOf(lines, exercise), given }
          : { exercise, marks: lineOf(lines, exercise).marks },
      })),
    undo: () =>
      set((state) => ({ lines: state.before.at(-1) ?? state.lines, before: state.before.slice(0, -1) })),
    clear: () => change(() => ({})),
  };
});

import { type Sentence, say } from '@/core/shared';
import type { RuleBook } from './schema';
import type { Structures } from './structures';

/**
 * What a class has besides exercises, costs and the line, one sentence each: sizes, phases, what is
 * counted over the run, runs and days, what is drawn, ties, who may enter, what passes earn. Empty for
 * a book without any.
 */
export function structuresInWords(book: RuleBook): Sentence[] {
  return [
    ...(book.sizes ? [sizesInWords(book.sizes)] : []),
    ...(book.phases ?? []).map(({ title, exercises, atLeast }) =>
      say('rulebooks.structures.phase', {
        title,
        atLeast,
        exercises: { list: exercises.map((id) => titleOf(book, id)), between: ', ' },
      }),
    ),
    ...(book.across ?? []).map((one) => acrossInWords(one)),
    ...(book.runs ? [say('rulebooks.structures.runs', book.runs)] : []),
    ...(book.drawn ?? []).map((what) => say('rulebooks.structures.drawn', { what })),
    ...(book.ties ? [tiesInWords(book, book.ties)] : []),
    ...(book.series ? [say('rulebooks.structures.series', book.series)] : []),
    ...entryInWords(book.entry),
    ...(book.earns ? [earnsInWords(book.earns)] : []),
  ];
}

const titleOf = (book: RuleBook, id: string): string =>
  book.exercises.find((one) => one.id === id)?.title ?? id;

const sizesInWords = (sizes: NonNullable<Structures['sizes']>): Sentence =>
  say('rulebooks.structures.sizes', {
    sizes: {
      list: sizes.map(({ title, under }) =>
        under === null
          ? say('rulebooks.structures.size-above', { title })
          : say('rulebooks.structures.size-under', { title, value: under.value, unit: under.unit }),
      ),
      between: ', ',
    },
  });

function acrossInWords({ title, cap, warnings, nth }: NonNullable<Structures['across']>[number]): Sentence {
  return say('rulebooks.structures.across', {
    title,
    rules: {
      list: [
        ...(warnings === undefined ? [] : [say('rulebooks.structures.warnings', { warnings })]),
        ...(cap === undefined ? [] : [say('rulebooks.structures.cap', { cap })]),
        ...(nth === undefined ? [] : [say('rulebooks.structures.nth', nth)]),
      ],
      between: ', ',
    },
  });
}

function tiesInWords(book: RuleBook, ties: NonNullable<Structures['ties']>): Sentence {
  return say('rulebooks.structures.ties', {
    ties: {
      list: ties.map((tie) =>
        say('rulebooks.structures.tie', {
          // A selector of a message has no hyphen.
          by: tie.by === 'run-off' ? 'again' : tie.by,
          what: tie.by === 'exercise' ? titleOf(book, tie.exercise) : tie.by === 'phase' ? tie.phase : null,
        }),
      ),
      between: ', ',
    },
  });
}

function entryInWords(entry: Structures['entry']): Sentence[] {
  if (!entry) return [];
  const { months, tallest, smallest, before = [] } = entry;
  return [
    ...(months === undefined ? [] : [say('rulebooks.structures.entry-months', { months })]),
    ...(smallest ? [say('rulebooks.structures.entry-smallest', smallest)] : []),
    ...(tallest ? [say('rulebooks.structures.entry-tallest', tallest)] : []),
    ...before.map((what) => say('rulebooks.structures.entry-before', { what })),
  ];
}

function earnsInWords({
  title,
  passes,
  judges,
  months,
  before = [],
}: NonNullable<Structures['earns']>): Sentence {
  return say('rulebooks.structures.earns', {
    title,
    passes,
    judges,
    within: months === undefined ? null : say('rulebooks.structures.earns-within', { months }),
    held:
      before.length === 0
        ? null
        : say('rulebooks.structures.earns-before', { before: { list: before, between: ', ' } }),
  });
}

/** What a fault does besides its cost: warnings first, the n-th time, tried again, counted over the run. */
export function faultRulesInWords(
  book: Pick<RuleBook, 'across'>,
  fault: {
    readonly warnings?: number | undefined;
    readonly nth?: { readonly at: number; readonly does: 'zero' | 'end-run' } | undefined;
    readonly again?: boolean | undefined;
    readonly across?: string | undefined;
  },
): Sentence[] {
  const across = book.across?.find((one) => one.id === fault.across);
  return [
    ...(fault.warnings === undefined
      ? []
      : [say('rulebooks.structures.warnings', { warnings: fault.warnings })]),
    ...(fault.nth === undefined ? [] : [say('rulebooks.structures.nth', fault.nth)]),
    ...(fault.again ? [say('rulebooks.structures.again')] : []),
    ...(across ? [acrossInWords(across)] : []),
  ];
}

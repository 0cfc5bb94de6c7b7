import type { RuleBook } from '@/core/rulebooks';
import { type ExerciseKey, mixSeed, type PartKey, seeded } from '@/core/shared';
import type { CallKind } from './mark';

/** One thing the steward says, and how long after the step before, seconds. */
export type ScriptStep = {
  readonly key: string;
  readonly exercise: ExerciseKey;
  readonly part: PartKey | null;
  readonly kind: CallKind;
  /** In the person’s own words; what is spoken and shown. */
  readonly words: string;
  readonly delay: { readonly from: number; readonly to: number };
};

/** Something that is drawn: so many of a list, in an order. Positions, sides, places of articles and hides. */
export type ScriptDraw = {
  readonly key: string;
  readonly exercise: ExerciseKey;
  readonly title: string;
  readonly from: readonly string[];
  readonly take: number;
};
export type Script = { readonly steps: readonly ScriptStep[]; readonly draws: readonly ScriptDraw[] };

/** Seconds between two steps where nobody has said: declared, to be changed in the script. */
const USUAL_DELAY = { from: 2, to: 6 } as const;

/**
 * A class as it is called, to be changed by the person: each exercise by its title, then its parts in
 * order, each as often as it is asked. What the book draws (sides, variants) is drawn. An exercise of
 * two parts → three steps.
 */
export function usualScript(book: Pick<RuleBook, 'exercises' | 'drawn'>): Script {
  const step = (exercise: ExerciseKey, part: PartKey | null, n: number, words: string): ScriptStep => ({
    key: [exercise, part ?? 'start', n].join('/'),
    exercise,
    part,
    kind: 'word',
    words,
    delay: USUAL_DELAY,
  });
  const { drawn = [] } = book;
  return {
    steps: book.exercises.flatMap(({ id, title, parts }) => [
      step(id, null, 0, title),
      ...parts.flatMap((part) =>
        Array.from({ length: part.times ?? 1 }, (_, n) => step(id, part.id, n, part.title)),
      ),
    ]),
    draws: book.exercises.flatMap(({ id, title, variants = [] }): ScriptDraw[] =>
      drawn.includes('variants') && variants.length > 1
        ? [
            {
              key: `${id}/variant`,
              exercise: id,
              title,
              from: variants.map((variant) => variant.title),
              take: 1,
            },
          ]
        : [],
    ),
  };
}

/** What a dog may meet, as it was said of it; null where nobody has said. */
export type Bearing = { readonly calmAtShots: boolean | null; readonly mayBite: boolean | null };

/** A step that is left out, and why. */
export type Withheld = {
  readonly step: ScriptStep;
  readonly why: 'shots' | 'shots-unknown' | 'bite' | 'bite-unknown';
};

/**
 * The steps that a dog may meet. No shot unless it is said to be calm when one is fired far off; no dog
 * led past one that may bite, nor one of which nobody knows. What is left out is given with its reason.
 */
export function stepsFor(
  { steps }: Pick<Script, 'steps'>,
  { calmAtShots, mayBite }: Bearing,
): { readonly steps: readonly ScriptStep[]; readonly withheld: readonly Withheld[] } {
  const why = ({ kind }: ScriptStep): Withheld['why'] | null => {
    if (kind === 'shot' && calmAtShots !== true) return calmAtShots === null ? 'shots-unknown' : 'shots';
    if (kind === 'passing-dog' && mayBite !== false) return mayBite === null ? 'bite-unknown' : 'bite';
    return null;
  };
  return {
    steps: steps.filter((step) => why(step) === null),
    withheld: steps.flatMap((step) => {
      const reason = why(step);
      return reason === null ? [] : [{ step, why: reason }];
    }),
  };
}

/** Streams of one seed that must not touch: delays, the order, and each thing that is drawn. */
const DELAYS = 1;
const ORDER = 2;
const LISTS = 3;

/**
 * The delay before a step, seconds, uniform in its range, from a draw of its own: a step that is left out
 * moves no other. `delayBefore({ from: 2, to: 6 }, 0, 7)` is the same on every device, and between 2 and 6.
 * @internal
 */
export function delayBefore(range: ScriptStep['delay'], place: number, seed: number): number {
  const share = seeded(mixSeed(mixSeed(seed, DELAYS), place)).uniform();
  return range.from + (range.to - range.from) * share;
}

/** What a draw has decided. */
export type Drawn = {
  /** The exercises in their order; the book’s own where it draws none. */
  readonly order: readonly ExerciseKey[];
  readonly lists: readonly { readonly key: string; readonly drawn: readonly string[] }[];
};

/**
 * Draws what the class draws. Every order and every selection is as likely as another (Fisher and Yates
 * 1938). Two of [sit, down, stand] → for example [stand, sit].
 */
export function drawMaterial(
  book: {
    readonly exercises: readonly { readonly id: ExerciseKey }[];
    readonly drawn?: readonly string[] | undefined;
  },
  draws: readonly ScriptDraw[],
  seed: number,
): Drawn {
  const order = book.exercises.map(({ id }) => id);
  return {
    order: book.drawn?.includes('order') ? shuffled(order, mixSeed(seed, ORDER)) : order,
    lists: draws.map(({ key, from, take }, i) => ({
      key,
      drawn: shuffled(from, mixSeed(mixSeed(seed, LISTS), i)).slice(0, take),
    })),
  };
}

/** A list in an order drawn from a seed. */
export function shuffled<T>(list: readonly T[], seed: number): T[] {
  const random = seeded(seed);
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = random.integer(i + 1);
    [out[i], out[j]] = [out[j] as T, out[i] as T];
  }
  return out;
}

/** One step as it is called: what, and how long after the step before. */
export type Call = { readonly step: ScriptStep; readonly delay: number };

/** “#2, please” with [sit, down] drawn in its exercise → “down, please”. What was not drawn stays as it is written. */
const withDrawn = (words: string, drawn: readonly string[]): string =>
  words.replaceAll(/#(\d+)/g, (as, n: string) => drawn[Number(n) - 1] ?? as);

/** The steps in the order that was drawn, each with its delay, and with what was drawn in its words. */
export function callsOf(script: Script, bearing: Bearing, drawn: Drawn, seed: number): Call[] {
  const { steps } = stepsFor(script, bearing);
  const drawnIn = (exercise: ExerciseKey): string[] =>
    script.draws
      .filter((draw) => draw.exercise === exercise)
      .flatMap(({ key }) => drawn.lists.find((one) => one.key === key)?.drawn ?? []);
  return drawn.order.flatMap((exercise) =>
    steps
      .filter((step) => step.exercise === exercise)
      .map((step) => ({
        step: { ...step, words: withDrawn(step.words, drawnIn(exercise)) },
        delay: delayBefore(
          step.delay,
          script.steps.findIndex((one) => one.key === step.key),
          seed,
        ),
      })),
  );
}

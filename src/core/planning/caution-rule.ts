import type { Axis, WorkTag } from '@/core/breakdown';
import { type Day, daysBetween, type Sentence, say } from '@/core/shared';

/**
 * What a person can ask a vet about a dog, and write down; where an answer is known it is shown
 * instead of the question.
 */
export const VET_TOPICS = {
  growth: say('planning.cautions.is-it-grown-may-it-jump-turn'),
  jumps: say('planning.cautions.how-high-and-how-many-jumps-a-day'),
  strength: say('planning.cautions.which-strength-work-how-long-how'),
  heat: say('planning.cautions.from-when-on-is-it-too-warm-to'),
  weight: say('planning.cautions.is-its-weight-right-for-jumping'),
  age: say('planning.cautions.it-is-not-young-any-more-what-does-it-good'),
} as const;
export type VetTopic = keyof typeof VET_TOPICS;

export type CautionDog = {
  readonly name: string;
  readonly born: Day | null;
  readonly shortNosed: boolean | null;
  readonly vet: readonly { readonly about: VetTopic; readonly said: string }[];
};

/**
 * What a caution is decided by. What is not known is null, and then the program asks rather than
 * guesses.
 */
export type CautionContext = {
  readonly dog: CautionDog;
  readonly today: Day;
  readonly work: readonly WorkTag[];
  readonly axes: readonly Pick<Axis, 'quantity'>[];
  /** Counted in this calendar day; null where jumps are not what is trained. */
  readonly jumpsToday: number | null;
  readonly lastStrengthDay: Day | null;
  readonly surface: string | null;
  /** Degrees Celsius, where somebody has looked. */
  readonly temperature: number | null;
};

/**
 * One caution: what to mind and why it is shown. `must` marks a condition that is ticked before the
 * work; `ask` is a question for the vet.
 */
export type Caution = {
  readonly id: string;
  readonly text: Sentence;
  readonly why: Sentence;
  readonly must: boolean;
  readonly ask: VetTopic | null;
  /** What ends it on the spot, to be read on the pad; left out where nothing does. */
  readonly ends?: Sentence;
};

export type Rule = {
  readonly id: string;
  readonly of: (context: CautionContext) => Omit<Caution, 'id'> | null;
};

const told = (context: CautionContext, about: VetTopic): string | null =>
  context.dog.vet.find((one) => one.about === about)?.said ?? null;
export const has = (context: CautionContext, ...tags: readonly WorkTag[]): boolean =>
  tags.some((tag) => context.work.includes(tag));
export const jumps = (context: CautionContext): boolean =>
  has(context, 'jump', 'catch') || context.axes.some((axis) => axis.quantity === 'height');

/**
 * Age in whole months of 30.44 days; shown, never compared with a limit: growth ends when a vet
 * says so.
 */
export function ageInMonths(born: Day, today: Day): number {
  return Math.floor(daysBetween(born, today) / 30.44);
}

export const caution = (
  text: Sentence,
  why: Sentence,
  more: Partial<Pick<Caution, 'must' | 'ask' | 'ends'>> = {},
): Omit<Caution, 'id'> => ({
  text,
  why,
  must: false,
  ask: null,
  ...more,
});

/** Age in months; null where nobody wrote when it was born. */
export const ageOf = ({ dog, today }: CautionContext): number | null =>
  dog.born === null ? null : ageInMonths(dog.born, today);

/** Asked where the vet has not spoken, repeated where the vet has. */
export function vetOr(
  context: CautionContext,
  about: VetTopic,
  question: Sentence,
  why: Sentence,
): Omit<Caution, 'id'> {
  const said = told(context, about);
  return said === null
    ? caution(question, why, { ask: about })
    : caution(say('planning.cautions.your-vet-said', { said, test: Boolean(/[.!?]$/.test(said)) }), why);
}

export const aged = (context: CautionContext): Sentence => {
  const { name } = context.dog;
  const age = ageOf(context);
  return age === null
    ? say('planning.cautions.how-old-is-has-not-been-written', { name })
    : say('planning.cautions.is-months-old', { name, ageInMonths: age });
};

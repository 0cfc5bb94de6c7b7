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

type Rule = { readonly id: string; readonly of: (context: CautionContext) => Omit<Caution, 'id'> | null };

const told = (context: CautionContext, about: VetTopic): string | null =>
  context.dog.vet.find((one) => one.about === about)?.said ?? null;
const has = (context: CautionContext, ...tags: readonly WorkTag[]): boolean =>
  tags.some((tag) => context.work.includes(tag));
const jumps = (context: CautionContext): boolean =>
  has(context, 'jump', 'catch') || context.axes.some((axis) => axis.quantity === 'height');

/**
 * Age in whole months of 30.44 days; shown, never compared with a limit: growth ends when a vet
 * says so.
 */
export function ageInMonths(born: Day, today: Day): number {
  return Math.floor(daysBetween(born, today) / 30.44);
}

const caution = (
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

/**
 * Our own figures, in months, and only for which question is asked: up to the first a dog may still be
 * growing, up to the second it soon has enough of one thing, from the third on it is asked as an old dog.
 * What a vet said comes before all of them, and none is a limit.
 */
const MAY_GROW = 24;
const SHORT_OF_ATTENTION = 12;
const NOT_YOUNG = 96;

/** Age in months; null where nobody wrote when it was born. */
const ageOf = ({ dog, today }: CautionContext): number | null =>
  dog.born === null ? null : ageInMonths(dog.born, today);

/** Asked where the vet has not spoken, repeated where the vet has. */
function vetOr(
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

/** What loads the joints; null where nothing does. */
function loadedBy(context: CautionContext): Sentence | null {
  if (jumps(context)) return say('planning.cautions.jumps');
  if (has(context, 'upright')) return say('planning.cautions.upright-work');
  if (has(context, 'pull')) return say('planning.cautions.pulling');
  return has(context, 'turn') ? say('planning.cautions.sharp-turns') : null;
}

const aged = (context: CautionContext): Sentence => {
  const { name } = context.dog;
  const age = ageOf(context);
  return age === null
    ? say('planning.cautions.how-old-is-has-not-been-written', { name })
    : say('planning.cautions.is-months-old', { name, ageInMonths: age });
};

/** Grounds that a person can choose and that are hard under a jump. */
const HARD = /concrete|hard floor|asphalt|stone|tarmac/i;

const RULES: readonly Rule[] = [
  {
    id: 'growth',
    of: (context) => {
      const what = loadedBy(context);
      const age = ageOf(context);
      if (what === null || (age !== null && age > MAY_GROW)) return null;
      return vetOr(
        context,
        'growth',
        say('planning.cautions.load-joints-that-may-still-be', { what }),
        aged(context),
      );
    },
  },
  {
    id: 'age',
    of: (context) => {
      const what = loadedBy(context);
      const age = ageOf(context);
      if (what === null || age === null || age < NOT_YOUNG) return null;
      return vetOr(
        context,
        'age',
        say('planning.cautions.an-older-dog-needs-run-up', { what }),
        aged(context),
      );
    },
  },
  {
    id: 'attention',
    of: (context) => {
      const age = ageOf(context);
      return age !== null && age < SHORT_OF_ATTENTION
        ? caution(say('planning.cautions.its-attention-is-short'), aged(context))
        : null;
    },
  },
  {
    id: 'jumps',
    of: (context) => {
      if (!jumps(context)) return null;
      const count =
        context.jumpsToday === null
          ? say('planning.cautions.this-element-jumps')
          : say('planning.cautions.jump', { jumpsToday: context.jumpsToday });
      return vetOr(context, 'jumps', say('planning.cautions.few-jumps-in-a-day-after-a-warm-up'), count);
    },
  },
  {
    id: 'ground',
    of: (context) =>
      jumps(context) || has(context, 'turn', 'run', 'upright')
        ? caution(
            say('planning.cautions.even-ground-that-neither-slips-nor', {
              surface:
                context.surface === null
                  ? ''
                  : say('planning.cautions.you-said', { surface: context.surface }),
            }),
            say('planning.cautions.jumps-turns-and-fast-runs'),
            { must: jumps(context) },
          )
        : null,
  },
  {
    id: 'hard-ground',
    of: (context) =>
      jumps(context) && context.surface !== null && HARD.test(context.surface)
        ? caution(
            say('planning.cautions.no-jumps-on-hard-ground'),
            say('planning.cautions.you-said-surface', { surface: context.surface }),
            { must: true },
          )
        : null,
  },
  {
    id: 'catch',
    of: (context) =>
      has(context, 'catch')
        ? caution(
            say('planning.cautions.a-catch-and-a-vault-are-jumps'),
            say('planning.cautions.something-is-caught-or-vaulted'),
          )
        : null,
  },
  {
    id: 'warm-up',
    of: (context) =>
      jumps(context) || has(context, 'run', 'pull', 'tug', 'turn')
        ? caution(
            say('planning.cautions.walk-and-trot-it-warm-first-and'),
            say('planning.cautions.fast-or-loaded-work'),
          )
        : null,
  },
  {
    id: 'strength-days',
    of: (context) => {
      if (!has(context, 'strength', 'upright')) return null;
      const days =
        context.lastStrengthDay === null ? null : daysBetween(context.lastStrengthDay, context.today);
      const when =
        days === null
          ? say('planning.cautions.no-strength-work-is-logged-yet')
          : days === 0
            ? say('planning.cautions.strength-work-is-logged-for-today')
            : say('planning.cautions.last-strength-work', {
                days: days === 1 ? 'yesterday' : say('planning.cautions.days-ago', { days }),
              });
      return {
        ...vetOr(context, 'strength', say('planning.cautions.muscle-grows-on-rest-days-not-on'), when),
        ends: say('planning.cautions.trembling-or-bouncing-out-ends-it'),
      };
    },
  },
  {
    id: 'heat',
    of: (context) => {
      const warm =
        context.temperature === null
          ? ''
          : say('planning.cautions.you-wrote-c', { round: Math.round(context.temperature) });
      const short = context.dog.shortNosed === true;
      if (!short && !has(context, 'run', 'retrieve', 'pull', 'tug', 'birds', 'worn-kit')) return null;
      const question = short
        ? say('planning.cautions.a-short-nose-cools-badly-shade')
        : say('planning.cautions.shade-and-water-in-warmth-stop-at');
      return vetOr(context, 'heat', question, say('planning.cautions.warm-work', { short, warm }));
    },
  },
  {
    id: 'tug',
    of: (context) =>
      has(context, 'tug')
        ? caution(
            say('planning.cautions.tug-side-to-side-not-up-and-down'),
            say('planning.cautions.a-toy-is-pulled'),
            { ends: say('planning.cautions.a-caught-hand-ends-the-game') },
          )
        : null,
  },
  {
    id: 'tether',
    of: (context) =>
      has(context, 'tether', 'pull')
        ? caution(
            say('planning.cautions.a-harness-that-fits-never-a-collar'),
            say('planning.cautions.the-dog-works-against-a-line'),
            { must: true, ends: say('planning.cautions.no-screen-while-it-is-tied-to-you') },
          )
        : null,
  },
  {
    id: 'fingers',
    of: (context) =>
      has(context, 'fingers')
        ? caution(
            say('planning.cautions.fingers-only-with-a-dog-that'),
            say('planning.cautions.your-fingers-are-in-its-mouth'),
            { must: true },
          )
        : null,
  },
  {
    id: 'table',
    of: (context) =>
      has(context, 'table')
        ? caution(
            say('planning.cautions.a-hand-on-a-dog-that-is-clipped'),
            say('planning.cautions.it-may-stand-on-a-table'),
          )
        : null,
  },
  {
    id: 'swallow',
    of: (context) =>
      has(context, 'tug', 'retrieve', 'scent', 'catch')
        ? caution(
            say('planning.cautions.nothing-small-enough-to-swallow'),
            say('planning.cautions.something-is-in-its-mouth'),
          )
        : null,
  },
  {
    id: 'worn-kit',
    of: (context) =>
      has(context, 'worn-kit')
        ? caution(
            say('planning.cautions.worn-over-the-nose-it-must-let-the'),
            say('planning.cautions.kit-is-worn'),
            { must: true, ends: say('planning.cautions.frozen-or-pawing-take-it-off') },
          )
        : null,
  },
  {
    id: 'biter',
    of: (context) =>
      has(context, 'biter')
        ? caution(
            say('planning.cautions.a-dog-that-may-bite-works-with-a'),
            say('planning.cautions.you-marked-this-work-so'),
            { must: true, ends: say('planning.cautions.a-growl-or-a-stare-hands-away') },
          )
        : null,
  },
  {
    id: 'retrieve',
    of: (context) =>
      has(context, 'retrieve')
        ? caution(
            say('planning.cautions.no-dummies-or-birds-towards-roads'),
            say('planning.cautions.something-is-fetched'),
            { must: true },
          )
        : null,
  },
  {
    id: 'birds',
    of: (context) =>
      has(context, 'birds')
        ? caution(
            say('planning.cautions.firearms-only-by-licensed-people'),
            say('planning.cautions.field-work'),
            { must: true },
          )
        : null,
  },
  {
    id: 'water',
    of: (context) =>
      has(context, 'water')
        ? caution(
            say('planning.cautions.know-the-bank-the-current-and-the'),
            say('planning.cautions.water-work'),
            { must: true },
          )
        : null,
  },
  {
    id: 'pain',
    of: () =>
      caution(say('planning.cautions.at-stiffness-limping-yelping-or'), say('planning.cautions.always')),
  },
];

/**
 * The cautions that hold for a dog, a day and a piece of work, most binding first. General ones:
 * local law, the land owner, the event's own current rules and licensed professionals come first.
 * No age, degree or hour is compared with a limit of this program's own.
 */
export function cautionsFor(context: CautionContext): Caution[] {
  const found = RULES.flatMap((rule): Caution[] => {
    const said = rule.of(context);
    return said ? [{ id: rule.id, ...said }] : [];
  });
  return [...found.filter((one) => one.must), ...found.filter((one) => !one.must)];
}

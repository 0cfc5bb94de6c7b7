import type { Axis, WorkTag } from '@/core/breakdown';
import { type Day, daysBetween } from '@/core/shared';

/**
 * What a person can ask a vet about a dog, and write down; where an answer is known it is shown
 * instead of the question.
 */
export const VET_TOPICS = {
  growth: 'Is it grown: may it jump, turn sharply and stand upright?',
  jumps: 'How high, and how many jumps a day?',
  strength: 'Which strength work, how long, how many rest days?',
  heat: 'From when on is it too warm to work?',
  weight: 'Is its weight right for jumping?',
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
  readonly text: string;
  readonly why: string;
  readonly must: boolean;
  readonly ask: VetTopic | null;
};

type Rule = { readonly id: string; readonly say: (context: CautionContext) => Omit<Caution, 'id'> | null };

const told = (context: CautionContext, about: VetTopic): string | null =>
  context.dog.vet.find((one) => one.about === about)?.said ?? null;
const has = (context: CautionContext, ...tags: readonly WorkTag[]): boolean =>
  tags.some((tag) => context.work.includes(tag));
const jumps = (context: CautionContext): boolean =>
  has(context, 'jump') || context.axes.some((axis) => axis.quantity === 'height');

/**
 * Age in whole months of 30.44 days; shown, never compared with a limit: growth ends when a vet
 * says so.
 */
export function ageInMonths(born: Day, today: Day): number {
  return Math.floor(daysBetween(born, today) / 30.44);
}

const say = (
  text: string,
  why: string,
  more: Partial<Pick<Caution, 'must' | 'ask'>> = {},
): Omit<Caution, 'id'> => ({
  text,
  why,
  must: false,
  ask: null,
  ...more,
});

/** Asked where the vet has not spoken, repeated where the vet has. */
function vetOr(context: CautionContext, about: VetTopic, question: string, why: string): Omit<Caution, 'id'> {
  const said = told(context, about);
  return said === null
    ? say(question, why, { ask: about })
    : say(`Your vet said: ${said}${/[.!?]$/.test(said) ? '' : '.'}`, why);
}

const RULES: readonly Rule[] = [
  {
    id: 'growth',
    say: (context) => {
      if (!jumps(context) && !has(context, 'turn', 'upright', 'pull')) return null;
      const { born, name } = context.dog;
      const age =
        born === null
          ? `How old ${name} is has not been written down.`
          : `${name} is ${ageInMonths(born, context.today)} months old.`;
      const what = jumps(context)
        ? 'Jumps'
        : has(context, 'upright')
          ? 'Upright work'
          : has(context, 'pull')
            ? 'Pulling'
            : 'Sharp turns';
      return vetOr(
        context,
        'growth',
        `${what} load joints that may still be growing. Ask your vet when it may begin.`,
        age,
      );
    },
  },
  {
    id: 'jumps',
    say: (context) => {
      if (!jumps(context)) return null;
      const count =
        context.jumpsToday === null
          ? 'This element jumps.'
          : `${context.jumpsToday} ${context.jumpsToday === 1 ? 'jump' : 'jumps'} logged today.`;
      return vetOr(
        context,
        'jumps',
        'Few jumps in a day, after a warm-up, with days between. Ask your vet how high and how many.',
        count,
      );
    },
  },
  {
    id: 'ground',
    say: (context) =>
      jumps(context) || has(context, 'turn', 'run', 'upright')
        ? say(
            `Even ground that neither slips nor is hard${context.surface === null ? '' : `; you said: ${context.surface}`}.`,
            'Jumps, turns and fast runs.',
            { must: jumps(context) },
          )
        : null,
  },
  {
    id: 'warm-up',
    say: (context) =>
      jumps(context) || has(context, 'run', 'pull', 'tug', 'turn')
        ? say('Walk and trot it warm first, and walk it out after.', 'Fast or loaded work.')
        : null,
  },
  {
    id: 'strength-days',
    say: (context) => {
      if (!has(context, 'strength', 'upright')) return null;
      const days =
        context.lastStrengthDay === null ? null : daysBetween(context.lastStrengthDay, context.today);
      const when =
        days === null
          ? 'No strength work is logged yet.'
          : days === 0
            ? 'Strength work is logged for today.'
            : `Last strength work: ${days === 1 ? 'yesterday' : `${days} days ago`}.`;
      return vetOr(
        context,
        'strength',
        'Muscle grows on rest days: not on days that follow each other. Trembling ends it for the day.',
        when,
      );
    },
  },
  {
    id: 'heat',
    say: (context) => {
      const warm = context.temperature === null ? '' : ` You wrote ${Math.round(context.temperature)} °C.`;
      const short = context.dog.shortNosed === true;
      if (!short && !has(context, 'run', 'retrieve', 'pull', 'tug', 'birds', 'worn-kit')) return null;
      const question = short
        ? 'A short nose cools badly: shade, water, early or late in the day, and stop at the first hard panting.'
        : 'Shade and water in warmth; stop at hard panting.';
      return vetOr(context, 'heat', question, `${short ? 'Short nose.' : 'Work that warms.'}${warm}`);
    },
  },
  {
    id: 'tug',
    say: (context) =>
      has(context, 'tug')
        ? say(
            'Tug side to side, not up and down, and let the dog set the force. Not while teeth are changing.',
            'A toy is pulled.',
          )
        : null,
  },
  {
    id: 'tether',
    say: (context) =>
      has(context, 'tether', 'pull')
        ? say(
            'A harness that fits, never a collar, on a tether or line; somebody stays with the dog.',
            'The dog works against a line.',
            {
              must: true,
            },
          )
        : null,
  },
  {
    id: 'worn-kit',
    say: (context) =>
      has(context, 'worn-kit')
        ? say(
            'Worn over the nose it must let the dog pant and drink; look for rubbing, and never leave it on alone.',
            'Kit is worn.',
            { must: true },
          )
        : null,
  },
  {
    id: 'biter',
    say: (context) =>
      has(context, 'biter')
        ? say(
            'A dog that may bite works with a muzzle and a person who knows such dogs. Keep people and dogs away.',
            'You marked this work so.',
            {
              must: true,
            },
          )
        : null,
  },
  {
    id: 'retrieve',
    say: (context) =>
      has(context, 'retrieve')
        ? say(
            'No dummies or birds towards roads, ice or water that you do not know.',
            'Something is fetched.',
            { must: true },
          )
        : null,
  },
  {
    id: 'birds',
    say: (context) =>
      has(context, 'birds')
        ? say(
            'Firearms only by licensed people under local law. Mind livestock, wildlife and its seasons, and the lead law; ask the land owner.',
            'Field work.',
            { must: true },
          )
        : null,
  },
  {
    id: 'water',
    say: (context) =>
      has(context, 'water')
        ? say('Know the bank, the current and the cold; dry the dog after.', 'Water work.', { must: true })
        : null,
  },
  {
    id: 'pain',
    say: () =>
      say(
        'At stiffness, limping, yelping or any sign of pain: stop, and see a veterinary surgeon.',
        'Always.',
      ),
  },
];

/**
 * The cautions that hold for a dog, a day and a piece of work, most binding first. General ones:
 * local law, the land owner, the event's own current rules and licensed professionals come first.
 * No age, degree or hour is compared with a limit of this program's own.
 */
export function cautionsFor(context: CautionContext): Caution[] {
  const found = RULES.flatMap((rule): Caution[] => {
    const said = rule.say(context);
    return said ? [{ id: rule.id, ...said }] : [];
  });
  return [...found.filter((one) => one.must), ...found.filter((one) => !one.must)];
}

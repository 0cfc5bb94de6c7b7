import { daysBetween, type Sentence, say } from '@/core/shared';
import { aged, ageOf, type CautionContext, caution, has, jumps, type Rule, vetOr } from './caution-rule';

/**
 * Our own figures, in months, and only for which question is asked: up to the first a dog may still be
 * growing, up to the second it soon has enough of one thing, from the third on it is asked as an old dog.
 * What a vet said comes before all of them, and none is a limit.
 */
const MAY_GROW = 24;
const SHORT_OF_ATTENTION = 12;
const NOT_YOUNG = 96;

/** What loads the joints; null where nothing does. */
function loadedBy(context: CautionContext): Sentence | null {
  if (jumps(context)) return say('planning.cautions.jumps');
  if (has(context, 'upright')) return say('planning.cautions.upright-work');
  if (has(context, 'pull')) return say('planning.cautions.pulling');
  return has(context, 'turn') ? say('planning.cautions.sharp-turns') : null;
}

/** Grounds that a person can choose and that are hard under a jump. */
const HARD = /concrete|hard floor|asphalt|stone|tarmac/i;

/** Growth, age, jumps, ground, warmth, strength: what the work does to a body. */
export const OF_THE_BODY: readonly Rule[] = [
  {
    id: 'growth',
    of: (context) => {
      // A game with a toy swings a dog round: that is for bodies that have done growing.
      const swung = has(context, 'tug') ? say('planning.cautions.sharp-turns') : null;
      const what = loadedBy(context) ?? swung;
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
      // A search is slow work, and pants all the same: it is asked where somebody wrote how warm it is.
      const warms = ['run', 'retrieve', 'pull', 'tug', 'birds', 'worn-kit'] as const;
      const searching = context.temperature !== null && has(context, 'scent');
      if (!short && !searching && !has(context, ...warms)) return null;
      const question = short
        ? say('planning.cautions.a-short-nose-cools-badly-shade')
        : say('planning.cautions.shade-and-water-in-warmth-stop-at');
      return vetOr(context, 'heat', question, say('planning.cautions.warm-work', { short, warm }));
    },
  },
];

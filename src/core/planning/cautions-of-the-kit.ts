import { say } from '@/core/shared';
import { caution, has, type Rule } from './caution-rule';

/** Toys, lines, tables, muzzles, birds, water: what the dog works with, and where; and pain, always. */
export const OF_THE_KIT: readonly Rule[] = [
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

import { type Sentence, say } from '@/core/shared';

/**
 * What choosing a side writes into the elements that are made: never lower what was met, or do; one cue or
 * repeated; faults that count only from the demand on, or that are none; how the rule moves on; pay that
 * thins out; and by which route.
 */
export type Setting =
  | { readonly kind: 'ratchet'; readonly to: 'keep' | 'back' }
  | { readonly kind: 'cues'; readonly to: 'one' | 'repeat' }
  | { readonly kind: 'noted-till-the-demand'; readonly faults: readonly string[] }
  | { readonly kind: 'counted-at-once'; readonly faults: readonly string[] }
  | { readonly kind: 'no-fault'; readonly faults: readonly string[] }
  | { readonly kind: 'rule'; readonly to: 'distribution' | 'run' }
  | { readonly kind: 'pay-thins-out' }
  | { readonly kind: 'route'; readonly to: string };

export type Side = {
  readonly title: Sentence;
  readonly gains: Sentence;
  readonly risks: Sentence;
  /** Empty where it is the person's own doing, and there is nothing to set. */
  readonly sets: readonly Setting[];
};
export type School = { readonly question: Sentence; readonly sides: readonly Side[] };

const side = (title: Sentence, gains: Sentence, risks: Sentence, ...sets: readonly Setting[]): Side => ({
  title,
  gains,
  risks,
  sets,
});

export const SCHOOLS = {
  floor: {
    question: say('breakdown.schools.a-criterion-was-met-and-now-it'),
    sides: [
      side(
        say('breakdown.schools.never-go-below-what-was-met'),
        say('breakdown.schools.the-dog-learns-that-the-standard'),
        say('breakdown.schools.it-can-fail-many-times-in-a-row'),
        { kind: 'ratchet', to: 'keep' },
      ),
      side(
        say('breakdown.schools.go-back-a-step-at-once'),
        say('breakdown.schools.the-next-rep-is-a-success'),
        say('breakdown.schools.some-dogs-learn-that-failing-makes'),
        { kind: 'ratchet', to: 'back' },
      ),
    ],
  },
  marker: {
    question: say('breakdown.schools.how-the-right-moment-is-marked'),
    sides: [
      side(
        say('breakdown.schools.a-click'),
        say('breakdown.schools.sharp-and-always-the-same'),
        say('breakdown.schools.needs-a-hand'),
      ),
      side(
        say('breakdown.schools.a-word-or-a-touch'),
        say('breakdown.schools.always-with-you'),
        say('breakdown.schools.changes-with-your-mood-and-is'),
      ),
    ],
  },
  errors: {
    question: say('breakdown.schools.when-the-dog-is-wrong'),
    sides: [
      side(
        say('breakdown.schools.say-nothing'),
        say('breakdown.schools.the-dog-goes-on-offering'),
        say('breakdown.schools.it-may-not-notice-for-a-while'),
      ),
      side(
        say('breakdown.schools.a-word-that-means-no-reward'),
        say('breakdown.schools.it-knows-at-once'),
        say('breakdown.schools.a-sharp-voice-takes-the-drive-out'),
      ),
    ],
  },
  showing: {
    question: say('breakdown.schools.how-the-dog-finds-out-what-is'),
    sides: [
      side(
        say('breakdown.schools.shape-it-freely'),
        say('breakdown.schools.the-dog-owns-what-it-has-found'),
        say('breakdown.schools.slow-and-wants-good-timing'),
        { kind: 'rule', to: 'distribution' },
      ),
      side(
        say('breakdown.schools.lure-guide-or-prompt'),
        say('breakdown.schools.quick-to-the-first-success'),
        say('breakdown.schools.the-help-has-to-be-taken-away'),
        { kind: 'rule', to: 'run' },
      ),
    ],
  },
  'cue-time': {
    question: say('breakdown.schools.when-the-cue-is-added'),
    sides: [
      side(
        say('breakdown.schools.once-the-behaviour-is-sure'),
        say('breakdown.schools.the-word-never-means-a-half-done'),
        say('breakdown.schools.the-dog-works-for-longer-without-a'),
        { kind: 'noted-till-the-demand', faults: ['before-word'] },
      ),
      side(
        say('breakdown.schools.from-the-start'),
        say('breakdown.schools.word-and-act-grow-together'),
        say('breakdown.schools.the-word-may-come-to-mean-the'),
      ),
    ],
  },
  'second-cue': {
    question: say('breakdown.schools.no-answer-to-the-first-cue'),
    sides: [
      side(
        say('breakdown.schools.one-cue-only'),
        say('breakdown.schools.the-cue-keeps-its-worth-and-rule'),
        say('breakdown.schools.the-dog-may-stand-there-lost'),
        { kind: 'cues', to: 'one' },
      ),
      side(
        say('breakdown.schools.repeat-it-calmly'),
        say('breakdown.schools.less-pressure-on-a-young-dog'),
        say('breakdown.schools.it-learns-to-wait-for-the-second'),
        { kind: 'cues', to: 'repeat' },
      ),
    ],
  },
  joining: {
    question: say('breakdown.schools.when-the-pieces-are-joined'),
    sides: [
      side(
        say('breakdown.schools.late'),
        say('breakdown.schools.each-piece-stays-clean-and-nothing'),
        say('breakdown.schools.joining-is-new-work-of-its-own'),
      ),
      side(
        say('breakdown.schools.from-the-start-or-from-the-back'),
        say('breakdown.schools.the-dog-knows-where-it-leads-from'),
        say('breakdown.schools.it-learns-the-order-rather-than'),
      ),
    ],
  },
  pay: {
    question: say('breakdown.schools.how-often-it-is-paid'),
    sides: [
      side(
        say('breakdown.schools.every-rep'),
        say('breakdown.schools.clear-and-keeps-a-young-dog-keen'),
        say('breakdown.schools.the-ring-does-not-pay'),
      ),
      side(
        say('breakdown.schools.some-or-the-best'),
        say('breakdown.schools.holds-up-without-pay-and-raises'),
        say('breakdown.schools.too-thin-too-soon-and-the-dog'),
        { kind: 'pay-thins-out' },
      ),
    ],
  },
  toy: {
    question: say('breakdown.schools.who-has-the-toy-in-the-end'),
    sides: [
      side(
        say('breakdown.schools.the-handler-keeps-it'),
        say('breakdown.schools.the-game-has-your-rules'),
        say('breakdown.schools.a-soft-dog-may-stop-pulling'),
      ),
      side(
        say('breakdown.schools.the-dog-wins-it'),
        say('breakdown.schools.confidence-and-a-harder-grip'),
        say('breakdown.schools.it-may-carry-it-off'),
      ),
    ],
  },
  drive: {
    question: say('breakdown.schools.what-comes-first-in-a-young-dog'),
    sides: [
      side(
        say('breakdown.schools.steadiness'),
        say('breakdown.schools.nothing-has-to-be-undone-later'),
        say('breakdown.schools.damps-some-dogs'),
        { kind: 'counted-at-once', faults: ['ran-in'] },
      ),
      side(
        say('breakdown.schools.drive'),
        say('breakdown.schools.the-dog-loves-the-work'),
        say('breakdown.schools.steadiness-has-to-be-put-on-top-of'),
        { kind: 'noted-till-the-demand', faults: ['ran-in'] },
      ),
    ],
  },
  unasked: {
    question: say('breakdown.schools.it-drops-it-without-being-asked'),
    sides: [
      side(
        say('breakdown.schools.that-is-wanted'),
        say('breakdown.schools.the-next-throw-is-ready-at-once'),
        say('breakdown.schools.it-may-drop-where-it-should-not'),
        { kind: 'no-fault', faults: ['unasked'] },
      ),
      side(
        say('breakdown.schools.that-is-a-fault'),
        say('breakdown.schools.it-holds-until-it-is-told'),
        say('breakdown.schools.the-play-gets-slower'),
      ),
    ],
  },
  'kit-route': {
    question: say('breakdown.schools.by-which-way-into-the-kit'),
    sides: [
      side(
        say('breakdown.schools.into-your-hand-first'),
        say('breakdown.schools.nothing-is-worn-until-it-is-sure'),
        say('breakdown.schools.needs-a-free-hand-and-patience'),
        { kind: 'route', to: 'hand' },
      ),
      side(
        say('breakdown.schools.food-inside-the-kit'),
        say('breakdown.schools.quick-to-the-first-nose-inside'),
        say('breakdown.schools.it-may-want-the-food-and-not-the-kit'),
        { kind: 'route', to: 'inside' },
      ),
    ],
  },
} as const satisfies Record<string, School>;

export type SchoolKey = keyof typeof SCHOOLS;
export const SCHOOL_KEYS = Object.keys(SCHOOLS) as SchoolKey[];

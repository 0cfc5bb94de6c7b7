import { type Sentence, say } from '@/core/shared';
export type School = {
  readonly question: Sentence;
  readonly sides: readonly {
    readonly title: Sentence;
    readonly gains: Sentence;
    readonly risks: Sentence;
  }[];
};

const side = (title: Sentence, gains: Sentence, risks: Sentence) => ({ title, gains, risks });

export const SCHOOLS = {
  floor: {
    question: say('breakdown.schools.a-criterion-was-met-and-now-it'),
    sides: [
      side(
        say('breakdown.schools.never-go-below-what-was-met'),
        say('breakdown.schools.the-dog-learns-that-the-standard'),
        say('breakdown.schools.it-can-fail-many-times-in-a-row'),
      ),
      side(
        say('breakdown.schools.go-back-a-step-at-once'),
        say('breakdown.schools.the-next-rep-is-a-success'),
        say('breakdown.schools.some-dogs-learn-that-failing-makes'),
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
      ),
      side(
        say('breakdown.schools.lure-guide-or-prompt'),
        say('breakdown.schools.quick-to-the-first-success'),
        say('breakdown.schools.the-help-has-to-be-taken-away'),
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
      ),
      side(
        say('breakdown.schools.repeat-it-calmly'),
        say('breakdown.schools.less-pressure-on-a-young-dog'),
        say('breakdown.schools.it-learns-to-wait-for-the-second'),
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
      ),
      side(
        say('breakdown.schools.drive'),
        say('breakdown.schools.the-dog-loves-the-work'),
        say('breakdown.schools.steadiness-has-to-be-put-on-top-of'),
      ),
    ],
  },
} as const satisfies Record<string, School>;

export type SchoolKey = keyof typeof SCHOOLS;
export const SCHOOL_KEYS = Object.keys(SCHOOLS) as SchoolKey[];

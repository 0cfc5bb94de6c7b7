import './words';
import { type Criteria, measuredAs } from '@/core/breakdown';
import type { BodySign, Refusal, Stage, Timing } from '@/core/coaching';
import {
  ACTION_CHIP,
  type Aid,
  type Amendment,
  type ArticlesSeen,
  type Call,
  type Cause,
  type Judged,
  judgedByMeasure,
  type LegsSeen,
  type Measure,
  type Paid,
  type RepSaid,
  type Said,
  type Seen,
} from '@/core/log';
import { type FaultRef, sameFault } from '@/core/rulebooks';
import { type EntryId, type Failure, type FaultKey, fail, type LevelId, say } from '@/core/shared';
import type { NamedFault } from '@/data/read';
import { filledBy, paidBy } from './calls';
import { chipsSaid } from './chips';
import {
  gradedJudgement,
  judgement,
  judgementFor,
  pickJudgement,
  sceneJudgement,
  timedJudgement,
} from './judgements';
import { latencyOf, markerOf, type Stamps, secondsFrom } from './pad-store';
import { onlyMiss, type PadView } from './pad-view';
import { amended } from './said-again';

/** What is on the pad and not yet in the log when somebody taps; `now` is the page's own clock. */
export type InHand = Stamps & {
  readonly hold: { readonly from: number | null; readonly to: number | null };
  readonly splits: { readonly from: number | null; readonly at: readonly number[] };
  readonly now: number;
  readonly call: Call | null;
  /** What the call asks otherwise than the rung. */
  readonly asks: Criteria;
  /** Help that was said before the rep; it stays until it is taken away. */
  readonly aids: readonly Aid[];
  /** What did not hold of a scene; of any other rep nothing. */
  readonly lost: readonly FaultKey[];
};

/** Everything that one tap on the pad can say. */
export type Tap =
  | { readonly tap: 'clean' | 'flawed' | 'miss' }
  | { readonly tap: 'fault'; readonly of: 'flawed' | 'miss'; readonly fault: NamedFault | null }
  | { readonly tap: 'drive'; readonly drive: 'full' | 'went' | 'refused' }
  | { readonly tap: 'timed'; readonly timing: Timing }
  /** A step of the response scale; null: it backed away, which lies below all of them. */
  | { readonly tap: 'graded'; readonly grade: LevelId | null }
  | { readonly tap: 'broke'; readonly link: number }
  /** A whole exercise: the link at which it broke, or null where it held; its times are in hand. */
  | { readonly tap: 'whole'; readonly brokeAt: number | null }
  | { readonly tap: 'picked'; readonly run: ArticlesSeen; readonly helped: 'no' | 'first' | 'after' }
  | { readonly tap: 'ran'; readonly run: LegsSeen; readonly endedBy: 'handler' | 'dog' }
  /** Of the last rep. */
  | { readonly tap: 'also'; readonly fault: FaultRef }
  | { readonly tap: 'otherwise'; readonly as: 'clean' | 'flawed' | 'ended-by-you' }
  | { readonly tap: 'cause'; readonly cause: Cause }
  | { readonly tap: 'aid'; readonly aid: Aid }
  | { readonly tap: 'cues'; readonly why: 'needed' | 'slip' | 'meant'; readonly count: number }
  | { readonly tap: 'measured'; readonly measure: Measure; readonly value: number }
  | { readonly tap: 'timing-again'; readonly timing: Timing }
  | { readonly tap: 'grade-again'; readonly grade: LevelId }
  | {
      readonly tap: 'run-again';
      readonly run: Partial<Pick<ArticlesSeen, 'firstTouch' | 'pick' | 'known' | 'seen'>>;
    }
  | { readonly tap: 'say'; readonly change: Amendment }
  /** Besides reps. */
  | { readonly tap: 'sign'; readonly sign: BodySign }
  | { readonly tap: 'sign-over'; readonly of: EntryId; readonly why: string }
  | { readonly tap: 'answer'; readonly why: Refusal }
  | { readonly tap: 'move'; readonly to: Criteria; readonly because: 'advice' | 'hand' | 'probe' }
  | { readonly tap: 'stage'; readonly stage: Stage }
  | { readonly tap: 'unlogged'; readonly count: number }
  | { readonly tap: 'note' | 'easy' | 'out-of-use'; readonly text: string }
  | { readonly tap: 'off'; readonly back: boolean }
  /** One more lies there; which of the set-out, where it is one of it. */
  | { readonly tap: 'laid'; readonly thing?: string }
  | { readonly tap: 'rested' | 'time-out' | 'washed' };

/** What a tap comes to: an entry, a choice to make first, or why it cannot be. */
export type Tapped =
  | { readonly ok: true; readonly said: Said }
  | { readonly ok: true; readonly choose: 'flaw' | 'miss' }
  | Failure;

const said = (one: Said): Tapped => ({ ok: true, said: one });

/** A send for nothing teaches the dog that there is nothing: it is refused rather than logged. */
const NOTHING_THERE = fail('nothing-laid', '', say('tap.nothing-lies-there-lay-one-look'));
/** A pad of another kind said it: nothing is logged by guessing. */
const NOT_HERE = fail('not-judged-so', '', say('tap.this-element-is-not-judged-in-that'));
const NO_REP = fail('no-rep', '', say('tap.there-is-no-rep-yet-of-which-that'));

/**
 * What one tap says, from what the pad shows and what is in hand: pure, so that a whole lesson can be
 * played and its conclusions read. What was asked and measured judges the rep with the hand that taps.
 */
export function tapped(view: PadView, hand: InHand, tap: Tap): Tapped {
  switch (tap.tap) {
    case 'clean':
      // Whatever key or button says that it is over, a scene is what its judgements say.
      if (view.by.kind === 'scene') return logged(view, hand, sceneJudgement(view.by, hand.lost));
      return view.by.kind === 'whole'
        ? loggedWhole(view, hand, null)
        : logged(view, hand, judgement('clean', []), chainRun(view, null));
    case 'flawed':
      return { ok: true, choose: 'flaw' };
    case 'miss': {
      const miss = onlyMiss(view);
      return miss === 'choose'
        ? { ok: true, choose: 'miss' }
        : logged(view, hand, judgementFor('miss', miss));
    }
    case 'fault':
      return logged(view, hand, judgementFor(tap.of, tap.fault, view.noted));
    case 'drive': {
      if (tap.drive === 'refused') return logged(view, hand, judgementFor('miss', view.misses[0] ?? null));
      return logged(view, hand, judgement('clean', []), { drive: tap.drive === 'full' ? 5 : 3 });
    }
    case 'timed':
      return logged(
        view,
        hand,
        timedJudgement(tap.timing),
        { timing: tap.timing },
        coinPay(view, tap.timing),
      );
    case 'graded':
      return view.by.kind === 'graded'
        ? logged(
            view,
            hand,
            gradedJudgement(view.by, tap.grade),
            tap.grade === null ? {} : { grade: tap.grade },
          )
        : NOT_HERE;
    case 'broke':
      return logged(view, hand, judgement('miss', []), chainRun(view, tap.link));
    case 'whole':
      return loggedWhole(view, hand, tap.brokeAt);
    case 'picked':
      return logged(view, hand, pickJudgement(tap.run, tap.helped), { run: tap.run });
    case 'ran':
      return loggedRun(view, hand, tap.run, tap.endedBy);
    case 'also':
    case 'otherwise':
    case 'cause':
    case 'aid':
    case 'cues':
    case 'measured':
    case 'timing-again':
    case 'grade-again':
    case 'run-again':
    case 'say':
      return view.last ? amended(view, view.last, tap) : NO_REP;
    case 'sign':
      return said({ kind: 'sign', sign: tap.sign });
    case 'sign-over':
      return said({ kind: 'sign-over', of: tap.of, why: tap.why });
    case 'answer':
      return said({ kind: 'answer', why: tap.why });
    case 'move':
      return said({ kind: 'move', to: tap.to, because: tap.because });
    case 'stage':
      return said({ kind: 'stage', stage: tap.stage });
    case 'unlogged':
      return said({ kind: 'unlogged', count: tap.count });
    case 'note':
      return said({ kind: 'note', text: tap.text });
    case 'easy':
      return said({ kind: 'easy', what: tap.text });
    case 'out-of-use':
      return said({ kind: 'out-of-use', article: tap.text });
    case 'off':
      return said({ kind: 'off', back: tap.back });
    case 'rested':
      return said({ kind: 'rest' });
    case 'laid':
      return said({ kind: 'laid', ...(tap.thing === undefined ? {} : { thing: tap.thing }) });
    case 'time-out':
    case 'washed':
      return said({ kind: tap.tap });
  }
}

/** What this rung asks of the rep about to be logged, with the chips and the call of this one. */
export function askedNow(view: PadView, hand: Pick<InHand, 'call' | 'asks'>): RepSaid['asked'] {
  const chips = { ...chipsSaid(view.chips, view.began), ...filledBy(hand.call, view.chips) };
  const held = view.judging.axes.find((axis) => measuredAs(axis) === 'held');
  const { call } = hand;
  // A wait that was drawn is what was asked of this rep, not the longest one of the rung.
  const drawn = held && call !== null && call.delay !== null ? { [held.key]: call.delay } : {};
  const criteria = { ...view.criteria, ...didInstead(view, chips), ...hand.asks, ...drawn };
  return { criteria, chips, noted: view.noted, call };
}

/** Where what you do is what the rung asks, the chip says what was asked of this rep. */
function didInstead({ judging }: PadView, chips: Readonly<Record<string, string>>): Criteria {
  const axis = judging.axes.find((one) => one.key === ACTION_CHIP && one.levels !== null);
  const level = axis?.levels?.find((one) => one.name === chips[ACTION_CHIP]);
  return axis && level ? { [axis.key]: level.id } : {};
}

type SeenMore = Partial<Pick<Seen, 'timing' | 'grade' | 'run' | 'measured' | 'drive' | 'endedBy'>>;

function logged(view: PadView, hand: InHand, judged: Judged, more: SeenMore = {}, paid: Paid = {}): Tapped {
  if (view.lying !== null && view.lying <= 0) return NOTHING_THERE;
  const latency = judged.outcome === 'miss' ? null : latencyOf(hand);
  const held = secondsFrom(hand.hold.from, hand.hold.to ?? hand.now);
  const asked = askedNow(view, hand);
  const sinceCue = secondsFrom(hand.cueAt, hand.now);
  const seen: Seen = {
    ...(sinceCue === null ? {} : { sinceCue }),
    timing: null,
    endedBy: null,
    run: null,
    ...more,
    measured: { ...byTap({ latency, marker: markerOf(hand), held }), ...more.measured },
  };
  const helped = { ...judged, aids: [...new Set([...judged.aids, ...hand.aids])] };
  return said({
    kind: 'rep',
    purpose: view.probe?.kind === 'asking' ? 'probe' : 'training',
    asked,
    seen,
    judged: judgedByMeasure(view.judging, asked, seen, helped),
    paid: { ...paidBy(hand.call), ...paid },
    from: null,
  });
}

function byTap(seconds: Readonly<Record<'latency' | 'marker' | 'held', number | null>>): Seen['measured'] {
  const found = Object.entries(seconds).filter(([, value]) => value !== null);
  return Object.fromEntries(
    found.map(([key, value]) => [key, { value: value as number, how: 'tap' as const }]),
  );
}

/** What the stage pays: an answer to the new cue always, one to the prompt as the stage or its coin says. */
function coinPay({ by }: PadView, timing: Timing): Paid {
  if (by.kind !== 'timed') return {};
  switch (timing) {
    case 'in-gap':
    case 'unprompted':
      return { size: 'small', by: 'schedule' };
    case 'prompted':
      return { size: by.paid ? 'small' : 'none', by: by.stage === 'B' ? 'coin' : 'schedule' };
    case 'before-word':
    case 'reminded':
    case 'none':
      return { size: 'none', by: 'schedule' };
  }
}

function chainRun(view: PadView, brokeAt: number | null): SeenMore {
  const { by } = view;
  if (by.kind !== 'chain') return {};
  return {
    run: { kind: 'chain', links: by.links.map(({ id }) => ({ element: id, criteria: {} })), brokeAt },
  };
}

/**
 * Continuous work: every fault stamped that counts here names it. Stopped before the time that is asked
 * it is neither one nor the other where you stopped it, and ended too early where the dog did.
 */
function loggedRun(view: PadView, hand: InHand, run: LegsSeen, endedBy: 'handler' | 'dog'): Tapped {
  const faults = run.stamps
    .map(({ fault }) => fault)
    .filter((fault, i, all) => all.findIndex((other) => sameFault(other, fault)) === i);
  const counts = faults.some((fault) => !view.noted.some((noted) => sameFault(noted, fault)));
  return logged(
    view,
    { ...hand, hold: { from: null, to: null } },
    judgement(counts ? 'flawed' : 'clean', faults),
    {
      run,
      endedBy,
      measured: { held: { value: run.seconds, how: 'tap' } },
    },
  );
}

/** A whole exercise is logged with the values that each link was asked, and the times that were pressed. */
function loggedWhole(view: PadView, hand: InHand, brokeAt: number | null): Tapped {
  const { by } = view;
  if (by.kind !== 'whole') return NOT_HERE;
  const links = by.links.map(({ id, criteria }) => ({ element: id, criteria }));
  const { from } = hand.splits;
  const splits = from === null ? [] : hand.splits.at.map((at) => secondsFrom(from, at) ?? 0);
  const timed = splits.length === 0 ? {} : { splits };
  return logged(view, hand, judgement(brokeAt === null ? 'clean' : 'miss', []), {
    run: { kind: 'chain', links, brokeAt, ...timed },
  });
}

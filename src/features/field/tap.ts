import { type Criteria, measuredAs } from '@/core/breakdown';
import type { BodySign, Refusal, Stage, Timing } from '@/core/coaching';
import {
  type Aid,
  type Amendment,
  type ArticlesSeen,
  type Call,
  type Cause,
  type Judged,
  judgedByMeasure,
  type LegsSeen,
  type Measure,
  missedOf,
  type Paid,
  type RepSaid,
  type Said,
  type Seen,
  type StandingRep,
} from '@/core/log';
import { BACKS_AWAY, type FaultRef, ownFault, sameFault } from '@/core/rulebooks';
import { asId, type EntryId, type Failure, type FaultKey, fail, type LevelId } from '@/core/shared';
import type { NamedFault } from '@/data/read';
import { filledBy, paidBy } from './calls';
import { chipsSaid } from './chips';
import { latencyOf, markerOf, type Stamps, secondsFrom } from './pad-store';
import { onlyMiss, type PadView } from './pad-view';

/** What is on the pad and not yet in the log when somebody taps; `now` is the page's own clock. */
export type InHand = Stamps & {
  readonly hold: { readonly from: number | null; readonly to: number | null };
  readonly now: number;
  readonly call: Call | null;
  /** What the call asks otherwise than the rung. */
  readonly asks: Criteria;
  /** Help that was said before the rep; it stays until it is taken away. */
  readonly aids: readonly Aid[];
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
  | { readonly tap: 'picked'; readonly run: ArticlesSeen; readonly helped: 'no' | 'first' | 'after' }
  | { readonly tap: 'ran'; readonly run: LegsSeen; readonly endedBy: 'handler' | 'dog' }
  /** Of the last rep. */
  | { readonly tap: 'also'; readonly fault: FaultRef }
  | { readonly tap: 'otherwise'; readonly as: 'clean' | 'flawed' | 'ended-by-you' }
  | { readonly tap: 'cause'; readonly cause: Cause }
  | { readonly tap: 'aid'; readonly aid: Aid }
  | { readonly tap: 'cues'; readonly why: 'needed' | 'slip' | 'meant'; readonly count: number }
  | { readonly tap: 'measured'; readonly measure: Measure; readonly value: number }
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
  | { readonly tap: 'rested' | 'time-out' | 'laid' | 'washed' };

/** What a tap comes to: an entry, a choice to make first, or why it cannot be. */
export type Tapped =
  | { readonly ok: true; readonly said: Said }
  | { readonly ok: true; readonly choose: 'flaw' | 'miss' }
  | Failure;

const said = (one: Said): Tapped => ({ ok: true, said: one });

/** A send for nothing teaches the dog that there is nothing: it is refused rather than logged. */
const NOTHING_THERE = fail(
  'nothing-laid',
  '',
  'Nothing lies there. Lay one, look that it is there, and confirm it; then send.',
);
const NO_REP = fail('no-rep', '', 'There is no rep yet of which that could be said.');

/**
 * What one tap says, from what the pad shows and what is in hand: pure, so that a whole lesson can be
 * played and its conclusions read. What was asked and measured judges the rep with the hand that taps.
 */
export function tapped(view: PadView, hand: InHand, tap: Tap): Tapped {
  switch (tap.tap) {
    case 'clean':
      return logged(view, hand, judgement('clean', []), chainRun(view, null));
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
      return logged(
        view,
        hand,
        gradedJudgement(view, tap.grade),
        tap.grade === null ? {} : { grade: tap.grade },
      );
    case 'broke':
      return logged(view, hand, judgement('miss', []), chainRun(view, tap.link));
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
    case 'time-out':
    case 'laid':
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
  return { criteria: { ...view.criteria, ...hand.asks, ...drawn }, chips, noted: view.noted, call };
}

type SeenMore = Partial<Pick<Seen, 'timing' | 'grade' | 'run' | 'measured' | 'drive' | 'endedBy'>>;

function logged(view: PadView, hand: InHand, judged: Judged, more: SeenMore = {}, paid: Paid = {}): Tapped {
  if (view.lying !== null && view.lying <= 0) return NOTHING_THERE;
  const latency = judged.outcome === 'miss' ? null : latencyOf(hand);
  const held = secondsFrom(hand.hold.from, hand.hold.to ?? hand.now);
  const asked = askedNow(view, hand);
  const seen: Seen = {
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

const JUDGED: Omit<Judged, 'outcome' | 'faults'> = { cause: 'dog', aids: [], void: false, proposed: null };

const judgement = (outcome: Judged['outcome'], faults: readonly FaultRef[]): Judged => ({
  ...JUDGED,
  outcome,
  faults,
});

/**
 * What is stored when an outcome is tapped. A fault of the handler's is the handler's: it does not
 * count against the dog. One that does not count on this rung is written down, and the rep stays clean.
 * @internal
 */
export function judgementFor(
  outcome: Judged['outcome'],
  fault: NamedFault | null,
  noted: readonly FaultRef[] = [],
): Judged {
  const faults = fault ? [fault.ref] : [];
  if (fault && outcome === 'flawed' && noted.some((one) => sameFault(one, fault.ref)))
    return judgement('clean', faults);
  return { ...judgement(outcome, faults), cause: fault?.by === 'handler' ? 'handler' : 'dog' };
}

/**
 * A rep by when the answer came. After the prompt or a reminder it is done with help: the policy
 * goes on by it, and it proves nothing of the new cue. Before the word is anticipation, which the
 * new cue has not brought about either.
 * @internal
 */
export function timedJudgement(timing: Timing): Judged {
  const outcome = timing === 'none' ? 'miss' : timing === 'before-word' ? 'flawed' : 'clean';
  const helped = timing === 'prompted' || timing === 'reminded';
  return { ...judgement(outcome, []), aids: helped ? ['unsaid'] : [] };
}

/** What the stage pays: an answer to the new cue always, one to the prompt as the stage or its coin says. */
function coinPay({ transfer }: PadView, timing: Timing): Paid {
  if (!transfer) return {};
  switch (timing) {
    case 'in-gap':
    case 'unprompted':
      return { size: 'small', by: 'schedule' };
    case 'prompted':
      return { size: transfer.paid ? 'small' : 'none', by: transfer.stage === 'B' ? 'coin' : 'schedule' };
    case 'before-word':
    case 'reminded':
    case 'none':
      return { size: 'none', by: 'schedule' };
  }
}

/** The asked grade or more is clean; less is flawed; nothing of it, and backing away, are missed. */
function gradedJudgement({ grades, gradeAsked }: PadView, grade: LevelId | null): Judged {
  if (grade === null) return judgement('miss', [ownFault(BACKS_AWAY.key)]);
  const place = grades.findIndex((one) => one.id === grade);
  if (place >= gradeAsked) return judgement('clean', []);
  return judgement(place === 0 && gradeAsked > 0 ? 'miss' : 'flawed', []);
}

function chainRun(view: PadView, brokeAt: number | null): SeenMore {
  if (view.links.length === 0) return {};
  return {
    run: { kind: 'chain', links: view.links.map(({ id }) => ({ element: id, criteria: {} })), brokeAt },
  };
}

/**
 * Right at the first touch is clean, right after another was touched is flawed, anything else a miss.
 * A wrong one that was put right with help stays wrong, whatever is paid afterwards; help that came first
 * makes a right one an aided one.
 */
function pickJudgement(run: ArticlesSeen, helped: 'no' | 'first' | 'after'): Judged {
  const aids: readonly Aid[] = helped === 'no' ? [] : ['unsaid'];
  const wrong = run.pick !== run.target || (helped === 'after' && run.firstTouch !== run.target);
  const fault = (key: string): FaultRef => ownFault(asId<FaultKey>(key));
  if (wrong) return { ...judgement('miss', [fault('wrong-pick')]), aids };
  if (run.firstTouch !== run.target) return { ...judgement('flawed', [fault('touched-first')]), aids };
  return { ...judgement('clean', []), aids };
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

type OfLast = Extract<
  Tap,
  { readonly tap: 'also' | 'otherwise' | 'cause' | 'aid' | 'cues' | 'measured' | 'say' }
>;

/** What is said of the last rep, or said otherwise: an amendment. */
function amended(view: PadView, rep: StandingRep, tap: OfLast): Tapped {
  const change = changeOf(view, rep, tap);
  return said({ kind: 'amend', of: rep.id, ...change });
}

/** The amendment that one tap makes of a rep, on the pad or later in its log. */
export function changeOf(view: Pick<PadView, 'judging'>, rep: StandingRep, tap: OfLast): Amendment {
  const { judged, seen } = rep;
  switch (tap.tap) {
    case 'also': {
      const has = judged.faults.some((one) => sameFault(one, tap.fault));
      const faults = has
        ? judged.faults.filter((one) => !sameFault(one, tap.fault))
        : [...judged.faults, tap.fault];
      const counts = faults.some((fault) => !rep.asked.noted.some((noted) => sameFault(noted, fault)));
      // The last fault that counted taken off again leaves a clean one.
      const left = has ? 'clean' : judged.outcome;
      const outcome = judged.outcome === 'miss' ? 'miss' : counts ? 'flawed' : left;
      return { judged: { faults, outcome } };
    }
    case 'otherwise':
      return otherwise(view, rep, tap.as);
    case 'cause':
      return { judged: { cause: tap.cause } };
    case 'aid':
      return {
        judged: {
          aids: judged.aids.includes(tap.aid)
            ? judged.aids.filter((one) => one !== tap.aid)
            : [...judged.aids.filter((one) => one !== 'unsaid' || tap.aid === 'unsaid'), tap.aid],
        },
      };
    case 'cues': {
      const before = { needed: 0, slip: 0, ...seen.cues };
      return judgedAgain(view, rep, { cues: { ...before, [tap.why]: tap.count } });
    }
    case 'measured':
      return judgedAgain(view, rep, {
        measured: { ...seen.measured, [tap.measure]: { value: tap.value, how: 'typed' } },
      });
    case 'say':
      return tap.change;
  }
}

/** A rep of which something measured is said otherwise is judged again, from what was called. */
function judgedAgain(view: Pick<PadView, 'judging'>, rep: StandingRep, change: Partial<Seen>): Amendment {
  const called = calledBefore(view, rep);
  const seen = { ...rep.seen, ...change };
  const { outcome, faults, proposed } = judgedByMeasure(view.judging, rep.asked, seen, called);
  return { seen: change, judged: { outcome, faults, proposed } };
}

/** What a person called it, without what the measures made of that. */
function calledBefore({ judging }: Pick<PadView, 'judging'>, { judged, asked, seen }: StandingRep): Judged {
  if (judged.proposed === null) return judged;
  const missed = missedOf(judging, asked.criteria, seen).map(({ fault }) => fault);
  const faults = judged.faults.filter((fault) => !missed.some((one) => sameFault(one, fault)));
  const counts = faults.some((fault) => !asked.noted.some((noted) => sameFault(noted, fault)));
  const outcome = judged.outcome === 'miss' ? 'miss' : counts ? 'flawed' : 'clean';
  return { ...judged, faults, outcome, proposed: null };
}

/** One tap says it otherwise than was proposed; both are kept. */
function otherwise(
  view: Pick<PadView, 'judging'>,
  rep: StandingRep,
  as: 'clean' | 'flawed' | 'ended-by-you',
): Amendment {
  switch (as) {
    case 'clean':
      return { judged: { outcome: 'clean', faults: calledBefore(view, rep).faults } };
    case 'flawed':
      return rep.judged.proposed
        ? { judged: { outcome: 'flawed', faults: rep.judged.proposed.faults } }
        : { judged: { outcome: 'flawed' } };
    case 'ended-by-you':
      return {
        seen: { endedBy: 'handler' },
        judged: { outcome: 'none', faults: calledBefore(view, rep).faults },
      };
  }
}

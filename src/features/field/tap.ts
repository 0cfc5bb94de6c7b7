import './words';
import type { Criteria } from '@/core/breakdown';
import type { BodySign, Refusal, Stage, Timing } from '@/core/coaching';
import type { Aid, Amendment, ArticlesSeen, Cause, LegsSeen, Measure } from '@/core/log';
import type { FaultRef } from '@/core/rulebooks';
import { type EntryId, fail, type LevelId, say } from '@/core/shared';
import type { NamedFault } from '@/data/read';
import { type InHand, NOT_HERE, said, type Tapped } from './in-hand';
import {
  gradedJudgement,
  judgement,
  judgementFor,
  pickJudgement,
  sceneJudgement,
  timedJudgement,
} from './judgements';
import { chainRun, coinPay, logged, loggedRun, loggedWhole } from './logged-tap';
import { onlyMiss, type PadView } from './pad-view';
import { amended } from './said-again';

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

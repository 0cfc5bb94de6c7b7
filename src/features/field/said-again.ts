import { type Amendment, calledBefore, type Judged, judgedAgain, type StandingRep } from '@/core/log';
import { type FaultRef, sameFault } from '@/core/rulebooks';
import type { Tapped } from './in-hand';
import { gradedJudgement, pickJudgement, timedJudgement } from './judgements';
import type { PadView } from './pad-view';
import type { Tap } from './tap';

/** What can be said of a rep that is logged, or said otherwise. */
export type OfLast = Extract<
  Tap,
  {
    readonly tap:
      | 'also'
      | 'otherwise'
      | 'cause'
      | 'aid'
      | 'cues'
      | 'measured'
      | 'timing-again'
      | 'grade-again'
      | 'run-again'
      | 'say';
  }
>;
type Judges = Pick<PadView, 'judging' | 'by'>;

/** What is said of the last rep, or said otherwise: an amendment. */
export function amended(view: PadView, rep: StandingRep, tap: OfLast): Tapped {
  const change = changeOf(view, rep, tap);
  return { ok: true, said: { kind: 'amend', of: rep.id, ...change } };
}

/** The amendment that one tap makes of a rep, on the pad or later in its log. */
export function changeOf(view: Judges, rep: StandingRep, tap: OfLast): Amendment {
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
      return { judged: { faults, outcome, cause: causeOf(view, judged, faults) } };
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
      return judgedAgain(view.judging, rep, { cues: { ...before, [tap.why]: tap.count } });
    }
    case 'measured':
      return judgedAgain(view.judging, rep, {
        measured: { ...seen.measured, [tap.measure]: { value: tap.value, how: 'typed' } },
      });
    case 'timing-again': {
      const { outcome, aids } = timedJudgement(tap.timing);
      return { seen: { timing: tap.timing }, judged: { outcome, aids } };
    }
    case 'grade-again': {
      if (view.by.kind !== 'graded') return {};
      const { outcome, faults } = gradedJudgement(view.by, tap.grade);
      return { seen: { grade: tap.grade }, judged: { outcome, faults } };
    }
    case 'run-again': {
      if (seen.run?.kind !== 'articles') return {};
      const run = { ...seen.run, ...tap.run };
      // Help that came before the first touch cannot be told from help that came after it any more: a wrong
      // first touch stays wrong with it.
      const { outcome, faults } = pickJudgement(run, judged.aids.length === 0 ? 'no' : 'after');
      return { seen: { run }, judged: { outcome, faults } };
    }
    case 'say':
      return tap.change;
  }
}

/** Whose doing it is once its faults have changed: the handler's where all of them are, and only then. */
function causeOf({ judging }: Judges, judged: Judged, faults: readonly FaultRef[]): Judged['cause'] {
  const his = (list: readonly FaultRef[]): boolean =>
    list.length > 0 && list.every((fault) => judging.handlers.some((one) => sameFault(one, fault)));
  if (his(faults)) return 'handler';
  return judged.cause === 'handler' && his(judged.faults) ? 'dog' : judged.cause;
}

/** One tap says it otherwise than was proposed; both are kept. */
function otherwise(
  view: Pick<PadView, 'judging'>,
  rep: StandingRep,
  as: 'clean' | 'flawed' | 'ended-by-you',
): Amendment {
  switch (as) {
    case 'clean':
      return { judged: { outcome: 'clean', faults: calledBefore(view.judging, rep).faults } };
    case 'flawed':
      return rep.judged.proposed
        ? { judged: { outcome: 'flawed', faults: rep.judged.proposed.faults } }
        : { judged: { outcome: 'flawed' } };
    case 'ended-by-you':
      return {
        seen: { endedBy: 'handler' },
        judged: { outcome: 'none', faults: calledBefore(view.judging, rep).faults },
      };
  }
}

import { useCallback, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { BodySign, Refusal, Stage, Timing } from '@/core/coaching';
import { type Failure, fail, type Result } from '@/core/shared';
import {
  type Details,
  type Entry,
  endSession,
  type Judgement,
  judgementOf,
  type NamedFault,
  type RepDraft,
  recordAnswer,
  recordCorrection,
  recordDetail,
  recordLaid,
  recordMove,
  recordNote,
  recordOutOfUse,
  recordRep,
  recordRest,
  recordSign,
  recordStage,
  recordTimeOut,
  recordUndo,
  recordUnlogged,
  recordWashed,
  reopenSession,
  type Session,
  useKennelWithDog,
} from '@/data/repositories';
import { useHand } from './hand-store';
import { latencyOf, markerOf, secondsFrom, usePad } from './pad-store';
import { judgedByOutcome, judgementFor, onlyMiss, type PadView, timedJudgement } from './pad-view';

export type PadActions = {
  /** True while something is being written: the pad takes no further rep until it is on the disk. */
  readonly busy: boolean;
  readonly failure: Failure | null;
  /** The rep that could not be stored, for a file. */
  readonly unsaved: RepDraft | null;
  readonly stamp: () => void;
  readonly outcome: (outcome: Judgement['outcome']) => void;
  readonly name: (fault: NamedFault | null) => void;
  /** A whole rep by when the answer came. */
  readonly timed: (timing: Timing) => void;
  readonly answer: (why: Refusal) => void;
  /** A whole rep by its place on the response scale. */
  readonly graded: (grade: number) => void;
  /** A run of a chain by the link that broke. */
  readonly brokeAt: (link: number) => void;
  /** What else is said of the last rep. */
  readonly detail: (details: Details) => void;
  readonly sign: (sign: BodySign) => void;
  readonly unlogged: (count: number) => void;
  readonly timeOut: () => void;
  readonly note: (text: string) => void;
  readonly laid: () => void;
  /** A run among articles: right at the first touch is clean, right after another was touched is flawed, anything else a miss. */
  readonly picked: (run: NonNullable<Details['articles']>) => void;
  readonly washed: () => void;
  readonly outOfUse: (article: number) => void;
  readonly staged: (stage: Stage) => void;
  readonly mark: () => void;
  /** A run of continuous work: how long, and what was stamped in it. The first fault that counts here names it. */
  readonly ran: (run: { readonly held: number; readonly stamps: NonNullable<Details['stamps']> }) => void;
  /** A set entered afterwards, in order, without latencies. */
  readonly set: (outcomes: readonly Judgement['outcome'][]) => void;
  readonly cause: (cause: Judgement['cause']) => void;
  readonly aided: () => void;
  readonly move: (to: number, by: 'advice' | 'hand') => void;
  readonly rested: () => void;
  readonly undo: () => void;
  readonly end: () => void;
};

/** A send for nothing teaches the dog that there is nothing: it is refused rather than logged. */
const NOTHING_THERE = fail('nothing-laid', '', 'Nothing lies there. Lay one, look that it is there, and confirm it; then send.');

export function usePadActions(session: Session, view: PadView, onEnd?: () => void): PadActions {
  const { kennel, now } = useKennelWithDog();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [unsaved, setUnsaved] = useState<RepDraft | null>(null);
  const { choosing, choose, clear, stamp, mark } = usePad();

  const write = useCallback(async (entry: Promise<Result<Entry>>): Promise<boolean> => {
    setBusy(true);
    const result = await entry;
    setFailure(result.ok ? null : result);
    setBusy(false);
    return result.ok;
  }, []);

  const log = async (judgement: Judgement, timing: Timing | null = null, details: Details = {}): Promise<void> => {
    if (busy) return;
    if (view.lying !== null && view.lying <= 0) return setFailure(NOTHING_THERE);
    // The pad is cleared at once, since the next fault may be chosen while this rep is being written; what failed comes back.
    const inHand = usePad.getState();
    const latency = judgement.outcome === 'miss' ? null : latencyOf(inHand);
    const held = secondsFrom(inHand.hold.from, inHand.hold.to ?? performance.now());
    clear();
    const rep: RepDraft = {
      ...judgement,
      at: now(),
      rung: view.rung,
      criteria: view.criteria,
      latency,
      marker: markerOf(inHand),
      timing,
      details: { ...(held === null ? {} : { held }), ...details },
    };
    const stored = await write(recordRep(kennel, session, rep));
    setUnsaved(stored ? null : rep);
    if (!stored) usePad.setState(inHand);
  };
  const logSet = async (outcomes: readonly Judgement['outcome'][]): Promise<void> => {
    if (busy) return;
    // One after the other: each stands in the log before the next, as if it had been tapped in the field.
    for (const outcome of outcomes) {
      const rep = { ...judgementFor(outcome, null), at: now(), rung: view.rung, criteria: view.criteria, latency: null };
      if (!(await write(recordRep(kennel, session, rep)))) return;
    }
  };
  const correct = (change: Partial<Judgement>): void => {
    const { last } = view;
    if (last && !busy) void write(recordCorrection(kennel, session, last.id, { ...judgementOf(last), ...change }, now()));
  };
  const end = async (): Promise<void> => {
    await endSession(kennel, session.id, now());
    toast(`Enough for now: ${view.tally}.`, { action: { label: 'Undo', onClick: () => void reopenSession(kennel, session.id) } });
    if (onEnd) onEnd();
    else await navigate(`/${kennel.name}/today`);
  };
  return {
    busy,
    failure,
    unsaved,
    stamp: () => {
      stamp(performance.now());
      // With one button the marker says that it was right; where a rep is judged otherwise, it is only stamped.
      if (judgedByOutcome(view) && useHand.getState().oneButton && usePad.getState().markerAt !== null) void log(judgementFor('clean', null));
    },
    mark: () => mark(performance.now()),
    outcome: (outcome) => {
      const miss = onlyMiss(view);
      if (outcome === 'clean') void log(judgementFor('clean', null));
      else if (outcome === 'flawed') choose('flaw');
      else if (miss === 'choose') choose('miss');
      else void log(judgementFor('miss', miss));
    },
    name: (fault) => void log(judgementFor(choosing === 'miss' ? 'miss' : 'flawed', fault, view.noted)),
    timed: (timing) => void log(timedJudgement(timing), timing),
    graded: (grade) => {
      const top = view.grades.length - 1;
      void log(judgementFor(grade === top ? 'clean' : grade === 0 ? 'miss' : 'flawed', null), null, { grade });
    },
    brokeAt: (link) => void log(judgementFor('miss', null), null, { brokeAt: link }),
    detail: (details) => {
      const { last } = view;
      if (last && !busy) void write(recordDetail(kennel, session, last.id, details, now()));
    },
    sign: (sign) => {
      if (!busy) void write(recordSign(kennel, session, sign, now()));
    },
    unlogged: (count) => {
      if (!busy) void write(recordUnlogged(kennel, session, count, now()));
    },
    timeOut: () => {
      if (!busy) void write(recordTimeOut(kennel, session, now()));
    },
    note: (text) => {
      if (!busy) void write(recordNote(kennel, session, text, now()));
    },
    laid: () => {
      if (!busy) void write(recordLaid(kennel, session, now()));
    },
    picked: (run) => {
      const right = run.pick === run.target;
      const outcome = !right ? 'miss' : run.firstTouch === run.target ? 'clean' : 'flawed';
      const option = !right ? 'wrong-pick' : outcome === 'flawed' ? 'touched-first' : null;
      // A layout that the coach knew, or that the dog saw laid, is shown, and proves nothing.
      void log({ outcome, option, cause: 'dog', aided: false }, null, { articles: run, ...(run.known || run.seen ? { isVoid: true } : {}) });
    },
    ran: (run) => {
      const spoiling = run.stamps.filter((stamp) => !view.noted.includes(stamp.option));
      const [first] = spoiling;
      void log({ outcome: first ? 'flawed' : 'clean', option: first?.option ?? null, cause: 'dog', aided: false }, null, run);
    },
    outOfUse: (article) => {
      if (!busy) void write(recordOutOfUse(kennel, session, article, now()));
    },
    staged: (stage) => {
      if (!busy) void write(recordStage(kennel, session, stage, now()));
    },
    washed: () => {
      if (!busy) void write(recordWashed(kennel, session, now()));
    },
    set: (outcomes) => void logSet(outcomes),
    answer: (why) => {
      if (!busy) void write(recordAnswer(kennel, session, why, now()));
    },
    cause: (cause) => correct({ cause }),
    aided: () => correct({ aided: !view.last?.aided }),
    move: (to, by) => {
      if (!busy) void write(recordMove(kennel, session, { from: view.rung, to, by, at: now() }));
    },
    rested: () => {
      if (!busy) void write(recordRest(kennel, session, now()));
    },
    undo: () => {
      if (choosing !== 'outcome') choose('outcome');
      else if (!busy) void write(recordUndo(kennel, session, now()));
    },
    end: () => void end(),
  };
}

import { useCallback, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Criteria } from '@/core/breakdown';
import type { BodySign, Refusal, Stage, Timing } from '@/core/coaching';
import type { Amendment, ArticlesSeen, Cause, Judged, LegsSeen, RepSaid, Said, Seen } from '@/core/log';
import { ownFault, sameFault } from '@/core/rulebooks';
import { asId, type Failure, type FaultKey, fail, type LevelId, type Result } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { DatedBout, NamedFault } from '@/data/read';
import { endBout, record, recordSet, recordUndo } from '@/data/write';
import { useUndo } from '@/ui';
import { useHand } from './hand-store';
import { latencyOf, markerOf, secondsFrom, usePad } from './pad-store';
import { judgedByOutcome, judgementFor, onlyMiss, type PadView, tallyOf, timedJudgement } from './pad-view';

export type PadActions = {
  /**
   * True while something is being written: the pad takes no further rep until it is on the disk.
   */
  readonly busy: boolean;
  readonly failure: Failure | null;
  /** The rep that could not be stored, for a file. */
  readonly unsaved: RepSaid | null;
  readonly stamp: () => void;
  readonly outcome: (outcome: 'clean' | 'flawed' | 'miss') => void;
  readonly name: (fault: NamedFault | null) => void;
  /** A whole rep by when the answer came. */
  readonly timed: (timing: Timing) => void;
  readonly answer: (why: Refusal) => void;
  /** A whole rep by its step of the response scale. */
  readonly graded: (grade: LevelId) => void;
  /** A run of a chain by the link that broke. */
  readonly brokeAt: (link: number) => void;
  /** What else is said of the last rep, or said otherwise. */
  readonly amend: (change: Amendment) => void;
  readonly sign: (sign: BodySign) => void;
  readonly unlogged: (count: number) => void;
  readonly timeOut: () => void;
  readonly note: (text: string) => void;
  readonly laid: () => void;
  /**
   * A run among articles: right at the first touch is clean, right after another was touched is
   * flawed, anything else a miss.
   */
  readonly picked: (run: ArticlesSeen) => void;
  readonly washed: () => void;
  readonly outOfUse: (article: string) => void;
  readonly staged: (stage: Stage) => void;
  readonly mark: () => void;
  /** A run of continuous work. The first fault stamped that counts here names it. */
  readonly ran: (run: LegsSeen) => void;
  /** A set entered afterwards, in order, without latencies. */
  readonly set: (outcomes: readonly Judged['outcome'][]) => void;
  readonly cause: (cause: Cause) => void;
  readonly aided: () => void;
  readonly move: (to: Criteria, because: 'advice' | 'hand') => void;
  readonly rested: () => void;
  readonly undo: () => void;
  readonly end: () => void;
};

/** A send for nothing teaches the dog that there is nothing: it is refused rather than logged. */
const NOTHING_THERE = fail(
  'nothing-laid',
  '',
  'Nothing lies there. Lay one, look that it is there, and confirm it; then send.',
);

type SeenMore = Partial<Pick<Seen, 'timing' | 'grade' | 'run' | 'measured'>>;

export function usePadActions(bout: DatedBout, view: PadView, onEnd?: () => void): PadActions {
  const { kennel, done } = useKennelWithDog();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [unsaved, setUnsaved] = useState<RepSaid | null>(null);
  const { choosing, choose, clear, stamp, mark } = usePad();

  const last = useRef<Promise<unknown>>(Promise.resolve());
  const write = useCallback(async (begin: () => Promise<Result<unknown>>): Promise<boolean> => {
    setBusy(true);
    // The next action: what was done last elsewhere is settled.
    useUndo.getState().clear();
    // One after the other: a key that comes while a rep is being written waits for it, and is not lost.
    const mine = last.current.then(begin);
    last.current = mine;
    const result = await mine;
    setFailure(result.ok ? null : result);
    if (last.current === mine) setBusy(false);
    return result.ok;
  }, []);
  const say = (said: Said): void => void write(() => record(kennel, bout, said));

  const log = async (judged: Judged, more: SeenMore = {}): Promise<void> => {
    if (busy) return;
    if (view.lying !== null && view.lying <= 0) return setFailure(NOTHING_THERE);
    // The pad is cleared at once, since the next fault may be chosen while this rep is being written;
    // what failed comes back.
    const inHand = usePad.getState();
    const latency = judged.outcome === 'miss' ? null : latencyOf(inHand);
    const held = secondsFrom(inHand.hold.from, inHand.hold.to ?? performance.now());
    clear();
    const rep: RepSaid = {
      purpose: 'training',
      asked: askedNow(view),
      seen: {
        timing: null,
        endedBy: null,
        run: null,
        ...more,
        measured: { ...tapped({ latency, marker: markerOf(inHand), held }), ...more.measured },
      },
      judged,
      paid: {},
      from: null,
    };
    const stored = await write(() => record(kennel, bout, { kind: 'rep', ...rep }));
    setUnsaved(stored ? null : rep);
    if (!stored) usePad.setState(inHand);
  };
  const amend = (change: Amendment): void => {
    if (view.last) say({ kind: 'amend', of: view.last.id, ...change });
  };
  const end = async (): Promise<void> => {
    await last.current;
    const ended = await done((reps) => `Enough for now: ${tallyOf(reps)}.`, endBout(kennel, bout.id));
    if (!ended.ok) return;
    if (onEnd) onEnd();
    else await navigate(`/${kennel.name}/today`);
  };
  const chainRun = (brokeAt: number | null): SeenMore =>
    view.links.length === 0
      ? {}
      : {
          run: { kind: 'chain', links: view.links.map(({ id }) => ({ element: id, criteria: {} })), brokeAt },
        };
  return {
    busy,
    failure,
    unsaved,
    stamp: () => {
      stamp(performance.now());
      // With one button the marker says that it was right; where a rep is judged otherwise, it is only
      // stamped.
      if (judgedByOutcome(view) && useHand.getState().oneButton && usePad.getState().markerAt !== null)
        void log(judgementFor('clean', null));
    },
    mark: () => mark(performance.now()),
    outcome: (outcome) => {
      const miss = onlyMiss(view);
      if (outcome === 'clean') void log(judgementFor('clean', null), chainRun(null));
      else if (outcome === 'flawed') choose('flaw');
      else if (miss === 'choose') choose('miss');
      else void log(judgementFor('miss', miss));
    },
    name: (fault) => void log(judgementFor(choosing === 'miss' ? 'miss' : 'flawed', fault, view.noted)),
    timed: (timing) => void log(timedJudgement(timing), { timing }),
    graded: (grade) => {
      const place = view.grades.findIndex((one) => one.id === grade);
      const outcome = place === view.grades.length - 1 ? 'clean' : place === 0 ? 'miss' : 'flawed';
      void log(judgementFor(outcome, null), { grade });
    },
    brokeAt: (link) => void log(judgementFor('miss', null), chainRun(link)),
    amend,
    sign: (sign) => say({ kind: 'sign', sign }),
    unlogged: (count) => say({ kind: 'unlogged', count }),
    timeOut: () => say({ kind: 'time-out' }),
    note: (text) => say({ kind: 'note', text }),
    laid: () => say({ kind: 'laid' }),
    picked: (run) => {
      const right = run.pick === run.target;
      const outcome = !right ? 'miss' : run.firstTouch === run.target ? 'clean' : 'flawed';
      const fault = !right ? 'wrong-pick' : outcome === 'flawed' ? 'touched-first' : null;
      const faults = fault === null ? [] : [ownFault(asId<FaultKey>(fault))];
      // A layout that the coach knew, or that the dog saw laid, is shown, and proves nothing.
      const isVoid = run.known || run.seen;
      void log({ ...judgementFor(outcome, null), faults, void: isVoid }, { run });
    },
    ran: (run) => {
      const counts = ({ fault }: LegsSeen['stamps'][number]): boolean =>
        !view.noted.some((noted) => sameFault(noted, fault));
      const first = run.stamps.find(counts);
      const judged = judgementFor(first ? 'flawed' : 'clean', null);
      const faults = first ? [first.fault] : [];
      void log({ ...judged, faults }, { run, measured: { held: { value: run.seconds, how: 'tap' } } });
    },
    outOfUse: (article) => say({ kind: 'out-of-use', article }),
    staged: (stage) => say({ kind: 'stage', stage }),
    washed: () => say({ kind: 'washed' }),
    set: (outcomes) => {
      if (!busy) void write(() => recordSet(kennel, bout, askedNow(view), outcomes));
    },
    answer: (why) => say({ kind: 'answer', why }),
    cause: (cause) => amend({ judged: { cause } }),
    aided: () => amend({ judged: { aids: view.last && view.last.judged.aids.length > 0 ? [] : ['unsaid'] } }),
    move: (to, because) => say({ kind: 'move', to, because }),
    rested: () => say({ kind: 'rest' }),
    undo: () => {
      if (choosing !== 'outcome') choose('outcome');
      else void write(() => recordUndo(kennel, bout));
    },
    end: () => void end(),
  };
}

/** What this rung asks of the rep about to be logged. */
const askedNow = (view: PadView): RepSaid['asked'] => ({
  criteria: view.criteria,
  chips: {},
  noted: view.noted,
  call: null,
});

function tapped(seconds: Readonly<Record<'latency' | 'marker' | 'held', number | null>>): Seen['measured'] {
  const said = Object.entries(seconds).filter(([, value]) => value !== null);
  return Object.fromEntries(
    said.map(([key, value]) => [key, { value: value as number, how: 'tap' as const }]),
  );
}

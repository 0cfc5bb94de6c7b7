import { useCallback, useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { RepSaid, Said } from '@/core/log';
import type { EntryId, Failure, Result } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { DatedBout } from '@/data/read';
import { endBout, record, recordSet, recordUndo, type SetItem } from '@/data/write';
import { useUndo } from '@/ui';
import type { Called } from './calls';
import { gameReps } from './game';
import { useHand } from './hand-store';
import { askedNow, type InHand } from './in-hand';
import { useLesson } from './lesson-store';
import { usePad } from './pad-store';
import { judgedByOutcome, type PadView } from './pad-view';
import { tallyOf } from './rep-words';
import { type Tap, tapped } from './tap';
import { tell } from './words';

export type PadActions = {
  /**
   * True while something is being written: the pad takes no further rep until it is on the disk.
   */
  readonly busy: boolean;
  readonly failure: Failure | null;
  /** The rep that could not be stored, for a file. */
  readonly unsaved: RepSaid | null;
  /**
   * All that a tap or a key can say, by the one function that says it. The same one again within half a
   * second is a bounce and says nothing, unless it only steps.
   */
  readonly tap: (tap: Tap) => void;
  /** Whether it would be a bounce just now. */
  readonly bounces: (tap: Tap) => boolean;
  /** One step easier or harder, by hand: every press counts, also before the last one is shown. */
  readonly step: (by: -1 | 1) => void;
  readonly stamp: () => void;
  readonly mark: () => void;
  /** A set entered afterwards, in order, without latencies. */
  readonly set: (items: readonly SetItem[]) => Promise<boolean>;
  /** Seconds of work, rest or warm-up that were counted. */
  readonly clock: (what: 'work' | 'rest' | 'warm-up', seconds: number) => void;
  readonly undo: () => void;
  /** One's own click was heard: it marks, and where an outcome judges it logs a clean go; which it became. */
  readonly heard: () => Promise<EntryId | null>;
  /** Takes one entry back, wherever it stands by now. */
  readonly takeBack: (id: EntryId) => Promise<boolean>;
  readonly end: () => void;
};

/** Milliseconds in which the same control does not log twice: a wet thumb, a remote that chatters. */
const BOUNCE = 500;
/** What only steps, one at a time: every press of it counts. */
const isStep = (tap: Tap): boolean => tap.tap === 'move' && tap.because === 'hand';

export function usePadActions(bout: DatedBout, view: PadView, called: Called | null): PadActions {
  const { kennel, done } = useKennelWithDog();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [unsaved, setUnsaved] = useState<RepSaid | null>(null);
  const { choosing, choose, clear, stamp, mark } = usePad();

  // Where the last press led, until the pad shows it: the next one goes on from there.
  const aimed = useRef<number | null>(null);
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
    if (!result.ok) aimed.current = null;
    if (last.current === mine) setBusy(false);
    return result.ok;
  }, []);

  const rep = async (said: Extract<Said, { kind: 'rep' }>): Promise<EntryId | null> => {
    // The pad is cleared at once, since the next fault may be chosen while this rep is being written;
    // what failed comes back.
    const before = usePad.getState();
    clear();
    let made: EntryId | null = null;
    const stored = await write(async () => {
      const logged = await record(kennel, bout, said);
      if (logged.ok) made = logged.value.made.id;
      return logged;
    });
    setUnsaved(stored ? null : said);
    if (!stored) usePad.setState(before);
    return made;
  };
  const said = (one: Tap): void => {
    const found = tapped(view, inHand(called), one);
    if (!found.ok) setFailure(found);
    else if ('choose' in found) choose(found.choose);
    else if (found.said.kind === 'rep') {
      if (!busy) void rep(found.said);
    } else {
      const { said: entry } = found;
      void write(() => record(kennel, bout, entry));
    }
  };
  const bounce = useBounce();
  const tap = (one: Tap): void => {
    if (!isStep(one)) aimed.current = null;
    if (isStep(one) || bounce.first(JSON.stringify(one))) said(one);
  };
  useEffect(() => {
    if (aimed.current === view.rung) aimed.current = null;
  }, [view.rung]);
  const step = (by: -1 | 1): void => {
    const near = by < 0 ? view.easier : view.harder;
    const to = aimed.current === null ? near : view.ladder.rungs[aimed.current + by]?.criteria;
    if (!to) return;
    aimed.current = view.ladder.rungs.findIndex((rung) => rung.criteria === to);
    tap({ tap: 'move', to, because: 'hand' });
  };
  /** One press a link: the first starts the clock, and the last one says that it held from end to end. */
  const press = (links: number): void => {
    if (usePad.getState().split(performance.now()) === links) tap({ tap: 'whole', brokeAt: null });
  };
  const set = (items: readonly SetItem[]): Promise<boolean> =>
    write(() => recordSet(kennel, bout, askedNow(view, { call: null, asks: {} }), items));
  const end = async (): Promise<void> => {
    await last.current;
    // What is counted of a game and was not logged is no less done.
    const tally = useLesson.getState().tallies[bout.id];
    if (view.by.kind === 'game' && tally && tally.times > 0) {
      const items = gameReps(tally, view);
      if ('ok' in items) return setFailure(items);
      if (!(await set(items))) return;
    }
    useLesson.getState().count(bout.id, null);
    // Clocks that run are in the log before the bout is closed.
    for (const counted of useLesson.getState().stop(bout.id, Date.now()))
      await write(() => record(kennel, bout, counted));
    const ended = await done(
      (reps) => tell('use-pad-actions.enough-for-now', { tallyOf: tallyOf(reps) }),
      endBout(kennel, bout.id),
    );
    if (!ended.ok) return;
    // Whoever has gone elsewhere meanwhile stays there.
    if (globalThis.location.pathname === pathname) await navigate(`/${kennel.name}/field/end?of=${bout.id}`);
  };
  return {
    busy,
    failure,
    unsaved,
    tap,
    bounces: (one) => !isStep(one) && bounce.pressed === JSON.stringify(one),
    step,
    stamp: () => {
      if (view.by.kind === 'whole') return press(view.by.links.length);
      // A game is tallied in the rest: there is nothing to time.
      if (view.by.kind === 'game') return;
      stamp(performance.now());
      // With one button the marker says that it was right; where a rep is judged otherwise, it is only
      // stamped.
      if (judgedByOutcome(view) && useHand.getState().oneButton && usePad.getState().markerAt !== null)
        tap({ tap: 'clean' });
    },
    mark: () => mark(performance.now()),
    set,
    clock: (what, seconds) =>
      void write(() =>
        record(kennel, bout, { kind: 'clock', what, seconds: Math.max(0, Math.round(seconds)) }),
      ),
    undo: () => {
      aimed.current = null;
      if (choosing !== 'outcome') choose('outcome');
      // A run under way is taken back first: it is the last thing that was pressed.
      else if (view.by.kind === 'whole' && usePad.getState().splits.from !== null) clear();
      else if (bounce.first('undo')) void write(() => recordUndo(kennel, bout));
    },
    heard: async () => {
      mark(performance.now());
      const found = judgedByOutcome(view) ? tapped(view, inHand(called), { tap: 'clean' }) : null;
      if (!found?.ok || !('said' in found) || found.said.kind !== 'rep') return null;
      return rep(found.said);
    },
    takeBack: (of) => write(() => record(kennel, bout, { kind: 'undo', of })),
    end: () => void end(),
  };
}

/** Which control was pressed within the last half second, and whether a press of it is the first in that time. */
function useBounce(): { readonly pressed: string | null; readonly first: (key: string) => boolean } {
  const [pressed, setPressed] = useState<string | null>(null);
  useEffect(() => {
    if (pressed === null) return;
    const timer = setTimeout(() => setPressed(null), BOUNCE);
    return () => clearTimeout(timer);
  }, [pressed]);
  const at = useRef({ key: '', time: Number.NEGATIVE_INFINITY });
  const first = (key: string): boolean => {
    const time = performance.now();
    if (at.current.key === key && time - at.current.time < BOUNCE) return false;
    at.current = { key, time };
    setPressed(key);
    return true;
  };
  return { pressed, first };
}

/** What is in hand as somebody taps. */
function inHand(called: Called | null): InHand {
  const { cueAt, responseAt, markerAt, hold, splits, aids, lost } = usePad.getState();
  return {
    cueAt,
    responseAt,
    markerAt,
    hold,
    splits,
    aids,
    lost,
    now: performance.now(),
    call: called?.call ?? null,
    asks: called?.asks ?? {},
  };
}

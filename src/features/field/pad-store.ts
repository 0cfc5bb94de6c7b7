import { create } from 'zustand';
import type { Aid } from '@/core/log';
import type { FaultKey } from '@/core/shared';
import type { SetItem } from '@/data/write';

/**
 * What is on the pad and not yet in the log: the stamps of the rep in hand, a hold's clock, and
 * which choice is open. Milliseconds of the page's own monotonic clock.
 */
export type Stamps = {
  readonly cueAt: number | null;
  readonly responseAt: number | null;
  readonly markerAt: number | null;
};
/** A whole run under way: when it started, and when each link was done. */
export type Splits = { readonly from: number | null; readonly at: readonly number[] };
export type Hold = { readonly from: number | null; readonly to: number | null };
type PadState = Stamps & {
  readonly hold: Hold;
  readonly splits: Splits;
  /** Help that was said before the rep; it stays until it is taken away. */
  readonly aids: readonly Aid[];
  /** Chips that were changed since the last rep; with it they are in the log. */
  readonly chips: Readonly<Record<string, string>>;
  /** A set from memory that is not written yet; it outlives its sheet. */
  readonly memory: readonly SetItem[];
  /** Of a scene: what did not hold in the rep in hand. */
  readonly lost: readonly FaultKey[];
  readonly choosing: 'outcome' | 'flaw' | 'miss';
  /** The next stamp in turn: cue, response, marker. */
  readonly stamp: (at: number) => void;
  /** The marker out of turn: the response was not stamped. */
  readonly mark: (at: number) => void;
  /** Begins a hold, or ends it. */
  readonly holding: (at: number) => void;
  /** Starts a whole run, or says that a link is done; gives how many are. */
  readonly split: (at: number) => number;
  readonly help: (aid: Aid) => void;
  readonly chip: (key: string, value: string) => void;
  /** Says that one of a scene did not hold, or that it did. */
  readonly lose: (fault: FaultKey) => void;
  readonly remember: (memory: readonly SetItem[]) => void;
  readonly choose: (choosing: PadState['choosing']) => void;
  /** The rep in hand is done; help stays. */
  readonly clear: () => void;
  /** Another pad: nothing stays. */
  readonly reset: () => void;
};

const NOTHING = {
  cueAt: null,
  responseAt: null,
  markerAt: null,
  hold: { from: null, to: null },
  splits: { from: null, at: [] },
  chips: {},
  lost: [],
  choosing: 'outcome',
} as const;

/** Milliseconds in which a second stamp is a bounce of the first; a quick dog is slower. */
const STAMP_BOUNCE = 80;

/** Milliseconds in which a second press is a bounce of the first: no link is done sooner. */
const SPLIT_BOUNCE = 250;

export const usePad = create<PadState>((set, get) => ({
  ...NOTHING,
  aids: [],
  memory: [],
  // After the marker a further stamp is a new cue, since the dog was set up again.
  stamp: (at) => {
    const { cueAt, responseAt, markerAt } = get();
    if (
      at -
        Math.max(
          cueAt ?? Number.NEGATIVE_INFINITY,
          responseAt ?? Number.NEGATIVE_INFINITY,
          markerAt ?? Number.NEGATIVE_INFINITY,
        ) <
      STAMP_BOUNCE
    )
      return;
    if (cueAt === null || markerAt !== null) set({ cueAt: at, responseAt: null, markerAt: null });
    else if (responseAt === null) set({ responseAt: at });
    else set({ markerAt: at });
  },
  mark: (at) => {
    const { markerAt } = get();
    if (markerAt === null || at - markerAt >= STAMP_BOUNCE) set({ markerAt: at });
  },
  holding: (at) => {
    const { from, to } = get().hold;
    if (at - (to ?? from ?? Number.NEGATIVE_INFINITY) < STAMP_BOUNCE) return;
    set({ hold: from === null || to !== null ? { from: at, to: null } : { from, to: at } });
  },
  split: (at) => {
    const { from, at: done } = get().splits;
    // A link takes longer than a bounce.
    if (from !== null && at - (done.at(-1) ?? from) < SPLIT_BOUNCE) return done.length;
    set({ splits: from === null ? { from: at, at: [] } : { from, at: [...done, at] } });
    return from === null ? 0 : done.length + 1;
  },
  help: (aid) => {
    const { aids } = get();
    set({ aids: aids.includes(aid) ? aids.filter((one) => one !== aid) : [...aids, aid] });
  },
  chip: (key, value) => set({ chips: { ...get().chips, [key]: value } }),
  lose: (fault) => {
    const { lost } = get();
    set({ lost: lost.includes(fault) ? lost.filter((one) => one !== fault) : [...lost, fault] });
  },
  remember: (memory) => set({ memory }),
  choose: (choosing) => set({ choosing }),
  clear: () => set(NOTHING),
  reset: () => set({ ...NOTHING, aids: [], memory: [] }),
}));

/**
 * Seconds between two stamps to the hundredth, or null where one is missing. `secondsFrom(1000,
 * 2250)` → 1.25.
 */
export function secondsFrom(from: number | null, to: number | null): number | null {
  return from === null || to === null ? null : Math.round((to - from) / 10) / 100;
}

/** Seconds from cue to response, and from cue to marker. */
export const latencyOf = ({ cueAt, responseAt }: Pick<Stamps, 'cueAt' | 'responseAt'>): number | null =>
  secondsFrom(cueAt, responseAt);
export const markerOf = ({ cueAt, markerAt }: Stamps): number | null => secondsFrom(cueAt, markerAt);

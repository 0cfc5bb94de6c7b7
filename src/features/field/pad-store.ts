import { create } from 'zustand';

/** What is on the pad and not yet in the log: the stamps of the rep in hand, and which choice is open. */
type PadState = {
  /** Milliseconds of the page's own monotonic clock. */
  readonly cueAt: number | null;
  readonly responseAt: number | null;
  readonly choosing: 'outcome' | 'flaw' | 'miss';
  readonly stamp: (at: number) => void;
  readonly choose: (choosing: PadState['choosing']) => void;
  readonly clear: () => void;
};

export const usePad = create<PadState>((set, get) => ({
  cueAt: null,
  responseAt: null,
  choosing: 'outcome',
  // First the cue, then the response; a third stamp is a new cue, since the dog was set up again.
  stamp: (at) => {
    const { cueAt, responseAt } = get();
    set(cueAt === null || responseAt !== null ? { cueAt: at, responseAt: null } : { responseAt: at });
  },
  choose: (choosing) => set({ choosing }),
  clear: () => set({ cueAt: null, responseAt: null, choosing: 'outcome' }),
}));

/** Seconds from cue to response to the hundredth, or null where one was not stamped. */
export function latencyOf({ cueAt, responseAt }: Pick<PadState, 'cueAt' | 'responseAt'>): number | null {
  return cueAt === null || responseAt === null ? null : Math.round((responseAt - cueAt) / 10) / 100;
}

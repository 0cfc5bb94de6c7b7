import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { tell } from './words';

/** Everything on the pad that a key can do, in the order of the help. */
export const PAD_KEYS = [
  { action: 'stamp', usual: ' ', does: tell('hand-store.stamp-the-cue-the-response-the') },
  { action: 'mark', usual: 'k', does: tell('hand-store.stamp-the-marker-alone') },
  { action: 'clean', usual: 'c', does: tell('hand-store.clean') },
  { action: 'flawed', usual: 'f', does: tell('hand-store.flawed-then-a-number-names-the') },
  { action: 'miss', usual: 'm', does: tell('hand-store.miss') },
  { action: 'undo', usual: 'u', does: tell('hand-store.take-back-the-last-thing') },
  { action: 'dog', usual: 'd', does: tell('hand-store.last-rep-the-dogs') },
  { action: 'handler', usual: 'h', does: tell('hand-store.last-rep-the-handlers') },
  { action: 'apparatus', usual: 'p', does: tell('hand-store.last-rep-the-kits') },
  { action: 'environment', usual: 'e', does: tell('hand-store.last-rep-the-places') },
  { action: 'aided', usual: 'a', does: tell('hand-store.last-rep-aided-or-not') },
  { action: 'go', usual: 'g', does: tell('hand-store.go-to-the-rung-that-is-advised') },
  { action: 'rested', usual: 'r', does: tell('hand-store.rested') },
] as const;
export type PadAction = (typeof PAD_KEYS)[number]['action'];
export type KeyMap = Readonly<Record<PadAction, string>>;

export const USUAL_KEYS = Object.fromEntries(
  PAD_KEYS.map(({ action, usual }) => [action, usual]),
) as unknown as KeyMap;

/** Keys that the pad and its dialogs need for themselves. */
const TAKEN = new Set(['Escape', 'Tab', '?', ...'123456789']);

/**
 * The map with another key for an action. A key that did something else changes places with it; one
 * that the pad needs itself is refused.
 */
export function withKey(keys: KeyMap, action: PadAction, key: string): KeyMap | null {
  const clean = key.length === 1 ? key.toLowerCase() : key;
  if (TAKEN.has(clean)) return null;
  const other = (Object.keys(keys) as PadAction[]).find((one) => keys[one] === clean);
  return { ...keys, ...(other ? { [other]: keys[action] } : {}), [action]: clean };
}

/** How a key is shown: Space for the space bar, letters large, names of other keys as they are. */
export function shownKey(key: string): string {
  if (key === ' ') return tell('hand-store.space');
  return key.length === 1 ? key.toUpperCase() : key.replace(/([a-z])([A-Z])/g, '$1 $2');
}

type HandState = {
  readonly keys: KeyMap;
  readonly leftHanded: boolean;
  /** One button logs a whole rep: the marker logs it clean, holding the button logs a miss. */
  readonly oneButton: boolean;
  /** A low hum where the telephone would vibrate: into an earpiece, by the person's word. */
  readonly earpiece: boolean;
  /** A hum from the loudspeaker when a rest is over; never before a response. */
  readonly sounds: boolean;
  /** Calls are spoken, each by its own neutral code word. */
  readonly speech: boolean;
  readonly codes: Readonly<Record<string, string>>;
  /** One's own click logs the go. */
  readonly ears: boolean;
  /** Seconds of a rest after a full set. */
  readonly rest: number;
  readonly setKeys: (keys: KeyMap) => void;
  readonly set: (change: Partial<Omit<HandState, 'set' | 'setKeys'>>) => void;
};

/**
 * A device that kept its keys before a new one was thought of has the usual key for it.
 * @internal
 */
export function withNewKeys(kept: unknown, now: HandState): HandState {
  const known = kept as Partial<HandState> | undefined;
  return { ...now, ...known, keys: { ...USUAL_KEYS, ...known?.keys } };
}

/**
 * How somebody's hands work the pad. It belongs to the device, so it stays in its own small store.
 */
export const useHand = create<HandState>()(
  persist(
    (set) => ({
      keys: USUAL_KEYS,
      leftHanded: false,
      oneButton: false,
      earpiece: false,
      sounds: false,
      speech: false,
      codes: {},
      ears: false,
      rest: 60,
      setKeys: (keys) => set({ keys }),
      set: (change) => set(change),
    }),
    {
      name: 'regulon-hand',
      merge: withNewKeys,
    },
  ),
);

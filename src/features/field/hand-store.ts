import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Everything on the pad that a key can do, in the order of the help. */
export const PAD_KEYS = [
  { action: 'stamp', usual: ' ', does: 'Stamp the cue, the response, the marker' },
  { action: 'mark', usual: 'k', does: 'Stamp the marker alone' },
  { action: 'clean', usual: 'c', does: 'Clean' },
  { action: 'flawed', usual: 'f', does: 'Flawed; then a number names the fault' },
  { action: 'miss', usual: 'm', does: 'Miss' },
  { action: 'undo', usual: 'u', does: 'Take back the last thing' },
  { action: 'dog', usual: 'd', does: 'Last rep: the dog’s' },
  { action: 'handler', usual: 'h', does: 'Last rep: the handler’s' },
  { action: 'apparatus', usual: 'p', does: 'Last rep: the kit’s' },
  { action: 'environment', usual: 'e', does: 'Last rep: the place’s' },
  { action: 'aided', usual: 'a', does: 'Last rep: aided, or not' },
  { action: 'go', usual: 'g', does: 'Go to the rung that is advised' },
  { action: 'rested', usual: 'r', does: 'Rested' },
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
  if (key === ' ') return 'Space';
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

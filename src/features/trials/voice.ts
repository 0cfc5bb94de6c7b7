import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

type Voice = {
  readonly how: 'speech' | 'vibration';
  readonly choose: (how: Voice['how']) => void;
  /** Whether a helper’s device speaks the words itself. */
  readonly aloud: boolean;
  readonly speakAloud: (aloud: boolean) => void;
};

/** How somebody who is alone hears the steward: words in one ear, or pulses in the pocket. */
export const useStewardVoice = create<Voice>()(
  persist(
    (set) => ({
      how: 'speech',
      choose: (how) => set({ how }),
      aloud: true,
      speakAloud: (aloud) => set({ aloud }),
    }),
    {
      name: 'regulon-steward',
      storage: createJSONStorage(() => localStorage),
    },
  ),
);

/** Whether the device has a voice; some offer speech and have none. */
export const speechIsThere = (): boolean =>
  'speechSynthesis' in globalThis && speechSynthesis.getVoices().length > 0;

export const vibrationIsThere = (): boolean => typeof navigator.vibrate === 'function';

/** A step in one ear or in the pocket: its words, or two pulses. */
export function call(words: string): void {
  if (useStewardVoice.getState().how === 'vibration') {
    navigator.vibrate?.([120, 100, 120]);
    return;
  }
  speak(words);
}

/** A step as the helper’s device says it, for everyone to hear, where that is wanted. */
export function sayAloud(words: string): void {
  if (useStewardVoice.getState().aloud) speak(words);
}

function speak(words: string): void {
  if (!('speechSynthesis' in globalThis)) return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}

export function hush(): void {
  if ('speechSynthesis' in globalThis) speechSynthesis.cancel();
}

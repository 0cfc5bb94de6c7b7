import { useHand } from './hand-store';

/** A signal to the handler: one pulse, or two. */
export type Signal = 'once' | 'twice';

/** Milliseconds of vibration: felt in the hand, heard by nobody. */
const PULSES: Readonly<Record<Signal, number | number[]>> = { once: 80, twice: [80, 120, 80] };

/**
 * Tells the handler without telling the dog: a vibration, and a low hum only where somebody has
 * said that it goes into an earpiece. Used before a response, so it is never a loudspeaker's
 * business.
 */
export function signal(kind: Signal): void {
  navigator.vibrate?.(PULSES[kind]);
  if (useHand.getState().earpiece) hum(kind);
}

/**
 * Tells that a rest is over: nothing is asked of the dog then, so the loudspeaker may, where it is
 * switched on.
 */
export function restIsOver(): void {
  navigator.vibrate?.(PULSES.twice);
  if (useHand.getState().earpiece || useHand.getState().sounds) hum('twice');
}

/**
 * Hertz and seconds. Low, soft at both ends and slow to rise: nothing like a click, a whistle or a
 * word.
 */
const HUM = { pitch: 165, length: 0.5, rise: 0.15, loudness: 0.2 } as const;
let audio: AudioContext | null = null;

function hum(kind: Signal): void {
  audio ??= new AudioContext();
  for (let i = 0; i < (kind === 'twice' ? 2 : 1); i++) {
    const from = audio.currentTime + i * (HUM.length + 0.15);
    const [tone, volume] = [audio.createOscillator(), audio.createGain()];
    tone.frequency.value = HUM.pitch;
    volume.gain.setValueAtTime(0, from);
    volume.gain.linearRampToValueAtTime(HUM.loudness, from + HUM.rise);
    volume.gain.linearRampToValueAtTime(0, from + HUM.length);
    tone.connect(volume).connect(audio.destination);
    tone.start(from);
    tone.stop(from + HUM.length);
  }
}

/**
 * Speaks a code word, where speech is switched on and the person has written one; the call itself
 * is never spoken.
 */
export function speak(code: string | undefined): void {
  if (!useHand.getState().speech || !code || !('speechSynthesis' in globalThis)) return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(code));
}

import type { Random } from '@/core/shared';

/** A clicker: what rings in it, how long, how loud each. */
export type Clicker = readonly { readonly hertz: number; readonly decay: number; readonly share: number }[];

export function someClicker(random: Random): Clicker {
  const rings = 2 + random.integer(3);
  return Array.from({ length: rings }, () => ({
    hertz: 1_500 * 6 ** random.uniform(),
    decay: 0.0006 + 0.002 * random.uniform(),
    share: 0.4 + 0.6 * random.uniform(),
  }));
}

/** A click with its snap, of root mean square 1 over its first 5 ms. */
export function clickOf(clicker: Clicker, rate: number, random: Random): Float32Array {
  const out = new Float32Array(Math.round(0.012 * rate));
  const phases = clicker.map(() => 2 * Math.PI * random.uniform());
  for (let i = 0; i < out.length; i++) {
    const t = i / rate;
    let sum = 0.25 * random.normal() * Math.exp(-t / 0.0005);
    for (const [k, { hertz, decay, share }] of clicker.entries())
      sum += share * Math.exp(-t / decay) * Math.sin(2 * Math.PI * hertz * t + (phases[k] as number) * 0.15);
    out[i] = sum;
  }
  const five = out.subarray(0, Math.round(0.005 * rate));
  const size = Math.sqrt(five.reduce((sum, one) => sum + one * one, 0) / five.length);
  return out.map((one) => one / size);
}

export function add(into: Float32Array, sound: Float32Array, at: number, rate: number, gain = 1): void {
  const from = Math.round(at * rate);
  for (let i = 0; i < sound.length && from + i < into.length; i++)
    into[from + i] = (into[from + i] as number) + gain * (sound[i] as number);
}

/** Even noise of this root mean square. */
export const noise = (seconds: number, rate: number, size: number, random: Random): Float32Array =>
  Float32Array.from({ length: Math.round(seconds * rate) }, () => size * random.normal());

/** Wind in a microphone: low rumbling noise in gusts, with some hiss. */
export function wind(seconds: number, rate: number, size: number, random: Random): Float32Array {
  const out = new Float32Array(Math.round(seconds * rate));
  let [low, lower, gust, aim] = [0, 0, 0.5, 0.5];
  const a = Math.exp((-2 * Math.PI * 250) / rate);
  for (let i = 0; i < out.length; i++) {
    if (i % Math.round(rate * 0.15) === 0) aim = random.uniform() ** 2 * 1.6;
    gust += (aim - gust) * (4 / rate);
    low = a * low + (1 - a) * random.normal();
    lower = a * lower + (1 - a) * low;
    out[i] = size * gust * (60 * lower + 0.15 * random.normal());
  }
  return out;
}

/** A whistle: a tone of this pitch with soft ends. */
export function whistle(hertz: number, seconds: number, rate: number): Float32Array {
  const out = new Float32Array(Math.round(seconds * rate));
  for (let i = 0; i < out.length; i++) {
    const edge = Math.min(1, i / (0.01 * rate), (out.length - i) / (0.01 * rate));
    out[i] = edge * Math.sin((2 * Math.PI * hertz * i) / rate);
  }
  return out;
}

/** A voiced word: harmonics of a gliding pitch under two formants, with soft ends. */
export function word(pitch: number, seconds: number, rate: number): Float32Array {
  const out = new Float32Array(Math.round(seconds * rate));
  let phase = 0;
  for (let i = 0; i < out.length; i++) {
    const share = i / out.length;
    const hertz = pitch * (1.1 - 0.2 * share);
    phase += (2 * Math.PI * hertz) / rate;
    const edge = Math.min(1, i / (0.03 * rate), (out.length - i) / (0.05 * rate));
    let sum = 0;
    for (let k = 1; k * hertz < 4_000; k++) {
      const at = k * hertz;
      const formant =
        Math.exp(-(((at - 650) / 300) ** 2)) + 0.6 * Math.exp(-(((at - 1_700) / 400) ** 2)) + 0.03;
      sum += formant * Math.sin(k * phase);
    }
    out[i] = 0.4 * edge * sum;
  }
  return out;
}

/** The root mean square of a gain so many decibels over a noise of this size. */
export const over = (decibels: number, size: number): number => size * 10 ** (decibels / 20);
